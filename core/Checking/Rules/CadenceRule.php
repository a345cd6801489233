<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `content.cadence`: how many frames each picture stands, where that is regular. Frames drawn on twos stand two each.
 */
final readonly class CadenceRule implements Rule
{
    /** So many pictures at least tell a cadence; the first and the last may be cut. */
    private const LEAST_PICTURES = 4;

    private const LOST = 'its codec gives a picture that stands other pixels each time, so this cannot be told';

    public function answers(string $id): bool
    {
        return $id === RequirementId::CONTENT_CADENCE;
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $pass = PassSamples::of($subject);
        if ($pass === null || $pass->hasUnseen()) {
            return $pass === null ? null : $pass->unknown();
        }
        $found = self::of($pass);
        $equal = in_array($found, $requirement->value->values, true);
        if ($pass->isLossy && ! $equal && $found === 'every') {
            return Cell::unknown(self::LOST);
        }

        return Cell::of(
            $equal ? Mark::Equal : Mark::Unequal,
            $found,
            [],
            $equal ? [] : [$pass->place => FrameRange::fromNumbers(array_keys($pass->samples))],
        );
    }

    /** `every`, or how many frames pictures stand: `2`, `3`, or two numbers in turn, `2-3`. */
    public static function of(PassSamples $pass): string
    {
        $lengths = self::lengths($pass);
        $inner = array_slice($lengths, 1, -1);
        if (count($inner) < self::LEAST_PICTURES - 2) {
            return 'every';
        }
        $kinds = array_values(array_unique($inner));
        sort($kinds);
        $longest = $kinds[count($kinds) - 1];
        // the first and the last may be cut
        if ($longest < 2 || max($lengths[0], $lengths[count($lengths) - 1]) > $longest) {
            return 'every';
        }
        $inTurn = count($kinds) === 2 && count($inner) >= 4 && self::takeTurns($inner);

        return match (true) {
            count($kinds) === 1 => (string) $longest,
            $inTurn => "{$kinds[0]}-{$kinds[1]}",
            default => 'every',
        };
    }

    /** @return non-empty-list<int> for how many frames each picture stands */
    private static function lengths(PassSamples $pass): array
    {
        $lengths = [0];
        $before = null;
        foreach ($pass->samples as $sample) {
            if ($sample !== null && $before !== null && $sample->print === $before) {
                $lengths[count($lengths) - 1]++;
            } else {
                $lengths[] = 1;
            }
            $before = $sample?->print;
        }

        return count($lengths) > 1 ? array_slice($lengths, 1) : $lengths;
    }

    /** @param  list<int>  $lengths */
    private static function takeTurns(array $lengths): bool
    {
        for ($i = 2, $many = count($lengths); $i < $many; $i++) {
            if ($lengths[$i] !== $lengths[$i - 2]) {
                return false;
            }
        }

        return $lengths[0] !== $lengths[1];
    }
}
