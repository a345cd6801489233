<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** What codecs can and cannot do. Of one that is not known here nothing is held against it. */
final readonly class CodecCapabilities
{
    public static function canHoldAlpha(string $codec): bool
    {
        return match (true) {
            str_starts_with($codec, 'prores ') => str_contains($codec, '4444') || str_contains($codec, 'xq'),
            default => ! in_array($codec, ['h264', 'mjpeg', 'av1', 'mpeg2', 'mpeg4', 'mpeg1', 'dv', 'theora'], true),
        };
    }

    /** As they are used in the trade; rare modes of theirs that keep every bit go by other names. */
    public static function isLossy(string $codec): bool
    {
        return str_starts_with($codec, 'prores')
            || in_array(
                $codec,
                ['h264', 'hevc', 'mjpeg', 'av1', 'vp8', 'vp9', 'mpeg2', 'mpeg4', 'mpeg1', 'dv', 'theora'],
                true,
            );
    }

    /** @param  bool|null  $told  what the file's own headers say, where the codec can be either */
    public static function isLossless(string $codec, ?bool $told): bool
    {
        return in_array($codec, ['ffv1', 'png', 'animation', 'raw', 'huffyuv', 'utvideo', 'magicyuv'], true)
            || ($told === true && in_array($codec, ['h264', 'hevc'], true));
    }

    /** @return list<int>|null bits a channel that it can hold; null where nothing is known */
    public static function depths(string $codec): ?array
    {
        return match (true) {
            str_starts_with($codec, 'prores') => [8, 10, 12, 16],
            $codec === 'h264' => [8, 9, 10, 12, 14],
            $codec === 'hevc' => [8, 10, 12, 16],
            in_array($codec, ['av1', 'vp9'], true) => [8, 10, 12],
            in_array($codec, ['mjpeg'], true) => [8, 12],
            in_array($codec, ['animation', 'vp8', 'mpeg2', 'mpeg4', 'dv'], true) => [8],
            default => null,
        };
    }

    /** Whether a container can hold it. */
    public static function fits(string $codec, Kind $kind): bool
    {
        $family = explode(' ', $codec)[0];

        return match ($kind) {
            Kind::Webm => in_array($family, ['vp8', 'vp9', 'av1'], true) || ! self::isKnown($family),
            Kind::Mp4 => ! in_array($family, ['prores', 'animation', 'ffv1', 'raw', 'vp8'], true),
            Kind::Mov => ! in_array($family, ['vp8', 'vp9'], true),
            default => true,
        };
    }

    private static function isKnown(string $codec): bool
    {
        return in_array(
            $codec,
            ['h264', 'hevc', 'prores', 'mjpeg', 'animation', 'png', 'ffv1', 'raw', 'mpeg2', 'mpeg4', 'dv'],
            true,
        );
    }
}
