<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Files that systems leave behind in folders people look into; nobody made or asked for them. */
final readonly class SystemFiles
{
    private const NAMES = '~(?:^|/)(?:__MACOSX/|\._|\.DS_Store$|Thumbs\.db$|desktop\.ini$)~i';

    /** @param  string  $path  with slashes between folders */
    public static function has(string $path): bool
    {
        return preg_match(self::NAMES, $path) === 1;
    }
}
