<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

/** A piece whose value is known. */
final readonly class ValueAtom extends TextAtom
{
    protected function mayBeAnother(): bool
    {
        return true;
    }
}
