<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;

/** Literal text without letters and digits. */
final readonly class SeparatorAtom extends Atom
{
    private const LEFT_OUT = 12;

    public function span(): int
    {
        return 3;
    }

    protected function costOfOther(FoundText $found): ?int
    {
        if ($found->isEmpty()) {
            return self::LEFT_OUT;
        }

        return preg_match('~^[^A-Za-z0-9\x80-\xFF]+$~', $found->text) === 1 ? 9 + strlen($found->text) : null;
    }

    protected function differencesOfOther(string $found): array
    {
        return [Difference::Separator];
    }
}
