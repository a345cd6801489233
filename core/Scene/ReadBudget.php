<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\ByteSize;

/** How much may be unpacked and read in one go, of however many archives. */
final class ReadBudget
{
    private const FILES = 2_000;

    private const BYTES = 200_000_000;

    private function __construct(private int $files, private int $bytes) {}

    public static function standard(): self
    {
        return new self(self::FILES, self::BYTES);
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
            $most = number_format(self::FILES);
            throw JsonRefused::because(
                $label,
                "at most {$most} settings files are read at once; bring what comes from here on afterwards.",
            );
        }
        if ($this->bytes < 0) {
            $most = ByteSize::of(self::BYTES);
            throw JsonRefused::because(
                $label,
                "unpacked these have more than {$most}, far more than settings take. Nothing more of them was read.",
            );
        }
    }
}
