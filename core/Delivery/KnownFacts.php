<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\MediaFacts;

/**
 * What an earlier scan of the same place told of whole pictures, so that those are not read again that have the same
 * name, size and time. Anything else is: movies, damage, and what was written while it was looked at.
 */
final class KnownFacts
{
    /** Seconds before the earlier scan within which a file could have been written once more without a trace. */
    private const UNSETTLED = 2;

    /** In larger groups a name is only looked for where the last one was. */
    private const MOST_SOUGHT = 200_000;

    /** @var array<array-key, NameGroup> */
    private array $groups = [];

    /** @var array<int, array<array-key, int>> rows by the numbers of their names, by group as object id */
    private array $rows = [];

    /** @var array<int, int> where the next name is expected, by group as object id */
    private array $next = [];

    public function __construct(private readonly Delivery $earlier)
    {
        foreach ($earlier->groups as $group) {
            $this->groups[$group->key()] = $group;
        }
    }

    /** Null where it has to be read. */
    public function of(NameGroup $group, int $row): ?MediaFacts
    {
        $then = $this->groups[$group->key()] ?? null;
        $at = $then === null ? null : $this->place($then, $group->numberTexts($row));
        if (
            $then === null
            || $at === null
            || $then->refused($at) !== null
            || $then->size($at) !== $group->size($row)
            || $then->modified($at) !== $group->modified($row)
            || $then->modified($at) > $this->earlier->scannedAt - self::UNSETTLED
        ) {
            return null;
        }
        $facts = $this->earlier->factsOf($then, $at);
        $isSettled = $facts->isWhole() && $facts->unread() === null && $facts->kind?->isPicture() === true;

        return $isSettled ? $facts->ofFrame($then->otherFrame($at), $then->timecode($at)) : null;
    }

    /** @param  list<string>  $numbers  of the name */
    private function place(NameGroup $then, array $numbers): ?int
    {
        $id = spl_object_id($then);
        // mostly files are listed in the order in which they were the last time
        $expected = $this->next[$id] ?? 0;
        $isThere = $expected < $then->count() && $then->numberTexts($expected) === $numbers;
        $at = $isThere ? $expected : $this->sought($then, $id, $numbers);
        if ($at !== null) {
            $this->next[$id] = $at + 1;
        }

        return $at;
    }

    /** @param  list<string>  $numbers */
    private function sought(NameGroup $then, int $id, array $numbers): ?int
    {
        if ($then->count() > self::MOST_SOUGHT) {
            return null;
        }
        if (! isset($this->rows[$id])) {
            $this->rows[$id] = [];
            for ($row = 0; $row < $then->count(); $row++) {
                $this->rows[$id][implode('/', $then->numberTexts($row))] = $row;
            }
        }

        return $this->rows[$id][implode('/', $numbers)] ?? null;
    }
}
