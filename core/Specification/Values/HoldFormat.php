<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\PixelLimits;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\Tolerance;

/** Frames that stand still at head and tail, and the difference that is none: `8+8, tolerance 2/255`. */
final readonly class HoldFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return HandlesFormat::pair(trim($text));
    }

    public function spoken(string $value): string
    {
        return str_replace('+', ' and ', $value);
    }

    public function write(RequirementValue $value): mixed
    {
        $tolerance = $value->pixels->tolerance;

        return HandlesFormat::headAndTail($value) + ($tolerance === null ? [] : ['tolerance' => $tolerance]);
    }

    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        return preg_match('~^(.*?)[,;]?\s*(?:tolerance|within)\s+(\S+)$~i', $text, $m) === 1
            ? self::within($m[1], $m[2])
            : parent::fromText($descriptor, $text);
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        $frames = isset($json['head']) || isset($json['tail'])
            ? HandlesFormat::joined($json)
            : Scalar::text($json['value'] ?? '');

        return isset($json['tolerance'])
            ? self::within($frames, Scalar::text($json['tolerance']))
            : RequirementValue::one(HandlesFormat::pair(trim($frames)));
    }

    private static function within(string $frames, string $tolerance): RequirementValue
    {
        return RequirementValue::one(HandlesFormat::pair(trim($frames)))->looking(
            new PixelLimits(tolerance: Tolerance::canonical($tolerance)),
        );
    }
}
