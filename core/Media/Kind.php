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
        $plain = KindWords::plain($word);

        return self::tryFrom($plain) ?? KindWords::kindOf($plain) ?? self::fromExtension($plain);
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
