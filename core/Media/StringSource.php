<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Bytes that are already here. */
final readonly class StringSource implements ByteSource
{
    public function __construct(private string $bytes) {}

    public function size(): int
    {
        return strlen($this->bytes);
    }

    public function read(int $offset, int $length): string
    {
        return $offset < 0 || $length <= 0 ? '' : substr($this->bytes, $offset, $length);
    }
}
