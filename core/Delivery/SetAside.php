<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** Where files go that are set aside: a folder of that name beside them, into which no scan looks. */
final readonly class SetAside
{
    public const FOLDER = '_set-aside';

    /** Whether something of that path lies there. */
    public static function holds(string $path): bool
    {
        return in_array(self::FOLDER, explode('/', $path), true);
    }
}
