<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Specification\Level;

/** One comparison: its lines and what they come to. */
final readonly class Check
{
    public Verdict $verdict;

    /**
     * @param  list<Entry>  $entries  in the ledger's order, part by part
     * @param  list<NotChecked>  $notChecked  asked, and not to be seen from what was given
     * @param  list<Subject>  $subjects  the parts with what was given
     * @param  list<PassEntries>  $lines  the same entries, those of each pass by themselves
     */
    public function __construct(
        public array $entries,
        public array $notChecked,
        public array $subjects,
        public array $lines,
    ) {
        $musts = array_filter($entries, static fn (Entry $e): bool => $e->level() === Level::Must);
        $marks = array_map(static fn (Entry $e): Mark => $e->mark, $musts);
        $this->verdict = match (true) {
            in_array(Mark::Unequal, $marks, true) => Verdict::Unbalanced,
            $marks === [] || in_array(Mark::Unknown, $marks, true) => Verdict::Open,
            default => Verdict::Balanced,
        };
    }

    /**
     * How many lines balance, of those that are marked.
     *
     * @return array{int, int}
     */
    public function balance(): array
    {
        $good = count(
            array_filter(
                $this->entries,
                static fn (Entry $e): bool => in_array($e->mark, [Mark::Equal, Mark::Waived], true),
            ),
        );

        return [$good, count($this->entries)];
    }
}
