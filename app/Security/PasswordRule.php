<?php

declare(strict_types=1);

namespace App\Security;

/** Which passwords are taken: long ones, that nobody tries first. */
final readonly class PasswordRule
{
    public const SHORTEST = 12;

    private const LONGEST = 200;

    /** What many passwords are made of, however it is filled up. */
    private const COMMON = [
        'password', 'passwort', 'motdepasse', 'contrasena', 'qwerty', 'qwertz', 'azerty', 'letmein', 'welcome',
        'iloveyou', 'admin', 'administrator', 'changeme', 'secret', 'dragon', 'monkey', 'football', 'baseball',
        'sunshine', 'princess', 'master', 'login', 'hello', 'whatever', 'abc', 'abcdef', 'asdf', 'asdfgh', 'zxcvbn',
        'qazwsx', 'shadow', 'computer', 'internet', 'summer', 'winter', 'spring', 'autumn', 'plainledger', 'ledger',
        'render', 'test', 'guest', 'default', 'access', 'flower', 'chocolate', 'cheese', 'killer', 'soccer',
        'hockey', 'freedom', 'correcthorsebatterystaple',
    ];

    private const ROWS = [
        'abcdefghijklmnopqrstuvwxyz', '01234567890123456789',
        'qwertyuiopasdfghjklzxcvbnm', 'qwertzuiopasdfghjklyxcvbnm', 'azertyuiopqsdfghjklmwxcvbn',
    ];

    /** @return string|null why it is refused; null where it is taken */
    public static function refuses(string $password, string $name, string $email): ?string
    {
        if (mb_strlen($password) < self::SHORTEST || trim($password) === '') {
            return 'A password has at least '.self::SHORTEST.' letters.';
        }
        if (strlen($password) > self::LONGEST) {
            return 'A password has at most '.self::LONGEST.' letters.';
        }
        $plain = self::plain($password);
        if (
            count(array_unique(mb_str_split($password))) < 5
            || self::isOneRow($plain)
            || self::isMadeOf($plain, self::COMMON)
        ) {
            return 'This password is one of those that are tried first. Take several words that do not belong '
                .'together.';
        }
        $words = array_map(self::plain(...), [$name, explode('@', $email)[0], ...explode(' ', $name)]);
        $own = array_filter($words, static fn (string $word): bool => strlen($word) > 3);

        return self::isMadeOf($plain, array_values($own)) ? 'This password is your name or address, filled up.' : null;
    }

    /** Small letters and digits alone, with the digits that stand for letters as those. */
    private static function plain(string $text): string
    {
        $small = strtr(mb_strtolower($text), ['@' => 'a', '$' => 's', '!' => 'i']);

        return (string) preg_replace('~[^\p{L}\p{N}]~u', '', $small);
    }

    private static function isOneRow(string $plain): bool
    {
        foreach (self::ROWS as $row) {
            if ($plain !== '' && (str_contains($row.$row, $plain) || str_contains(strrev($row.$row), $plain))) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether nothing but digits is left without them, or next to nothing.
     *
     * @param  list<string>  $words
     */
    private static function isMadeOf(string $plain, array $words): bool
    {
        usort($words, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $leet = strtr($plain, ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't']);
        foreach ([$plain, $leet] as $text) {
            $rest = (string) preg_replace('~[\d]+~', '', str_replace($words, '', $text));
            if (strlen($rest) < 4 && $rest !== $text) {
                return true;
            }
        }

        return false;
    }
}
