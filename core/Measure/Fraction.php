<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

/** Reads and writes exact fractions as people type them: `10/11`, `10:11`, `1.5`, `2`. */
final readonly class Fraction
{
    /** Nothing that is measured here is nearer to nothing, or further from it. */
    private const LEAST = '0.000000001';

    private const MOST = '1000000000000000';

    /** @throws NotUnderstood also where it is nothing, or below */
    public static function positive(string $text): BigRational
    {
        $value = self::parse($text);

        return $value->isGreaterThan(0)
            ? $value
            : throw NotUnderstood::as('a number above zero', $text, '1/1 or 10/11');
    }

    /**
     * @throws NotUnderstood unless it is a whole number, a decimal, or two of them with `/` or `:` between
     */
    public static function parse(
        string $text,
        string $what = 'a fraction',
        string $example = '10/11 or 1.5',
    ): BigRational {
        $plain = trim(str_replace(["\u{00A0}", "\u{2044}", ' '], ['', '/', ''], $text));
        if (
            strlen($plain) > 40
            || preg_match('~^([+-]?\d+(?:\.\d+)?(?:[eE][+-]?\d{1,2})?)(?:[/:](\d+(?:\.\d+)?))?$~', $plain, $m) !== 1
        ) {
            throw NotUnderstood::as($what, $text, $example);
        }
        try {
            $top = BigDecimal::of($m[1])->toBigRational();
            $value = isset($m[2])
                ? $top->dividedBy(BigDecimal::of($m[2])->toBigRational())->simplified()
                : $top->simplified();
        } catch (MathException $fault) {
            throw NotUnderstood::as($what, $text, $example, $fault);
        }
        if (
            ! $value->isZero()
            && (
                $value->abs()->isLessThan(BigRational::of(self::LEAST))
                || $value->abs()->isGreaterThan(BigRational::of(self::MOST))
            )
        ) {
            throw NotUnderstood::beyond($text, self::LEAST, number_format((float) self::MOST));
        }

        return $value;
    }

    public static function of(int $numerator, int $denominator = 1): BigRational
    {
        return BigRational::nd($numerator, $denominator)->simplified();
    }

    /** `24`, `24000/1001`: a whole number without its denominator. */
    public static function write(BigRational $value): string
    {
        $value = $value->simplified();

        return (string) (
            $value->getDenominator()->isEqualTo(1)
                ? $value->getNumerator()
                : $value->getNumerator().'/'.$value->getDenominator()
        );
    }

    /** Always with its denominator: `1/1`, `10/11`. */
    public static function writeFull(BigRational $value): string
    {
        $value = $value->simplified();

        return $value->getNumerator().'/'.$value->getDenominator();
    }

    /** For display only, rounded half up, trailing zeros dropped. */
    public static function decimal(BigRational $value, int $places = 3): string
    {
        $text = (string) $value->toScale($places, RoundingMode::HALF_UP);

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** Whether two values differ by no more than one part in $parts of the second. */
    public static function near(BigRational $a, BigRational $b, int $parts = 1000): bool
    {
        return $a->minus($b)->abs()->multipliedBy($parts)->isLessThanOrEqualTo($b->abs());
    }

    /**
     * The simplest fraction that a float in a file stands for: the first convergent of its continued fraction
     * that the file's precision cannot tell from it (0.9090909 in a 32-bit float is 10/11).
     *
     * @param  float  $value  finite
     * @param  int  $bits  bits of mantissa the file stored: 24 or 53
     */
    public static function fromFloat(float $value, int $bits = 24): BigRational
    {
        if (! is_finite($value) || abs($value) > 1e15) {
            return BigRational::zero();
        }
        if (floor($value) === $value) {
            return BigRational::of((int) $value);
        }
        $exact = BigDecimal::of(sprintf('%.17e', $value))->toBigRational();
        $tolerance = $exact->abs()->dividedBy(2 ** min($bits - 2, 50));
        $rest = $exact;
        [$h0, $h1, $k0, $k1] = [BigRational::zero(), BigRational::one(), BigRational::one(), BigRational::zero()];
        for ($i = 0; $i < 30; $i++) {
            $whole = $rest->toScale(0, RoundingMode::FLOOR)->toBigRational();
            [$h0, $h1] = [$h1, $whole->multipliedBy($h1)->plus($h0)];
            [$k0, $k1] = [$k1, $whole->multipliedBy($k1)->plus($k0)];
            $convergent = $h1->dividedBy($k1);
            if ($convergent->minus($exact)->abs()->isLessThanOrEqualTo($tolerance)) {
                return $convergent->simplified();
            }
            $rest = $rest->minus($whole)->reciprocal();
        }

        return $exact->simplified();
    }
}
