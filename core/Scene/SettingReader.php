<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\LenientValue;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Specification\Values\Scalar;
use PlainLedger\Core\Specification\ValueType;

/** One setting of a scene as canonical text. A word that is on no list is a value all the same. */
final readonly class SettingReader
{
    /**
     * Null where the field is there and empty, so that nothing is told.
     *
     * @throws NotUnderstood|PatternRefused
     */
    public static function read(Descriptor $descriptor, mixed $value): ?string
    {
        $type = $descriptor->type;
        $value = self::joined($type, $value);
        if ($type !== ValueType::Pattern && is_string($value) && trim($value) === '') {
            return null;
        }

        return match (true) {
            $type === ValueType::Pattern => self::pattern($descriptor, trim(Scalar::text($value))),
            $type === ValueType::Channels, $type === ValueType::Handles => (string) RequirementValue::read(
                $descriptor,
                $value,
            ),
            $type === ValueType::Word
                && $descriptor->id !== RequirementId::TIME_EXTENT => self::word($descriptor, $value),
            $type === ValueType::Kind => self::kind($descriptor, $value),
            $type === ValueType::Passes, $type->format()->isFreeText() => self::text($descriptor, $value),
            default => self::canonical($descriptor, Scalar::text($value)),
        };
    }

    /** Two numbers where one text of two is usual. */
    private static function joined(ValueType $type, mixed $value): mixed
    {
        $between = [ValueType::Resolution->value => 'x', ValueType::Range->value => '-'][$type->value] ?? null;
        $two = is_array($value) && array_is_list($value) && count($value) === 2;

        return $between !== null && $two && is_int($value[0]) && is_int($value[1])
            ? $value[0].$between.$value[1]
            : $value;
    }

    /** An empty folder is an answer too: none is set. */
    private static function pattern(Descriptor $descriptor, string $text): string
    {
        return $text !== '' && $descriptor->id === RequirementId::NAMING_PATTERN
            ? (string) NamePattern::parseSceneName($text)
            : $text;
    }

    private static function word(Descriptor $descriptor, mixed $value): string
    {
        $told = LenientValue::word($descriptor, Scalar::text($value));
        $isShare = preg_match('~^\d+(?:\.\d+)?\s*%?$~', $told) === 1;
        if ($isShare && $descriptor->id === RequirementId::FORMAT_COMPRESSION) {
            throw NotUnderstood::because("“{$told}” says how much is compressed, and not how.");
        }
        $word = strtolower(trim(Spellings::usual($descriptor->id, $told)));

        // that there is alpha does not say of which kind it is
        return $descriptor->id === RequirementId::FORMAT_ALPHA && $word === 'any' ? 'alpha' : $word;
    }

    private static function kind(Descriptor $descriptor, mixed $value): string
    {
        $text = trim(LenientValue::word($descriptor, Scalar::text($value)));

        return Kind::fromWord($text)->value ?? strtolower($text);
    }

    private static function text(Descriptor $descriptor, mixed $value): string
    {
        return is_array($value)
            ? implode(' | ', array_map(Scalar::text(...), $value))
            : trim(Spellings::usual($descriptor->id, Scalar::text($value)));
    }

    private static function canonical(Descriptor $descriptor, string $text): string
    {
        foreach (LenientValue::readings($descriptor, $text) as $reading) {
            try {
                return $descriptor->canonical($reading);
            } catch (NotUnderstood) {
                // the next reading may do
            }
        }

        return $descriptor->canonical($text);
    }
}
