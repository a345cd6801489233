<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;

/** The configuration record of AV1 (codec mapping to ISO base media, 2.3) and of VP9 (2.2 of its own). */
final readonly class Av1Config
{
    private const PROFILES = ['Main', 'High', 'Professional'];

    public static function av1(string $record): CodecFacts
    {
        if (strlen($record) < 4) {
            return new CodecFacts;
        }
        $flags = ord($record[2]);
        $depth = match (true) {
            ($flags & 0x60) === 0x60 => 12,
            ($flags & 0x40) !== 0 => 10,
            default => 8,
        };
        $isGrey = ($flags & 0x10) !== 0;

        return new CodecFacts(
            self::PROFILES[ord($record[1]) >> 5] ?? null,
            $depth,
            $isGrey ? null : self::sampling(($flags & 8) !== 0, ($flags & 4) !== 0),
            $isGrey ? ['Y'] : ['R', 'G', 'B'],
            'progressive',
        );
    }

    /** @param  string  $record  after version and flags of its box */
    public static function vp9(string $record): CodecFacts
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
    public static function vp9Frame(string $frame): CodecFacts
    {
        $bits = new BitReader($frame);
        if ($bits->bits(2) !== 2) {
            return new CodecFacts;
        }
        $profile = $bits->bit() + 2 * $bits->bit();
        $bits->skip($profile === 3 ? 1 : 0);
        if ($bits->flag() || $bits->flag()) {
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
            default => $bits->skip(1) ?? self::sampling($bits->flag(), $bits->flag()),
        };

        return new CodecFacts("Profile {$profile}", $depth, $chroma, ['R', 'G', 'B'], 'progressive');
    }

    private static function sampling(bool $across, bool $down): string
    {
        return match (true) {
            $across && $down => '4:2:0',
            $across => '4:2:2',
            default => '4:4:4',
        };
    }
}
