<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/**
 * The mark of a spherical picture in an XMP packet, as cameras and stitchers write it: a `ProjectionType` of
 * `equirectangular`.
 */
final readonly class ProjectionTag
{
    public static function in(string $packet): ?string
    {
        return preg_match('~ProjectionType(?:\s*=\s*["\']|>)\s*equirectangular~i', $packet) === 1 ? 'lat-long' : null;
    }

    /** @param  array<string, string>  $texts */
    public static function inTexts(array $texts): ?string
    {
        foreach ($texts as $text) {
            if (self::in($text) !== null) {
                return 'lat-long';
            }
        }

        return null;
    }
}
