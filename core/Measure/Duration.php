<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigRational;

/**
 * A length of time: hours, minutes and seconds, which may have decimals, and frames where it was written to the
 * frame. How long frames are is the rate's matter, so it is asked where it is needed.
 */
final readonly class Duration implements \Stringable
{
    private const LONGEST = 360_000;

    private function __construct(private BigRational $seconds, private ?int $frames) {}

    /**
     * Reads `90`, `90 s`, `1.5 min`, `1 min 30 s`, `1:30`, `00:01:30`, `00:01:30.5`, and to the frame `00:01:30:12`.
     *
     * @throws NotUnderstood unless above zero and at most 100 hours
     */
    public static function parse(string $text): self
    {
        $plain = strtolower(trim($text));
        $read = self::toTheFrame($plain)
            ?? self::withFrames($plain)
            ?? self::onTheClock($plain)
            ?? self::inUnits($plain);
        if ($read === null || ! $read->isPossible()) {
            throw NotUnderstood::as('a length of time', $text, '90 s, 1:30 or 00:01:30:12');
        }

        return $read;
    }

    /** `00:01:30:12` */
    private static function toTheFrame(string $text): ?self
    {
        if (preg_match('~^(\d{1,3}):([0-5]\d):([0-5]\d)[:;](\d{2,3})$~', $text, $m) !== 1) {
            return null;
        }

        return new self(BigRational::of(3600 * (int) $m[1] + 60 * (int) $m[2] + (int) $m[3]), (int) $m[4]);
    }

    /** `1 min 30 s and 12 frames` */
    private static function withFrames(string $text): ?self
    {
        $units = '(?:(\d+)\s*(?:minutes?|mins?|m)\s*)?(?:(\d+)\s*(?:seconds?|secs?|s)\s*(?:and\s+)?)?';
        if (preg_match("~^{$units}(\d{1,7})\s*(?:frames?|fr|f)$~", $text, $m) !== 1) {
            return null;
        }

        return new self(BigRational::of(60 * (int) $m[1] + (int) $m[2]), (int) $m[3]);
    }

    /** `1:30`, `00:01:30.5`; without hours, minutes may be more than an hour's. */
    private static function onTheClock(string $text): ?self
    {
        if (preg_match('~^(?:(\d{1,3}):)?(\d{1,3}):([0-5]\d(?:\.\d{1,6})?)$~', $text, $m) !== 1) {
            return null;
        }
        [, $hours, $minutes, $seconds] = $m;
        if ($hours !== '' && (int) $minutes > 59) {
            return null;
        }

        return new self(Fraction::parse($seconds)->plus(60 * (int) $minutes)->plus(3600 * (int) $hours), null);
    }

    /** `90`, `90 s`, `1.5 min`, `1 min 30 s` */
    private static function inUnits(string $text): ?self
    {
        $number = '(\d+(?:\.\d+)?)\s*';
        $hours = "(?:{$number}(?:hours?|hrs?|h))?";
        $minutes = "(?:{$number}(?:minutes?|mins?|m))?";
        $seconds = "(?:{$number}(?:seconds?|secs?|s)?)?";
        if (preg_match("~^{$hours}\s*{$minutes}\s*{$seconds}$~", $text, $m) !== 1) {
            return null;
        }
        $all = BigRational::zero();
        foreach ([1 => 3600, 2 => 60, 3 => 1] as $at => $length) {
            $written = ($m[$at] ?? '') === '' ? '0' : substr($m[$at], 0, 30);
            $all = $all->plus(Fraction::parse($written)->multipliedBy($length));
        }

        return new self($all, null);
    }

    private function isPossible(): bool
    {
        return $this->seconds->plus($this->frames ?? 0)->isGreaterThan(0)
            && $this->seconds->isLessThanOrEqualTo(self::LONGEST);
    }

    /** @throws NotUnderstood unless above zero and at most 100 hours */
    public static function ofSeconds(BigRational $seconds): self
    {
        if ($seconds->isLessThanOrEqualTo(0) || $seconds->isGreaterThan(self::LONGEST)) {
            throw NotUnderstood::as('a length of time', Fraction::decimal($seconds).' s', '90 s, 1:30 or 00:01:30:12');
        }

        return new self($seconds, null);
    }

    /** In seconds, exact; its frames are as long as the rate makes them. */
    public function seconds(?FrameRate $rate): BigRational
    {
        return $this->frames === null || $rate === null
            ? $this->seconds
            : $this->seconds->plus(BigRational::of($this->frames)->dividedBy($rate->value));
    }

    /** How many frames it is at a rate; null where that is no whole number. */
    public function frames(FrameRate $rate): ?int
    {
        if ($this->frames !== null) {
            // to the frame, seconds are counted as timecode counts them
            return $this->seconds->isEqualTo($whole = $this->seconds->toScale(0, \Brick\Math\RoundingMode::FLOOR))
                ? $whole->toInt() * $rate->nominalWhole() + $this->frames
                : null;
        }
        $frames = $this->seconds->multipliedBy($rate->value)->simplified();

        return $frames->getDenominator()->isEqualTo(1) ? $frames->getNumerator()->toInt() : null;
    }

    public function isLongerThan(self $other): bool
    {
        $order = $this->seconds->compareTo($other->seconds);

        return $order > 0 || ($order === 0 && ($this->frames ?? 0) > ($other->frames ?? 0));
    }

    /** `00:01:30`, `00:01:30.5`, `00:01:30:12`. */
    public function __toString(): string
    {
        $whole = $this->seconds->toScale(0, \Brick\Math\RoundingMode::FLOOR)->toInt();
        $rest = $this->seconds->minus($whole);
        $decimals = $rest->isZero() ? '' : substr(Fraction::decimal($rest, 6), 1);

        return sprintf('%02d:%02d:%02d', intdiv($whole, 3600), intdiv($whole, 60) % 60, $whole % 60)
            .$decimals
            .($this->frames === null ? '' : sprintf(':%02d', $this->frames));
    }
}
