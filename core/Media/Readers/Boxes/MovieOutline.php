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
        [$movie, $data, $cut, $fragments] = [null, null, null, []];
        try {
            foreach (Boxes::in($file, 0, $file->size()) as $box) {
                $cut = $box->end > $file->size() ? $box : null;
                $movie ??= $box->type === 'moov' ? $box : null;
                $data ??= $box->type === 'mdat' && $box->length() > 0 ? $box : null;
                if ($box->type === 'moof' && $cut === null) {
                    $fragments[] = $box;
                }
            }
        } catch (FileDamaged $damaged) {
            // what stands behind all of it is no matter of the movie's
            if ($movie === null || ($data === null && $fragments === [])) {
                throw $damaged;
            }
        }
        if ($movie === null) {
            throw FileDamaged::cutShort(
                $data === null
                    ? 'neither an index nor pictures are in it'
                    : 'it has no index: the writing of it never ended',
            );
        }
        if ($movie === $cut) {
            throw FileDamaged::cutShort("the file ends inside its index, after {$file->size()} bytes");
        }

        return new self($movie, $fragments, $data === null || $movie->start < $data->start, $cut, $data !== null);
    }

    public function damage(FileEnds $file): ?FileDamaged
    {
        return match (true) {
            $this->cut !== null => FileDamaged::cutShort(
                "the box “{$this->cut->type}” reaches to byte {$this->cut->end} and the file ends after {$file->size()}",
            ),
            ! $this->hasData => FileDamaged::cutShort('no pictures follow its index'),
            default => null,
        };
    }
}
