<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Str;
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

    /** By what a database or a disk says, in any case of letters; the first that fits. */
    private const WORDS = [
        'Full' => ['disk is full', 'no space left', 'disk i/o error', 'quota exceeded'],
        'Locked' => ['is locked'],
        'ReadOnly' => ['readonly database', 'read-only', 'permission denied'],
        'Broken' => ['malformed', 'not a database'],
        'Missing' => ['unable to open', 'does not exist', 'no such table'],
    ];

    public static function of(\Throwable $fault): self
    {
        foreach (self::WORDS as $case => $words) {
            if (Str::contains($fault->getMessage(), $words, ignoreCase: true)) {
                return constant("self::{$case}");
            }
        }

        return self::Other;
    }

    /** Null where neither a database nor a disk is the matter. */
    public static function behind(\Throwable $fault): ?self
    {
        for ($each = $fault; $each !== null; $each = $each->getPrevious()) {
            $isOfMachine = $each instanceof \PDOException || $each instanceof FilesystemException
                || str_contains($each->getMessage(), 'No space left on device');
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
            self::Full => 'The disk of this installation is full, or cannot be written to. Nothing was half written. '
                .'Whoever runs it has to make room; it goes on by itself then.',
            self::Locked => 'The ledger is held by another program just now. Nothing was written. Try again in '
                .'a moment.',
            default => "The ledger cannot be used just now: {$this->inWords()}. Nothing was written. "
                .'Whoever runs this installation finds more in its log.',
        };
    }
}
