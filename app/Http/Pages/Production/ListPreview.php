<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Actions\Lists\BroughtList;
use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Shotlist\ListPlan;
use PlainLedger\Core\Shotlist\PlannedRow;
use PlainLedger\Core\Shotlist\RowAction;

/** What a list would do, row by row, before anything is written. */
final readonly class ListPreview
{
    private const MOST_SHOWN = 500;

    /** @var list<string>|null */
    public ?array $headings;

    /** @var list<string|null>|null what each column means */
    public ?array $columns;

    /** @var list<list<string>> the first rows as they stand */
    public array $sample;

    /** @var list<string> */
    public array $notes;

    /** By which writing it is asked for later: where the book has changed since, it is another one. */
    public string $seal;

    /** @var array{make: int, change: int, same: int, refuse: int} */
    public array $counts;

    /** @var list<ListPreviewRow> those that are refused first, then in their order */
    public array $rows;

    /** How many more there are than are shown. */
    public int $more;

    public function __construct(BroughtList $list, ListPlan $plan)
    {
        $this->headings = $list->table?->headings;
        $this->columns = $list->columns === null
            ? null
            : array_map(static fn (?Column $c): ?string => $c?->word, $list->columns);
        $this->sample = array_slice($list->table->rows ?? [], 0, 3);
        $this->notes = $list->notes;
        $this->seal = $plan->seal();
        $this->counts = [
            'make' => $plan->count(RowAction::Make),
            'change' => $plan->count(RowAction::Change),
            'same' => $plan->count(RowAction::Same),
            'refuse' => $plan->count(RowAction::Refuse),
        ];
        $this->rows = self::rows($plan);
        $this->more = max(0, count($plan->rows) - self::MOST_SHOWN);
    }

    /** @return list<ListPreviewRow> */
    private static function rows(ListPlan $plan): array
    {
        $rows = $plan->rows;
        $order = static fn (PlannedRow $r): array => [$r->does !== RowAction::Refuse, $r->row->line];
        usort($rows, static fn (PlannedRow $a, PlannedRow $b): int => $order($a) <=> $order($b));

        return array_map(
            static fn (PlannedRow $r): ListPreviewRow => new ListPreviewRow($r),
            array_slice($rows, 0, self::MOST_SHOWN),
        );
    }
}
