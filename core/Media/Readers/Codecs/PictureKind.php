<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

/** Whether a kept picture is a B-frame, by its own head, where no table of the container tells. */
final readonly class PictureKind
{
    /** So many bytes of a picture are looked at. */
    public const LENGTH = 256;

    /** Codecs whose pictures tell it. */
    public static function isToldBy(string $codec): bool
    {
        return $codec === 'h264' || $codec === 'mpeg4';
    }

    public static function isB(string $codec, string $head): bool
    {
        return $codec === 'mpeg4' ? self::isMpeg4($head) : self::isH264($head);
    }

    /** The coding type of a video object plane (ISO/IEC 14496-2, 6.3.5). */
    private static function isMpeg4(string $head): bool
    {
        $at = strpos($head, "\0\0\x01\xB6");

        return $at !== false && ord($head[$at + 4] ?? "\0") >> 6 === 2;
    }

    /** The type of the first slice (ITU-T H.264, table 7-6). */
    private static function isH264(string $head): bool
    {
        foreach (preg_split('~\0\0\x01~', $head) ?: [] as $unit) {
            $type = $unit === '' ? 0 : ord($unit[0]) & 31;
            if ($type === 1 || $type === 5) {
                $bits = BitReader::ofUnit(substr($unit, 1));
                $bits->golomb();

                return $bits->golomb() % 5 === 1;
            }
        }

        return false;
    }
}
