<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** A name in runs of digits, runs of letters of any script, and every other character by itself. */
final readonly class NameTokens
{
    private const TOKEN = '~\d+|[A-Za-z\x80-\xFF]+|.~s';

    /** @return list<string> */
    public static function of(string $name): array
    {
        preg_match_all(self::TOKEN, $name, $tokens);

        return $tokens[0];
    }

    public static function count(string $name): int
    {
        return (int) preg_match_all(self::TOKEN, $name);
    }
}
