<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Compression;

/**
 * Run lengths of bytes: a count up to 127 and as many bytes and one more, or 257 less the count times the next byte;
 * 128 says nothing (TIFF revision 6.0, section 9).
 */
final readonly class PackBits
{
    /** What they come to, in bytes. */
    public static function length(string $packed): int
    {
        $length = 0;
        for ($at = 0, $end = strlen($packed); $at + 1 < $end;) {
            $count = ord($packed[$at]);
            if ($count < 128) {
                $length += min($count + 1, $end - $at - 1);
                $at += $count + 2;
            } elseif ($count === 128) {
                $at++;
            } else {
                $length += 257 - $count;
                $at += 2;
            }
        }

        return $length;
    }

    /** At most so many bytes of what they come to. */
    public static function unpack(string $packed, int $most): string
    {
        $out = '';
        for ($at = 0, $end = strlen($packed); $at + 1 < $end && strlen($out) < $most;) {
            $count = ord($packed[$at]);
            if ($count < 128) {
                $out .= substr($packed, $at + 1, $count + 1);
                $at += $count + 2;
            } elseif ($count === 128) {
                $at++;
            } else {
                $out .= str_repeat($packed[$at + 1], 257 - $count);
                $at += 2;
            }
        }

        return substr($out, 0, $most);
    }
}
