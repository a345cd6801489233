<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;

/**
 * A difference that does not count, as a fraction of white: `2/255`, `0.01`, `1%`, and `2` for two steps of eight bits.
 */
final readonly class Tolerance
{
    /** @throws NotUnderstood unless it is at least 0 and below 1 */
    public static function canonical(string $text): string
    {
        $plain = trim($text);
        $value = Fraction::parse(rtrim($plain, "% \t"), 'a tolerance', '2/255, 0.01 or 1%');
        $value = match (true) {
            str_ends_with($plain, '%') => $value->dividedBy(100)->simplified(),
            $value->isGreaterThanOrEqualTo(1)
                && preg_match('~^\d+$~', $plain) === 1 => $value->dividedBy(255)->simplified(),
            default => $value,
        };
        if ($value->isLessThan(0) || $value->isGreaterThanOrEqualTo(1)) {
            throw NotUnderstood::because('a tolerance is a fraction of white, from 0 to below 1, like 2/255 or 0.01.');
        }

        return self::write($value);
    }

    /** In steps of eight bits where it is a whole number of them. */
    private static function write(BigRational $value): string
    {
        $steps = $value->multipliedBy(255)->simplified();

        return $steps->getDenominator()->isEqualTo(1) && ! $steps->isZero()
            ? "{$steps->getNumerator()}/255"
            : Fraction::write($value);
    }

    public static function spoken(BigRational $value): string
    {
        return self::write($value->simplified()).' of white';
    }
}
