<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

/** What a whole check comes to. */
enum Verdict: string
{
    case Balanced = 'balanced';
    case Unbalanced = 'unbalanced';
    case Open = 'open';

    /** The exit code of the command line. */
    public function exitCode(): int
    {
        return match ($this) {
            self::Balanced => 0,
            self::Unbalanced => 1,
            self::Open => 2,
        };
    }
}
