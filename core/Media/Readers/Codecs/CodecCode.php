<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

/** The four letters, and the names of Matroska, by which containers call codecs. */
final readonly class CodecCode
{
    private const PICTURES = [
        'h264' => ['avc1', 'avc2', 'avc3', 'avc4', 'h264', 'x264', 'davc', 'vssh'],
        'hevc' => ['hvc1', 'hev1', 'hvc2', 'hev2', 'dvh1', 'dvhe', 'hevc', 'h265', 'hm10'],
        'prores' => ['apch', 'apcn', 'apcs', 'apco', 'ap4h', 'ap4x'],
        'mjpeg' => ['jpeg', 'mjpa', 'mjpb', 'mjpg', 'avdj', 'dmb1', 'jpgl', 'ljpg'],
        'png' => ['png', 'mpng'],
        'animation' => ['rle'],
        'av1' => ['av01'],
        'vp9' => ['vp09', 'vp90'],
        'vp8' => ['vp08', 'vp80'],
        'ffv1' => ['ffv1'],
        'dnxhd' => ['avdn', 'avdh'],
        'mpeg4' => ['mp4v', 'xvid', 'divx', 'dx50', 'fmp4', '3iv2', 'mp4s'],
        'mpeg2' => ['mp2v', 'm2v1', 'mpg2', 'mpeg', 'm2t1', 'hdv1', 'hdv2', 'hdv3', 'mx5p', 'mx5n', 'mx3p', 'mx3n'],
        'mpeg1' => ['m1v', 'mp1v', 'mpg1', 'm1v1'],
        'dv' => [
            'dvc', 'dvcp', 'dvpp', 'dv5n', 'dv5p', 'dvh1', 'dvh2', 'dvh3', 'dvh5', 'dvh6', 'dvhp', 'dvhq', 'dvsd',
            'dvhd', 'dvsl', 'dv25', 'dv50', 'avdv',
        ],
        'jpeg2000' => ['mjp2', 'mj2c', 'lj2c'],
        'huffyuv' => ['hfyu', 'ffvh'],
        'utvideo' => ['ulrg', 'ulra', 'uly0', 'uly2', 'uly4', 'ulh0', 'ulh2', 'ulh4', 'ul4h'],
        'magicyuv' => ['m8rg', 'm8ra', 'm8y0', 'm8y2', 'm8y4'],
        'theora' => ['theo'],
    ];

    /** Names of Matroska (RFC 9559, section 5.1.4.1.21, and its codec mappings). */
    private const NAMES = [
        'V_MPEG4/ISO/AVC' => 'h264', 'V_MPEGH/ISO/HEVC' => 'hevc', 'V_AV1' => 'av1', 'V_VP9' => 'vp9',
        'V_VP8' => 'vp8', 'V_FFV1' => 'ffv1', 'V_MJPEG' => 'mjpeg', 'V_PRORES' => 'prores', 'V_UNCOMPRESSED' => 'raw',
        'V_MPEG4/ISO/SP' => 'mpeg4', 'V_MPEG4/ISO/ASP' => 'mpeg4', 'V_MPEG4/ISO/AP' => 'mpeg4', 'V_MPEG2' => 'mpeg2',
        'V_MPEG1' => 'mpeg1', 'V_THEORA' => 'theora',
    ];

    private const SOUND = [
        'aac' => ['mp4a', 'A_AAC'], 'alac' => ['alac', 'A_ALAC'], 'ac-3' => ['ac-3', 'A_AC3', 'sac3'],
        'e-ac-3' => ['ec-3', 'A_EAC3'], 'opus' => ['opus', 'A_OPUS'], 'flac' => ['flac', 'A_FLAC'],
        'mp3' => ['.mp3', 'A_MPEG/L3'], 'mp2' => ['.mp2', 'A_MPEG/L2'], 'vorbis' => ['A_VORBIS'],
        'a-law' => ['alaw'], 'mu-law' => ['ulaw'], 'dts' => ['dtsc', 'dtsh', 'dtsl', 'A_DTS'], 'adpcm' => ['ima4'],
        'pcm' => [
            'sowt', 'twos', 'in24', 'in32', 'lpcm', 'ipcm', 'raw ', 'none', 'A_PCM/INT/LIT', 'A_PCM/INT/BIG',
        ],
        'pcm float' => ['fl32', 'fl64', 'fpcm', 'A_PCM/FLOAT/IEEE'],
    ];

    /** @param  string  $code  four letters, as they stand in the file */
    public static function picture(string $code): string
    {
        $plain = strtolower(trim($code, " \0"));
        if (in_array($code, ['raw ', "\0\0\0\0", 'none', 'NONE'], true) || RawPictures::isOne($code)) {
            return 'raw';
        }
        // a code of four letters is its own before it is another's in capitals
        if ($plain === 'dvh1' && $code === 'dvh1') {
            return 'hevc';
        }
        if (preg_match('~^(?:xdv|xd5|hdv)~', $plain) === 1) {
            return 'mpeg2';
        }
        foreach (self::PICTURES as $codec => $codes) {
            if (in_array($plain, $codes, true)) {
                return $codec;
            }
        }
        $shown = (string) preg_replace('~[^a-z0-9 ._-]~', '?', $plain);

        return $shown === '' ? 'unknown' : $shown;
    }

    /** @param  string  $name  as a Matroska track calls it */
    public static function named(string $name): string
    {
        return self::NAMES[$name] ?? strtolower((string) preg_replace(['~^V_~', '~[^A-Za-z0-9 ._/-]~'], '', $name));
    }

    /** @param  string  $code  four letters, or a name of Matroska */
    public static function sound(string $code): string
    {
        $plain = str_starts_with($code, 'A_') ? $code : strtolower($code);
        foreach (self::SOUND as $codec => $codes) {
            foreach ($codes as $one) {
                if ($plain === $one || (str_starts_with($one, 'A_AAC') && str_starts_with($plain, 'A_AAC'))) {
                    return $codec;
                }
            }
        }

        return trim((string) preg_replace(['~^A_~', '~[^a-z0-9 ._/-]~i'], '', strtolower($plain))) ?: 'unknown';
    }
}
