<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** The words for ways of packing a picture. */
final readonly class CompressionName
{
    private const LOSSLESS = [
        'none', 'rle', 'zip', 'zips', 'piz', 'lzw', 'deflate', 'packbits', 'htj2k256', 'htj2k32', 'lossless', 'lzma',
        'zstd', 'ccitt', 'ccitt-g3', 'ccitt-g4', 'jbig', 'next', 'thunderscan',
    ];

    /** Whether it keeps every bit. One that rounds some samples and not others does not. */
    public static function isLossless(string $word): bool
    {
        return in_array($word, self::LOSSLESS, true);
    }

    /** TIFF calls the one way by either word. */
    public static function isSame(string $found, string $asked, ?Kind $kind): bool
    {
        $either = ['deflate', 'zip'];

        return $found === $asked
            || ($kind === Kind::Tiff && in_array($found, $either, true) && in_array($asked, $either, true));
    }
}
