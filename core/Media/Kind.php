<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** What a file is by its content. */
enum Kind: string
{
    case Png = 'png';
    case Jpeg = 'jpeg';
    case Tiff = 'tiff';
    case Exr = 'exr';
    case Tga = 'tga';
    case Dpx = 'dpx';
    case Bmp = 'bmp';
    case Webp = 'webp';
    case Mp4 = 'mp4';
    case Mov = 'mov';
    case Avi = 'avi';
    case Mkv = 'mkv';
    case Webm = 'webm';
    case Mxf = 'mxf';
    case Wav = 'wav';

    /** The kind people mean by a word or an extension: `jpg`, `.tif`, `OpenEXR`. */
    public static function fromWord(string $word): ?self
    {
        $word = mb_strtolower(trim($word));
        // `PNG sequence`, `OpenEXR (multilayer)`, `MOV movie`, `image/png`
        $word = (string) preg_replace(
            [
                '~\s*\([^)]*\)\s*$~',
                '~^\s*(?:image|video|audio)/(?:x-)?~',
                '~^[*.\s]+~',
                '~[\s_-]+(?:image|picture|video|movie|still|frame|file|numbered)?\s*(?:sequences?|files?|frames?'
                    .'|images?|pictures?|movies?|videos?|format|container|clips?|stills?|bitmap)$~',
                '~^(?:still|single|numbered)\s+~',
            ],
            '',
            $word,
        );
        $plain = (string) preg_replace('~[\s._-]+~', '', $word);

        // the container of brand `qt` (ISO/IEC 14496-12 registry), by its initials or its name of two words
        if (preg_match('~^(?:mov/?)?(?:qt|q[a-z]{4}t[a-z]{3})(?:mov|movie|file)?$~', $plain) === 1) {
            return self::Mov;
        }

        return self::tryFrom($plain) ?? match ($plain) {
            'openexr', 'exrmultilayer', 'multilayerexr', 'exrmultilayered', 'openexrmultilayer', 'multilayeropenexr', 'exrmultipart', 'openexrmultipart', 'exr16', 'exr32', 'halfexr' => self::Exr,
            'targa', 'truevisiontga', 'targatga' => self::Tga,
            'matroska', 'matroskamkv', 'xmatroska' => self::Mkv,
            'mpeg4', 'mpeg4mp4', 'mp4mpeg4', 'mpeg4part14', 'mp4h264', 'mpeg4h264', 'h264mp4', 'mpeg4video', 'isomp4' => self::Mp4,
            'portablenetworkgraphics', 'png8', 'png24', 'png32', 'png16', 'png48', 'png64', 'apng' => self::Png,
            'jpegjpg', 'jpg/jpeg', 'jpeg/jpg', 'pjpeg', 'jpegfile' => self::Jpeg,
            'tifftif', 'tif/tiff', 'tiff/tif', 'taggedimagefile', 'taggedimage', 'tagged', 'tiff16', 'bigtiff' => self::Tiff,
            'windowsbitmap', 'windows', 'bitmap', 'devicebitmap', 'bmpbitmap' => self::Bmp,
            'audiovideointerleave', 'avifile', 'msvideo' => self::Avi,
            'materialexchange', 'materialexchangeformat', 'mxfop1a' => self::Mxf,
            'wave', 'wavaudio', 'waveform', 'broadcastwave' => self::Wav,
            'smptedpx', 'dpx10', 'dpx10bit' => self::Dpx,
            default => self::fromExtension($plain),
        };
    }

    public static function fromExtension(string $extension): ?self
    {
        foreach (self::cases() as $kind) {
            if (in_array(strtolower($extension), $kind->extensions(), true)) {
                return $kind;
            }
        }

        return null;
    }

    /** @return non-empty-list<string> lower case, the usual one first */
    public function extensions(): array
    {
        return match ($this) {
            self::Jpeg => ['jpg', 'jpeg', 'jpe', 'jfif'],
            self::Tiff => ['tif', 'tiff'],
            self::Exr => ['exr', 'sxr', 'mxr'],
            self::Tga => ['tga', 'targa', 'icb', 'vda', 'vst'],
            self::Bmp => ['bmp', 'dib'],
            self::Mp4 => ['mp4', 'm4v'],
            self::Mov => ['mov', 'qt'],
            self::Wav => ['wav', 'wave', 'bwf', 'rf64'],
            default => [$this->value],
        };
    }

    public function usualExtension(): string
    {
        return $this->extensions()[0];
    }

    public function isPicture(): bool
    {
        return in_array(
            $this,
            [self::Png, self::Jpeg, self::Tiff, self::Exr, self::Tga, self::Dpx, self::Bmp, self::Webp],
            true,
        );
    }

    public function isMovie(): bool
    {
        return in_array($this, [self::Mp4, self::Mov, self::Avi, self::Mkv, self::Webm, self::Mxf], true);
    }

    /** Whether, as a still picture, it keeps what was saved into it. */
    public function losesNothing(): bool
    {
        return in_array($this, [self::Png, self::Exr, self::Tiff, self::Tga, self::Bmp, self::Dpx], true);
    }

    public function canHoldAlpha(): bool
    {
        return ! in_array($this, [self::Jpeg, self::Wav, self::Mp4], true);
    }

    /** How people write it in a sentence. */
    public function spoken(): string
    {
        return match ($this) {
            self::Exr => 'OpenEXR',
            self::Webp => 'WebP',
            self::Mkv => 'Matroska',
            self::Webm => 'WebM',
            default => strtoupper($this->value),
        };
    }
}
