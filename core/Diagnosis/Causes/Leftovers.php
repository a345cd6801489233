<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\Extra;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `leftovers` and, where a left-over file bears the mark of one, `copy-suffix`. */
final readonly class Leftovers implements CauseFamily
{
    private const MOST_NAMED = 200;

    public function find(Situation $situation): iterable
    {
        $match = $situation->subject->deliveryMatch;
        if ($match === null || ! $situation->inFiles(RequirementId::DELIVERY_EXTRAS)) {
            return;
        }
        $sorted = [
            CauseId::CopySuffix->value => [],
            CauseId::ValueOfAnother->value => [],
            CauseId::Leftovers->value => [],
        ];
        foreach ($match->extras as $extra) {
            $sorted[$this->causeOf($extra, $situation)->value][] = $extra;
        }
        foreach ($sorted as $id => $extras) {
            $odd = $id === CauseId::Leftovers->value ? $match->odd : [];
            if ($extras !== [] || $odd !== []) {
                yield $this->finding($situation, CauseId::from($id), $extras, $odd);
            }
        }
    }

    private function causeOf(Extra $extra, Situation $situation): CauseId
    {
        return match (true) {
            $this->isCopy($extra) => CauseId::CopySuffix,
            $extra->reading?->isOfAnother($situation->subject->others) ?? false => CauseId::ValueOfAnother,
            default => CauseId::Leftovers,
        };
    }

    /**
     * @param  list<Extra>  $extras
     * @param  list<string>  $odd  paths that are no files to be looked at
     */
    private function finding(Situation $situation, CauseId $id, array $extras, array $odd): Finding
    {
        $count = $this->count($extras);
        $files = Text::count($count + count($odd), 'file');
        $named = $extras === []
            ? mb_strimwidth(Text::shown(implode(', ', array_slice($odd, 0, 4))), 0, 240, '…')
            : $this->brief($extras);
        $says = match ($id) {
            CauseId::CopySuffix => "{$files} ".($count === 1 ? 'bears' : 'bear').' the mark of a copy',
            CauseId::ValueOfAnother => "{$files} ".($count === 1 ? 'is' : 'are').' named as another’s',
            default => "{$files} that nothing asks for",
        };

        return Finding::of(
            $id,
            Side::Files,
            "{$says}: {$named}.",
            $this->paths($extras),
            [RequirementId::DELIVERY_EXTRAS],
            $this->fixes($situation, $extras),
        );
    }

    private function isCopy(Extra $extra): bool
    {
        foreach ($extra->reading->pieces ?? [] as $piece) {
            if (in_array(Difference::CopySuffix, $piece->differences, true)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Extra>  $extras */
    private function count(array $extras): int
    {
        return array_sum(array_map(static fn (Extra $e): int => $e->count(), $extras));
    }

    /** @param  list<Extra>  $extras */
    private function brief(array $extras): string
    {
        $names = array_map(
            static fn (Extra $e): string => Text::shown($e->path()).($e->count() > 1 ? " {$e->frames}" : ''),
            array_slice($extras, 0, 4),
        );

        return mb_strimwidth(implode(', ', $names), 0, 240, '…').(count($extras) > 4 ? ' and more' : '');
    }

    /**
     * @param  list<Extra>  $extras
     * @return list<string>
     */
    private function paths(array $extras): array
    {
        return array_map(static fn (Extra $e): string => Text::shown($e->path()), array_slice($extras, 0, 20));
    }

    /**
     * @param  list<Extra>  $extras
     * @return list<Fix>
     */
    private function fixes(Situation $situation, array $extras): array
    {
        return array_map(
            static fn (Extra $e): Fix => Fix::setAside(
                $situation->part(),
                $e->path(),
                $e->count(),
                $e->count() > 1 ? $e->frames : null,
            ),
            array_slice($extras, 0, self::MOST_NAMED),
        );
    }
}
