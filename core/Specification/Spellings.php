<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Naming\NamePattern;

/** What people of the trade, and programs, also write for a value, and the word it is kept by. */
final readonly class Spellings
{
    /**
     * Patterns and what stands for them, by id: units that the value is counted by anyway, and other forms of a number.
     */
    private const REWRITTEN = [
        RequirementId::PICTURE_SCALE => [['~\s*percent$~i'], ['']],
        RequirementId::PICTURE_DENSITY => [
            ['~\s*(?:dpi|ppi|(?:pixels|dots)(?:\s+(?:per|an|a|to the)\s+|/)inch)$~i'],
            [''],
        ],
        RequirementId::TIME_RATE => [
            [
                '~^(\d{2}),(\d{1,3})\b~',
                '~^(\d+(?:\.\d+)?)\s*(?:fps)?\s*\(?(?:drop|non-?drop|df|ndf|progressive|film|pal|ntsc)[ '
                    .'-]?(?:frame)?\)?$~i',
            ],
            ['$1.$2', '$1'],
        ],
        RequirementId::TIME_SPEED => [['~^(\d+(?:\.\d+)?)\s*(?:%|percent)$~'], ['$1/100']],
        RequirementId::TIME_HANDLES => [
            [
                '~^(?:head|pre)\s*[:=]?\s*(\d+)\s*(?:frames?)?\s*[,;]?\s*(?:and\s+)?(?:tail'
                    .'|post)\s*[:=]?\s*(\d+)(?:\s*frames?)?$~i',
                '~\s*frames?(?:\s+(?:each|at each end|on both ends|head and tail))?$~i',
            ],
            ['$1+$2', ''],
        ],
        RequirementId::FORMAT_QUALITY => [['~\s*(?:%|percent)$~', '~^(\d{1,3})\s*/\s*100$~'], ['', '$1']],
    ];

    /** Of these the first pattern holds whatever white space stands around the text. */
    private const TRIMMED = [RequirementId::TIME_SPEED, RequirementId::TIME_HANDLES];

    /** What is left of a value once everything but letters, digits and a few signs is taken out of it. */
    private const NOISE = '~[\s._,()\[\]{}"\'’“”-]+~u';

    /** The text itself where nothing else is usual for it. */
    public static function usual(string $id, string $text): string
    {
        $plain = mb_strtolower((string) preg_replace(self::NOISE, '', $text));
        $usual = UsualSpellings::BY_ID[$id][$plain] ?? null;
        if ($usual !== null) {
            return $usual;
        }
        if (isset(self::REWRITTEN[$id])) {
            return self::rewritten($id, $text);
        }

        return match ($id) {
            RequirementId::PICTURE_RESOLUTION => self::named($text),
            RequirementId::AUDIO_CHANNELS => self::surround($text),
            RequirementId::AUDIO_SAMPLE_RATE => self::hertz($text),
            RequirementId::NAMING_PATTERN => self::sceneName($text),
            default => $text,
        };
    }

    private static function rewritten(string $id, string $text): string
    {
        [$patterns, $replacements] = self::REWRITTEN[$id];
        $trimmed = in_array($id, self::TRIMMED, true) && preg_match($patterns[0], trim($text)) === 1;

        return (string) preg_replace($patterns, $replacements, $trimmed ? trim($text) : $text);
    }

    /** `5.1` is six channels. */
    private static function surround(string $text): string
    {
        return preg_match('~^([257])\.([01])(?:\s*(?:surround|channels?))?$~i', trim($text), $m) === 1
            ? (string) ((int) $m[1] + (int) $m[2])
            : $text;
    }

    private static function sceneName(string $text): string
    {
        $counted = preg_match('~#|%0?\d*d~', $text) === 1 && ! str_contains($text, '{frame');

        return $counted ? (string) NamePattern::parseSceneName($text) : $text;
    }

    /** `Full HD (1920 x 1080)`, `HD 1080p25`, `UHD-1 4K` */
    private static function named(string $text): string
    {
        if (preg_match('~(?<![\d-])(\d{2,5})\s*[x×*]\s*(\d{2,5})(?!\d)~u', $text, $m) === 1) {
            return "{$m[1]}x{$m[2]}";
        }
        $plain = strtolower(
            (string) preg_replace(
                self::NOISE,
                '',
                (string) preg_replace('~(?<=\d)[pi]\d{2}(?:[.,]\d+)?$~i', 'p', trim($text)),
            ),
        );

        return UsualSpellings::BY_ID[RequirementId::PICTURE_RESOLUTION][$plain] ?? $text;
    }

    /** What stands for yes and for no wherever either can stand; null for any other word. */
    public static function truth(string $text): ?bool
    {
        return match (mb_strtolower(trim($text, " \t\"'."))) {
            'yes', 'on', 'true', '1', 'y', 't', 'enabled', 'enable', 'active', 'activated', 'checked', 'ticked',
            'selected', 'set', 'used', 'x', '✓', '✔', '☑', '[x]', '1.0', 'always' => true,
            'no', 'off', 'false', '0', 'n', 'f', 'disabled', 'disable', 'inactive', 'deactivated', 'unchecked',
            'not checked', 'unticked', 'not ticked', 'deselected', 'unselected', 'unset', 'not set', 'not used',
            'none', 'nothing', '✗', '✘', '☐', '[ ]', '[]', '-', '–', '', '0.0', 'never', 'without' => false,
            default => null,
        };
    }

    /** `48 kHz`, `44.1k`, `48000 Hz`, `48,000` */
    private static function hertz(string $text): string
    {
        if (preg_match('~^(\d{1,4})(?:[.,](\d{1,3}))?\s*k(?:hz|ilohertz)?$~i', trim($text), $m) === 1) {
            return (string) ((int) $m[1] * 1000 + (int) str_pad($m[2] ?? '', 3, '0'));
        }

        return (string) preg_replace(['~\s*(?:hz|hertz)$~i', '~^(\d{1,3})[,. ](\d{3})$~'], ['', '$1$2'], trim($text));
    }
}
