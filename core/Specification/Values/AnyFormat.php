<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** A fact of a production’s own: a text, a number, bounds, yes or no, or any JSON. */
final readonly class AnyFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return trim($text);
    }

    public function isFreeText(): bool
    {
        return true;
    }

    public function read(Descriptor $descriptor, mixed $json): RequirementValue
    {
        return Scalar::isNumber($json)
            ? RequirementValue::one(Scalar::text($json))->asNumber()
            : parent::read($descriptor, $json);
    }

    protected function fromList(Descriptor $descriptor, array $json): RequirementValue
    {
        $value = parent::fromList($descriptor, $json);

        return array_filter($json, Scalar::isNumber(...)) === $json ? $value->asNumber() : $value;
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        $bounded = $descriptor->accepts->bounds && (isset($json['min']) || isset($json['max']));

        return $bounded || array_key_exists('value', $json)
            ? parent::fromObject($descriptor, $json)
            : RequirementValue::one((string) json_encode($json, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    protected function plain(RequirementValue $value, ?string $text): int|float|string|null
    {
        if (! $value->number || ! is_numeric($text)) {
            return $text;
        }

        return preg_match('~^-?\d{1,15}$~', $text) === 1 ? (int) $text : (float) $text;
    }
}
