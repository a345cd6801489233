<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** A file elsewhere, of which some slices have come. */
final readonly class SliceSource implements ByteSource
{
    /** @param  array<int, string>  $slices by offset */
    public function __construct(private int $size, private array $slices) {}

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $offset, int $length): string
    {
        $length = min($length, $this->size - $offset);
        if ($offset < 0 || $length <= 0) {
            return '';
        }
        $bytes = '';
        $at = $offset;
        // slices may overlap; take from whichever reaches on
        do {
            $before = $at;
            foreach ($this->slices as $start => $slice) {
                if ($start <= $at && $at < $start + strlen($slice)) {
                    $part = substr($slice, $at - $start, $length - strlen($bytes));
                    $bytes .= $part;
                    $at += strlen($part);
                }
            }
        } while ($at > $before && strlen($bytes) < $length);
        if (strlen($bytes) < $length) {
            throw new BytesMissing([[$at, $length - strlen($bytes)]]);
        }

        return $bytes;
    }
}
