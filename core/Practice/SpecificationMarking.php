<?php

declare(strict_types=1);

namespace PlainLedger\Core\Practice;

use PlainLedger\Core\Specification\Catalogue;

/**
 * What a specification is worth: one point for each wrong delivery that differs by it for a reason of its own, three
 * where one that is right balances, if it tells anything at all; what contradicts itself takes one away.
 */
final readonly class SpecificationMarking
{
    private const OF_RIGHT = 3;

    /**
     * @param  list<string>  $conflicts  requirements that cannot all be met, a sentence each
     * @param  list<TriedDelivery>  $tried
     */
    public static function of(array $conflicts, array $tried): Marking
    {
        $always = [];
        foreach ($tried as $delivery) {
            $always += $delivery->isRight() ? $delivery->unequal : [];
        }
        $tells = array_filter(
            $tried,
            static fn (TriedDelivery $d): bool => ! $d->isRight() && array_diff_key($d->unequal, $always) !== [],
        );
        $points = [];
        foreach ($tried as $at => $delivery) {
            $points[] = $delivery->isRight()
                ? self::right($delivery, (string) $at, $tells !== [])
                : self::wrong($delivery, (string) $at, $always);
        }
        foreach ($conflicts as $at => $says) {
            $points[] = new MarkedPoint('conflict', (string) $at, 'wrong', -1, 0, $says);
        }

        return Marking::points($points);
    }

    private static function right(TriedDelivery $delivery, string $key, bool $tells): MarkedPoint
    {
        [$mark, $says] = match (true) {
            $delivery->unequal !== [] => ['wrong', 'A delivery as it is described does not balance by it: '
                .implode('; ', $delivery->unequal).'.'],
            ! $tells => ['missed', 'A delivery as it is described balances by it, and so does any other.'],
            default => ['right', 'A delivery as it is described balances by it.'],
        };

        return new MarkedPoint('delivery', $key, $mark, $mark === 'right' ? self::OF_RIGHT : 0, self::OF_RIGHT, $says);
    }

    /** @param  array<string, string>  $always  what differs in a right one too, which tells nothing */
    private static function wrong(TriedDelivery $delivery, string $key, array $always): MarkedPoint
    {
        $own = array_diff_key($delivery->unequal, $always);
        $label = Catalogue::standard()->find((string) $delivery->catches)->label ?? (string) $delivery->catches;

        return $own === []
            ? new MarkedPoint('delivery', $key, 'missed', 0, 1, "It lets this pass: {$delivery->says}. "
                ."{$label} would tell it.")
            : new MarkedPoint('delivery', $key, 'right', 1, 1, ucfirst($delivery->says).': told by '
                .implode('; ', $own).'.');
    }
}
