<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Names of codecs, as programs and people write them. */
final readonly class CodecName
{
    /** One word for the several that are written for one codec. */
    public static function canonical(string $text): string
    {
        $word = strtolower((string) preg_replace(['~\([^)]*\)~', '~[\s._/-]+~'], '', $text));
        $word = (string) preg_replace(
            [
                '~^(?:lib|video)(?=[a-z])~',
                '~(?:nvenc|videotoolbox|qsv|vaapi|amf|mf|cuvid|codec|encoder|video|8bit|10bit|main10|main|high10'
                    .'|high|baseline)$~',
            ],
            '',
            $word,
        );
        $word = (string) preg_replace('~(?:nvenc|videotoolbox|qsv|vaapi|amf|codec|encoder|video)$~', '', $word);

        return match (true) {
            preg_match(
                '~^(?:nvenc|qsv|hardware)?(?:h264|avc1?|x264(?:rgb)?|mpeg4avc|mpeg4part10|openh264|mpeg4h264)(?:avc'
                    .'|mpeg4avc)?$~',
                $word,
            ) === 1 => 'h264',
            preg_match('~^(?:nvenc|qsv|hardware)?(?:h265|hevc|x265|hvc1|hev1)(?:hevc|h265)?$~', $word) === 1 => 'hevc',
            preg_match('~^ap(?:c[hnso]|4[hx])$~', $word) === 1 => self::proRes($word),
            preg_match('~prores~', $word) === 1 => self::proRes(
                (string) preg_replace('~^.*?prores(?:ks|aw)?~', '', $word),
            ),
            in_array(
                $word,
                ['motionjpeg', 'mjpg', 'mjpeg', 'photojpeg', 'motionjpega', 'motionjpegb', 'jpegmotion'],
                true,
            ) => 'mjpeg',
            in_array($word, ['av1', 'av01', 'aomav1', 'aom', 'svtav1', 'rav1e', 'dav1d'], true) => 'av1',
            in_array($word, ['vp9', 'vp09', 'vpxvp9', 'vpx9'], true) => 'vp9',
            in_array($word, ['vp8', 'vp08', 'vpx', 'vpxvp8'], true) => 'vp8',
            in_array(
                $word,
                ['rle', 'qtrle', 'animation', 'animationrle', 'quicktimeanimation', 'quicktimerle'],
                true,
            ) => 'animation',
            in_array(
                $word,
                [
                    'uncompressed', 'raw', 'none', 'no', 'off', 'nocompression', 'uncompressedrgb', 'uncompressedyuv',
                    'v210raw',
                ],
                true,
            ) => 'raw',
            in_array($word, ['mpeg2', 'mpeg2v', 'm2v', 'mpeg2part2'], true) => 'mpeg2',
            in_array($word, ['mpeg4', 'mpeg4part2', 'mp4v', 'xvid', 'divx', 'mpeg4sp', 'mpeg4asp'], true) => 'mpeg4',
            default => $word,
        };
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
