<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

/** Points and percents as people write them: at most two places behind a point or a comma. */
final readonly class Decimal
{
    public const MOST = 100_000;

    /** Exactly what was written; null where it is no such number, below nothing or above what is reckoned with. */
    public static function read(mixed $written): ?BigRational
    {
        $text = is_int($written) || is_float($written) ? (string) $written : $written;
        if (! is_string($text) || preg_match('~^\s*(\d{1,6})(?:[.,](\d{1,2}))?\s*$~D', $text, $m) !== 1) {
            return null;
        }
        try {
            $value = BigDecimal::of($m[1].'.'.($m[2] ?? '0'))->toBigRational()->simplified();
        } catch (MathException) {
            return null;
        }

        return $value->isGreaterThan(self::MOST) ? null : $value;
    }

    /** Rounded half up to two places, without zeros at the end. */
    public static function shown(BigRational $value): string
    {
        $text = (string) $value->toScale(2, RoundingMode::HALF_UP);

        return rtrim(rtrim($text, '0'), '.');
    }
}
