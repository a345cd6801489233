<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** What people and programs write for kinds of files, beside their extensions. */
final readonly class KindWords
{
    private const WORDS = [
        'exr' => [
            'openexr', 'exrmultilayer', 'multilayerexr', 'exrmultilayered', 'openexrmultilayer', 'multilayeropenexr',
            'exrmultipart', 'openexrmultipart', 'exr16', 'exr32', 'halfexr',
        ],
        'tga' => ['targa', 'truevisiontga', 'targatga'],
        'mkv' => ['matroska', 'matroskamkv', 'xmatroska'],
        'mp4' => [
            'mpeg4', 'mpeg4mp4', 'mp4mpeg4', 'mpeg4part14', 'mp4h264', 'mpeg4h264', 'h264mp4', 'mpeg4video', 'isomp4',
        ],
        'png' => ['portablenetworkgraphics', 'png8', 'png24', 'png32', 'png16', 'png48', 'png64', 'apng'],
        'jpeg' => ['jpegjpg', 'jpg/jpeg', 'jpeg/jpg', 'pjpeg', 'jpegfile'],
        'tiff' => [
            'tifftif', 'tif/tiff', 'tiff/tif', 'taggedimagefile', 'taggedimage', 'tagged', 'tiff16', 'bigtiff',
        ],
        'bmp' => ['windowsbitmap', 'windows', 'bitmap', 'devicebitmap', 'bmpbitmap'],
        'avi' => ['audiovideointerleave', 'avifile', 'msvideo'],
        'mxf' => ['materialexchange', 'materialexchangeformat', 'mxfop1a'],
        'wav' => ['wave', 'wavaudio', 'waveform', 'broadcastwave'],
        'dpx' => ['smptedpx', 'dpx10', 'dpx10bit'],
    ];

    /** What stands around the word: `PNG sequence`, `OpenEXR (multilayer)`, `MOV movie`, `image/png`. */
    private const AROUND = [
        '~\s*\([^)]*\)\s*$~',
        '~^\s*(?:image|video|audio)/(?:x-)?~',
        '~^[*.\s]+~',
        '~[\s_-]+(?:image|picture|video|movie|still|frame|file|numbered)?\s*(?:sequences?|files?|frames?'
            .'|images?|pictures?|movies?|videos?|format|container|clips?|stills?|bitmap)$~',
        '~^(?:still|single|numbered)\s+~',
    ];

    /** The container of brand `qt` (ISO/IEC 14496-12 registry), by its initials or its name of two words. */
    private const BRAND_QT = '~^(?:mov/?)?(?:qt|q[a-z]{4}t[a-z]{3})(?:mov|movie|file)?$~';

    /** The word alone, in lower case and without what parts it. */
    public static function plain(string $text): string
    {
        $word = (string) preg_replace(self::AROUND, '', mb_strtolower(trim($text)));

        return (string) preg_replace('~[\s._-]+~', '', $word);
    }

    /** @param  string  $plain  as {@see plain} makes it */
    public static function kindOf(string $plain): ?Kind
    {
        if (preg_match(self::BRAND_QT, $plain) === 1) {
            return Kind::Mov;
        }
        foreach (self::WORDS as $kind => $words) {
            if (in_array($plain, $words, true)) {
                return Kind::from($kind);
            }
        }

        return null;
    }
}
