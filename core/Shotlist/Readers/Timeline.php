<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/**
 * A timeline in OpenTimelineIO's JSON form: its clips become deliverables, with the range that is seen of each. Nested
 * stacks and tracks are followed, and what is cut off by them is not asked; sound, gaps and effects are passed over.
 */
final class Timeline
{
    private const LARGEST = 50_000_000;

    private const DEEPEST = 60;

    private const MOST_NODES = 50_000;

    private int $nodes = 0;

    /** @var list<ShotRow> */
    private array $rows = [];

    /** @var array<string, true> */
    private array $notes = [];

    private function __construct(private readonly TimelineTimes $times, private readonly string $label) {}

    /**
     * @return array{list<ShotRow>, list<string>} rows, and what was not understood
     *
     * @throws TableRefused
     */
    public static function read(string $text, string $label): array
    {
        $reader = new self(new TimelineTimes, $label);
        $reader->top(self::decoded($text, $label));
        $notes = array_keys($reader->notes);
        if ($reader->rows === []) {
            $more = $notes === [] ? '' : ' '.implode(' ', $notes);
            throw TableRefused::because($label, "it has no clip that says how long it is.{$more}");
        }

        return [$reader->rows, $notes];
    }

    /** @return array<mixed> */
    private static function decoded(string $text, string $label): array
    {
        if (strlen($text) > self::LARGEST) {
            throw TableRefused::because($label, 'it has more than 50 MB.');
        }
        $data = json_decode($text, true, 512);
        if (! is_array($data)) {
            throw TableRefused::because($label, json_last_error() === JSON_ERROR_DEPTH
                ? 'it is nested deeper than any timeline is.'
                : 'it is no JSON: '.json_last_error_msg().'.');
        }
        if (! is_string($data['OTIO_SCHEMA'] ?? null)) {
            throw TableRefused::because($label, 'it is no timeline: “OTIO_SCHEMA” is missing.');
        }

        return $data;
    }

    /** @param  array<mixed>  $data */
    private function top(array $data): void
    {
        $schema = self::schema($data);
        if ($schema === 'SerializableCollection') {
            foreach (self::children($data) as $child) {
                self::schema($child) === 'Timeline' ? $this->top($child) : $this->item($child, null, 0, 0, 0);
            }

            return;
        }
        $tracks = $schema === 'Timeline' ? self::object($data['tracks'] ?? null) : $data;
        if ($tracks === null) {
            throw TableRefused::because($this->label, 'the timeline has no tracks.');
        }
        $this->item($tracks, null, 0, 0, 0);
    }

    /**
     * @param  array<mixed>  $item
     * @param  array{BigRational, BigRational}|null  $seen from and to, in seconds of the item's own time; null: all of
     *   it
     * @param  int  $head  frames of a transition that begins before it, likewise $tail after
     */
    private function item(array $item, ?array $seen, int $head, int $tail, int $depth): void
    {
        if ($depth > self::DEEPEST || ++$this->nodes > self::MOST_NODES) {
            $this->note(
                'What is nested deeper than '
                    .self::DEEPEST
                    .', or comes after '
                    .self::MOST_NODES
                    .' items, was left out.',
            );

            return;
        }
        $schema = self::schema($item);
        match ($schema) {
            'Clip' => $this->clip($item, $seen, $head, $tail),
            'Track', 'Sequence' => $this->trackOfPictures($item, $seen, $depth),
            'Stack' => $this->stack($item, $seen, $head, $tail, $depth),
            'Gap', 'Transition', 'Filler' => null,
            default => $this->note(
                '“'.Text::shown(mb_strimwidth($schema, 0, 60, '…')).'” is not understood and was left out.',
            ),
        };
    }

    /**
     * @param  array<mixed>  $clip
     * @param  array{BigRational, BigRational}|null  $seen
     */
    private function clip(array $clip, ?array $seen, int $head, int $tail): void
    {
        $row = (new TimelineClip($clip, $this->times))->row(count($this->rows) + 1, $seen, $head, $tail);
        if ($row instanceof ShotRow) {
            $this->rows[] = $row;
        } else {
            $this->note($row);
        }
    }

    /**
     * @param  array<mixed>  $stack
     * @param  array{BigRational, BigRational}|null  $seen
     */
    private function stack(array $stack, ?array $seen, int $head, int $tail, int $depth): void
    {
        foreach (self::children($stack) as $child) {
            $this->item($child, $this->narrowed($stack, $seen), $head, $tail, $depth + 1);
        }
    }

    /**
     * @param  array<mixed>  $track
     * @param  array{BigRational, BigRational}|null  $seen
     */
    private function trackOfPictures(array $track, ?array $seen, int $depth): void
    {
        $kind = $track['kind'] ?? null;
        if (is_string($kind) && $kind !== 'Video') {
            $this->note('Tracks of '.mb_strtolower(Text::shown($kind)).' were left out.');

            return;
        }
        $this->track(self::children($track), $this->narrowed($track, $seen), $depth);
    }

    /**
     * A transition overlaps the one before it by its in offset and the one after it by its out offset, so that the next
     * needs as much before its start as the first, and the first as much after its end.
     *
     * @param  list<array<mixed>>  $children
     * @param  array{BigRational, BigRational}|null  $seen
     */
    private function track(array $children, ?array $seen, int $depth): void
    {
        $at = BigRational::zero();
        foreach ($children as $i => $child) {
            if (self::schema($child) === 'Transition') {
                continue;
            }
            $long = $this->duration($child, $depth + 1);
            if ($long === null) {
                $this->item($child, null, 0, 0, $depth + 1);

                continue;
            }
            // unreduced, the sums of thousands of clips would grow without end
            $end = $at->plus($long)->simplified();
            $own = $seen === null ? null : $this->seenOf($child, $at, $end, $seen);
            if ($seen === null || $own !== null) {
                $before = $this->overlap($children[$i - 1] ?? null, 'in_offset', $child);
                $after = $this->overlap($children[$i + 1] ?? null, 'out_offset', $child);
                $this->item($child, $own, $before, $after, $depth + 1);
            }
            $at = $end;
        }
    }

    /**
     * What is seen of an item that lies between two moments of its track, in its own time; null where nothing is.
     *
     * @param  array<mixed>  $item
     * @param  array{BigRational, BigRational}  $seen
     * @return array{BigRational, BigRational}|null
     */
    private function seenOf(array $item, BigRational $at, BigRational $end, array $seen): ?array
    {
        $from = BigRational::max($at, $seen[0]);
        $to = BigRational::min($end, $seen[1]);
        if ($from->isGreaterThanOrEqualTo($to)) {
            return null;
        }
        $start = $this->startOf($item);

        return [$start->plus($from)->minus($at)->simplified(), $start->plus($to)->minus($at)->simplified()];
    }

    /**
     * @param  array<mixed>|null  $neighbour
     * @param  array<mixed>  $item
     */
    private function overlap(?array $neighbour, string $key, array $item): int
    {
        return $neighbour !== null && self::schema($neighbour) === 'Transition'
            ? $this->times->offset($neighbour, $key, $item)
            : 0;
    }

    /**
     * How long an item is in the track it stands in, in seconds.
     *
     * @param  array<mixed>  $item
     */
    private function duration(array $item, int $depth): ?BigRational
    {
        $schema = self::schema($item);
        $own = $schema === 'Clip'
            ? (new TimelineClip($item, $this->times))->range()
            : $this->times->range($item['source_range'] ?? null);
        if ($own !== null) {
            return $own[1]->minus($own[0])->simplified();
        }
        $holdsOthers = in_array($schema, ['Stack', 'Track', 'Sequence'], true);
        if (! $holdsOthers || $depth > self::DEEPEST || ++$this->nodes > self::MOST_NODES) {
            return null;
        }
        $whole = BigRational::zero();
        foreach (self::children($item) as $child) {
            $long = self::schema($child) === 'Transition' ? null : $this->duration($child, $depth + 1);
            if ($long !== null) {
                $whole = $schema === 'Stack' ? BigRational::max($whole, $long) : $whole->plus($long)->simplified();
            }
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
        $own = self::schema($item) === 'Clip'
            ? (new TimelineClip($item, $this->times))->range()
            : $this->times->range($item['source_range'] ?? null);

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
        $own = $this->times->range($item['source_range'] ?? null);
        if ($own === null || $seen === null) {
            return $own === null ? $seen : [$own[0], $own[1]];
        }

        return [BigRational::max($own[0], $seen[0]), BigRational::min($own[1], $seen[1])];
    }

    private function note(string $note): void
    {
        $this->notes[$note] = true;
    }

    /**
     * @param  array<mixed>  $item
     * @return list<array<mixed>>
     */
    private static function children(array $item): array
    {
        $children = is_array($item['children'] ?? null) ? $item['children'] : [];

        return array_values(array_filter(array_map(self::object(...), $children), is_array(...)));
    }

    /** @return array<mixed>|null */
    private static function object(mixed $data): ?array
    {
        return is_array($data) && ! array_is_list($data) ? $data : null;
    }

    /**
     * The schema's name without its version.
     *
     * @param  array<mixed>  $data
     */
    private static function schema(array $data): string
    {
        $schema = $data['OTIO_SCHEMA'] ?? null;

        return is_string($schema) ? explode('.', $schema)[0] : 'an item without a schema';
    }
}
