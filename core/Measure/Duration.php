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
        $frames = null;
        if (preg_match('~^(\d{1,3}):(\d{2}):(\d{2})[:;](\d{2,3})$~', $plain, $m) === 1) {
            $frames = (int) $m[4];
            $seconds = BigRational::of(3600 * (int) $m[1] + 60 * (int) $m[2] + (int) $m[3]);
            $good = (int) $m[2] < 60 && (int) $m[3] < 60;
        } elseif (
            preg_match(
                '~^(?:(\d+)\s*(?:minutes?|mins?|m)\s*)?(?:(\d+)\s*(?:seconds?|secs?'
                    .'|s)\s*(?:and\s+)?)?(\d{1,7})\s*(?:frames?|fr|f)$~',
                $plain,
                $m,
            ) === 1
        ) {
            $frames = (int) $m[3];
            $seconds = BigRational::of(60 * (int) $m[1] + (int) $m[2]);
            $good = true;
        } elseif (preg_match('~^(?:(\d{1,3}):)?(\d{1,3}):(\d{2}(?:\.\d{1,6})?)$~', $plain, $m) === 1) {
            $seconds = Fraction::parse($m[3])->plus(60 * (int) $m[2])->plus(3600 * (int) $m[1]);
            $good = Fraction::parse($m[3])->isLessThan(60) && ($m[1] === '' || (int) $m[2] < 60);
        } elseif (
            preg_match(
                '~^(?:(\d+(?:\.\d+)?)\s*(?:hours?|hrs?|h))?\s*(?:(\d+(?:\.\d+)?)\s*(?:minutes?|mins?'
                    .'|m))?\s*(?:(\d+(?:\.\d+)?)\s*(?:seconds?|secs?|s)?)?$~',
                $plain,
                $m,
            ) === 1
            && trim(implode('', array_slice($m, 1))) !== ''
        ) {
            $part = static fn (int $at): BigRational => Fraction::parse(
                ($m[$at] ?? '') === '' ? '0' : substr($m[$at], 0, 30),
            );
            $seconds = $part(1)->multipliedBy(3600)->plus($part(2)->multipliedBy(60))->plus($part(3));
            $good = true;
        } else {
            throw NotUnderstood::as('a length of time', $text, '90 s, 1:30 or 00:01:30:12');
        }
        if (! $good || $seconds->plus($frames ?? 0)->isLessThanOrEqualTo(0) || $seconds->isGreaterThan(self::LONGEST)) {
            throw NotUnderstood::as('a length of time', $text, '90 s, 1:30 or 00:01:30:12');
        }

        return new self($seconds, $frames);
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
