<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** Frames at head and tail: `8`, `8+12`. */
final readonly class HandlesFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return self::pair(trim($text));
    }

    public function spoken(string $value): string
    {
        return str_replace('+', ' and ', $value);
    }

    public function write(RequirementValue $value): mixed
    {
        return self::headAndTail($value);
    }

    /** @return array<string, int> */
    public static function headAndTail(RequirementValue $value): array
    {
        return array_combine(['head', 'tail'], array_map(intval(...), explode('+', $value->single() ?? '0+0')));
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        return isset($json['head']) || isset($json['tail'])
            ? RequirementValue::one(self::pair(self::joined($json)))
            : parent::fromObject($descriptor, $json);
    }

    /** @param  array<array-key, mixed>  $json */
    public static function joined(array $json): string
    {
        return Scalar::text($json['head'] ?? 0).'+'.Scalar::text($json['tail'] ?? 0);
    }

    /** @throws NotUnderstood */
    public static function pair(string $text): string
    {
        if (preg_match('~^(\d{1,5})(?:\s*(?:[,+/ ]|and)\s*(\d{1,5}))?$~', $text, $m) !== 1) {
            throw NotUnderstood::as('handles', $text, '8 or 8+8');
        }

        return (int) $m[1].'+'.(int) ($m[2] ?? $m[1]);
    }
}
