<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Actions\Courses\Standing;
use App\Http\Downloads;
use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Course\Decimal;
use PlainLedger\Core\Tabular\Csv;

/** One line a deliverable, for a gradebook or a sheet of one’s own. */
final class ResultsController
{
    private const HEADINGS = [
        'learner', 'name', 'deliverable', 'title', 'specification', 'due', 'checked', 'verdict', 'balance', 'of',
        'percent', 'waived', 'first cause', 'says',
    ];

    /** Of a course, behind the others. */
    private const OF_COURSE = ['number', 'handed in', 'late', 'attempts', 'points', 'points of'];

    public function __invoke(Production $production): PlainResponse
    {
        $deliverables = $production->deliverables()->forBoard()->orderBy('code')->get();
        $headings = self::HEADINGS;
        $rows = array_values($deliverables->map(self::row(...))->all());
        if ($production->kind === 'course') {
            $headings = [...$headings, ...self::OF_COURSE];
            $deliverables->load('handIns.marks', 'extension', 'team');
            $numbers = $production->memberships()->pluck('number', 'user_id');
            foreach ($deliverables->values() as $at => $deliverable) {
                $number = (string) $numbers->get($deliverable->owner_id ?? 0);
                $rows[$at] = [...$rows[$at], $number, ...self::handedIn($deliverable)];
            }
        }

        return Downloads::file(
            Csv::of([$headings, ...$rows]),
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

    /** @return list<string> when, how late, attempts, points, and of how many */
    private static function handedIn(Deliverable $deliverable): array
    {
        $assignment = Assignment::of($deliverable->specification);
        $standing = new Standing($deliverable, $assignment);
        $handIn = $standing->countingHandIn();
        // points beside names would say whose is whose
        if ($handIn === null || $standing->counting === null || $assignment->hidesNames()) {
            return ['', '', (string) count($standing->attempts), '', ''];
        }

        return [
            $handIn->handed_at->setTimezone($deliverable->production->zone())->format('Y-m-d H:i'),
            $standing->counting->lateness->isLate() ? $standing->counting->lateness->says() : '',
            (string) count($standing->attempts),
            $standing->points() ?? '',
            Decimal::shown($standing->counting->points->possible()),
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
