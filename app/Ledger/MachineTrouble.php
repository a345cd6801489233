<?php

declare(strict_types=1);

namespace App\Ledger;

use League\Flysystem\FilesystemException;

/** What is the matter where a database or a disk refuses, as far as its message tells. */
enum MachineTrouble
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
            str_contains($says, 'disk is full'), str_contains($says, 'no space left'), str_contains($says, 'disk i/o error'), str_contains($says, 'quota exceeded') => self::Full,
            str_contains($says, 'is locked') => self::Locked,
            str_contains($says, 'readonly database'), str_contains($says, 'read-only'), str_contains($says, 'permission denied') => self::ReadOnly,
            str_contains($says, 'malformed'), str_contains($says, 'not a database') => self::Broken,
            str_contains($says, 'unable to open'), str_contains($says, 'does not exist'), str_contains($says, 'no such table') => self::Missing,
            default => self::Other,
        };
    }

    /** Null where neither a database nor a disk is the matter. */
    public static function behind(\Throwable $fault): ?self
    {
        for ($each = $fault; $each !== null; $each = $each->getPrevious()) {
            $isOfMachine = $each instanceof \PDOException || $each instanceof FilesystemException || str_contains($each->getMessage(), 'No space left on device');
            $trouble = $isOfMachine ? self::of($each) : self::Other;
            if ($trouble === self::Other && $each instanceof FilesystemException) {
                return self::ReadOnly;
            }
            if ($trouble !== self::Other) {
                return $trouble;
            }
        }

        return null;
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

    public function sentence(): string
    {
        return match ($this) {
            self::Full => 'The disk of this installation is full, or cannot be written to. Nothing was half written. Whoever runs it has to make room; it goes on by itself then.',
            self::Locked => 'The ledger is held by another program just now. Nothing was written. Try again in a moment.',
            default => "The ledger cannot be used just now: {$this->inWords()}. Nothing was written. Whoever runs this installation finds more in its log.",
        };
    }
}
