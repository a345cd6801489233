<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\RequirementId;

/**
 * How a scene names its files, where that is told in pieces: a prefix, the order of name and number, and what the
 * program adds by itself.
 */
final readonly class SceneFileNames
{
    public const KEYS = ['naming.prefix', 'naming.order', 'naming.digits', 'naming.adds_digits'];

    /** Words for where the number stands. */
    private const ORDERS = [
        'name.#.ext' => 'name.#.ext', 'name_#.ext' => 'name_#.ext', 'name-#.ext' => 'name-#.ext',
        'name#.ext' => 'name#.ext', '#.name.ext' => '#.name.ext', '#_name.ext' => '#_name.ext',
        'name.ext.#' => 'name.ext.#', 'name.#' => 'name.#.ext', 'name_#' => 'name_#.ext', 'name#' => 'name#.ext',
    ];

    /**
     * The pieces as one name.
     *
     * @param  array<string, string>  $settings
     * @return array<string, string>
     */
    public static function joined(array $settings): array
    {
        $name = $settings[RequirementId::NAMING_PATTERN] ?? $settings['naming.prefix'] ?? null;
        if ($name === null || $name === '') {
            return $settings;
        }

        return [RequirementId::NAMING_PATTERN => self::numbered($name, $settings)] + $settings;
    }

    /** @param  array<string, string>  $settings */
    private static function numbered(string $name, array $settings): string
    {
        $order = self::order($settings['naming.order'] ?? null);
        $digits = self::digits($settings['naming.digits'] ?? null);
        $added = self::digits($settings['naming.adds_digits'] ?? null);
        $count = $digits ?? $added ?? 0;
        $noneAdded = $digits === null && $added === 0;
        $untold = $order === null
            && ($noneAdded || ($digits === null && $added === null) || ($count === 0 && $added === 0));
        if ($untold || str_contains($name, '{frame')) {
            return $name;
        }
        [$bare, $extension] = self::split($name, $settings[RequirementId::FORMAT_KIND] ?? null);
        $number = $count > 0 ? "{frame:{$count}}" : '{frame}';

        return strtr($order ?? 'name#.ext', ['name' => $bare, '#' => $number, '.ext' => $extension]);
    }

    private static function order(?string $order): ?string
    {
        if ($order === null || trim($order) === '') {
            return null;
        }
        $plain = strtolower(
            (string) preg_replace(
                [
                    '~\s+~',
                    '~#+|%0?\d*d|\{frame(?::\d+)?\}|\b(?:number|frame|num|nnnn)\b|0{2,}~i',
                    '~\b(?:prefix|base|basename|filename)\b~i',
                    '~\b(?:extension|ext|suffix)\b~i',
                ],
                ['', '#', 'name', 'ext'],
                $order,
            ),
        );

        return self::ORDERS[$plain]
            ?? (
                preg_match('~^[#._a-z-]+$~', $plain) === 1
                && str_contains($plain, 'name')
                && str_contains($plain, '#') ? $plain : null
            );
    }

    /** How many; 0 for none; null where it is not told. Only that there are some is told by a word. */
    private static function digits(?string $told): ?int
    {
        return match (true) {
            $told === null || $told === '' => null,
            preg_match('~^(\d{1,2})(?:\s*digits?)?$~', $told, $m) === 1 => (int) $m[1],
            preg_match('~^#{1,18}$|^0{1,18}$~', $told) === 1 => strlen($told),
            in_array(strtolower($told), ['no', 'off', 'none', 'false', 'unchecked'], true) => 0,
            default => null,
        };
    }

    /** @return array{string, string} the name without its extension, and the extension with its dot */
    private static function split(string $name, ?string $kind): array
    {
        if (preg_match('~^(.+)(\.(?:[A-Za-z][A-Za-z0-9]{1,4}|\{ext\}))$~', $name, $m) === 1) {
            return [$m[1], $m[2]];
        }
        $usual = \PlainLedger\Core\Media\Kind::tryFrom($kind ?? '')?->usualExtension();

        return [$name, $usual === null ? '' : ".{$usual}"];
    }
}
