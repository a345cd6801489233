<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/**
 * A time address in one word of 32 bits, in binary-coded decimals: hours, minutes, seconds and frames from the upper
 * bits down, bit 6 the mark of drop-frame (SMPTE ST 12-1, table 6).
 */
final readonly class SmpteTimecode
{
    /** `01:00:00:00`, `;` before the frames for drop-frame; null where it is no time of day. */
    public static function ofWord(int $word): ?string
    {
        $digits = static fn (int $shift, int $tens): int => 10 * ($word >> $shift + 4 & $tens) + ($word >> $shift & 15);
        [$frames, $seconds, $minutes, $hours] = [$digits(0, 3), $digits(8, 7), $digits(16, 7), $digits(24, 3)];
        if ($seconds > 59 || $minutes > 59 || $hours > 23 || ($word & 15) > 9) {
            return null;
        }

        return sprintf('%02d:%02d:%02d%s%02d', $hours, $minutes, $seconds, ($word >> 6 & 1) === 1 ? ';' : ':', $frames);
    }
}
