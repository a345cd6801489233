<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** A count, a duration, held frames or an extent that the range contradicts. */
final readonly class PartLengths implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $expected = PartLength::expected($part);
        if ($expected !== null) {
            yield from $this->count($part, count($expected));
        }
        yield from $this->duration($specification, $part);
        if ($expected !== null) {
            yield from $this->range($part, count($expected));
        }
    }

    /** @return iterable<Conflict> */
    private function count(Part $part, int $many): iterable
    {
        $count = $part->find(RequirementId::TIME_COUNT)?->value;
        if ($count === null || $count->admitsNumber((string) $many)) {
            return;
        }
        $handles = $part->handles() === [0, 0] ? [] : [RequirementId::TIME_HANDLES];
        $range = $part->single(RequirementId::TIME_RANGE).($handles === [] ? '' : ' with its handles');
        yield Conflict::between(
            [RequirementId::TIME_COUNT, RequirementId::TIME_RANGE, ...$handles],
            $part->name,
            "{$range} makes ".Text::count($many, 'frame').", and {$count} are asked.",
            ConflictResolution::set(RequirementId::TIME_COUNT, (string) $many, "Ask for {$many} frames."),
            ConflictResolution::drop(RequirementId::TIME_COUNT, 'Leave the count to the range.'),
        );
    }

    /** @return iterable<Conflict> what needs more frames than there are, or fewer */
    private function range(Part $part, int $many): iterable
    {
        if ($many > 1 && $part->values(RequirementId::TIME_EXTENT) === ['one']) {
            yield Conflict::between(
                [RequirementId::TIME_EXTENT, RequirementId::TIME_RANGE],
                $part->name,
                "The scene is to render one frame, and {$many} are asked.",
                ConflictResolution::set(RequirementId::TIME_EXTENT, 'listed', 'Have it render its listed range.'),
            );
        }
        $hold = array_sum(array_map(intval(...), explode('+', $part->single(RequirementId::CONTENT_HOLD) ?? '0')));
        if ($hold > $many) {
            yield Conflict::between(
                [RequirementId::CONTENT_HOLD, RequirementId::TIME_RANGE],
                $part->name,
                "{$hold} frames are to stand still, and there are {$many}.",
                ConflictResolution::drop(RequirementId::CONTENT_HOLD, 'Ask for no held frames.'),
            );
        }
    }

    /** @return iterable<Conflict> */
    private function duration(Specification $specification, Part $part): iterable
    {
        $asked = $part->find(RequirementId::TIME_DURATION)?->value;
        $rate = PartLength::rate($part);
        $frames = self::frames($specification, $part);
        if ($asked === null || $rate === null || $frames === null) {
            return;
        }
        [$least, $most, $id] = $frames;
        $short = self::isShort($asked, $most, $rate);
        if (! $short && ! self::isLong($asked, $least, $rate)) {
            return;
        }
        $many = match (true) {
            $least === $most => Text::count($least, 'frame'),
            $short => "at most {$most} frames",
            default => "at least {$least} frames",
        };
        $lasts = $rate->runningTime($short ? (int) $most : $least);
        $by = $id === RequirementId::TIME_RANGE ? 'range' : 'count';
        yield Conflict::between(
            [RequirementId::TIME_DURATION, $id, RequirementId::TIME_RATE],
            $part->name,
            ucfirst($many)." at {$rate->spoken()} a second last {$lasts}, and {$asked} is asked.",
            ConflictResolution::drop(RequirementId::TIME_DURATION, "Leave the duration to the {$by}."),
        );
    }

    /** By more than a frame. */
    private static function isShort(RequirementValue $asked, ?int $most, FrameRate $rate): bool
    {
        $low = $asked->single() ?? $asked->min;

        return $low !== null
            && $most !== null
            && BigRational::of($most + 1)->dividedBy($rate->value)->isLessThan(Duration::parse($low)->seconds($rate));
    }

    /** By more than a frame. */
    private static function isLong(RequirementValue $asked, int $least, FrameRate $rate): bool
    {
        $high = $asked->single() ?? $asked->max;

        return $high !== null
            && BigRational::of($least - 1)->dividedBy($rate->value)->isGreaterThan(
                Duration::parse($high)->seconds($rate),
            );
    }

    /** @return array{int, int|null, string}|null least and most frames, and the id they are asked by */
    private static function frames(Specification $specification, Part $part): ?array
    {
        $expected = PartLength::expected($part);
        $count = $part->find(RequirementId::TIME_COUNT)?->value;
        if ($expected === null && $count !== null) {
            return self::counted($count);
        }
        $from = $specification->part($part->madeFrom ?? '');
        $made = $from === null || $from->name === $part->name ? null : PartLength::expected($from);
        $frames = $expected ?? $made;

        return $frames === null ? null : [count($frames), count($frames), RequirementId::TIME_RANGE];
    }

    /** @return array{int, int|null, string} */
    private static function counted(RequirementValue $count): array
    {
        $most = $count->single() ?? $count->max;

        return [
            (int) ($count->single() ?? $count->min ?? 0),
            $most === null ? null : (int) $most,
            RequirementId::TIME_COUNT,
        ];
    }
}
