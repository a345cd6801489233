<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\Piece;

/**
 * The smallest part of a pattern that tokens of a name are laid against. Costs are in points: some ten for a slip of
 * the pen, forty and more for what is missing or is another value.
 */
abstract readonly class Atom
{
    protected const MISSING = 40;

    /** @param  string  $asked  what it makes in a name; empty where any text does */
    public function __construct(public Piece $piece, public string $asked) {}

    /** The most tokens it is tried against. */
    abstract public function span(): int;

    /** What it costs that it is this text, which is not what is asked; null where it cannot be. */
    abstract protected function costOfOther(FoundText $found): ?int;

    /** @return list<Difference> */
    abstract protected function differencesOfOther(string $found): array;

    /** What it costs that it is this text; null where it cannot be. */
    final public function cost(FoundText $found): ?int
    {
        return $this->fits($found->text) ? 0 : $this->costOfOther($found);
    }

    /** @return list<Difference> empty where it is as asked */
    final public function differences(string $found): array
    {
        return $this->fits($found) ? [] : $this->differencesOfOther($found);
    }

    private function fits(string $found): bool
    {
        return $this->asked !== '' && $found === $this->asked;
    }

    /** As the piece is called in a reading. */
    public function label(): string
    {
        return $this->piece->name ?? 'separator';
    }

    /** What is asked, as a reading shows it. */
    public function shown(): string
    {
        return $this->asked;
    }
}
