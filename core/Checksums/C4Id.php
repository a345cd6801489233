<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checksums;

use Brick\Math\BigInteger;

/**
 * A C4 identifier: SHA-512 as a number in base 58, 88 digits after `c4` (SMPTE ST 2114:2017, 5). ASC MHL keeps its
 * chain in them.
 */
final readonly class C4Id
{
    private const DIGITS = '123456789ABCDEFGHJKLMNPQRSTUVWXYZabcdefghijkmnopqrstuvwxyz';

    private const LENGTH = 88;

    public static function ofText(string $bytes): string
    {
        return self::ofSha512(hash('sha512', $bytes));
    }

    /** @param  string  $hex  128 hexadecimal digits */
    public static function ofSha512(string $hex): string
    {
        $number = BigInteger::fromBase($hex, 16)->toArbitraryBase(self::DIGITS);

        return 'c4'.str_pad($number, self::LENGTH, self::DIGITS[0], STR_PAD_LEFT);
    }

    /** @return string|null 128 hexadecimal digits; null where it is no such identifier */
    public static function toSha512(string $id): ?string
    {
        if (preg_match('~^c4(['.self::DIGITS.']{88})$~', $id, $m) !== 1) {
            return null;
        }
        $hex = BigInteger::fromArbitraryBase($m[1], self::DIGITS)->toBase(16);

        return strlen($hex) > 128 ? null : str_pad($hex, 128, '0', STR_PAD_LEFT);
    }
}
