<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\MediaFacts;

/**
 * The directory of one TIFF of a single page, beside which others are held. It stands wherever its writer was done with
 * the pixels, and its values beside it: they are compared from where it stands.
 */
final readonly class TiffOutline implements HeaderOutline
{
    private const TABLES = [
        TiffTag::STRIP_PLACES, TiffTag::STRIP_LENGTHS, TiffTag::TILE_PLACES, TiffTag::TILE_LENGTHS,
    ];

    /** Texts, which facts are not made of. */
    private const NOTES = [TiffTag::DESCRIPTION, TiffTag::SOFTWARE, TiffTag::DATE, TiffTag::ARTIST, TiffTag::HOST];

    /** Of such a file each is read anew. */
    private const OWN = [TiffTag::EXIF, TiffTag::TIMECODES];

    /**
     * @param  FixedBytes  $directory  from its beginning on, without what differs
     * @param  list<array{int, int, string}>  $values  in the directory, where it is told where a value stands; how far
     *   from the directory's beginning that is; and the value's bytes
     * @param  list<array{int, int}>  $notes  of texts: where their place is told, and their length
     * @param  list<TiffEntry>  $tables  of places, and of lengths
     */
    private function __construct(
        private string $mark,
        private TiffShape $shape,
        private FixedBytes $directory,
        private array $values,
        private array $notes,
        private array $tables,
        private MediaFacts $facts,
    ) {}

    /**
     * @param  int  $least  bytes that each strip or tile takes at least; 0 where they are packed
     * @param  int  $last  that the last of them takes at least
     */
    public static function of(FileEnds $file, MediaFacts $facts, int $least, int $last): ?self
    {
        $shape = TiffShape::of($file->head, $least, $last);
        $from = $shape->directory($file->head);
        $window = self::window($file, $from);
        if ($window === null) {
            return null;
        }
        [$bytes, $at] = $window;
        $entries = $shape->entries($bytes, $at);
        [$values, $without, $tables, $notes] = [[], [], [], []];
        foreach ($entries as $entry) {
            if (in_array($entry->tag, self::OWN, true)) {
                return null;
            }
            if (in_array($entry->tag, self::TABLES, true)) {
                $tables[] = $entry;
            }
            if ($entry->isAside($shape->room) && in_array($entry->tag, self::NOTES, true)) {
                $notes[] = [$entry->field, $entry->length];
            }
            if ($entry->isAside($shape->room) && ! in_array($entry->tag, [...self::TABLES, ...self::NOTES], true)) {
                $place = $shape->place($bytes, $at + $entry->field) - $from;
                $values[] = [$entry->field, $place, substr($bytes, max(0, $place + $at), $entry->length)];
            }
            array_push($without, ...self::differing($entry, $shape->room));
        }
        $areThere = array_filter($values, static fn (array $v): bool => $v[1] + $at < 0 || $v[2] === '') === [];
        if (count($tables) !== 2 || $tables[0]->count !== $tables[1]->count || ! $areThere) {
            return null;
        }
        $end = $shape->length(count($entries));
        $directory = FixedBytes::of(substr($bytes, $at, $end), $end, $without);

        return new self(substr($file->head, 0, 4), $shape, $directory, $values, $notes, $tables, $facts);
    }

    /** @return list<array{int, int}> what of an entry may differ: place from the directory's beginning, and length */
    private static function differing(TiffEntry $entry, int $room): array
    {
        return match (true) {
            in_array($entry->tag, [...self::TABLES, ...self::NOTES], true) => [[$entry->field, $room]],
            $entry->isAside($room) => [[$entry->field, $room]],
            default => [],
        };
    }

    /** @return array{string, int}|null bytes around the directory, and where in them it begins */
    private static function window(FileEnds $file, int $from): ?array
    {
        if ($from <= 0 || $from >= $file->size()) {
            return null;
        }
        if ($file->size() <= strlen($file->head)) {
            return [$file->head, $from];
        }
        $at = TiffFile::windowAt($from, $file->size());

        return [$file->read($at, TiffFile::WINDOW), $from - $at];
    }

    public function read(FileEnds $file): ?MediaFacts
    {
        if (! str_starts_with($file->head, $this->mark)) {
            return null;
        }
        $from = $this->shape->directory($file->head);
        $window = self::window($file, $from);
        if ($window === null || ! $this->directory->areIn(substr($window[0], $window[1]))) {
            return null;
        }
        [$bytes, $at] = $window;
        foreach ($this->values as [$field, $beside, $value]) {
            $isThere = $this->shape->place($bytes, $at + $field) === $from + $beside
                && substr($bytes, $at + $beside, strlen($value)) === $value;
            if (! $isThere) {
                return null;
            }
        }

        foreach ($this->notes as [$field, $length]) {
            if ($this->shape->place($bytes, $at + $field) + $length > $file->size()) {
                return null;
            }
        }

        return $this->isWhole($file, $bytes, $at) ? $this->facts : null;
    }

    /** Whether that is plain at once; else it is looked at strip by strip. */
    private function isWhole(FileEnds $file, string $bytes, int $at): bool
    {
        $places = $this->shape->table($file, $bytes, $at, $this->tables[0]);
        $lengths = $this->shape->table($file, $bytes, $at, $this->tables[1]);
        if ($places === [] || count($places) !== count($lengths)) {
            return false;
        }
        $last = array_pop($lengths);
        $longest = $lengths === [] ? $last : max($last, max($lengths));

        return min($places) > 0
            && $last >= max(1, $this->shape->last)
            && ($lengths === [] || min($lengths) >= max(1, $this->shape->least))
            && max($places) + $longest <= $file->size();
    }
}
