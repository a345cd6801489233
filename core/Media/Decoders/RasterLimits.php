<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\FileTooLarge;

/** What a picture that is decoded here may come to. */
final readonly class RasterLimits
{
    /** Some five seconds of work where pixels are taken one by one. */
    private const MOST_PIXELS = 40_000_000;

    private const MOST_BYTES = 400 << 20;

    /**
     * @param  int  $bytes  all its samples, unpacked
     *
     * @throws FileTooLarge
     */
    public static function refuse(int $width, int $height, int $bytes): void
    {
        if ($width * $height > self::MOST_PIXELS) {
            throw FileTooLarge::pixels($width, $height);
        }
        if ($bytes > self::MOST_BYTES) {
            throw FileTooLarge::of((string) ByteSize::of($bytes).' uncompressed');
        }
    }
}
