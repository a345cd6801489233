<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\NameTokens;

/** A text that is known: of a piece, or written out in the pattern. */
abstract readonly class TextAtom extends Atom
{
    private const ANOTHER = 50;

    /** So many tokens more than its own may be a way of writing it. */
    private const ROOM = 4;

    final public function span(): int
    {
        return self::ROOM + NameTokens::count($this->asked);
    }

    final protected function costOfOther(FoundText $found): ?int
    {
        if ($found->isEmpty()) {
            return $this->costOfNone();
        }
        $differences = ValueDifferences::between($this->asked, $found->text, $this->piece);
        if ($differences === null) {
            return $this->mayBeAnother() ? self::ANOTHER : null;
        }

        return $differences === [Difference::Another]
            ? self::ANOTHER
            : ValueDifferences::cost($differences, $this->asked, $found->text);
    }

    final protected function differencesOfOther(string $found): array
    {
        $differences = $found === '' ? null : ValueDifferences::between($this->asked, $found, $this->piece);

        return $differences ?? [Difference::Value];
    }

    /** What it costs that it was left out. */
    protected function costOfNone(): int
    {
        return self::MISSING;
    }

    /** Whether any other text may stand in its place. */
    abstract protected function mayBeAnother(): bool;
}
