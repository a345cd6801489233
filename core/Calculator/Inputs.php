<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Measure\Timecode;

/** What was typed into a calculation, read as it is needed. */
final readonly class Inputs
{
    private const MOST_FRAMES = 100_000_000;

    /** @param  array<string, string>  $texts */
    public function __construct(private array $texts) {}

    public function text(string $name): ?string
    {
        $text = trim($this->texts[$name] ?? '');

        return $text === '' ? null : $text;
    }

    public function size(string $name): ?Resolution
    {
        $text = $this->text($name);

        return $text === null ? null : Resolution::parse($text);
    }

    public function rate(string $name): ?FrameRate
    {
        $text = $this->text($name);

        return $text === null ? null : FrameRate::parse($text);
    }

    /** A count, or a range that is counted. */
    public function frames(string $name): ?int
    {
        $text = $this->text($name);
        if ($text === null) {
            return null;
        }
        $plain = (string) preg_replace('~\s*frames?$~i', '', $text);
        $count = preg_match('~^\d{1,9}$~', $plain) === 1 ? (int) $plain : count(FrameRange::parse($plain));
        if ($count < 1 || $count > self::MOST_FRAMES) {
            throw NotUnderstood::as('a count of frames', $text, '96 or 1001-1096');
        }

        return $count;
    }

    public function whole(string $name, int $least, int $most): ?int
    {
        $text = $this->text($name);
        if ($text === null) {
            return null;
        }
        if (preg_match('~^\d{1,9}$~', $text) !== 1 || (int) $text < $least || (int) $text > $most) {
            throw NotUnderstood::because("“{$text}” is no whole number from {$least} to {$most}.");
        }

        return (int) $text;
    }

    public function positive(string $name, string $what): ?BigRational
    {
        $text = $this->text($name);
        if ($text === null) {
            return null;
        }
        $value = Fraction::parse(rtrim($text, "% \t"), $what);
        if ($value->isLessThanOrEqualTo(0) || $value->isGreaterThan(1_000_000_000)) {
            throw NotUnderstood::as($what, $text, '1.5');
        }

        return $value;
    }

    /** A time in seconds: `90`, `90 s`, `1:30`, `6 min`. */
    public function seconds(string $name): ?BigRational
    {
        $text = $this->text($name);

        return $text === null ? null : Duration::parse($text)->seconds(null);
    }

    /** A length in frames: a count, a time, or a timecode at the rate. A part of a frame is rounded to the nearest. */
    public function length(string $name, FrameRate $rate): ?int
    {
        $text = $this->text($name);
        if ($text === null) {
            return null;
        }
        if (preg_match('~^\d{1,9}(?:\s*frames?)?$~i', $text) === 1) {
            return (int) $text;
        }
        if (preg_match('~^\d{1,2}:\d{2}:\d{2}[:;.,]\d{2,3}$~', $text) === 1) {
            return Timecode::parse($text, $rate)->frames;
        }

        return Duration::parse($text)->seconds($rate)
            ->multipliedBy($rate->value)
            ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
            ->toInt();
    }
}
