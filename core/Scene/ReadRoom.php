<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\JsonRefused;
use PlainLedger\Core\Measure\ByteSize;

/** How much may be unpacked and read in one go, of however many archives. */
final class ReadRoom
{
    private function __construct(private int $files, private int $bytes) {}

    public static function standard(): self
    {
        return new self(2_000, 200_000_000);
    }

    public function bytes(): int
    {
        return $this->bytes;
    }

    /** @throws JsonRefused where there is none left */
    public function take(string $label, int $bytes): void
    {
        $this->files--;
        $this->bytes -= $bytes;
        if ($this->files < 0) {
            throw JsonRefused::because($label, 'at most '.number_format(2_000).' settings files are read at once; bring what comes from here on afterwards.');
        }
        if ($this->bytes < 0) {
            throw JsonRefused::because($label, 'unpacked these have more than '.ByteSize::of(200_000_000).', far more than settings take. Nothing more of them was read.');
        }
    }
}
