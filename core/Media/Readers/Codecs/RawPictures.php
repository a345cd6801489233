<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;

/** Pictures that nothing packs: what their four letters say, or the bits of each pixel. */
final readonly class RawPictures
{
    /** Bits a channel, chroma (nothing for red, green and blue), alpha, by four letters. */
    private const FORMS = [
        'v210' => [10, '4:2:2', false], 'v216' => [16, '4:2:2', false], '2vuy' => [8, '4:2:2', false],
        'UYVY' => [8, '4:2:2', false], 'YUY2' => [8, '4:2:2', false], 'yuvs' => [8, '4:2:2', false],
        'yuv2' => [8, '4:2:2', false], 'Y422' => [8, '4:2:2', false], 'HDYC' => [8, '4:2:2', false],
        'v308' => [8, '4:4:4', false], 'v408' => [8, '4:4:4', true], 'v410' => [10, '4:4:4', false],
        'y408' => [8, '4:4:4', true], 'I420' => [8, '4:2:0', false], 'IYUV' => [8, '4:2:0', false],
        'YV12' => [8, '4:2:0', false], 'yv12' => [8, '4:2:0', false], 'NV12' => [8, '4:2:0', false],
        'r210' => [10, '4:4:4', false], 'R10k' => [10, '4:4:4', false], 'R10g' => [10, '4:4:4', false],
        'b48r' => [16, '4:4:4', false], 'b64a' => [16, '4:4:4', true], 'b16g' => [16, null, false],
        'RGBA' => [8, '4:4:4', true], 'ABGR' => [8, '4:4:4', true], 'BGRA' => [8, '4:4:4', true],
        'ARGB' => [8, '4:4:4', true], '24BG' => [8, '4:4:4', false], 'Y800' => [8, null, false],
        'GREY' => [8, null, false], 'b32a' => [16, null, true],
    ];

    private const BY_BITS = [
        16 => [5, '4:4:4', false], 24 => [8, '4:4:4', false], 32 => [8, '4:4:4', true],
        48 => [16, '4:4:4', false], 64 => [16, '4:4:4', true],
    ];

    public static function isOne(string $code): bool
    {
        return isset(self::FORMS[$code]);
    }

    /** @return array{int|null, string|null, bool} depth, chroma and alpha by the bits of a pixel */
    private static function ofBits(int $bits): array
    {
        return self::BY_BITS[$bits] ?? match (true) {
            $bits > 32 && $bits <= 40 => [$bits - 32, null, false],
            $bits > 0 && $bits <= 8 => [$bits, '4:4:4', false],
            default => [null, null, false],
        };
    }

    /** @param  int  $bits  of a pixel, as the container tells them; above 32 greys of so many less */
    public static function read(string $code, int $bits): CodecFacts
    {
        [$depth, $chroma, $alpha] = self::FORMS[$code] ?? self::ofBits($bits);
        $channels = $chroma === null && $depth !== null ? ['Y'] : ['R', 'G', 'B'];

        return new CodecFacts(
            self::isOne($code) ? $code : null,
            $depth,
            $chroma,
            $alpha ? [...$channels, 'A'] : $channels,
            null,
            shape: new CodecShape(isLossless: true),
        );
    }
}
