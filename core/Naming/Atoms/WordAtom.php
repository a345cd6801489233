<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

/** Literal text of letters and digits. */
final readonly class WordAtom extends TextAtom
{
    /** Such as the v of a version: easily left out, where a whole word is not. */
    private const SHORT_LEFT_OUT = 15;

    private const SHORT = 2;

    protected function costOfNone(): int
    {
        return strlen($this->asked) <= self::SHORT ? self::SHORT_LEFT_OUT : self::MISSING;
    }

    protected function mayBeAnother(): bool
    {
        return false;
    }
}
