<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Media\Kind;

/**
 * A value as programs and people show it, with what they write around it taken off: units, remarks in brackets, a percent
 * sign. Each reading is more daring than the one before; the first that is a value of its type counts.
 */
final readonly class LenientValue
{
    /** What is counted, by requirement: the words a number may be followed by. */
    private const UNITS = [
        'picture.resolution' => 'px|pixels?', 'picture.density' => 'dpi|ppi', 'time.rate' => 'fps|frames?(?:\s*(?:per|a|\/)\s*(?:second|sec|s))?|hz|\/\s*s', 'time.range' => 'frames?', 'time.timeline' => 'frames?', 'time.step' => 'frames?|st|nd|rd|th', 'time.count' => 'frames?',
        'render.samples' => 'spp|samples?(?:\s*(?:per|\/)\s*pixel)?', 'format.bit_depth' => '-?\s*bits?(?:\s*(?:per|a|\/)\s*(?:channel|component|sample|colou?r))?|bpc', 'format.quality' => '%|percent', 'format.keyframe_interval' => 'frames?',
        'audio.sample_rate' => 'hz', 'audio.bit_depth' => '-?\s*bits?', 'audio.channels' => 'channels?', 'colour.exposure' => 'ev|stops?', 'picture.scale' => 'percent',
    ];

    /** @return list<string> the value itself first */
    public static function readings(Descriptor $descriptor, string $value): array
    {
        $plain = (string) preg_replace('~\s*[(\[][^()\[\]]*[)\]]\s*$~u', '', $value);
        $within = preg_match('~[(\[]([^()\[\]]+)[)\]]\s*$~u', $value, $m) === 1 ? trim($m[1]) : null;
        $readings = [$value, $plain === '' ? $value : $plain];
        $unit = self::UNITS[$descriptor->id] ?? null;
        foreach ($unit === null ? [] : [$plain, $within ?? ''] as $text) {
            $readings[] = (string) preg_replace("~(?<=[\\d)\\s])\\s*(?:{$unit})\\b\\.?~iu", '', $text);
        }
        if ($descriptor->type === ValueType::Range) {
            $readings[] = (string) preg_replace(['~\s*(?:,|;)?\s*(?:by|step|every)\s+(\d+)(?:st|nd|rd|th)?$~i', '~\bframes?\b~i'], ['x$1', ''], $plain);
        }
        if ($descriptor->id === 'format.bit_depth' && preg_match('~\b(8|10|12|14|16|24|32)\b~', $value, $m) === 1) {
            $readings[] = $m[1];
        }
        if ($descriptor->id === 'format.bit_depth') {
            $readings[] = preg_match('~\bhalf\b~i', $value) === 1 ? '16' : (preg_match('~\bfull\b|\bfloat\b~i', $value) === 1 ? '32' : '');
        }

        return array_values(array_unique(array_filter(array_map(trim(...), $readings), static fn (string $r): bool => $r !== '')));
    }

    /** Of a word, the reading that is a known one; else what was told. */
    public static function word(Descriptor $descriptor, string $value): string
    {
        foreach (self::readings($descriptor, $value) as $reading) {
            $usual = strtolower(trim(Spellings::usual($descriptor->id, $reading)));
            if (in_array($usual, $descriptor->accepts->words, true) || ($descriptor->type === ValueType::Kind && Kind::fromWord($reading) !== null)) {
                return $reading;
            }
        }

        return $value;
    }
}
