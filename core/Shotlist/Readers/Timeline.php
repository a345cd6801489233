<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Readers;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/**
 * A timeline in OpenTimelineIO's JSON form: its clips become deliverables, with the range that is seen of each. Nested
 * stacks and tracks are followed and cut where they are; a transition makes handles of what it overlaps; media that
 * reaches a little beyond what is seen are handles too.
 */
final class Timeline
{
    private const DEEPEST = 60;

    private const MOST_NODES = 50_000;

    /** Media that reaches further beyond a cut than this is a whole take, and no handle. */
    private const LONGEST_HANDLE = 100;

    private int $nodes = 0;

    /** @var list<ShotRow> */
    private array $rows = [];

    /** @var array<string, true> */
    private array $notes = [];

    /** @var array<array-key, FrameRate|null> */
    private array $rates = [];

    /**
     * @return array{list<ShotRow>, list<string>} rows, and what was not understood
     *
     * @throws TableRefused
     */
    public static function read(string $text, string $label): array
    {
        if (strlen($text) > 50_000_000) {
            throw TableRefused::because($label, 'it has more than 50 MB.');
        }
        $data = json_decode($text, true, 512);
        if (! is_array($data)) {
            throw TableRefused::because(
                $label,
                json_last_error() === JSON_ERROR_DEPTH
                    ? 'it is nested deeper than any timeline is.'
                    : 'it is no JSON: '.json_last_error_msg().'.',
            );
        }
        if (! is_string($data['OTIO_SCHEMA'] ?? null)) {
            throw TableRefused::because($label, 'it is no timeline: “OTIO_SCHEMA” is missing.');
        }
        $reader = new self;
        $reader->top($data, $label);
        if ($reader->rows === []) {
            throw TableRefused::because(
                $label,
                'it has no clip that says how long it is.'.(
                    $reader->notes === [] ? '' : ' '.implode(' ', array_keys($reader->notes))
                ),
            );
        }

        return [$reader->rows, array_keys($reader->notes)];
    }

    /** @param  array<mixed>  $data */
    private function top(array $data, string $label): void
    {
        $schema = self::schema($data);
        if ($schema === 'Timeline') {
            $tracks = self::object($data['tracks'] ?? null);
            if ($tracks === null) {
                throw TableRefused::because($label, 'the timeline has no tracks.');
            }
            $this->item($tracks, null, 0, 0, 0);
        } elseif ($schema === 'SerializableCollection') {
            foreach (is_array($data['children'] ?? null) ? $data['children'] : [] as $child) {
                $child = self::object($child);
                if ($child !== null && self::schema($child) === 'Timeline') {
                    $this->top($child, $label);
                } elseif ($child !== null) {
                    $this->item($child, null, 0, 0, 0);
                }
            }
        } else {
            $this->item($data, null, 0, 0, 0);
        }
    }

    /**
     * @param  array<mixed>  $item
     * @param  array{BigRational, BigRational}|null  $seen  from and to, in seconds of the item's own time; null: all of it
     * @param  int  $head  frames of a transition that begins before it, likewise $tail after
     */
    private function item(array $item, ?array $seen, int $head, int $tail, int $depth): void
    {
        if ($depth > self::DEEPEST || ++$this->nodes > self::MOST_NODES) {
            $this->notes['What is nested deeper than '.self::DEEPEST.', or comes after '.self::MOST_NODES.' items, was left out.'] = true;

            return;
        }
        $schema = self::schema($item);
        if ($schema === 'Clip') {
            $this->clip($item, $seen, $head, $tail);
        } elseif ($schema === 'Track' || $schema === 'Sequence') {
            if (is_string($item['kind'] ?? null) && $item['kind'] !== 'Video') {
                $this->notes['Tracks of '.mb_strtolower(Text::shown($item['kind'])).' were left out.'] = true;

                return;
            }
            $this->track($item, $this->narrowed($item, $seen), $depth);
        } elseif ($schema === 'Stack') {
            foreach (is_array($item['children'] ?? null) ? $item['children'] : [] as $child) {
                $child = self::object($child);
                if ($child !== null) {
                    $this->item($child, $this->narrowed($item, $seen), $head, $tail, $depth + 1);
                }
            }
        } elseif (! in_array($schema, ['Gap', 'Transition', 'Filler'], true)) {
            $this->notes['“'.Text::shown(mb_strimwidth($schema, 0, 60, '…')).'” is not understood and was left out.'] = true;
        }
    }

    /**
     * @param  array<mixed>  $track
     * @param  array{BigRational, BigRational}|null  $seen
     */
    private function track(array $track, ?array $seen, int $depth): void
    {
        $at = BigRational::zero();
        $children = array_values(
            array_filter(array_map(self::object(...), is_array($track['children'] ?? null) ? $track['children'] : [])),
        );
        foreach ($children as $i => $child) {
            $schema = self::schema($child);
            if ($schema === 'Transition') {
                continue;
            }
            $long = $this->duration($child, $depth + 1);
            if ($long === null) {
                $this->item($child, null, 0, 0, $depth + 1);

                continue;
            }
            $own = null;
            if ($seen !== null) {
                $from = self::later($at, $seen[0]);
                $end = $at->plus($long)->simplified();
                $to = self::earlier($end, $seen[1]);
                if ($from->isGreaterThanOrEqualTo($to)) {
                    $at = $end;

                    continue;
                }
                $start = $this->startOf($child);
                $own = [$start->plus($from)->minus($at)->simplified(), $start->plus($to)->minus($at)->simplified()];
            }
            // a transition overlaps the one before it by its in offset and the one after it by its out offset, so
            // that the next needs as much before its start as the first, and the first as much after its end
            $before = $i > 0 && self::schema($children[$i - 1]) === 'Transition'
                ? $this->offset($children[$i - 1], 'in_offset', $child)
                : 0;
            $after = isset($children[$i + 1]) && self::schema($children[$i + 1]) === 'Transition'
                ? $this->offset($children[$i + 1], 'out_offset', $child)
                : 0;
            $this->item($child, $own, $before, $after, $depth + 1);
            // unreduced, the sums of thousands of clips would grow without end
            $at = $at->plus($long)->simplified();
        }
    }

    /**
     * @param  array<mixed>  $clip
     * @param  array{BigRational, BigRational}|null  $seen
     */
    private function clip(array $clip, ?array $seen, int $head, int $tail): void
    {
        $name = trim(is_string($clip['name'] ?? null) ? $clip['name'] : '');
        $media = $this->media($clip);
        $available = $media === null ? null : $this->range($media['available_range'] ?? null);
        $range = $this->range($clip['source_range'] ?? null) ?? $available;
        if ($range === null) {
            $this->notes['“'.Text::shown(mb_strimwidth($name, 0, 60, '…')).'” says nothing of its length, and its '
                .'media is missing.'] = true;

            return;
        }
        [$from, $to, $rate] = $range;
        if ($seen !== null) {
            [$from, $to] = [self::later($from, $seen[0]), self::earlier($to, $seen[1])];
        }
        $notes = [];
        $first = self::frame($from, $rate, $notes);
        $last = self::frame($to, $rate, $notes) - 1;
        if ($last < $first) {
            $this->notes['“'.Text::shown(mb_strimwidth($name, 0, 60, '…')).'” shows no frame.'] = true;

            return;
        }
        if ($available !== null) {
            $more = [];
            [$begin, $end] = [self::frame($available[0], $rate, $more), self::frame($available[1], $rate, $more) - 1];
            $beyond = [$first - $begin, $end - $last];
            if (min($beyond) >= 0 && max($beyond) <= self::LONGEST_HANDLE) {
                [$head, $tail] = [max($head, $beyond[0]), max($tail, $beyond[1])];
            } elseif (min($beyond) < 0) {
                $notes[] = "its media is frames {$begin} to {$end} and does not reach.";
            }
        }
        foreach (is_array($clip['effects'] ?? null) ? $clip['effects'] : [] as $effect) {
            $effect = self::object($effect);
            if (
                $effect !== null
                && str_starts_with(self::schema($effect), 'LinearTimeWarp')
                && is_numeric($effect['time_scalar'] ?? null)
                && (float) $effect['time_scalar'] !== 1.0
            ) {
                $notes[] = 'it is played at '
                    .Text::shown((string) $effect['time_scalar'])
                    .' of its speed; the range is that of the cut.';
            }
        }
        $overrides = [
            RequirementId::TIME_RANGE => $first === $last ? (string) $first : "{$first}-{$last}",
            RequirementId::TIME_RATE => (string) $rate,
        ] + ($head + $tail > 0 ? [RequirementId::TIME_HANDLES => "{$head}+{$tail}"] : []);
        $row = count($this->rows) + 1;
        $code = (string) preg_replace('~\.[A-Za-z][A-Za-z0-9]{1,4}$~', '', $name);
        $faults = preg_match(ShotRow::CODE, $code) === 1
            ? []
            : [
                $code === ''
                    ? 'the clip has no name.'
                    : '“'
                        .Text::shown(mb_strimwidth($code, 0, 60, '…'))
                        .'” is no code: letters, digits, dots, dashes and underscores, a letter or digit first.',
            ];
        $this->rows[] = new ShotRow(
            $row,
            $code,
            null,
            null,
            null,
            [],
            $overrides,
            $faults,
            array_values(array_unique($notes)),
        );
    }

    /**
     * @param  array<mixed>  $clip
     * @return array<mixed>|null
     */
    private function media(array $clip): ?array
    {
        $several = self::object($clip['media_references'] ?? null);
        $key = is_string($clip['active_media_reference_key'] ?? null)
            ? $clip['active_media_reference_key']
            : 'DEFAULT_MEDIA';

        return self::object($several === null ? $clip['media_reference'] ?? null : $several[$key] ?? null);
    }

    /**
     * How long an item is in the track it stands in, in seconds.
     *
     * @param  array<mixed>  $item
     */
    private function duration(array $item, int $depth): ?BigRational
    {
        $own = $this->range($item['source_range'] ?? null);
        if ($own !== null) {
            return $own[1]->minus($own[0])->simplified();
        }
        $schema = self::schema($item);
        if ($schema === 'Clip') {
            $media = $this->media($item);
            $available = $media === null ? null : $this->range($media['available_range'] ?? null);

            return $available === null ? null : $available[1]->minus($available[0])->simplified();
        }
        if (
            $depth > self::DEEPEST
            || ! in_array($schema, ['Stack', 'Track', 'Sequence'], true)
            || ++$this->nodes > self::MOST_NODES
        ) {
            return null;
        }
        $all = [];
        foreach (is_array($item['children'] ?? null) ? $item['children'] : [] as $child) {
            $child = self::object($child);
            if ($child !== null && self::schema($child) !== 'Transition') {
                $long = $this->duration($child, $depth + 1);
                if ($long !== null) {
                    $all[] = $long;
                }
            }
        }
        if ($all === []) {
            return BigRational::zero();
        }
        $whole = array_shift($all);
        foreach ($all as $long) {
            $whole = $schema === 'Stack' ? self::later($whole, $long) : $whole->plus($long)->simplified();
        }

        return $whole;
    }

    /**
     * Where an item's own time begins.
     *
     * @param  array<mixed>  $item
     */
    private function startOf(array $item): BigRational
    {
        $own = $this->range($item['source_range'] ?? null);
        if ($own === null && self::schema($item) === 'Clip') {
            $media = $this->media($item);
            $own = $media === null ? null : $this->range($media['available_range'] ?? null);
        }

        return $own[0] ?? BigRational::zero();
    }

    /**
     * What is seen of a composition's inside: its own source range, and what is seen of it from outside.
     *
     * @param  array<mixed>  $item
     * @param  array{BigRational, BigRational}|null  $seen
     * @return array{BigRational, BigRational}|null
     */
    private function narrowed(array $item, ?array $seen): ?array
    {
        $own = $this->range($item['source_range'] ?? null);
        if ($own === null || $seen === null) {
            return $own === null ? $seen : [$own[0], $own[1]];
        }

        return [self::later($own[0], $seen[0]), self::earlier($own[1], $seen[1])];
    }

    /**
     * @param  array<mixed>  $transition
     * @param  array<mixed>  $beside
     */
    private function offset(array $transition, string $key, array $beside): int
    {
        $time = $this->time($transition[$key] ?? null);
        if ($time === null) {
            return 0;
        }
        $rate = $this->range($beside['source_range'] ?? null)[2] ?? $time[1];

        return max(0, min(100_000, $time[0]->multipliedBy($rate->value)->toScale(0, RoundingMode::HALF_UP)->toInt()));
    }

    /**
     * @param  list<string>  $notes
     */
    private static function frame(BigRational $seconds, FrameRate $rate, array &$notes): int
    {
        $exact = $seconds->multipliedBy($rate->value)->simplified();
        if (! $exact->getDenominator()->isEqualTo(1)) {
            $notes[] = 'its ends do not fall on whole frames; the nearest are taken.';
        }

        return $exact->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    /** @return array{BigRational, BigRational, FrameRate}|null from, to (exclusive), both in seconds, and the rate */
    private function range(mixed $data): ?array
    {
        $data = self::object($data);
        $start = $data === null ? null : $this->time($data['start_time'] ?? null);
        $long = $data === null ? null : $this->time($data['duration'] ?? null);
        if ($start === null || $long === null || $long[0]->isNegative()) {
            return null;
        }

        return [$start[0], $start[0]->plus($long[0])->simplified(), $start[1]];
    }

    /** Every clip names its rate several times over, and a float takes long to read exactly. */
    private function rate(float $told): ?FrameRate
    {
        if (count($this->rates) > 200) {
            $this->rates = [];
        }

        return $this->rates[(string) $told] ??= FrameRate::fromFloat($told);
    }

    /** @return array{BigRational, FrameRate}|null seconds and the rate they were counted at */
    private function time(mixed $data): ?array
    {
        $data = self::object($data);
        $value = $data['value'] ?? null;
        $told = $data['rate'] ?? null;
        if ((! is_int($value) && ! is_float($value)) || (! is_int($told) && ! is_float($told))) {
            return null;
        }
        $rate = $this->rate((float) $told);
        if ($rate === null || ! is_finite((float) $value) || abs((float) $value) > 1e12) {
            return null;
        }
        $exact = is_int($value) ? BigRational::of($value) : Fraction::fromFloat($value, 53);

        return [$exact->dividedBy($rate->value)->simplified(), $rate];
    }

    private static function later(BigRational $a, BigRational $b): BigRational
    {
        return $a->isGreaterThan($b) ? $a : $b;
    }

    private static function earlier(BigRational $a, BigRational $b): BigRational
    {
        return $a->isLessThan($b) ? $a : $b;
    }

    /** @return array<mixed>|null */
    private static function object(mixed $data): ?array
    {
        return is_array($data) && ! array_is_list($data) ? $data : null;
    }

    /**
     * The name of an item's schema without its version.
     *
     * @param  array<mixed>  $item
     */
    private static function schema(array $item): string
    {
        return is_string($item['OTIO_SCHEMA'] ?? null)
            ? explode('.', $item['OTIO_SCHEMA'])[0]
            : 'an item without a schema';
    }
}
