<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\Movie\CodecFacts;

/** The header of a VC-3 picture (SMPTE ST 2019-1, 6.3). */
final readonly class DnxFrame
{
    public const LENGTH = 640;

    private const PROFILES = [
        1270 => '444', 1271 => 'HQX', 1272 => 'HQ', 1273 => 'SQ', 1274 => 'LB',
    ];

    public static function read(string $frame): CodecFacts
    {
        if (strlen($frame) < 0x2D) {
            return new CodecFacts(channels: ['R', 'G', 'B']);
        }
        $id = ByteOrder::Big->u32($frame, 0x28);
        $isFull = $id === 1256 || ($id === 1270 && (ord($frame[0x2C]) & 0x40) !== 0);

        return new CodecFacts(
            self::PROFILES[$id] ?? ($id > 0 ? (string) $id : null),
            match (ord($frame[0x21]) >> 5) {
                1 => 8,
                2 => 10,
                3 => 12,
                default => null,
            },
            $isFull ? '4:4:4' : '4:2:2',
            ['R', 'G', 'B'],
            (ord($frame[5]) & 2) === 0 ? 'progressive' : 'interlaced',
        );
    }
}
