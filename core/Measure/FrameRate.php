<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Frames a second as an exact fraction. The rates of the 60000/1001 family (SMPTE ST 12-1, 5.2) are written as
 * rounded decimals everywhere; 23.976, 23.98 and 24000/1001 are one rate.
 */
final readonly class FrameRate implements \Stringable
{
    private function __construct(public BigRational $value) {}

    public static function of(int $numerator, int $denominator = 1): self
    {
        return new self(Fraction::of($numerator, $denominator));
    }

    /** @throws NotUnderstood unless above 0 and at most 100,000 */
    public static function parse(string $text): self
    {
        $plain = trim((string) preg_replace('~\s*(fps|frames? (a|per) second|f/s|p|hz)\s*$~i', '', trim($text)));
        $value = Fraction::parse($plain, 'a frame rate', '24, 23.976 or 24000/1001');
        if ($value->isLessThanOrEqualTo(0) || $value->isGreaterThan(100_000)) {
            throw NotUnderstood::as('a frame rate', $text, '24, 23.976 or 24000/1001');
        }
        if (preg_match('~^\d+\.(\d+)$~', $plain, $m) === 1) {
            $value = self::nominal($value, strlen($m[1]));
        }

        return new self($value);
    }

    /** A rate that a file stores as a float: 23.976 in 32 bits is 24000/1001 too. */
    public static function fromFloat(float $stored): ?self
    {
        if (! is_finite($stored) || $stored <= 0 || $stored > 100_000) {
            return null;
        }

        return new self(self::nominal(Fraction::fromFloat($stored), 3));
    }

    /** A decimal that is N × 1000/1001 as far as it was written is that fraction. */
    private static function nominal(BigRational $value, int $places): BigRational
    {
        if ($value->getDenominator()->isEqualTo(1) || $places < 2) {
            return $value;
        }
        $whole = $value->multipliedBy(BigRational::nd(1001, 1000))->toScale(0, RoundingMode::HALF_UP);
        if ($whole->isZero()) {
            return $value;
        }
        $pulled = $whole->toBigRational()->multipliedBy(BigRational::nd(1000, 1001));
        $off = $value->minus($pulled)->abs();
        // half a unit of the last place; one in a million where more was written than a float holds
        $allowed = $places >= 6 ? BigRational::nd(1, 1_000_000) : BigRational::nd(5, 10 ** ($places + 1));

        return $off->isLessThanOrEqualTo($allowed) ? $pulled->simplified() : $value;
    }

    public function __toString(): string
    {
        return Fraction::write($this->value);
    }

    /** `24`, `23.976`. For display only. */
    public function spoken(): string
    {
        return Fraction::decimal($this->value);
    }

    public function equals(self $other): bool
    {
        return $this->value->isEqualTo($other->value);
    }

    /** The rate that timecode counts by: 24 for 24000/1001, 30 for 30000/1001. */
    public function nominalWhole(): int
    {
        return max(1, $this->value->toScale(0, RoundingMode::HALF_UP)->toInt());
    }

    /** Only 30000/1001 and 60000/1001 have drop-frame timecode (SMPTE ST 12-1, 5.2.2). */
    public function hasDropFrame(): bool
    {
        return $this->value->isEqualTo(BigRational::nd(30000, 1001))
            || $this->value->isEqualTo(BigRational::nd(60000, 1001));
    }

    /** Whether the two are 1000/1001 apart, either way. */
    public function isPulledFrom(self $other): bool
    {
        $ratio = $this->value->dividedBy($other->value);

        return $ratio->isEqualTo(BigRational::nd(1000, 1001)) || $ratio->isEqualTo(BigRational::nd(1001, 1000));
    }

    /**
     * Whole seconds and frames of so many frames, the seconds counted at the nominal rate: 250 at 24 are 10 s and 10
     * frames. A rate that is not whole runs behind the clock, so that its time is told too, to the millisecond.
     */
    public function runningTime(int $frames): string
    {
        $base = $this->nominalWhole();
        [$seconds, $rest] = [intdiv($frames, $base), $frames % $base];
        $text = match (true) {
            $rest === 0 => self::clock($seconds),
            $seconds === 0 => "{$rest} f",
            default => self::clock($seconds)." {$rest} f",
        };
        if ((string) $this === (string) $base) {
            return $text;
        }
        $exact = BigRational::of($frames)->dividedBy($this->value)->toScale(3, RoundingMode::HALF_UP);
        $whole = $exact->toScale(0, RoundingMode::DOWN);
        $behind = rtrim(rtrim(substr((string) $exact->minus($whole), 1), '0'), '.');

        return "{$text}, "
            .preg_replace('~(\d+) s$~', "\${1}{$behind} s", self::clock($whole->toInt(), $behind !== ''))
            .' by the clock';
    }

    /** `45 s`, `1 min`, `2 h 3 min 4 s` */
    private static function clock(int $seconds, bool $always = false): string
    {
        $parts = array_filter(
            [
                intdiv($seconds, 3600) === 0 ? null : intdiv($seconds, 3600).' h',
                intdiv($seconds, 60) % 60 === 0 ? null : (intdiv($seconds, 60) % 60).' min',
                $seconds % 60 === 0 && $seconds > 0 && ! $always ? null : ($seconds % 60).' s',
            ],
        );

        return implode(' ', $parts);
    }
}
