<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;

/** The configuration record of AV1 (codec mapping to ISO base media, 2.3). */
final readonly class Av1Config
{
    private const PROFILES = ['Main', 'High', 'Professional'];

    public static function read(string $record): CodecFacts
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

    private static function sampling(bool $across, bool $down): string
    {
        return match (true) {
            $across && $down => '4:2:0',
            $across => '4:2:2',
            default => '4:4:4',
        };
    }
}
