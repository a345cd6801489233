<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\Movie\SoundTrack;

/** The description of sound that WAVE files, AVI and others share: plain, and with its extension. */
final readonly class WaveFormat
{
    private const EXTENSIBLE = 0xFFFE;

    private const FLOAT = 3;

    private const PCM = 1;

    private const CODECS = [
        self::PCM => 'pcm', 2 => 'adpcm', self::FLOAT => 'pcm float', 6 => 'a-law', 7 => 'mu-law', 0x11 => 'adpcm',
        0x50 => 'mp2', 0x55 => 'mp3', 0xFF => 'aac', 0x2000 => 'ac-3', 0xF1AC => 'flac',
    ];

    public static function read(string $format): SoundTrack
    {
        $tag = ByteOrder::Little->u16($format);
        $bits = ByteOrder::Little->u16($format, 14);
        if ($tag === self::EXTENSIBLE) {
            $valid = ByteOrder::Little->u16($format, 18);
            $bits = $valid > 0 && $valid <= $bits ? $valid : $bits;
            $tag = ByteOrder::Little->u16($format, 24);
        }
        $isPlain = $tag === self::PCM || $tag === self::FLOAT;

        return new SoundTrack(
            ByteOrder::Little->u32($format, 4),
            ByteOrder::Little->u16($format, 2),
            $isPlain && $bits > 0 ? $bits : null,
            self::CODECS[$tag] ?? sprintf('tag %04x', $tag),
        );
    }
}
