<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use Brick\Math\BigDecimal;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\LenientValue;
use PlainLedger\Core\Specification\RequirementValue;

/** A whole number: `16`, `16 bit`, `96 frames`. */
final readonly class WholeFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return self::whole(trim($text), $descriptor);
    }

    /** @throws NotUnderstood */
    public static function whole(string $text, Descriptor $descriptor): string
    {
        $plain = (string) preg_replace('~\s*(frames?|bits?|-bit|bit)$~i', '', $text);
        if (preg_match('~^\d{1,12}(\.0+)?$~', $plain) !== 1) {
            $example = $descriptor->accepts->example;
            throw NotUnderstood::as('a whole number', $text, preg_match('~^\d+$~', $example) === 1 ? $example : '16');
        }

        return (string) BigDecimal::of($plain)->toInt();
    }

    /** As a number of JSON where it is one that keeps its digits there. */
    public static function number(?string $text): int|string|null
    {
        return $text !== null && preg_match('~^\d{1,15}$~', $text) === 1 ? (int) $text : $text;
    }

    protected function readings(Descriptor $descriptor, string $text): array
    {
        return LenientValue::readings($descriptor, $text);
    }

    protected function plain(RequirementValue $value, ?string $text): int|string|null
    {
        return self::number($text);
    }
}
