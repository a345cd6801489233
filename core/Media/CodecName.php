<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Names of codecs, as programs and people write them. */
final readonly class CodecName
{
    private const FAMILIES = [
        'h264' => '~^(?:nvenc|qsv|hardware)?(?:h264|avc1?|x264(?:rgb)?|mpeg4avc|mpeg4part10|openh264|mpeg4h264)'
            .'(?:avc|mpeg4avc)?$~',
        'hevc' => '~^(?:nvenc|qsv|hardware)?(?:h265|hevc|x265|hvc1|hev1)(?:hevc|h265)?$~',
    ];

    private const WORDS = [
        'mjpeg' => ['motionjpeg', 'mjpg', 'mjpeg', 'photojpeg', 'motionjpega', 'motionjpegb', 'jpegmotion'],
        'av1' => ['av1', 'av01', 'aomav1', 'aom', 'svtav1', 'rav1e', 'dav1d'],
        'vp9' => ['vp9', 'vp09', 'vpxvp9', 'vpx9'],
        'vp8' => ['vp8', 'vp08', 'vpx', 'vpxvp8'],
        'animation' => ['rle', 'qtrle', 'animation', 'animationrle', 'quicktimeanimation', 'quicktimerle'],
        'raw' => [
            'uncompressed', 'raw', 'none', 'no', 'off', 'nocompression', 'uncompressedrgb', 'uncompressedyuv',
            'v210raw',
        ],
        'mpeg2' => ['mpeg2', 'mpeg2v', 'm2v', 'mpeg2part2'],
        'mpeg4' => ['mpeg4', 'mpeg4part2', 'mp4v', 'xvid', 'divx', 'mpeg4sp', 'mpeg4asp'],
    ];

    /** One word for the several that are written for one codec. */
    public static function canonical(string $text): string
    {
        $word = self::plain($text);
        foreach (self::FAMILIES as $one => $expression) {
            if (preg_match($expression, $word) === 1) {
                return $one;
            }
        }
        if (preg_match('~^ap(?:c[hnso]|4[hx])$~', $word) === 1) {
            return self::proRes($word);
        }
        if (str_contains($word, 'prores')) {
            return self::proRes((string) preg_replace('~^.*?prores(?:ks|aw)?~', '', $word));
        }
        foreach (self::WORDS as $one => $several) {
            if (in_array($word, $several, true)) {
                return $one;
            }
        }

        return $word;
    }

    /** Without what is said of the encoder, the depth and the profile. */
    private static function plain(string $text): string
    {
        $word = strtolower((string) preg_replace(['~\([^)]*\)~', '~[\s._/-]+~'], '', $text));

        return (string) preg_replace(
            [
                '~^(?:lib|video)(?=[a-z])~',
                '~(?:nvenc|videotoolbox|qsv|vaapi|amf|mf|cuvid|codec|encoder|video|8bit|10bit|main10|main|high10'
                    .'|high|baseline)$~',
                '~(?:nvenc|videotoolbox|qsv|vaapi|amf|codec|encoder|video)$~',
            ],
            '',
            $word,
        );
    }

    /** `prores`, `prores 4444`, `prores 422 hq` as one word each: `prores 422hq`. */
    private static function proRes(string $kind): string
    {
        $kind = [
            'standard' => '422', 'std' => '422', 'hq' => '422hq', 'lt' => '422lt', 'proxy' => '422proxy',
            'apch' => '422hq', 'apcn' => '422', 'apcs' => '422lt', 'apco' => '422proxy', 'ap4h' => '4444',
            'ap4x' => '4444xq', 'xq' => '4444xq', '422standard' => '422',
        ][$kind]
            ?? $kind;

        return $kind === '' ? 'prores' : "prores {$kind}";
    }
}
