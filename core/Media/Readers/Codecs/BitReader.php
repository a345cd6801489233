<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

/** Bits of a header from the first to the last, the most significant of each byte first. Beyond its end all are 0. */
final class BitReader
{
    /** A number coded with more leading zeros than these is none. */
    private const MOST_ZEROS = 32;

    public function __construct(private readonly string $bytes, private int $at = 0) {}

    /** Without the bytes that keep start codes from arising (ITU-T H.264, 7.4.1.1). */
    public static function ofUnit(string $unit): self
    {
        return new self(str_replace("\0\0\x03", "\0\0", $unit));
    }

    /** @phpstan-impure */
    public function bit(): int
    {
        $byte = $this->bytes[$this->at >> 3] ?? "\0";
        $bit = ord($byte) >> (7 - ($this->at & 7)) & 1;
        $this->at++;

        return $bit;
    }

    /** @phpstan-impure */
    public function flag(): bool
    {
        return $this->bit() === 1;
    }

    /**
     * @param  int  $count  at most 62
     *
     * @phpstan-impure
     */
    public function bits(int $count): int
    {
        $number = 0;
        for ($i = 0; $i < $count; $i++) {
            $number = $number << 1 | $this->bit();
        }

        return $number;
    }

    public function skip(int $count): void
    {
        $this->at += $count;
    }

    public function isAtEnd(): bool
    {
        return $this->at >= 8 * strlen($this->bytes);
    }

    /**
     * A number of unknown length (ITU-T H.264, 9.1).
     *
     * @phpstan-impure
     */
    public function golomb(): int
    {
        $zeros = 0;
        while ($zeros < self::MOST_ZEROS && ! $this->isAtEnd() && $this->bit() === 0) {
            $zeros++;
        }

        return (1 << $zeros) - 1 + $this->bits($zeros);
    }

    /**
     * The same with a sign (ITU-T H.264, 9.1.1).
     *
     * @phpstan-impure
     */
    public function signedGolomb(): int
    {
        $code = $this->golomb();

        return $code % 2 === 1 ? intdiv($code + 1, 2) : -intdiv($code, 2);
    }
}
