<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use Brick\Math\BigDecimal;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** Bounds as people write them: `>= 90`, `90-150`, `at most 8 Mbit/s`, `between 5 and 8`. */
final readonly class Bounds
{
    private const LEAST = ['>=', '≥', 'at least', 'no less than', 'not below', 'from', 'min'];

    /** What bounds what, a number, and the number up to which it goes. */
    private const WRITTEN = '~^\s*(?:(?<word>>=|<=|≥|≤|at least|at most|no less than|no more than|not above|not '
        .'below|up to|from|min|max)\s*)?'
        .'(?<first>\d+(?:\.\d+)?\s*(?!to\b)[A-Za-z/]*)(?:\s*(?:\.\.|–|-'
        .'|\bto\b)\s*(?<last>\d+(?:\.\d+)?\s*[A-Za-z/]*))?\s*$~u';

    private const MORE = ['>', 'more than', 'over', 'above'];

    private const STRICT = '~^(>|<|more than|over|above|fewer than|less than|under|below)\s*(\d{1,12})$~i';

    private const USUAL = [
        '~^between\s+(.+?)\s+and\s+(.+)$~i' => '$1 to $2',
        '~^(\d+(?:\.\d+)?)\s*\+$~' => '>= $1',
        '~^(\d+(?:\.\d+)?)\s+or\s+more$~i' => '>= $1',
        '~^(\d+(?:\.\d+)?)\s+or\s+(?:less|fewer)$~i' => '<= $1',
    ];

    /** Null where the text is no bounds, or where none can be asked. */
    public static function fromText(ValueFormat $format, Descriptor $descriptor, string $text): ?RequirementValue
    {
        if (
            ! $descriptor->accepts->bounds
            || preg_match(self::WRITTEN, self::usual($format, $text), $m, PREG_UNMATCHED_AS_NULL) !== 1
        ) {
            return null;
        }
        [$word, $first, $last] = [$m['word'], (string) $m['first'], $m['last']];
        if (($word === null && $last === null) || ! self::suit($format, $first, $last ?? '0')) {
            return null;
        }

        return $last === null
            ? self::oneSided($format->one($descriptor, trim($first)), in_array($word, self::LEAST, true))
            : self::twoSided(
                $format->one($descriptor, trim($first).self::unitOf($first, $last)),
                $format->one($descriptor, trim($last)),
            );
    }

    /** @param  array<array-key, mixed>  $json null where it has no `min` or `max`, or where none can be asked */
    public static function fromObject(ValueFormat $format, Descriptor $descriptor, array $json): ?RequirementValue
    {
        if (! $descriptor->accepts->bounds || ! (isset($json['min']) || isset($json['max']))) {
            return null;
        }
        $bound = static fn (string $key): ?string => isset($json[$key])
            ? self::bound($format, $descriptor, Scalar::text($json[$key]))
            : null;

        return self::inOrder($bound('min'), $bound('max'));
    }

    private static function oneSided(string $bound, bool $least): RequirementValue
    {
        if ($bound === 'none') {
            return RequirementValue::one('none');
        }

        return $least ? self::inOrder($bound, null) : self::inOrder(null, $bound);
    }

    private static function twoSided(string $first, string $last): RequirementValue
    {
        $counted = static fn (string $bound): string => $bound === 'none' ? '0' : $bound;

        return $first === 'none' && $last === 'none'
            ? RequirementValue::one('none')
            : self::inOrder($counted($first), $counted($last));
    }

    /** “5 to 8 Mbit/s”: the unit is written once. */
    private static function unitOf(string $first, string $last): string
    {
        return preg_match('~[A-Za-z]~', $first) !== 1 && preg_match('~[A-Za-z/]+\s*$~', $last, $unit) === 1
            ? ' '.trim($unit[0])
            : '';
    }

    /** `between 90 and 150`, `90+`, and of whole numbers `more than 90`, `under 150`, as bounds are written. */
    private static function usual(ValueFormat $format, string $text): string
    {
        $text = (string) preg_replace(array_keys(self::USUAL), array_values(self::USUAL), $text);
        if (! $format instanceof WholeFormat || preg_match(self::STRICT, $text, $m) !== 1) {
            return $text;
        }

        return in_array(strtolower($m[1]), self::MORE, true) ? '>= '.((int) $m[2] + 1) : '<= '.max(0, (int) $m[2] - 1);
    }

    /** What is asked in words of one's own has bounds where those are plain numbers; “5 to 8 Mbit/s” is a text. */
    private static function suit(ValueFormat $format, string $first, string $last): bool
    {
        $number = '~^\d+(?:\.\d+)?$~';

        return ! $format->isFreeText()
            || (preg_match($number, trim($first)) === 1 && preg_match($number, trim($last)) === 1);
    }

    private static function bound(ValueFormat $format, Descriptor $descriptor, string $text): string
    {
        $canonical = $format->isFreeText()
            ? (new NumberFormat)->canonical($text, $descriptor)
            : $format->one($descriptor, $text);

        return $canonical === 'none' ? '0' : $canonical;
    }

    private static function inOrder(?string $min, ?string $max): RequirementValue
    {
        if ($min !== null && $max !== null && BigDecimal::of($min)->isGreaterThan(BigDecimal::of($max))) {
            throw NotUnderstood::because("the smallest value, {$min}, is above the largest, {$max}.");
        }

        return RequirementValue::between($min, $max);
    }
}
