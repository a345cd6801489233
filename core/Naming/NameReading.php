<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** One name read by a pattern. */
final readonly class NameReading
{
    /** Up to this cost a name is taken for one that was meant by the pattern. */
    private const ALIGNED = 48;

    /**
     * @param  list<PieceReading>  $pieces  in the order of the pattern
     * @param  int  $cost  0 where it fits; more the more has to be assumed
     * @param  int|null  $digitRun  which run of digits in the name is the frame number, counted from 0; null where none is
     */
    public function __construct(public string $name, public array $pieces, public int $cost, public ?int $digitRun) {}

    public function fits(): bool
    {
        foreach ($this->pieces as $piece) {
            if ($piece->differs()) {
                return false;
            }
        }

        return true;
    }

    /** Whether the name is near enough to have been meant by the pattern. */
    public function aligns(): bool
    {
        return $this->cost <= self::ALIGNED;
    }

    /** @return list<PieceReading> */
    public function differing(): array
    {
        return array_values(array_filter($this->pieces, static fn (PieceReading $p): bool => $p->differs()));
    }
}
