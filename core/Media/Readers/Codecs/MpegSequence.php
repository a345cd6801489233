<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;

/** The sequence headers of MPEG-1 and MPEG-2 (ITU-T H.262, 6.2.2) and MPEG-4 part 2 (ISO/IEC 14496-2, 6.2.3). */
final readonly class MpegSequence
{
    private const CHROMA = [1 => '4:2:0', 2 => '4:2:2', 3 => '4:4:4'];

    private const PROFILES = [1 => 'High', 2 => 'Spatially Scalable', 3 => 'SNR Scalable', 4 => 'Main', 5 => 'Simple'];

    /** Shapes as shown that a sequence names (H.262, table 6-3). */
    private const SHAPES = [2 => [4, 3], 3 => [16, 9], 4 => [221, 100]];

    /** Pixel aspects by their number (ISO/IEC 14496-2, table 6-12); 15 is followed by the two sides. */
    private const ASPECTS = [1 => [1, 1], [12, 11], [10, 11], [16, 11], [40, 33]];

    /** @param  string  $sample  the first picture, with what stands before it */
    public static function mpeg2(string $sample): CodecFacts
    {
        $at = strpos($sample, "\0\0\x01\xB3");
        if ($at === false) {
            return new CodecFacts(bitDepth: 8, channels: ['R', 'G', 'B']);
        }
        $bits = new BitReader(substr($sample, $at + 4, 8));
        [$width, $height, $shape] = [$bits->bits(12), $bits->bits(12), $bits->bits(4)];
        $extension = strpos($sample, "\0\0\x01\xB5", $at);
        if ($extension === false) {
            return new CodecFacts(null, 8, '4:2:0', ['R', 'G', 'B'], 'progressive');
        }
        $more = new BitReader(substr($sample, $extension + 4, 8));
        $more->skip(4);
        $profile = $more->bits(8);
        $isProgressive = $more->flag();
        $chroma = $more->bits(2);
        $width |= $more->bits(2) << 12;
        $height |= $more->bits(2) << 12;
        $name = ($profile & 0x80) !== 0 && $chroma === 2 ? '4:2:2' : self::PROFILES[$profile >> 4 & 7] ?? null;

        return new CodecFacts(
            $name,
            8,
            self::CHROMA[$chroma] ?? null,
            ['R', 'G', 'B'],
            $isProgressive ? 'progressive' : 'interlaced',
            shape: new CodecShape($width, $height, self::pixelAspect($shape, $width, $height)),
        );
    }

    private static function pixelAspect(int $shape, int $width, int $height): ?BigRational
    {
        if ($shape === 1) {
            return BigRational::one();
        }
        [$across, $down] = self::SHAPES[$shape] ?? [0, 0];

        return $across < 1 || $width < 1 || $height < 1
            ? null
            : BigRational::nd($across * $height, $down * $width)->simplified();
    }

    /** @param  string  $header  with the video object layer among it */
    public static function mpeg4(string $header): CodecFacts
    {
        if (preg_match('~\0\0\x01[\x20-\x2F]~', $header, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return new CodecFacts(null, 8, '4:2:0', ['R', 'G', 'B']);
        }
        $bits = new BitReader(substr($header, (int) $m[0][1] + 4));
        $bits->skip(1);
        $type = $bits->bits(8);
        $bits->skip($bits->flag() ? 7 : 0);
        $number = $bits->bits(4);
        [$across, $down] = $number === 15
            ? [$bits->bits(8), $bits->bits(8)]
            : self::ASPECTS[$number] ?? [0, 0];
        self::skipControl($bits);
        $bits->skip(3);
        $resolution = $bits->bits(16);
        $bits->skip(1);
        $bits->skip($bits->flag() ? strlen(decbin(max(1, $resolution - 1))) : 0);
        $bits->skip(1);
        $width = $bits->bits(13);
        $bits->skip(1);
        $height = $bits->bits(13);
        $bits->skip(1);

        return new CodecFacts(
            $type === 17 ? 'Advanced Simple' : null,
            8,
            '4:2:0',
            ['R', 'G', 'B'],
            $bits->flag() ? 'interlaced' : 'progressive',
            shape: new CodecShape($width, $height, self::aspect($across, $down)),
        );
    }

    private static function skipControl(BitReader $bits): void
    {
        if ($bits->flag()) {
            $bits->skip(3);
            $bits->skip($bits->flag() ? 79 : 0);
        }
    }

    private static function aspect(int $across, int $down): ?BigRational
    {
        return $across > 0 && $down > 0 ? BigRational::nd($across, $down)->simplified() : null;
    }
}
