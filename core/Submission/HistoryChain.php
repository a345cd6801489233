<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/** Whether a history is as it was written: nothing changed, left out or put in between. */
final readonly class HistoryChain
{
    /**
     * @param  iterable<array{HistoryEntry, string}>  $kept  entries in their order, with the sum kept of each
     * @return string|null where it is broken; null where it holds
     */
    public static function fault(iterable $kept): ?string
    {
        $number = 0;
        $before = HistoryEntry::NOTHING;
        foreach ($kept as [$entry, $sum]) {
            $number++;
            if ($entry->number !== $number) {
                return "entry {$number} is missing";
            }
            if ($entry->sum() !== $sum) {
                return "entry {$number} was changed after it was written";
            }
            if ($entry->before !== $before) {
                return "entry {$number} does not follow the one before it";
            }
            $before = $sum;
        }

        return null;
    }
}
