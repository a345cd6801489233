<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/**
 * The unpacked bytes of one chunk of OpenEXR, of which lines are read in words of sixteen bits. It is kept as text:
 * as numbers it would take thirty times as much.
 */
final readonly class ExrBlock
{
    private function __construct(private string $bytes) {}

    public static function plain(string $bytes): self
    {
        return new self($bytes);
    }

    /**
     * Undoes the differences that RLE and ZIP of OpenEXR write, each byte from the one before and 128; the lower bytes
     * of all words stand first, and the upper ones behind them.
     */
    public static function ofDifferences(string $bytes): self
    {
        $sums = RunningSums::of($bytes ^ str_repeat("\x80", strlen($bytes)), 128);
        $half = strlen($sums) >> 1;
        $lower = chunk_split(substr($sums, 0, $half), 1, "\0");
        $upper = chunk_split(substr($sums, $half), 1, "\0");

        return new self($lower | "\0".substr($upper, 0, -1));
    }

    /** @return array<int, int> so many words of sixteen bits from one on, counted from 1 */
    public function words(int $from, int $many): array
    {
        /** @var array<int, int> $words */
        $words = unpack('v*', $this->raw($from, $many));

        return $words;
    }

    /** The same as they are kept, the lower byte first. */
    public function raw(int $from, int $many): string
    {
        return substr($this->bytes, 2 * $from, 2 * $many);
    }
}
