<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\Piece;

/** A piece whose value is not known: any text. */
final readonly class FreeAtom extends Atom
{
    public function span(): int
    {
        return 9;
    }

    protected function costOfOther(FoundText $found): int
    {
        if ($found->isEmpty()) {
            return 30;
        }

        return $found->tokens + ($found->isWord() ? 0 : 2);
    }

    protected function differencesOfOther(string $found): array
    {
        return $found === '' ? [Difference::Value] : [];
    }
}
