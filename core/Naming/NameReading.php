<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** One name read by a pattern. */
final readonly class NameReading
{
    /** Up to this cost a name is taken for one that was meant by the pattern. */
    private const ALIGNED = 48;

    /** Up to this, one value aside that is another's, it was meant by the pattern, for somebody else. */
    private const NEAR = 62;

    /**
     * @param  list<PieceReading>  $pieces  in the order of the pattern
     * @param  int  $cost  0 where it fits; more the more has to be assumed
     * @param  int|null  $digitRun  which run of digits in the name is the frame number, counted from 0; null where
     *   none is
     * @param  string  $lead  digits of that run which belong to what stands before the number, likewise $trail after it
     */
    public function __construct(
        public string $name,
        public array $pieces,
        public int $cost,
        public ?int $digitRun,
        public string $lead = '',
        public string $trail = '',
    ) {}

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

    /**
     * Whether some value of it is plainly somebody else's.
     *
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name
     */
    public function isOfAnother(array $others = []): bool
    {
        foreach ($this->pieces as $piece) {
            $theirs = array_map(strtolower(...), $others[$piece->piece] ?? []);
            if (
                in_array(Difference::Another, $piece->differences, true)
                || ($piece->differs() && in_array(strtolower($piece->found), $theirs, true))
            ) {
                return true;
            }
        }

        return false;
    }

    /** Whether it was meant by the pattern, be it for another deliverable. */
    public function isNear(): bool
    {
        return $this->aligns() || ($this->cost <= self::NEAR && $this->isOfAnother());
    }

    /** @return list<PieceReading> */
    public function differing(): array
    {
        return array_values(array_filter($this->pieces, static fn (PieceReading $p): bool => $p->differs()));
    }
}
