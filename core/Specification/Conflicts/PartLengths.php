<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** A count, a duration, held frames or an extent that the range contradicts. */
final readonly class PartLengths implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $expected = PartLength::expected($part);
        $count = $part->find(RequirementId::TIME_COUNT)?->value;
        if ($expected !== null && $count !== null && ! $count->admitsNumber((string) count($expected))) {
            $handles = $part->handles() === [0, 0] ? [] : [RequirementId::TIME_HANDLES];
            yield Conflict::between(
                [RequirementId::TIME_COUNT, RequirementId::TIME_RANGE, ...$handles],
                $part->name,
                "{$part->single(RequirementId::TIME_RANGE)}"
                    .($handles === [] ? '' : ' with its handles')
                    .' makes '
                    .Text::count(count($expected), 'frame')
                    .", and {$count} are asked.",
                ConflictResolution::set(
                    RequirementId::TIME_COUNT,
                    (string) count($expected),
                    'Ask for '.count($expected).' frames.',
                ),
                ConflictResolution::drop(RequirementId::TIME_COUNT, 'Leave the count to the range.'),
            );
        }
        yield from $this->duration($specification, $part);
        $many = $expected === null ? null : count($expected);
        if ($many !== null && $many > 1 && $part->find(RequirementId::TIME_EXTENT)?->value->values === ['one']) {
            yield Conflict::between(
                [RequirementId::TIME_EXTENT, RequirementId::TIME_RANGE],
                $part->name,
                "The scene is to render one frame, and {$many} are asked.",
                ConflictResolution::set(RequirementId::TIME_EXTENT, 'listed', 'Have it render its listed range.'),
            );
        }
        $hold = array_sum(array_map(intval(...), explode('+', $part->single(RequirementId::CONTENT_HOLD) ?? '0')));
        if ($many !== null && $hold > $many) {
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
        $ask = $part->find(RequirementId::TIME_DURATION)?->value;
        $rate = PartLength::rate($part);
        $frames = self::frames($specification, $part);
        if ($ask === null || $rate === null || $frames === null) {
            return;
        }
        [$least, $most, $id] = $frames;
        $frame = BigRational::one()->dividedBy($rate->value);
        $seconds = static fn (?string $text): ?BigRational => $text === null
            ? null
            : Duration::parse($text)->seconds($rate);
        $lasts = static fn (int $many): BigRational => BigRational::of($many)->dividedBy($rate->value);
        $low = $seconds($ask->single() ?? $ask->min);
        $high = $seconds($ask->single() ?? $ask->max);
        $short = $low !== null && $most !== null && $lasts($most)->isLessThan($low->minus($frame));
        if (! $short && ($high === null || ! $lasts($least)->isGreaterThan($high->plus($frame)))) {
            return;
        }
        $many = $least === $most
            ? Text::count($least, 'frame')
            : ($short ? "at most {$most} frames" : "at least {$least} frames");
        yield Conflict::between(
            [RequirementId::TIME_DURATION, $id, RequirementId::TIME_RATE],
            $part->name,
            ucfirst($many)
                ." at {$rate->spoken()} a second last "
                .$rate->runningTime($short ? (int) $most : $least)
                .", and {$ask} is asked.",
            ConflictResolution::drop(
                RequirementId::TIME_DURATION,
                'Leave the duration to the '.($id === RequirementId::TIME_RANGE ? 'range' : 'count').'.',
            ),
        );
    }

    /** @return array{int, int|null, string}|null least and most frames, and the id they are asked by */
    private static function frames(Specification $specification, Part $part): ?array
    {
        $expected = PartLength::expected($part);
        $count = $part->find(RequirementId::TIME_COUNT)?->value;
        if ($expected === null && $count !== null) {
            $most = $count->single() ?? $count->max;

            return [
                (int) ($count->single() ?? $count->min ?? 0),
                $most === null ? null : (int) $most,
                RequirementId::TIME_COUNT,
            ];
        }
        $from = $specification->part($part->madeFrom ?? '');
        $expected ??= $from === null || $from->name === $part->name ? null : PartLength::expected($from);

        return $expected === null ? null : [count($expected), count($expected), RequirementId::TIME_RANGE];
    }
}
