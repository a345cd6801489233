<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** Names with `#` in the place of the frame number, as patterns of files that are there are shown. */
final readonly class NumberedPattern
{
    /** The name of one frame, its digits at least as many as the pattern has `#`; a pattern without any, as it is. */
    public static function nameOf(string $pattern, int $frame): string
    {
        return (string) preg_replace_callback(
            '~#+~',
            static fn (array $m): string => ($frame < 0 ? '-' : '')
                .str_pad((string) abs($frame), strlen($m[0]), '0', STR_PAD_LEFT),
            $pattern,
            1,
        );
    }
}
