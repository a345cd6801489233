<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** The boxes that a file consists of: its index, its data, its fragments, and where one of them is cut short. */
final readonly class MovieOutline
{
    /** @param  list<Box>  $fragments */
    private function __construct(
        public Box $movie,
        public array $fragments,
        public bool $indexIsFirst,
        private ?Box $cut,
        private bool $hasData,
    ) {}

    /** @throws FileDamaged where there is no index */
    public static function read(FileEnds $file): self
    {
        [$first, $cut, $fragments] = [[], null, []];
        foreach (self::boxes($file) as $box) {
            $cut = $box->end > $file->size() ? $box : null;
            if ($box->type === 'moof' && $cut === null) {
                $fragments[] = $box;
            } elseif ($box->length() > 0) {
                $first[$box->type] ??= $box;
            }
        }
        [$movie, $data] = [$first['moov'] ?? null, $first['mdat'] ?? null];
        if ($movie === null || $movie === $cut) {
            throw self::withoutIndex($file, $movie !== null, $data !== null);
        }

        $isFirst = $fragments !== [] || $movie->start < ($data->start ?? PHP_INT_MAX);

        return new self($movie, $fragments, $isFirst, $cut, $data !== null);
    }

    private static function withoutIndex(FileEnds $file, bool $isCut, bool $hasData): FileDamaged
    {
        return FileDamaged::cutShort(match (true) {
            $isCut => "the file ends inside its index, after {$file->size()} bytes",
            $hasData => 'it has no index: the writing of it never ended',
            default => 'neither an index nor pictures are in it',
        });
    }

    /**
     * What stands behind an index and pictures is no matter of the movie's.
     *
     * @return iterable<Box>
     */
    private static function boxes(FileEnds $file): iterable
    {
        $seen = '';
        try {
            foreach (Boxes::in($file, 0, $file->size()) as $box) {
                $seen .= $box->type;
                yield $box;
            }
        } catch (FileDamaged $damaged) {
            if (! str_contains($seen, 'moov') || preg_match('~mdat|moof~', $seen) !== 1) {
                throw $damaged;
            }
        }
    }

    public function damage(FileEnds $file): ?FileDamaged
    {
        return match (true) {
            $this->cut !== null => FileDamaged::cutShort(
                "the box “{$this->cut->type}” reaches to byte {$this->cut->end} and the file ends after "
                    .$file->size(),
            ),
            ! $this->hasData => FileDamaged::cutShort('no pictures follow its index'),
            default => null,
        };
    }
}
