<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

/** How light points of frames come out in a movie, tone by tone: told only where it holds for all of them. */
final class ToneCurve
{
    private const TONES = 16;

    /** Of a tone with fewer points nothing is said. */
    private const LEAST_POINTS = 40;

    private const LEAST_TONES = 4;

    /** Of 255: less may come from what packs the pictures. */
    private const CLEARLY = 9;

    /** @var array<int, array{int, int}> points, and the sum of how much lighter they came out, by tone */
    private array $tones = [];

    public function add(string $frame, string $picture): void
    {
        for ($i = 0, $many = min(strlen($frame), strlen($picture)); $i < $many; $i += 3) {
            $light = ord($frame[$i]);
            $tone = $light >> 4;
            $this->tones[$tone] ??= [0, 0];
            $this->tones[$tone][0]++;
            $this->tones[$tone][1] += ord($picture[$i]) - $light;
        }
    }

    /** @return array{string|null, string|null} the word for it, and how it was measured */
    public function verdict(): array
    {
        $lighter = [];
        // the darkest and the lightest tones stay where they are under any curve
        foreach (range(2, self::TONES - 3) as $tone) {
            [$points, $sum] = $this->tones[$tone] ?? [0, 0];
            if ($points >= self::LEAST_POINTS) {
                $lighter[$tone] = intdiv($sum, $points);
            }
        }
        if (count($lighter) < self::LEAST_TONES) {
            return [null, null];
        }
        $all = array_values($lighter);
        $dark = array_filter($lighter, static fn (int $tone): bool => $tone < 7, ARRAY_FILTER_USE_KEY);
        $light = array_filter($lighter, static fn (int $tone): bool => $tone > 8, ARRAY_FILTER_USE_KEY);
        $word = match (true) {
            min($all) >= self::CLEARLY => 'brighter',
            max($all) <= -self::CLEARLY => 'darker',
            self::areMoreApart($dark, $light) => 'of more contrast',
            default => null,
        };

        return [$word, $word === null ? null : $this->measured($lighter)];
    }

    /**
     * @param  array<int, int>  $dark  how much lighter the dark tones came out
     * @param  array<int, int>  $light  likewise the light ones
     */
    private static function areMoreApart(array $dark, array $light): bool
    {
        return $dark !== [] && $light !== [] && max($dark) <= -self::CLEARLY && min($light) >= self::CLEARLY;
    }

    /** @param  array<int, int>  $lighter */
    private function measured(array $lighter): string
    {
        $said = [];
        foreach ($lighter as $tone => $by) {
            $said[] = (16 * $tone + 8).' of 255 in the frames is '.(16 * $tone + 8 + $by);
        }
        $said = count($said) > 2 ? [$said[0], $said[count($said) - 1]] : $said;

        return implode(', ', $said).' in the movie';
    }
}
