<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** A length of time: `2 s`, `1:04.5`, `9 s 28 f`. */
final readonly class DurationFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) Duration::parse(trim($text));
    }

    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        $time = fn (string $one): string => $this->canonical($one, $descriptor);
        if (preg_match('~^(?:between\s+)?(.+?)\s*(?:\.\.|–|\bto\b|\band\b)\s*(.+)$~iu', $text, $m) === 1) {
            return self::inOrder($time($m[1]), $time($m[2]));
        }
        if (preg_match('~^(>=|≥|at least|min)\s*(.+)$~iu', $text, $m) === 1) {
            return RequirementValue::between($time($m[2]), null);
        }
        if (preg_match('~^(<=|≤|at most|up to|no more than|max)\s*(.+)$~iu', $text, $m) === 1) {
            return RequirementValue::between(null, $time($m[2]));
        }

        return RequirementValue::one($time($text));
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        if (array_key_exists('value', $json) || ! (isset($json['min']) || isset($json['max']))) {
            return parent::fromObject($descriptor, $json);
        }
        $time = fn (string $key): ?string => isset($json[$key])
            ? $this->canonical(Scalar::text($json[$key]), $descriptor)
            : null;

        return self::inOrder($time('min'), $time('max'));
    }

    private static function inOrder(?string $min, ?string $max): RequirementValue
    {
        if ($min !== null && $max !== null && Duration::parse($min)->isLongerThan(Duration::parse($max))) {
            throw NotUnderstood::because("the shortest time, {$min}, is above the longest, {$max}.");
        }

        return RequirementValue::between($min, $max);
    }
}
