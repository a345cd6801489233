<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Media\Kind;

/** The extension of a file's name, as it was written. */
final readonly class Extension
{
    /**
     * A number after the last dot is a frame number in the wrong place; the extension stands before it. A copy's mark
     * is none.
     */
    public static function of(string $name): string
    {
        $name = (string) preg_replace(
            '~(?: ?\(\d{1,3}\)|[ _-]+copy(?:[ _]?\d{1,3})?|\~|\.bak|\.orig|\.old|\.\d+)$~i',
            '',
            $name,
        );
        $dot = strrpos($name, '.');

        return $dot === false || $dot === 0 ? '' : substr($name, $dot + 1);
    }

    /** Whether a name's extension is one of the kind's; null where there is no kind to compare with. */
    public static function agrees(string $name, ?Kind $kind): ?bool
    {
        return $kind === null ? null : in_array(strtolower(self::of($name)), $kind->extensions(), true);
    }
}
