<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Tells a file's kind from its first bytes (and, for the one format without a signature there, its last). */
final readonly class Signature
{
    public static function of(FileEnds $file): ?Kind
    {
        $head = $file->head;

        return self::byFourBytes($head)
            ?? self::byLongerMark($head)
            ?? self::boxes($head)
            ?? (self::isTga($file) ? Kind::Tga : null);
    }

    private static function byFourBytes(string $head): ?Kind
    {
        return match (substr($head, 0, 4)) {
            "\x76\x2F\x31\x01" => Kind::Exr,
            "II*\0", "MM\0*", "II+\0", "MM\0+" => Kind::Tiff,
            'SDPX', 'XPDS' => Kind::Dpx,
            'RIFF', 'RF64', 'BW64' => self::riff(substr($head, 8, 4)),
            "\x1A\x45\xDF\xA3" => self::matroska($head),
            default => null,
        };
    }

    private static function byLongerMark(string $head): ?Kind
    {
        return match (true) {
            str_starts_with($head, "\x89PNG\r\n\x1A\n") => Kind::Png,
            str_starts_with($head, "\xFF\xD8\xFF") => Kind::Jpeg,
            str_starts_with($head, 'BM') && self::isBmp($head) => Kind::Bmp,
            str_contains(substr($head, 0, 2048), "\x06\x0E\x2B\x34\x02\x05\x01\x01\x0D\x01\x02\x01\x01") => Kind::Mxf,
            default => null,
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
    private static function isTga(FileEnds $file): bool
    {
        if (strlen($file->head) < TgaHeader::LENGTH) {
            return false;
        }
        $header = TgaHeader::read($file->head);
        if (! $header->isPossible()) {
            return false;
        }

        return TgaHeader::hasFooter($file->tail()) || ($header->isLikely() && $file->size() >= $header->leastSize());
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
