<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\Text\Text;

/** What a list would do to the book, row by row, before anything is written. */
final readonly class ListPlan
{
    /** @param  list<PlannedRow>  $rows */
    private function __construct(public array $rows) {}

    /**
     * @param  list<ShotRow>  $rows
     * @param  list<ExistingDeliverable>  $known
     * @param  list<ListedPerson>  $people
     */
    public static function of(array $rows, array $known, array $people): self
    {
        $byCode = [];
        foreach ($known as $each) {
            $byCode[strtolower($each->code)] = $each;
        }
        $seen = [];
        $plan = [];
        foreach ($rows as $row) {
            $key = strtolower($row->code);
            $faults = isset($seen[$key]) && $row->code !== ''
                ? ["{$row->code} stands in line {$seen[$key]} already."]
                : [];
            $seen[$key] ??= $row->line;
            [$owner, $fault] = self::owner($row->details->owner, $people);
            $row = $row->refused([...$faults, ...($fault === null ? [] : [$fault])]);
            $plan[] = PlannedRow::of($row, $byCode[$key] ?? null, $owner);
        }

        return new self($plan);
    }

    /**
     * @param  list<ListedPerson>  $people
     * @return array{ListedPerson|null, string|null}
     */
    private static function owner(?string $written, array $people): array
    {
        if ($written === null) {
            return [null, null];
        }
        foreach ([false, true] as $byOneName) {
            $found = array_values(
                array_filter($people, static fn (ListedPerson $p): bool => $p->is($written, $byOneName)),
            );
            if (count($found) === 1) {
                return [$found[0], null];
            }
            if (count($found) > 1) {
                return [
                    null,
                    'owner: “'
                        .Text::shown($written)
                        .'” could be '
                        .Text::series(array_map(static fn (ListedPerson $p): string => $p->name, $found), 'or')
                        .'.',
                ];
            }
        }

        return [
            null,
            'owner: nobody of this production is called “'.Text::shown(mb_strimwidth($written, 0, 60, '…')).'”.',
        ];
    }

    /** How many rows would be made, changed, left as they are, refused. */
    public function count(RowAction $does): int
    {
        return count(array_filter($this->rows, static fn (PlannedRow $r): bool => $r->does === $does));
    }

    /** A mark of all it would do: what was agreed to is what is written. */
    public function seal(): string
    {
        return hash('sha256', serialize($this->rows));
    }
}
