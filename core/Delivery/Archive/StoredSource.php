<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Media\ByteSource;

/** An entry that is not packed: a stretch of the archive. */
final readonly class StoredSource implements ByteSource
{
    public function __construct(private ByteSource $archive, private int $from, private int $size) {}

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $offset, int $length): string
    {
        $length = min($length, $this->size - $offset);

        return $offset < 0 || $length <= 0 ? '' : $this->archive->read($this->from + $offset, $length);
    }
}
