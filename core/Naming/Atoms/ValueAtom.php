<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\Piece;

/** A piece whose value is known. */
final readonly class ValueAtom extends Atom
{
    private const ANOTHER = 50;

    public function span(): int
    {
        return 4 + (int) preg_match_all('~\d+|[A-Za-z\x80-\xFF]+|.~s', $this->asked);
    }

    protected function costOfOther(FoundText $found): int
    {
        if ($found->isEmpty()) {
            return self::MISSING;
        }
        $differences = ValueDifferences::between($this->asked, $found->text, $this->piece);
        if ($differences === null || $differences === [Difference::Another]) {
            return self::ANOTHER;
        }

        return ValueDifferences::cost($differences, $this->asked, $found->text);
    }

    protected function differencesOfOther(string $found): array
    {
        $differences = $found === '' ? null : ValueDifferences::between($this->asked, $found, $this->piece);

        return $differences ?? [Difference::Value];
    }
}
