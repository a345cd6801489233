<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;

/** How long a part is, from whatever says so. */
final readonly class PartLength
{
    /** The frames expected; null where they are not asked, or not known before the scene is. */
    public static function expected(Part $part): ?FrameRange
    {
        try {
            return $part->expected();
        } catch (NotUnderstood) {
            return null;
        }
    }

    /**
     * Frames, and the ids they follow from: its own range or count, else those of the part it is made from.
     *
     * @return array{int, list<string>}|null the least where a span is asked
     */
    public static function leastFrames(Specification $specification, Part $part): ?array
    {
        $count = self::least($part, RequirementId::TIME_COUNT);
        if ($count !== null) {
            return [(int) $count, [RequirementId::TIME_COUNT]];
        }
        $expected = self::expected($part);
        if ($expected !== null) {
            return [count($expected), [RequirementId::TIME_RANGE]];
        }
        $time = self::least($part, RequirementId::TIME_DURATION);
        $rate = self::rate($part);
        if ($time !== null && $rate !== null) {
            $frames = Duration::parse($time)->seconds($rate)->multipliedBy($rate->value);
            $whole = $frames->toScale(0, RoundingMode::HALF_UP)->toInt();

            return [$whole, [RequirementId::TIME_DURATION, RequirementId::TIME_RATE]];
        }
        $from = $specification->part($part->madeFrom ?? '');
        $isItsOwn = $from === null || $from->name === $part->name || $from->madeFrom !== null;

        return $isItsOwn ? null : self::leastFrames($specification, $from);
    }

    private static function least(Part $part, string $id): ?string
    {
        $value = $part->find($id)?->value;

        return $value === null ? null : $value->single() ?? $value->min;
    }

    /** @return array{int, list<string>}|null the most frames it may have */
    public static function mostFrames(Specification $specification, Part $part): ?array
    {
        $count = $part->find(RequirementId::TIME_COUNT)?->value;
        if ($count !== null && $count->single() === null) {
            return $count->max === null ? null : [(int) $count->max, [RequirementId::TIME_COUNT]];
        }
        $time = $part->find(RequirementId::TIME_DURATION)?->value;
        if ($count === null && self::expected($part) === null && $time !== null && $time->single() === null) {
            $rate = self::rate($part);

            return $time->max === null || $rate === null
                ? null
                : [
                    Duration::parse($time->max)->seconds($rate)
                        ->multipliedBy($rate->value)
                        ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
                        ->toInt(),
                    [RequirementId::TIME_DURATION, RequirementId::TIME_RATE],
                ];
        }

        return self::leastFrames($specification, $part);
    }

    /**
     * The shortest it may last, in seconds, and the ids that follows from.
     *
     * @return array{BigRational, list<string>}|null
     */
    public static function leastSeconds(Specification $specification, Part $part): ?array
    {
        $rate = self::rate($part);
        $time = $part->find(RequirementId::TIME_DURATION)?->value;
        $least = $time === null ? null : $time->single() ?? $time->min;
        if ($least !== null) {
            return [Duration::parse($least)->seconds($rate), [RequirementId::TIME_DURATION]];
        }
        $frames = self::leastFrames($specification, $part);

        return $frames === null || $rate === null
            ? null
            : [BigRational::of($frames[0])->dividedBy($rate->value), [...$frames[1], RequirementId::TIME_RATE]];
    }

    /** The rate, where one alone is asked. */
    public static function rate(Part $part): ?FrameRate
    {
        $rates = $part->values(RequirementId::TIME_RATE);

        return count($rates) === 1 ? FrameRate::parse($rates[0]) : null;
    }
}
