<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Tells a file's kind from its first bytes (and, for the one format without a signature there, its last). */
final readonly class Signature
{
    /** What a recogniser needs of the head. */
    public const HEAD = 4096;

    public static function of(string $head, ByteSource $source): ?Kind
    {
        $four = substr($head, 0, 4);

        return match (true) {
            str_starts_with($head, "\x89PNG\r\n\x1A\n") => Kind::Png,
            str_starts_with($head, "\xFF\xD8\xFF") => Kind::Jpeg,
            $four === "\x76\x2F\x31\x01" => Kind::Exr,
            $four === "II*\0" || $four === "MM\0*" || $four === "II+\0" || $four === "MM\0+" => Kind::Tiff,
            $four === 'SDPX' || $four === 'XPDS' => Kind::Dpx,
            $four === 'RIFF' || $four === 'RF64' || $four === 'BW64' => self::riff(substr($head, 8, 4)),
            str_starts_with($head, 'BM') && self::isBmp($head) => Kind::Bmp,
            $four === "\x1A\x45\xDF\xA3" => self::matroska($head),
            str_contains(substr($head, 0, 2048), "\x06\x0E\x2B\x34\x02\x05\x01\x01\x0D\x01\x02\x01\x01") => Kind::Mxf,
            default => self::boxes($head) ?? (self::isTga($head, $source) ? Kind::Tga : null),
        };
    }

    private static function riff(string $form): ?Kind
    {
        return match ($form) {
            'WEBP' => Kind::Webp,
            'AVI ', 'AVIX' => Kind::Avi,
            'WAVE' => Kind::Wav,
            default => null,
        };
    }

    private static function isBmp(string $head): bool
    {
        return strlen($head) >= 26 && in_array(self::little($head, 14), [12, 16, 40, 52, 56, 64, 108, 124], true);
    }

    private static function matroska(string $head): Kind
    {
        return preg_match('~\x42\x82(?:[\x81-\x8F]|\x40.|\x01.{7})webm~s', $head) === 1 ? Kind::Webm : Kind::Mkv;
    }

    /** ISO base media (ISO/IEC 14496-12, 4.3) and its elder without a brand. */
    private static function boxes(string $head): ?Kind
    {
        $type = substr($head, 4, 4);
        if ($type === 'ftyp') {
            $brand = substr($head, 8, 4);
            if (
                in_array($brand, ['heic', 'heix', 'hevc', 'avif', 'avis', 'mif1', 'msf1', 'jp2 ', 'jpx ', 'crx '], true)
            ) {
                return null;
            }

            return $brand === 'qt  ' ? Kind::Mov : Kind::Mp4;
        }
        if (in_array($type, ['moov', 'mdat', 'wide', 'free', 'skip', 'pnot'], true)) {
            $length = unpack('N', $head)[1] ?? 0;

            return $length === 0 || $length === 1 || $length >= 8 ? Kind::Mov : null;
        }

        return null;
    }

    /** No signature at the head: the footer of version 2, or a header in which everything is possible. */
    private static function isTga(string $head, ByteSource $source): bool
    {
        if (strlen($head) < 18) {
            return false;
        }
        [$id, $map, $type] = [ord($head[0]), ord($head[1]), ord($head[2])];
        [$width, $height, $bits, $flags] = [
            self::short($head, 12),
            self::short($head, 14),
            ord($head[16]),
            ord($head[17]),
        ];
        $mapped = in_array($type, [1, 9], true);
        if (! in_array($type, [1, 2, 3, 9, 10, 11], true) || $map > 1 || ($mapped && $map !== 1)
            || $width === 0 || $height === 0 || ! in_array($bits, [8, 15, 16, 24, 32], true) || ($flags & 0xC0) !== 0) {
            return false;
        }
        if (str_contains($source->read(max(0, $source->size() - 26), 26), 'TRUEVISION-XFILE.')) {
            return true;
        }
        if (
            (! $mapped && $bits === 8 && ! in_array($type, [3, 11], true))
            || ($map === 0 && trim(substr($head, 3, 5), "\0") !== '')
        ) {
            return false;
        }
        $body = 18 + $id + ($map === 1 ? self::short($head, 5) * intdiv(ord($head[7]) + 7, 8) : 0);

        return $type > 8
            ? $source->size() > $body
            : $source->size() >= $body + min($width * $height * intdiv($bits + 7, 8), 1);
    }

    private static function short(string $bytes, int $at): int
    {
        return ord($bytes[$at]) | ord($bytes[$at + 1]) << 8;
    }

    private static function little(string $bytes, int $at): int
    {
        return self::short($bytes, $at) | self::short($bytes, $at + 2) << 16;
    }
}
