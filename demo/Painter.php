<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/**
 * Draws the stand-in's picture, a sky, a tower, a pointer that turns with the frame and the frame's number, as runs of
 * one colour, line by line: what a simple picture costs, and no more.
 */
final readonly class Painter
{
    private const RED = [0.78, 0.22, 0.16, 1.0];

    /** Digits of five by seven dots, a row a number of five bits. */
    private const DIGITS = [
        [14, 17, 19, 21, 25, 17, 14], [4, 12, 4, 4, 4, 4, 14], [14, 17, 1, 2, 4, 8, 31], [31, 2, 4, 2, 1, 17, 14],
        [2, 6, 10, 18, 31, 2, 2],
        [31, 16, 30, 1, 1, 17, 14], [6, 8, 16, 30, 17, 17, 14], [31, 1, 2, 4, 8, 8, 8], [14, 17, 17, 14, 17, 17, 14],
        [14, 17, 17, 15, 1, 2, 12],
    ];

    /** @param  array{float, float, float}  $sky red, green, blue at the horizon, 0 to 1 */
    public function __construct(
        private int $width,
        private int $height,
        private array $sky = [0.62, 0.70, 0.78],
        private bool $cutOut = false,
    ) {}

    /**
     * @return \Generator<int, list<array{int, array{float, float, float, float}}>> for each line, runs of pixels: how
     *   many, and red, green, blue, alpha
     */
    public function lines(int $frame): \Generator
    {
        for ($y = 0; $y < $this->height; $y++) {
            $spans = [...$this->tower($y), ...$this->pointer($y, $frame), ...$this->digits($y, $frame)];
            yield $this->runs($this->ground($y), $spans);
        }
    }

    /** @return \Generator<int, list<array{int, array{float, float, float, float}}>> the same, of a picture all black */
    public function nothing(): \Generator
    {
        for ($y = 0; $y < $this->height; $y++) {
            yield [[$this->width, [0.0, 0.0, 0.0, 1.0]]];
        }
    }

    /** @return array{float, float, float, float} what lies behind everything in a line */
    private function ground(int $y): array
    {
        if ($this->cutOut) {
            return [0.0, 0.0, 0.0, 0.0];
        }
        if ($y >= intdiv($this->height * 5, 6)) {
            return [0.16, 0.20, 0.20, 1.0];
        }
        $shade = 0.55 + 0.45 * intdiv($y * 24, $this->height) / 24;

        return [$this->sky[0] * $shade, $this->sky[1] * $shade, $this->sky[2] * $shade, 1.0];
    }

    /** @return list<array{int, int, array{float, float, float, float}}> from, to and colour */
    private function tower(int $y): array
    {
        $top = intdiv($this->height, 4);
        if ($y < $top) {
            return [];
        }
        $half = intdiv($this->width, 24) + intdiv(($y - $top) * intdiv($this->width, 40), $this->height);

        return [[$this->centre() - $half, $this->centre() + $half, [0.30, 0.26, 0.24, 1.0]]];
    }

    /**
     * The part of this line within the thickness of the pointer, which goes round in 48 frames.
     *
     * @return list<array{int, int, array{float, float, float, float}}>
     */
    private function pointer(int $y, int $frame): array
    {
        $top = intdiv($this->height, 4);
        $angle = $frame * 2 * M_PI / 48;
        [$dx, $dy] = [sin($angle), -cos($angle)];
        $reach = $this->height / 5;
        if (abs($dy) < 0.05) {
            $end = (int) ($this->centre() + ($dx > 0 ? $reach : -$reach));

            return abs($y - $top) <= $this->unit()
                ? [[min($this->centre(), $end), max($this->centre(), $end), self::RED]]
                : [];
        }
        $along = ($y - $top) / $dy;
        if ($along < 0 || $along > $reach) {
            return [];
        }
        $x = (int) round($this->centre() + $along * $dx);
        $thick = (int) ceil($this->unit() / max(0.2, abs($dy)));

        return [[$x - $thick, $x + $thick, self::RED]];
    }

    /** @return list<array{int, int, array{float, float, float, float}}> of the frame's number */
    private function digits(int $y, int $frame): array
    {
        $unit = $this->unit();
        $row = intdiv($y - 2 * $unit, $unit);
        if ($y < 2 * $unit || $row >= 7) {
            return [];
        }
        $spans = [];
        foreach (str_split((string) abs($frame)) as $n => $digit) {
            for ($bit = 0; $bit < 5; $bit++) {
                if (self::DIGITS[(int) $digit][$row] >> (4 - $bit) & 1) {
                    $left = 2 * $unit + ($n * 6 + $bit) * $unit;
                    $spans[] = [$left, $left + $unit, [0.95, 0.93, 0.86, 1.0]];
                }
            }
        }

        return $spans;
    }

    private function centre(): int
    {
        return intdiv($this->width, 2);
    }

    /** The side of a dot of the digits, in pixels. */
    private function unit(): int
    {
        return max(1, intdiv(min($this->width, $this->height), 60));
    }

    /**
     * @param  array{float, float, float, float}  $back
     * @param  list<array{int, int, array{float, float, float, float}}>  $spans  later ones lie above
     * @return list<array{int, array{float, float, float, float}}>
     */
    private function runs(array $back, array $spans): array
    {
        $edges = [0 => true, $this->width => true];
        foreach ($spans as [$from, $to]) {
            $edges[max(0, min($this->width, $from))] = true;
            $edges[max(0, min($this->width, $to))] = true;
        }
        ksort($edges);
        $edges = array_keys($edges);
        $runs = [];
        for ($i = 1, $many = count($edges); $i < $many; $i++) {
            $colour = $back;
            foreach ($spans as [$from, $to, $ink]) {
                $colour = $from <= $edges[$i - 1] && $to >= $edges[$i] ? $ink : $colour;
            }
            $runs[] = [$edges[$i] - $edges[$i - 1], $colour];
        }

        return $runs;
    }
}
