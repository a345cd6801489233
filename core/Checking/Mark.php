<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

/** How one cell, and one line, stands. */
enum Mark: string
{
    case Equal = 'equal';
    case Unequal = 'unequal';
    case Waived = 'waived';
    case Unknown = 'unknown';

    public function sign(): string
    {
        return match ($this) {
            self::Equal => '=',
            self::Unequal => '≠',
            self::Waived => '≈',
            self::Unknown => '?',
        };
    }

    /** Of marks that hold together: one unequal makes all unequal, else one unknown all unknown. */
    public static function together(self ...$marks): self
    {
        foreach ([self::Unequal, self::Unknown, self::Waived] as $mark) {
            if (in_array($mark, $marks, true)) {
                return $mark;
            }
        }

        return self::Equal;
    }

    public static function when(bool $equal): self
    {
        return $equal ? self::Equal : self::Unequal;
    }
}
