<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Report\SharedSettings;
use PlainLedger\Core\Specification\Group;

/**
 * Deliverables down, groups of requirements across; from the summaries of the newest checks, none of which is unpacked.
 */
final readonly class BoardPage
{
    /** What of a check is read: never its document. */
    public const COLUMNS = [
        'checks.id', 'checks.deliverable_id', 'checks.verdict', 'checks.holds_up', 'checks.summary', 'checks.scene_id',
        'checks.delivery_id', 'checks.updated_at', 'checks.asked', 'checks.trouble',
    ];

    /** @return array<string, mixed> */
    public static function of(Production $production): array
    {
        $deliverables = $production->deliverables()
            ->with([...AskedLayers::NEEDS, 'newest' => fn ($query) => $query->select(self::COLUMNS)])
            ->orderBy('code')
            ->get();
        $yesterday = self::before($production, Carbon::now()->subDay());
        $rows = [];
        $groups = [];
        $settings = [];
        $causes = [];
        foreach ($deliverables as $d) {
            $summary = $d->newest?->summary;
            $then = $yesterday[$d->id] ?? null;
            $marks = $summary['groups'] ?? [];
            $groups += array_fill_keys(array_keys($marks), true);
            if (($summary['settings'] ?? null) !== null) {
                $settings[$d->specification->title][$d->code] = $summary['settings'];
            }
            foreach ($summary['causes'] ?? [] as $cause) {
                $causes[$cause['id']][$d->id] = [
                    'id' => $d->id,
                    'code' => $d->code,
                    'owner' => $d->owner?->name,
                    'says' => $cause['says'],
                    'folio' => $cause['side'] === 'scene' ? 'scene' : 'frames',
                ];
            }
            [$good, $all] = $summary['balance'] ?? [0, 0];
            $rows[] = [
                'id' => $d->id,
                'code' => $d->code,
                'title' => $d->title,
                'owner' => $d->owner?->name,
                'specification' => $d->specification->title,
                'due' => BookPage::due($d->due_at),
                'dueAt' => $d->due_at?->getTimestamp(),
                'verdict' => $d->newest?->verdict,
                'holdsUp' => BookPage::holdsUp($d->newest),
                'marks' => (object) $marks,
                'good' => $good,
                'all' => $all,
                'waived' => count($summary['waivers'] ?? []),
                'scene' => $d->newest?->scene_id !== null,
                'files' => $d->newest?->delivery_id !== null,
                'checked' => $d->newest?->updated_at->getTimestamp(),
                'when' => $d->newest?->updated_at->format('j M, H:i'),
                'cause' => $summary['causes'][0]['says'] ?? null,
                'causes' => array_values(array_unique(array_column($summary['causes'] ?? [], 'id'))),
                'changed' => self::changed($d, $then),
                'stale' => AskedLayers::hasChangedSince($d, $d->newest),
                'folio' => BookPage::folio($d->newest),
            ];
        }
        $agreement = [];
        foreach ($settings as $title => $scenes) {
            foreach (SharedSettings::among($scenes) as $line) {
                $agreement[] = ['specification' => $title] + $line;
            }
        }
        uasort($causes, static fn (array $a, array $b): int => count($b) <=> count($a));

        return [
            'rows' => $rows,
            'groups' => array_values(
                array_filter(
                    array_map(static fn (Group $g): string => $g->value, Group::cases()),
                    static fn (string $g): bool => isset($groups[$g]),
                ),
            ),
            'causes' => array_map(
                static fn (string $id, array $who): array => ['id' => $id, 'who' => array_values($who)],
                array_map(strval(...), array_keys($causes)),
                array_values($causes),
            ),
            'agreement' => $agreement,
        ];
    }

    /** What is otherwise than it was yesterday, in a word; null where nothing is. */
    private static function changed(Deliverable $deliverable, ?Check $then): ?string
    {
        $now = $deliverable->newest;

        return match (true) {
            $now === null || ($then !== null && $then->id === $now->id) => null,
            $then === null => $now->updated_at->isAfter(Carbon::now()->subDay()) ? 'first check' : null,
            $then->verdict !== $now->verdict => match ($now->verdict) {
                'balanced' => 'balances now', 'unbalanced' => 'balances no more', default => 'is open now',
            },
            ($then->summary['groups'] ?? []) != ($now->summary['groups'] ?? [])
                || array_column(
                    $then->summary['causes'] ?? [],
                    'id',
                ) != array_column($now->summary['causes'] ?? [], 'id') => 'other lines',
            default => null,
        };
    }

    /** @return array<int, Check> the newest of each deliverable that was done by then */
    private static function before(Production $production, Carbon $moment): array
    {
        $ids = DB::table('checks')->join(
            'deliverables',
            'deliverables.id',
            '=',
            'checks.deliverable_id',
        )->where('deliverables.production_id', $production->id)
            ->where('checks.state', 'done')
            ->where('checks.updated_at', '<=', $moment)
            ->groupBy('checks.deliverable_id')
            ->selectRaw('max(checks.id) as id')
            ->pluck('id');

        return Check::query()->whereIn('id', $ids)->select(self::COLUMNS)->get()->keyBy('deliverable_id')->all();
    }
}
