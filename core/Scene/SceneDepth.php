<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** A depth as programs tell it: bits of a channel, or of a whole pixel. */
final readonly class SceneDepth
{
    /** Depths that no channel has by itself, or that a pixel mostly has. */
    private const OF_PIXELS = ['24', '32', '48', '64'];

    /**
     * The depth as bits a channel. Where it is plainly told a pixel's and the channels do not divide it, it is not
     * known.
     *
     * @param  array<string, string>  $settings
     * @param  mixed  $told  the depth as it was written
     * @param  array<string, string>  $names  how each was called where it came from
     * @return array<string, string>
     */
    public static function perChannel(array $settings, mixed $told, array $names, Understood $read): array
    {
        $id = RequirementId::FORMAT_BIT_DEPTH;
        $depth = $settings[$id] ?? '';
        if (! in_array($depth, self::OF_PIXELS, true) || self::isOfChannel($settings, $told, $names[$id] ?? '')) {
            return $settings;
        }
        $many = isset($settings[RequirementId::FORMAT_CHANNELS])
            ? count(Channels::parse($settings[RequirementId::FORMAT_CHANNELS]))
            : self::byAlpha($settings[RequirementId::FORMAT_ALPHA] ?? null);
        if ($many !== null && in_array((int) $depth, [8 * $many, 16 * $many], true)) {
            return [$id => (string) intdiv((int) $depth, $many)] + $settings;
        }
        $read->note(
            "format.bit_depth: {$depth} bits may be a pixel's or a channel's, and nothing tells which.",
            new UnknownSetting($names[$id] ?? $id, Text::shown($depth), $id),
        );

        return array_diff_key($settings, [$id => true]);
    }

    /**
     * A plain number may be of either; words beside it, and its name, mostly tell. Floats of 32 bits are usual, and an
     * OpenEXR knows no others but 16.
     *
     * @param  array<string, string>  $settings
     */
    private static function isOfChannel(array $settings, mixed $told, string $name): bool
    {
        $float = ($settings[RequirementId::FORMAT_SAMPLE] ?? '') === 'float'
            || ($settings[RequirementId::FORMAT_KIND] ?? '') === 'exr';
        $plain = ! is_string($told)
            || preg_match('~^\s*\d+\s*(?:-?\s*bits?)?\s*(?:per pixel|bpp|/\s*pixel|colou?r)?\s*$~i', $told) === 1;

        return ! $plain
            || preg_match('~channel|component|sample~i', $name) === 1
            || ($settings[RequirementId::FORMAT_BIT_DEPTH] === '32' && $float);
    }

    private static function byAlpha(?string $alpha): ?int
    {
        return match ($alpha) {
            null => null,
            'none' => 3,
            default => 4,
        };
    }
}
