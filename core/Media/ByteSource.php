<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Somewhere bytes can be read from: a file, an entry of an archive, slices sent by a browser. */
interface ByteSource
{
    /** Length in bytes. */
    public function size(): int;

    /**
     * At most $length bytes from $offset on; fewer where the source ends, `""` beyond its end.
     *
     * @throws BytesMissing if the bytes exist but are not here yet
     * @throws SourceUnreadable if they cannot be read any more
     */
    public function read(int $offset, int $length): string;
}
