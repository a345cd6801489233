<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;

/** The configuration record of VP9 (codec mapping to ISO base media, 2.2), and the head of a frame. */
final readonly class Vp9Config
{
    /** @param  string  $record  after version and flags of its box */
    public static function ofRecord(string $record): CodecFacts
    {
        if (strlen($record) < 6) {
            return new CodecFacts;
        }
        $chroma = ord($record[2]) >> 1 & 7;

        return new CodecFacts(
            'Profile '.ord($record[0]),
            ord($record[2]) >> 4,
            match ($chroma) {
                2 => '4:2:2',
                3 => '4:4:4',
                default => '4:2:0',
            },
            ['R', 'G', 'B'],
            'progressive',
            [ord($record[3]), ord($record[4])],
        );
    }

    /** By the first frame, where there is no record (VP9 bitstream specification, 6.2). */
    public static function ofFrame(string $frame): CodecFacts
    {
        $bits = new BitReader($frame);
        if ($bits->bits(2) !== 2) {
            return new CodecFacts;
        }
        $profile = $bits->bit() + 2 * $bits->bit();
        $bits->skip($profile === 3 ? 1 : 0);
        $isOld = $bits->flag();
        if ($isOld || $bits->flag()) {
            return new CodecFacts("Profile {$profile}", scan: 'progressive');
        }
        $bits->skip(2 + 24);
        $depth = match (true) {
            $profile < 2 => 8,
            $bits->flag() => 12,
            default => 10,
        };
        $space = $bits->bits(3);
        $chroma = match (true) {
            $space === 7 => '4:4:4',
            $profile % 2 === 0 => '4:2:0',
            default => self::samplingAfterRange($bits),
        };

        return new CodecFacts("Profile {$profile}", $depth, $chroma, ['R', 'G', 'B'], 'progressive');
    }

    /** Behind the bit that says how far the numbers reach. */
    private static function samplingAfterRange(BitReader $bits): string
    {
        $bits->skip(1);
        $across = $bits->flag();

        return match (true) {
            $across && $bits->flag() => '4:2:0',
            $across => '4:2:2',
            default => '4:4:4',
        };
    }
}
