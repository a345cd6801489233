<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** In which order a file keeps the bytes of its numbers. What stands beyond the end of the bytes counts as zero. */
enum ByteOrder
{
    case Little;
    case Big;

    public function u16(string $bytes, int $at = 0): int
    {
        return $this->unpack($this === self::Little ? 'v' : 'n', $bytes, $at, 2);
    }

    public function u32(string $bytes, int $at = 0): int
    {
        return $this->unpack($this === self::Little ? 'V' : 'N', $bytes, $at, 4);
    }

    /** Above 2^63 less than nothing. */
    public function u64(string $bytes, int $at = 0): int
    {
        return $this->unpack($this === self::Little ? 'P' : 'J', $bytes, $at, 8);
    }

    public function i32(string $bytes, int $at = 0): int
    {
        $number = $this->u32($bytes, $at);

        return $number >= 1 << 31 ? $number - (1 << 32) : $number;
    }

    /** IEEE 754, 32 bits. */
    public function f32(string $bytes, int $at = 0): float
    {
        /** @var array{1: float} $number */
        $number = unpack($this === self::Little ? 'g' : 'G', str_pad(substr($bytes, $at, 4), 4, "\0"));

        return $number[1];
    }

    private function unpack(string $code, string $bytes, int $at, int $length): int
    {
        if ($at + $length > strlen($bytes)) {
            $bytes = str_pad(substr($bytes, $at, $length), $length, "\0");
            $at = 0;
        }
        /** @var array{1: int} $number */
        $number = unpack($code, $bytes, $at);

        return $number[1];
    }
}
