<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Http\Downloads;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Tabular\Csv;

/** One line a deliverable, for a gradebook or a sheet of one’s own. */
final class ResultsController
{
    private const HEADINGS = [
        'learner', 'name', 'deliverable', 'title', 'specification', 'due', 'checked', 'verdict', 'balance', 'of',
        'percent', 'waived', 'first cause', 'says',
    ];

    public function __invoke(Production $production): PlainResponse
    {
        $deliverables = $production->deliverables()->forBoard()->orderBy('code')->get();
        $rows = array_values($deliverables->map(self::row(...))->all());

        return Downloads::file(
            Csv::of([self::HEADINGS, ...$rows]),
            'text/csv; charset=utf-8',
            "{$production->code}-results.csv",
        );
    }

    /** @return list<string> */
    private static function row(Deliverable $deliverable): array
    {
        $newest = $deliverable->newest;
        $zone = $deliverable->production->zone();

        return [
            $deliverable->owner->handle ?? '',
            $deliverable->owner->name ?? '',
            $deliverable->code,
            $deliverable->title,
            $deliverable->specification->title,
            $deliverable->due_at?->setTimezone($zone)->format('Y-m-d H:i') ?? '',
            $newest?->updated_at->setTimezone($zone)->format('Y-m-d H:i') ?? '',
            $newest->verdict->value ?? 'not checked',
            ...self::result($newest->summary ?? null),
        ];
    }

    /**
     * @param  array<string, mixed>|null  $summary
     * @return list<string> balance, of how many, percent, waived, first cause and what it says
     */
    private static function result(?array $summary): array
    {
        if ($summary === null) {
            return ['', '', '', '', '', ''];
        }
        [$good, $all] = $summary['balance'];

        return [
            (string) $good,
            (string) $all,
            $all === 0 ? '' : (string) intdiv($good * 200 + $all, 2 * $all),
            (string) count($summary['waivers']),
            $summary['causes'][0]['id'] ?? '',
            $summary['causes'][0]['says'] ?? '',
        ];
    }
}
