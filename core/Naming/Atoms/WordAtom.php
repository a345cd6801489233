<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;

/** Literal text of letters and digits. */
final readonly class WordAtom extends Atom
{
    private const ANOTHER = 50;

    /** Such as the v of a version: easily left out, and never misspelled. */
    private const SHORT_LEFT_OUT = 15;

    private const SHORT = 2;

    public function span(): int
    {
        return 4 + (int) preg_match_all('~\d+|[A-Za-z\x80-\xFF]+|.~s', $this->asked);
    }

    protected function costOfOther(FoundText $found): ?int
    {
        if ($found->isEmpty()) {
            return $this->isShort() ? self::SHORT_LEFT_OUT : self::MISSING;
        }
        $differences = ValueDifferences::between($this->asked, $found->text, $this->piece);
        if ($differences === null) {
            return null;
        }

        return $differences === [Difference::Another]
            ? self::ANOTHER
            : ValueDifferences::cost($differences, $this->asked, $found->text);
    }

    protected function differencesOfOther(string $found): array
    {
        $differences = $found === '' ? null : ValueDifferences::between($this->asked, $found, $this->piece);

        return $differences ?? [Difference::Value];
    }

    private function isShort(): bool
    {
        return strlen($this->asked) <= self::SHORT;
    }
}
