<?php

declare(strict_types=1);

namespace App\Ledger;

/** What is the matter where a database refuses, as far as its message tells. */
enum DatabaseTrouble
{
    case Full;
    case Locked;
    case ReadOnly;
    case Broken;
    case Missing;
    case Other;

    public static function of(\Throwable $fault): self
    {
        $says = strtolower($fault->getMessage());

        return match (true) {
            str_contains($says, 'disk is full'), str_contains($says, 'no space left'), str_contains($says, 'disk i/o error') => self::Full,
            str_contains($says, 'database is locked'), str_contains($says, 'database table is locked') => self::Locked,
            str_contains($says, 'readonly database'), str_contains($says, 'read-only') => self::ReadOnly,
            str_contains($says, 'malformed'), str_contains($says, 'not a database') => self::Broken,
            str_contains($says, 'unable to open'), str_contains($says, 'does not exist'), str_contains($says, 'no such table') => self::Missing,
            default => self::Other,
        };
    }

    /** Whether anything of the kind is the matter at all. */
    public static function isBehind(\Throwable $fault): bool
    {
        for ($each = $fault; $each !== null; $each = $each->getPrevious()) {
            if ($each instanceof \PDOException) {
                return self::of($each) !== self::Other;
            }
        }

        return str_contains($fault->getMessage(), 'No space left on device');
    }

    /** As half a sentence. */
    public function inWords(): string
    {
        return match ($this) {
            self::Full => 'the disk is full, or cannot be written to',
            self::Locked => 'it is held by another program',
            self::ReadOnly => 'it may be read and not written to',
            self::Broken => 'its file is broken',
            self::Missing => 'it is not there, or not made ready',
            self::Other => 'it refuses',
        };
    }

    public function advice(): string
    {
        return match ($this) {
            self::Full => 'Nothing was half written. Whoever runs this installation has to make room; it goes on by itself then.',
            self::Locked => 'Nothing was written. Try again in a moment.',
            default => 'Nothing was written. Whoever runs this installation finds the cause in its log.',
        };
    }
}
