<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/**
 * Draws the stand-in's picture, a sky, a tower, a pointer that turns with the frame and the frame's number, as runs of
 * one colour, line by line: what a simple picture costs, and no more.
 */
final readonly class Painter
{
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
        [$w, $h] = [$this->width, $this->height];
        $unit = max(1, intdiv(min($w, $h), 60));
        $centre = intdiv($w, 2);
        $top = intdiv($h, 4);
        $angle = $frame * 2 * M_PI / 48;
        [$dx, $dy] = [sin($angle), -cos($angle)];
        $reach = $h / 5;
        $text = (string) abs($frame);
        $ground = intdiv($h * 5, 6);
        for ($y = 0; $y < $h; $y++) {
            $shade = 0.55 + 0.45 * intdiv($y * 24, $h) / 24;
            $back = $this->cutOut
                ? [0.0, 0.0, 0.0, 0.0]
                : (
                    $y >= $ground
                        ? [0.16, 0.20, 0.20, 1.0]
                        : [$this->sky[0] * $shade, $this->sky[1] * $shade, $this->sky[2] * $shade, 1.0]
                );
            $spans = [];
            if ($y >= $top) {
                $half = intdiv($w, 24) + intdiv(($y - $top) * intdiv($w, 40), $h);
                $spans[] = [$centre - $half, $centre + $half, [0.30, 0.26, 0.24, 1.0]];
            }
            // the pointer: the part of this line within its thickness
            $along = abs($dy) < 0.05 ? null : ($y - $top) / $dy;
            if ($along !== null && $along >= 0 && $along <= $reach) {
                $x = (int) round($centre + $along * $dx);
                $thick = (int) ceil($unit / max(0.2, abs($dy)));
                $spans[] = [$x - $thick, $x + $thick, [0.78, 0.22, 0.16, 1.0]];
            } elseif ($along === null && abs($y - $top) <= $unit) {
                $spans[] = [
                    $dx > 0 ? $centre : (int) ($centre - $reach),
                    $dx > 0 ? (int) ($centre + $reach) : $centre,
                    [0.78, 0.22, 0.16, 1.0],
                ];
            }
            $row = intdiv($y - 2 * $unit, $unit);
            if ($y >= 2 * $unit && $row < 7) {
                foreach (str_split($text) as $n => $digit) {
                    for ($bit = 0; $bit < 5; $bit++) {
                        if (self::DIGITS[(int) $digit][$row] >> (4 - $bit) & 1) {
                            $left = 2 * $unit + ($n * 6 + $bit) * $unit;
                            $spans[] = [$left, $left + $unit, [0.95, 0.93, 0.86, 1.0]];
                        }
                    }
                }
            }
            yield $this->runs($back, $spans);
        }
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
