<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\Compression\ExrHuffman;
use PlainLedger\Core\Media\Compression\ExrWavelet;
use PlainLedger\Core\Media\Readers\ExrChannels;
use PlainLedger\Core\Media\Readers\ExrStorage;

/** One chunk of OpenEXR unpacked into lines, in each of which the channels stand one behind another. */
final readonly class ExrUnpacker
{
    /** @param  list<int>  $words  of sixteen bits that a pixel takes in each channel */
    private function __construct(private array $words, private int $compression) {}

    public static function of(ExrChannels $channels, int $compression): self
    {
        return new self(
            array_map(
                static fn (int $type): int => $type === ExrChannels::HALF ? 1 : 2,
                array_values($channels->types),
            ),
            $compression,
        );
    }

    public static function unpacks(int $compression): bool
    {
        return $compression <= ExrStorage::PXR24;
    }

    /**
     * @param  string  $data  the chunk as it is packed
     *
     * @throws PixelsRefused
     */
    public function block(string $data, int $width, int $lines): ExrBlock
    {
        $raw = 2 * array_sum($this->words) * $width * $lines;
        if (strlen($data) > $raw) {
            throw PixelsRefused::because('a chunk is of an impossible length');
        }
        // what did not get smaller is kept as it was
        if ($this->compression === ExrStorage::NONE || strlen($data) === $raw) {
            return strlen($data) === $raw
                ? ExrBlock::plain($data)
                : throw PixelsRefused::because('its data breaks off');
        }
        $block = match ($this->compression) {
            ExrStorage::RUN_LENGTHS => self::differences(self::runs($data, $raw), $raw),
            ExrStorage::PIZ => $this->waves($data, $width, $lines),
            ExrStorage::PXR24 => $this->columns((string) @gzuncompress($data, $raw + 1), $width, $lines),
            default => self::differences((string) @gzuncompress($data, $raw + 1), $raw),
        };

        return $block ?? throw PixelsRefused::because('its data is broken');
    }

    private static function differences(string $unpacked, int $raw): ?ExrBlock
    {
        return strlen($unpacked) === $raw ? ExrBlock::ofDifferences($unpacked) : null;
    }

    /** A count below zero: so many bytes as they are; else the next byte so many times and once more. */
    private static function runs(string $data, int $raw): string
    {
        $out = '';
        for ($i = 0, $many = strlen($data); $i + 1 < $many && strlen($out) <= $raw;) {
            $count = ord($data[$i]);
            if ($count > 127) {
                $out .= substr($data, $i + 1, 256 - $count);
                $i += 257 - $count;
            } else {
                $out .= str_repeat($data[$i + 1], $count + 1);
                $i += 2;
            }
        }

        return $out;
    }

    /** Values numbered by a table, their waves undone, in Huffman's code. */
    private function waves(string $data, int $width, int $lines): ?ExrBlock
    {
        /** @var array{1: int, 2: int} $span */
        $span = unpack('v2', str_pad($data, 4, "\0"));
        $bits = $span[1] <= $span[2] ? substr($data, 4, $span[2] - $span[1] + 1) : '';
        $table = self::table($bits, $span[1]);
        $total = array_sum($this->words) * $width * $lines;
        $values = ExrHuffman::unpack(substr($data, 8 + strlen($bits)), $total);
        if ($values === null) {
            return null;
        }
        $from = 0;
        foreach ($this->words as $words) {
            for ($word = 0; $word < $words; $word++) {
                $values = ExrWavelet::undo($values, $from + $word, [$width, $lines], $words, count($table) - 1);
            }
            $from += $words * $width * $lines;
        }
        $planes = '';
        foreach (array_chunk($values, 1 << 15) as $some) {
            foreach ($some as $i => $value) {
                $some[$i] = $table[$value] ?? 0;
            }
            $planes .= pack('v*', ...$some);
        }

        return $this->inLines($planes, $width, $lines);
    }

    /** @return non-empty-list<int> the values that are used, in their order; nothing is always one */
    private static function table(string $bits, int $first): array
    {
        $table = [0];
        for ($i = 0, $many = strlen($bits); $i < $many; $i++) {
            $byte = ord($bits[$i]);
            for ($bit = 0; $byte !== 0 && $bit < 8; $bit++) {
                $value = 8 * ($first + $i) + $bit;
                if ($value > 0 && ($byte >> $bit & 1) === 1) {
                    $table[] = $value;
                }
            }
        }

        return $table;
    }

    /** Channels that stand one behind another as a whole, cut into lines. */
    private function inLines(string $planes, int $width, int $lines): ExrBlock
    {
        $out = '';
        for ($y = 0; $y < $lines; $y++) {
            $from = 0;
            foreach ($this->words as $words) {
                $length = 2 * $words * $width;
                $out .= substr($planes, $from + $y * $length, $length);
                $from += $lines * $length;
            }
        }

        return ExrBlock::plain($out);
    }

    /** Bytes of a channel's line by weight, each value the difference to the one before; floats lack the lowest. */
    private function columns(string $bytes, int $width, int $lines): ?ExrBlock
    {
        $out = '';
        $at = 0;
        for ($y = 0; $y < $lines; $y++) {
            foreach ($this->words as $words) {
                // whole numbers, which have four, are not looked at here
                $depth = $words === 1 ? 2 : 3;
                if ($at + $depth * $width > strlen($bytes)) {
                    return null;
                }
                $out .= self::summed(substr($bytes, $at, $depth * $width), $width, $depth);
                $at += $depth * $width;
            }
        }

        return $at === strlen($bytes) ? ExrBlock::plain($out) : null;
    }

    private static function summed(string $columns, int $width, int $depth): string
    {
        /** @var array<int, int> $bytes */
        $bytes = unpack('C*', $columns);
        [$value, $values] = [0, []];
        for ($x = 1; $x <= $width; $x++) {
            $difference = $depth === 2
                ? $bytes[$x] << 8 | $bytes[$width + $x]
                : $bytes[$x] << 24 | $bytes[$width + $x] << 16 | $bytes[2 * $width + $x] << 8;
            $value = $value + $difference & ($depth === 2 ? 0xFFFF : 0xFFFFFFFF);
            $values[] = $value;
        }

        return pack($depth === 2 ? 'v*' : 'V*', ...$values);
    }
}
