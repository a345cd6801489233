<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/**
 * A short text as a QR code (ISO/IEC 18004): its bytes as they are, error correction of level M, versions 1 to 15, the
 * mask with the smallest penalty.
 */
final class QrCode
{
    /** Codewords for correction in each block, by version (Table 9, level M). */
    private const CORRECTION = [10, 16, 26, 18, 24, 16, 18, 22, 22, 26, 30, 22, 22, 24, 24];

    /** Blocks, by version (Table 9, level M). */
    private const BLOCKS = [1, 1, 1, 2, 2, 4, 4, 4, 5, 5, 5, 8, 9, 9, 10];

    private const PADDING = [0xEC, 0x11];

    /** Level M as format information has it, before the mask's number. */
    private const LEVEL = 0b00;

    private const FORMAT_GENERATOR = 0x537;

    private const FORMAT_MASK = 0x5412;

    private const VERSION_GENERATOR = 0x1F25;

    /** Modules a side. */
    public readonly int $size;

    /** @var array<int, array<int, bool>> dark ones, by row and column */
    private array $dark = [];

    /** @var array<int, array<int, bool>> those that carry no data */
    private array $isFixed = [];

    private function __construct(private readonly int $version)
    {
        $this->size = 17 + 4 * $version;
        foreach (range(0, $this->size - 1) as $row) {
            $this->dark[$row] = array_fill(0, $this->size, false);
            $this->isFixed[$row] = array_fill(0, $this->size, false);
        }
    }

    /** Null where it is longer than such a code is made for here, 412 bytes. */
    public static function of(string $bytes): ?self
    {
        foreach (array_keys(self::BLOCKS) as $at) {
            $version = $at + 1;
            $bits = 4 + self::lengthBits($version) + 8 * strlen($bytes);
            if ($bits <= 8 * self::dataWords($version)) {
                $code = new self($version);
                $code->drawPatterns();
                $code->place(self::codewords($bytes, $version));
                $code->mask();

                return $code;
            }
        }

        return null;
    }

    public function isDark(int $row, int $column): bool
    {
        return $this->dark[$row][$column] ?? false;
    }

    /** With the light border of four modules that readers need; a module is one unit. */
    public function svg(): string
    {
        $side = $this->size + 8;
        $path = '';
        foreach ($this->dark as $row => $columns) {
            foreach (array_keys(array_filter($columns)) as $column) {
                $path .= 'M'.($column + 4).','.($row + 4).'h1v1h-1z';
            }
        }

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {$side} {$side}\" width=\"{$side}\" "
            ."height=\"{$side}\"><rect width=\"{$side}\" height=\"{$side}\" fill=\"#fff\"/>"
            ."<path d=\"{$path}\" fill=\"#000\"/></svg>";
    }

    private static function lengthBits(int $version): int
    {
        return $version < 10 ? 8 : 16;
    }

    /** All codewords of a version, those for correction included. */
    private static function allWords(int $version): int
    {
        $modules = (16 * $version + 128) * $version + 64;
        if ($version > 1) {
            $marks = intdiv($version, 7) + 2;
            $modules -= (25 * $marks - 10) * $marks - 55;
        }

        return intdiv($modules - ($version > 6 ? 36 : 0), 8);
    }

    private static function dataWords(int $version): int
    {
        return self::allWords($version) - self::CORRECTION[$version - 1] * self::BLOCKS[$version - 1];
    }

    /** @return list<int> data and correction of all blocks, in the order they are placed in */
    private static function codewords(string $bytes, int $version): array
    {
        $bits = '0100'.str_pad(decbin(strlen($bytes)), self::lengthBits($version), '0', STR_PAD_LEFT);
        foreach (str_split($bytes) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }
        $room = self::dataWords($version);
        $bits = substr($bits.'0000', 0, 8 * $room);
        $bits .= str_repeat('0', (8 - strlen($bits) % 8) % 8);
        $words = array_map(static fn (string $b): int => (int) bindec($b), str_split($bits, 8));
        for ($i = 0; count($words) < $room; $i++) {
            $words[] = self::PADDING[$i % 2];
        }

        return self::interleaved($words, $version);
    }

    /**
     * @param  list<int>  $words
     * @return list<int>
     */
    private static function interleaved(array $words, int $version): array
    {
        $blocks = self::BLOCKS[$version - 1];
        $degree = self::CORRECTION[$version - 1];
        $short = intdiv(count($words), $blocks);
        // the last ones have one word more where they do not come out even
        $long = count($words) % $blocks;
        $data = $correction = [];
        for ($block = 0, $at = 0; $block < $blocks; $block++) {
            $length = $short + (int) ($block >= $blocks - $long);
            $data[] = array_slice($words, $at, $length);
            $correction[] = ReedSolomon::correction(array_slice($words, $at, $length), $degree);
            $at += $length;
        }

        return [...self::byTurns($data, $short + 1), ...self::byTurns($correction, $degree)];
    }

    /**
     * @param  list<list<int>>  $blocks
     * @return list<int>
     */
    private static function byTurns(array $blocks, int $length): array
    {
        $words = [];
        for ($i = 0; $i < $length; $i++) {
            foreach ($blocks as $block) {
                if (isset($block[$i])) {
                    $words[] = $block[$i];
                }
            }
        }

        return $words;
    }

    private function fix(int $row, int $column, bool $isDark): void
    {
        if ($row >= 0 && $column >= 0 && $row < $this->size && $column < $this->size) {
            $this->dark[$row][$column] = $isDark;
            $this->isFixed[$row][$column] = true;
        }
    }

    private function drawPatterns(): void
    {
        for ($i = 0; $i < $this->size; $i++) {
            $this->fix(6, $i, $i % 2 === 0);
            $this->fix($i, 6, $i % 2 === 0);
        }
        foreach ([[3, 3], [3, $this->size - 4], [$this->size - 4, 3]] as [$row, $column]) {
            $this->drawRings($row, $column, 4);
        }
        $places = $this->alignmentPlaces();
        $last = count($places) - 1;
        foreach ($places as $i => $row) {
            foreach ($places as $j => $column) {
                // three corners have a larger pattern
                $isCorner = ($i === 0 && $j === 0) || ($i === 0 && $j === $last) || ($i === $last && $j === 0);
                $isCorner ? null : $this->drawRings($row, $column, 2);
            }
        }
        $this->drawFormat(0);
        $this->drawVersion();
    }

    /** Squares around a middle: dark, light, dark; the outermost of a finder is light. */
    private function drawRings(int $row, int $column, int $reach): void
    {
        for ($down = -$reach; $down <= $reach; $down++) {
            for ($across = -$reach; $across <= $reach; $across++) {
                $ring = max(abs($down), abs($across));
                $light = $reach === 4 ? [2, 4] : [1];
                $this->fix($row + $down, $column + $across, ! in_array($ring, $light, true));
            }
        }
    }

    /** @return list<int> */
    private function alignmentPlaces(): array
    {
        if ($this->version === 1) {
            return [];
        }
        $count = intdiv($this->version, 7) + 2;
        $step = 2 * intdiv($this->size - 13 + 2 * $count - 3, 2 * $count - 2);
        $places = [];
        for ($at = $this->size - 7; count($places) < $count - 1; $at -= $step) {
            array_unshift($places, $at);
        }

        return [6, ...$places];
    }

    private function drawFormat(int $mask): void
    {
        $data = self::LEVEL << 3 | $mask;
        $bits = ($data << 10 | self::remainder($data, 10, self::FORMAT_GENERATOR)) ^ self::FORMAT_MASK;
        $is = static fn (int $bit): bool => ($bits >> $bit & 1) === 1;
        // around the first finder, past the timing pattern
        foreach ([0, 1, 2, 3, 4, 5, 7, 8] as $bit => $row) {
            $this->fix($row, 8, $is($bit));
        }
        foreach ([7, 5, 4, 3, 2, 1, 0] as $i => $column) {
            $this->fix(8, $column, $is(8 + $i));
        }
        // and once more beside the two others
        for ($bit = 0; $bit < 8; $bit++) {
            $this->fix(8, $this->size - 1 - $bit, $is($bit));
        }
        for ($bit = 8; $bit < 15; $bit++) {
            $this->fix($this->size - 15 + $bit, 8, $is($bit));
        }
        $this->fix($this->size - 8, 8, true);
    }

    private function drawVersion(): void
    {
        if ($this->version < 7) {
            return;
        }
        $bits = $this->version << 12 | self::remainder($this->version, 12, self::VERSION_GENERATOR);
        for ($bit = 0; $bit < 18; $bit++) {
            $isDark = ($bits >> $bit & 1) === 1;
            [$near, $far] = [intdiv($bit, 3), $this->size - 11 + $bit % 3];
            $this->fix($near, $far, $isDark);
            $this->fix($far, $near, $isDark);
        }
    }

    /** Of a number, shifted so far, by a generator polynomial over two elements. */
    private static function remainder(int $data, int $degree, int $generator): int
    {
        $rest = $data;
        for ($i = 0; $i < $degree; $i++) {
            $rest = ($rest << 1) ^ (($rest >> ($degree - 1)) * $generator);
        }

        return $rest;
    }

    /**
     * Two columns at a time, from the right, upwards and downwards by turns; what is left over stays light.
     *
     * @param  list<int>  $words
     */
    private function place(array $words): void
    {
        $bit = 0;
        $all = 8 * count($words);
        $isUpward = true;
        for ($right = $this->size - 1; $right > 0; $right -= 2) {
            // the timing pattern is passed over
            $right -= (int) ($right === 6);
            for ($step = 0; $step < $this->size; $step++) {
                $row = $isUpward ? $this->size - 1 - $step : $step;
                foreach ([$right, $right - 1] as $column) {
                    if (! $this->isFixed[$row][$column] && $bit < $all) {
                        $this->dark[$row][$column] = ($words[$bit >> 3] >> (7 - $bit % 8) & 1) === 1;
                        $bit++;
                    }
                }
            }
            $isUpward = ! $isUpward;
        }
    }

    private function mask(): void
    {
        $best = [PHP_INT_MAX, 0];
        for ($mask = 0; $mask < 8; $mask++) {
            $this->flip($mask);
            $this->drawFormat($mask);
            $best = min($best, [$this->penalty(), $mask]);
            $this->flip($mask);
        }
        $this->flip($best[1]);
        $this->drawFormat($best[1]);
    }

    /** Twice, and all is as it was. */
    private function flip(int $mask): void
    {
        foreach ($this->dark as $i => $columns) {
            foreach ($columns as $j => $isDark) {
                if (! $this->isFixed[$i][$j] && self::isFlipped($mask, $i, $j)) {
                    $this->dark[$i][$j] = ! $isDark;
                }
            }
        }
    }

    /** Table 10. */
    private static function isFlipped(int $mask, int $i, int $j): bool
    {
        return match ($mask) {
            0 => ($i + $j) % 2,
            1 => $i % 2,
            2 => $j % 3,
            3 => ($i + $j) % 3,
            4 => (intdiv($i, 2) + intdiv($j, 3)) % 2,
            5 => $i * $j % 2 + $i * $j % 3,
            6 => ($i * $j % 2 + $i * $j % 3) % 2,
            default => (($i + $j) % 2 + $i * $j % 3) % 2,
        } === 0;
    }

    /** Table 11: runs, blocks, what looks like a finder, and a share of dark ones far from a half. */
    private function penalty(): int
    {
        $penalty = 0;
        $dark = 0;
        foreach (range(0, $this->size - 1) as $i) {
            $row = $column = '';
            foreach (range(0, $this->size - 1) as $j) {
                $row .= (int) $this->dark[$i][$j];
                $column .= (int) $this->dark[$j][$i];
            }
            $penalty += self::penaltyOf($row) + self::penaltyOf($column) + $this->blocksIn($i);
            $dark += substr_count($row, '1');
        }
        $all = $this->size ** 2;

        return $penalty + 10 * intdiv(abs(20 * $dark - 10 * $all), $all);
    }

    private static function penaltyOf(string $line): int
    {
        preg_match_all('~0{5,}|1{5,}~', $line, $runs);
        $penalty = array_sum(array_map(static fn (string $run): int => strlen($run) - 2, $runs[0]));

        return $penalty + 40 * (int) preg_match_all('~(?=00001011101|10111010000)~', $line);
    }

    private function blocksIn(int $row): int
    {
        $penalty = 0;
        for ($j = 0; isset($this->dark[$row + 1]) && $j < $this->size - 1; $j++) {
            $is = $this->dark[$row][$j];
            $isBlock = $this->dark[$row][$j + 1] === $is && $this->dark[$row + 1][$j] === $is
                && $this->dark[$row + 1][$j + 1] === $is;
            $penalty += $isBlock ? 3 : 0;
        }

        return $penalty;
    }
}
