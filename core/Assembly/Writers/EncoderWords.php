<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly\Writers;

use PlainLedger\Core\Assembly\EncodedPicture;
use PlainLedger\Core\Assembly\RecipeRefused;

/** What codecs and kinds of pixels are called by the encoder that command lines are written for. */
final readonly class EncoderWords
{
    private const CODECS = [
        'h264' => 'libx264', 'hevc' => 'libx265', 'mjpeg' => 'mjpeg', 'animation' => 'qtrle', 'png' => 'png',
        'ffv1' => 'ffv1', 'av1' => 'libaom-av1', 'vp9' => 'libvpx-vp9', 'vp8' => 'libvpx', 'mpeg2' => 'mpeg2video',
        'mpeg4' => 'mpeg4', 'raw' => 'rawvideo', 'v210' => 'v210', 'huffyuv' => 'huffyuv', 'utvideo' => 'utvideo',
        'mpeg1' => 'mpeg1video',
    ];

    private const PRORES = ['422proxy' => 0, '422lt' => 1, '422' => 2, '422hq' => 3, '4444' => 4, '4444xq' => 5];

    /**
     * @return list<string>
     *
     * @throws RecipeRefused
     */
    public static function codec(EncodedPicture $encoded): array
    {
        [$family, $kind] = [...explode(' ', $encoded->codec, 2), ''];
        if ($family === 'prores') {
            $profile = (string) (self::PRORES[$kind === '' ? '422hq' : str_replace(' ', '', $kind)] ?? 3);

            return ['-c:v', 'prores_ks', '-profile:v', $profile, '-vendor', 'apl0'];
        }
        $word = self::CODECS[$encoded->codec]
            ?? throw RecipeRefused::because("no command line is known here for {$encoded->codec}");

        return ['-c:v', $word, ...self::quality($encoded->codec)];
    }

    /** @return list<string> */
    private static function quality(string $codec): array
    {
        return match ($codec) {
            'mjpeg' => ['-q:v', '2'],
            'ffv1' => ['-level', '3', '-slicecrc', '1'],
            // the tag by which players know it
            'hevc' => ['-tag:v', 'hvc1'],
            'vp9' => ['-row-mt', '1'],
            default => [],
        };
    }

    /** @return list<string> for a high quality that stays the same */
    public static function constantQuality(string $codec): array
    {
        return match ($codec) {
            'h264' => ['-crf', '16'],
            'hevc' => ['-crf', '18'],
            'av1', 'vp9' => ['-crf', '18', '-b:v', '0'],
            'vp8' => ['-crf', '8', '-b:v', '50M'],
            'mpeg2', 'mpeg4', 'mpeg1' => ['-q:v', '2'],
            default => [],
        };
    }

    public static function pixels(EncodedPicture $encoded): string
    {
        return $encoded->chroma === null ? self::colours($encoded) : self::yuv($encoded, $encoded->chroma);
    }

    private static function yuv(EncodedPicture $encoded, string $chroma): string
    {
        $plain = str_replace(':', '', $chroma);
        if (str_starts_with($encoded->codec, 'prores')) {
            return ($encoded->hasAlpha ? 'yuva444' : "yuv{$plain}").'p10le';
        }
        $lead = match (true) {
            $encoded->codec === 'mjpeg' => 'yuvj',
            $encoded->hasAlpha => 'yuva',
            default => 'yuv',
        };

        return "{$lead}{$plain}p".($encoded->depth > 8 ? "{$encoded->depth}le" : '');
    }

    private static function colours(EncodedPicture $encoded): string
    {
        $isDeep = $encoded->depth > 8;

        // without alpha, and with it
        $words = match (true) {
            $encoded->codec === 'animation' => ['rgb24', 'argb'],
            $encoded->codec === 'ffv1' && $isDeep => ['gbrp16le', 'gbrap16le'],
            $encoded->codec === 'ffv1' => ['bgr0', 'bgra'],
            $encoded->codec === 'raw' => ['bgr24', 'bgra'],
            $isDeep => ['rgb48be', 'rgba64be'],
            default => ['rgb24', 'rgba'],
        };

        return $words[(int) $encoded->hasAlpha];
    }
}
