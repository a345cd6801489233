<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

/** One box of a file of boxes: its type, and where its data is, in bytes of the file. */
final readonly class Box
{
    /**
     * @param  int  $start  of its length and type
     * @param  int  $body  of its data
     * @param  int  $end  behind its data; beyond the file where that is cut short
     */
    public function __construct(public string $type, public int $start, public int $body, public int $end) {}

    /** Of its data, in bytes. */
    public function length(): int
    {
        return $this->end - $this->body;
    }
}
