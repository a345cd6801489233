<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;

/** The markers of a JPEG (ITU-T T.81, B.1.1), followed one after another. */
final readonly class JpegMarkers
{
    public const FILL = 0xFF;

    public const END = 0xD9;

    public const SCAN = 0xDA;

    /** Of the whole file, where they are followed to its end. */
    private const MOST = 200_000;

    private const BLOCK = 1 << 16;

    private const START = 0xD8;

    /** Whether a marker stands alone, without a length and data: temporary ones and restarts. */
    public static function standsAlone(int $marker): bool
    {
        return $marker === 0x01 || ($marker >= 0xD0 && $marker <= 0xD7);
    }

    /**
     * Whether the end mark is reached, over the entropy-coded data between the markers.
     *
     * @throws FileDamaged where a segment is no segment
     * @throws FileTooLarge where there are more of them than any encoder writes
     */
    public static function reachEnd(ByteSource $source, int $reach): bool
    {
        $size = min($source->size(), $reach);
        $at = 2;
        for ($markers = 0; $at + 2 <= $size; $markers++) {
            if ($markers > self::MOST) {
                throw FileTooLarge::of('more than '.number_format(self::MOST).' segments');
            }
            $lead = $source->read($at, 4);
            if ($lead === '' || $lead[0] !== "\xFF") {
                throw FileDamaged::checksum("a marker is expected at byte {$at} and something else stands there");
            }
            $marker = ord($lead[1] ?? "\0");
            if ($marker === self::END) {
                return true;
            }
            $next = self::after($source, $at, $lead, $size);
            if ($next === null) {
                return false;
            }
            $at = $next;
        }

        return false;
    }

    /** Where the marker after this one stands; null where the file ends before it. */
    private static function after(ByteSource $source, int $at, string $lead, int $size): ?int
    {
        $marker = ord($lead[1] ?? "\0");
        if ($marker === self::FILL) {
            return $at + 1;
        }
        if ($marker === self::START || self::standsAlone($marker)) {
            return $at + 2;
        }
        if (strlen($lead) < 4) {
            return null;
        }
        $end = $at + 2 + max(2, ord($lead[2]) << 8 | ord($lead[3]));

        return $marker === self::SCAN ? self::afterScan($source, $end, $size) : $end;
    }

    /** The first marker after $at that is neither a stuffed byte nor a restart. */
    private static function afterScan(ByteSource $source, int $at, int $end): ?int
    {
        for (; $at < $end; $at += self::BLOCK) {
            // one byte more, so that a marker across the seam is seen
            $block = $source->read($at, self::BLOCK + 1);
            if (preg_match('~\xFF[^\x00\xD0-\xD7\xFF]~', $block, $m, PREG_OFFSET_CAPTURE) === 1) {
                return $at + $m[0][1];
            }
        }

        return null;
    }
}
