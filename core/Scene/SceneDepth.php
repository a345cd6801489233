<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Text\Text;

/** A depth as programs tell it: bits of a channel, or of a whole pixel. */
final readonly class SceneDepth
{
    /** Depths that no channel has by itself, or that a pixel mostly has. */
    private const OF_PIXELS = ['24', '32', '48', '64'];

    /**
     * The depth as bits a channel. Where it is plainly told a pixel's and the channels do not divide it, it is not known.
     *
     * @param  array<string, string>  $settings
     * @param  mixed  $told  the depth as it was written
     * @param  array<string, string>  $names  how each was called where it came from
     * @param  list<string>  $strange
     * @param  list<UnknownSetting>  $unknown
     * @return array<string, string>
     */
    public static function perChannel(array $settings, mixed $told, array $names, array &$strange, array &$unknown): array
    {
        $depth = $settings['format.bit_depth'] ?? '';
        $name = strtolower($names['format.bit_depth'] ?? '');
        // floats of 32 bits are usual, and an OpenEXR knows no others but 16
        $float = ($settings['format.sample'] ?? '') === 'float' || ($settings['format.kind'] ?? '') === 'exr';
        // a plain number may be of either; words beside it mostly tell
        $plain = ! is_string($told) || preg_match('~^\s*\d+\s*(?:-?\s*bits?)?\s*(?:per pixel|bpp|/\s*pixel|colou?r)?\s*$~i', $told) === 1;
        $ofChannel = ! $plain || preg_match('~channel|component|sample~', $name) === 1 || ($depth === '32' && $float);
        if (! in_array($depth, self::OF_PIXELS, true) || $ofChannel) {
            return $settings;
        }
        $many = isset($settings['format.channels']) ? count(Channels::parse($settings['format.channels'])) : self::byAlpha($settings['format.alpha'] ?? null);
        if ($many !== null && in_array((int) $depth, [8 * $many, 16 * $many], true)) {
            return ['format.bit_depth' => (string) intdiv((int) $depth, $many)] + $settings;
        }
        unset($settings['format.bit_depth']);
        $strange[] = "format.bit_depth: {$depth} bits may be a pixel's or a channel's, and nothing tells which.";
        $unknown[] = new UnknownSetting($names['format.bit_depth'] ?? 'format.bit_depth', Text::shown($depth), 'format.bit_depth');

        return $settings;
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
