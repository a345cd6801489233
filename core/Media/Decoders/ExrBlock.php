<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/**
 * The unpacked bytes of one chunk of OpenEXR, of which lines are read in words of sixteen bits. It is kept as text:
 * as numbers it would take thirty times as much.
 */
final readonly class ExrBlock
{
    /** Bytes that are numbers at the same time. */
    private const PIECE = 1 << 15;

    /** @param  bool  $parted  whether the lower bytes of all words stand first, and the upper ones behind them */
    private function __construct(private string $bytes, private bool $parted) {}

    public static function plain(string $bytes): self
    {
        return new self($bytes, false);
    }

    /** Undoes the differences that RLE and ZIP of OpenEXR write, each byte from the one before. */
    public static function ofDifferences(string $bytes): self
    {
        $out = '';
        $before = 128;
        for ($at = 0, $many = strlen($bytes); $at < $many; $at += self::PIECE) {
            /** @var array<int, int> $piece */
            $piece = unpack('C*', substr($bytes, $at, self::PIECE));
            foreach ($piece as $i => $byte) {
                $piece[$i] = $before = ($before + $byte - 128) & 255;
            }
            $out .= pack('C*', ...$piece);
        }

        return new self($out, true);
    }

    /** @return list<int> so many words of sixteen bits from one on */
    public function words(int $from, int $many): array
    {
        if (! $this->parted) {
            /** @var array<int, int> $words */
            $words = unpack('v*', substr($this->bytes, 2 * $from, 2 * $many));

            return array_values($words);
        }
        $half = strlen($this->bytes) >> 1;
        /** @var array<int, int> $lower */
        $lower = unpack('C*', substr($this->bytes, $from, $many));
        /** @var array<int, int> $upper */
        $upper = unpack('C*', substr($this->bytes, $half + $from, $many));
        $words = [];
        foreach ($lower as $i => $byte) {
            $words[] = $byte | $upper[$i] << 8;
        }

        return $words;
    }
}
