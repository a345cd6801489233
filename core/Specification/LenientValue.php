<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Media\Kind;

/**
 * A value as programs and people show it, with what they write around it taken off: units, remarks in brackets, a
 * percent sign. Each reading is more daring than the one before; the first that is a value of its type counts.
 */
final readonly class LenientValue
{
    /** What is counted, by requirement: the words a number may be followed by. */
    private const UNITS = [
        RequirementId::PICTURE_RESOLUTION => 'px|pixels?',
        RequirementId::PICTURE_DENSITY => 'dpi|ppi',
        RequirementId::TIME_RATE => 'fps|frames?(?:\s*(?:per|a|\/)\s*(?:second|sec|s))?|hz|\/\s*s',
        RequirementId::TIME_RANGE => 'frames?',
        'time.timeline' => 'frames?',
        RequirementId::TIME_STEP => 'frames?|st|nd|rd|th',
        RequirementId::TIME_COUNT => 'frames?',
        RequirementId::RENDER_SAMPLES => 'spp|samples?(?:\s*(?:per|\/)\s*pixel)?',
        RequirementId::FORMAT_BIT_DEPTH => '-?\s*bits?(?:\s*(?:per|a|\/)\s*(?:channel|component|sample|colou?r))?|bpc',
        RequirementId::FORMAT_QUALITY => '%|percent',
        RequirementId::FORMAT_KEYFRAME_INTERVAL => 'frames?',
        RequirementId::AUDIO_SAMPLE_RATE => 'hz',
        RequirementId::AUDIO_BIT_DEPTH => '-?\s*bits?',
        RequirementId::AUDIO_CHANNELS => 'channels?',
        RequirementId::COLOUR_EXPOSURE => 'ev|stops?',
        RequirementId::PICTURE_SCALE => 'percent',
    ];

    /** @return list<string> the value itself first */
    public static function readings(Descriptor $descriptor, string $value): array
    {
        $plain = (string) preg_replace('~\s*[(\[][^()\[\]]*[)\]]\s*$~u', '', $value);
        $within = preg_match('~[(\[]([^()\[\]]+)[)\]]\s*$~u', $value, $m) === 1 ? trim($m[1]) : '';
        $unit = self::UNITS[$descriptor->id] ?? null;
        $readings = [
            $value,
            $plain === '' ? $value : $plain,
            ...($unit === null ? [] : array_map(
                static fn (string $text): string => (string) preg_replace(
                    "~(?<=[\\d)\\s])\\s*(?:{$unit})\\b\\.?~iu",
                    '',
                    $text,
                ),
                [$plain, $within],
            )),
            ...($descriptor->type === ValueType::Range ? [self::range($plain)] : []),
            ...($descriptor->id === RequirementId::FORMAT_BIT_DEPTH ? self::depths($value) : []),
        ];
        $told = array_filter(array_map(trim(...), $readings), static fn (string $reading): bool => $reading !== '');

        return array_values(array_unique($told));
    }

    /** `1-100 by 2`, `frames 1-100`. */
    private static function range(string $text): string
    {
        $step = '~\s*(?:,|;)?\s*(?:by|step|every)\s+(\d+)(?:st|nd|rd|th)?$~i';

        return (string) preg_replace([$step, '~\bframes?\b~i'], ['x$1', ''], $text);
    }

    /** @return list<string> */
    private static function depths(string $text): array
    {
        $number = preg_match('~\b(8|10|12|14|16|24|32)\b~', $text, $m) === 1 ? $m[1] : '';
        $word = match (true) {
            preg_match('~\bhalf\b~i', $text) === 1 => '16',
            preg_match('~\bfull\b|\bfloat\b~i', $text) === 1 => '32',
            default => '',
        };

        return [$number, $word];
    }

    /** Of a word, the reading that is a known one; else what was told. */
    public static function word(Descriptor $descriptor, string $value): string
    {
        foreach (self::readings($descriptor, $value) as $reading) {
            $usual = strtolower(trim(Spellings::usual($descriptor->id, $reading)));
            if (
                in_array($usual, $descriptor->accepts->words, true)
                || ($descriptor->type === ValueType::Kind && Kind::fromWord($reading) !== null)
            ) {
                return $reading;
            }
        }

        return $value;
    }
}
