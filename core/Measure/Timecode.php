<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

/**
 * A time address, hours to frames, over one day (SMPTE ST 12-1). Drop-frame leaves out the numbers of the first two
 * frames (four at 60000/1001) of each minute but every tenth, so that the addresses keep to the clock.
 */
final readonly class Timecode implements \Stringable
{
    private function __construct(public int $frames, private int $base, public bool $dropFrame) {}

    /** @throws NotUnderstood if drop-frame is asked at a rate that has none */
    public static function fromFrames(int $frames, FrameRate $rate, bool $dropFrame = false): self
    {
        if ($dropFrame && ! $rate->hasDropFrame()) {
            throw NotUnderstood::because(
                "Drop-frame timecode exists at 29.97 and 59.94 frames a second only, not at {$rate->spoken()}.",
            );
        }
        $day = self::framesADay($rate->nominalWhole(), $dropFrame);

        return new self((($frames % $day) + $day) % $day, $rate->nominalWhole(), $dropFrame);
    }

    /**
     * Reads `01:00:00:00`; a `;` (or `.`) before the frames means drop-frame.
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text, FrameRate $rate): self
    {
        if (preg_match('~^\s*(\d{1,2}):(\d{2}):(\d{2})([:;.,])(\d{2,3})\s*$~', $text, $m) !== 1) {
            throw NotUnderstood::as('a timecode', $text, '01:00:00:00');
        }
        [$hours, $minutes, $seconds, $frames] = [(int) $m[1], (int) $m[2], (int) $m[3], (int) $m[5]];
        $base = $rate->nominalWhole();
        if ($hours > 23 || $minutes > 59 || $seconds > 59 || $frames >= $base) {
            throw NotUnderstood::because(
                "“{$text}” is no timecode at {$rate->spoken()} frames a second: hours go to 23, minutes and seconds "
                    .'to 59, frames to '
                    .($base - 1)
                    .'.',
            );
        }
        $start = self::fromFrames(0, $rate, $m[4] !== ':');
        $left = $start->leftOut();
        if ($seconds === 0 && $frames < $left && $minutes % 10 !== 0) {
            throw NotUnderstood::because(
                "“{$text}” does not exist: drop-frame leaves out the first {$left} numbers of minute {$minutes}.",
            );
        }
        $allMinutes = 60 * $hours + $minutes;
        $leftOut = $left * ($allMinutes - intdiv($allMinutes, 10));

        return new self((60 * $allMinutes + $seconds) * $base + $frames - $leftOut, $base, $start->dropFrame);
    }

    /** How many numbers are left out of a minute. */
    private function leftOut(): int
    {
        return $this->dropFrame ? intdiv($this->base, 15) : 0;
    }

    private static function framesADay(int $base, bool $drop): int
    {
        return 86_400 * $base - ($drop ? intdiv($base, 15) * (1440 - 144) : 0);
    }

    public function plus(int $frames): self
    {
        $day = self::framesADay($this->base, $this->dropFrame);

        return new self(((($this->frames + $frames) % $day) + $day) % $day, $this->base, $this->dropFrame);
    }

    public function __toString(): string
    {
        $number = $this->frames;
        if ($this->dropFrame) {
            $left = intdiv($this->base, 15);
            $tenMinutes = 600 * $this->base - 9 * $left;
            [$tens, $rest] = [intdiv($number, $tenMinutes), $number % $tenMinutes];
            $number += 9 * $left * $tens;
            if ($rest >= 60 * $this->base) {
                $number += $left * (1 + intdiv($rest - 60 * $this->base, 60 * $this->base - $left));
            }
        }
        $seconds = intdiv($number, $this->base);
        $width = $this->base > 100 ? 3 : 2;

        return sprintf(
            "%02d:%02d:%02d%s%0{$width}d",
            intdiv($seconds, 3600),
            intdiv($seconds, 60) % 60,
            $seconds % 60,
            $this->dropFrame ? ';' : ':',
            $number % $this->base,
        );
    }
}
