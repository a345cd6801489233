<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checksums;

/**
 * How a checksum is worked out. The values are the names PHP, and most programs, know them by. C4 (SMPTE ST 2114) is
 * SHA-512 written in another way, see `C4Id`.
 */
enum SumAlgorithm: string
{
    case Md5 = 'md5';
    case Sha1 = 'sha1';
    case Sha256 = 'sha256';
    case Sha512 = 'sha512';
    case Xxh64 = 'xxh64';
    case Xxh3 = 'xxh3';
    case Xxh128 = 'xxh128';

    /** Hexadecimal digits of a sum. */
    public function digits(): int
    {
        return match ($this) {
            self::Md5, self::Xxh128 => 32,
            self::Sha1 => 40,
            self::Sha256 => 64,
            self::Sha512 => 128,
            self::Xxh64, self::Xxh3 => 16,
        };
    }

    /** As people write it. */
    public function label(): string
    {
        return match ($this) {
            self::Md5 => 'MD5',
            self::Sha1 => 'SHA-1',
            self::Sha256 => 'SHA-256',
            self::Sha512 => 'SHA-512',
            self::Xxh64 => 'xxHash 64',
            self::Xxh3 => 'xxHash 3',
            self::Xxh128 => 'xxHash 128',
        };
    }

    /** By any of the ways in which it is written: `SHA2-256`, `sha-256`, `XXH128`; null where it is none of these. */
    public static function named(string $word): ?self
    {
        $word = strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $word));

        return match ($word) {
            'sha2256' => self::Sha256,
            'sha2512' => self::Sha512,
            'xxhash64', 'xxhash64be', 'xxhash' => self::Xxh64,
            'xxh364', 'xxhash3' => self::Xxh3,
            'xxh3128', 'xxhash128' => self::Xxh128,
            default => self::tryFrom($word),
        };
    }

    /**
     * What a bare sum is, of which only its length and the name of its list tell: as long as MD5 is also xxHash 128,
     * which is taken only where the list's name says so.
     *
     * @param  int  $digits  hexadecimal
     */
    public static function ofLength(int $digits, string $listName): ?self
    {
        $told = preg_match('~xxh(?:ash|sum)?_?(?:128|3|64)?~i', $listName, $m) === 1 ? strtolower($m[0]) : '';

        return match ($digits) {
            16 => str_ends_with($told, '3') ? self::Xxh3 : self::Xxh64,
            32 => $told === '' ? self::Md5 : self::Xxh128,
            40 => self::Sha1,
            64 => self::Sha256,
            128 => self::Sha512,
            default => null,
        };
    }
}
