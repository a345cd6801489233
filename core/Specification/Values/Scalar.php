<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\NotUnderstood;

/** A scalar of JSON as people would have typed it. */
final readonly class Scalar
{
    /**
     * 23.976 stays 23.976.
     *
     * @throws NotUnderstood where it is none
     */
    public static function text(mixed $value): string
    {
        return match (true) {
            is_string($value) => $value,
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value) => (string) $value,
            is_float($value) => (string) json_encode($value),
            default => throw NotUnderstood::because(
                'a text, a number or true/false is expected, and '.JsonDocument::typeOf($value).' stands there.',
            ),
        };
    }

    public static function isNumber(mixed $json): bool
    {
        return is_int($json) || (is_float($json) && is_finite($json));
    }
}
