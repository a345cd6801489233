<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

/** Where an entry lies in its archive, and how much of it there is. */
final readonly class ZipSpan
{
    /** @param  int  $place  of its local header, in bytes from the start of the file */
    public function __construct(public int $place, public int $packed, public int $size) {}
}
