<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
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
        $rows = $deliverables->map(
            static fn (Deliverable $deliverable): array => self::row(
                $deliverable,
                $yesterday[$deliverable->id] ?? null,
            ),
        );

        return [
            'rows' => $rows->all(),
            'groups' => self::groups($deliverables),
            'causes' => self::causes($deliverables),
            'agreement' => self::agreement($deliverables),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(Deliverable $deliverable, ?Check $then): array
    {
        $newest = $deliverable->newest;

        return [
            'id' => $deliverable->id,
            'code' => $deliverable->code,
            'title' => $deliverable->title,
            'owner' => $deliverable->owner?->name,
            'specification' => $deliverable->specification->title,
            'due' => BookPage::due($deliverable->due_at),
            'dueAt' => $deliverable->due_at?->getTimestamp(),
            'changed' => self::changed($deliverable, $then),
            'stale' => AskedLayers::hasChangedSince($deliverable, $newest),
            'holdsUp' => BookPage::holdsUp($newest),
            'folio' => BookPage::folio($newest),
        ] + self::standing($newest);
    }

    /** @return array<string, mixed> what the newest check says */
    private static function standing(?Check $check): array
    {
        $summary = $check->summary ?? [];
        [$good, $all] = $summary['balance'] ?? [0, 0];
        $causes = $summary['causes'] ?? [];

        return [
            'marks' => (object) ($summary['groups'] ?? []),
            'good' => $good,
            'all' => $all,
            'waived' => count($summary['waivers'] ?? []),
            'cause' => $causes[0]['says'] ?? null,
            'causes' => array_values(array_unique(array_column($causes, 'id'))),
            'verdict' => $check?->verdict,
            'scene' => $check?->scene_id !== null,
            'files' => $check?->delivery_id !== null,
        ] + self::moment($check);
    }

    /** @return array{checked: int|null, when: string|null} */
    private static function moment(?Check $check): array
    {
        return [
            'checked' => $check?->updated_at->getTimestamp(),
            'when' => $check?->updated_at->format('j M, H:i'),
        ];
    }

    /**
     * @param  Collection<int, Deliverable>  $deliverables
     * @return list<string> the groups that any of them is asked something of
     */
    private static function groups(Collection $deliverables): array
    {
        $groups = [];
        foreach ($deliverables as $deliverable) {
            $groups += $deliverable->newest->summary['groups'] ?? [];
        }
        $all = array_map(static fn (Group $group): string => $group->value, Group::cases());

        return array_values(array_filter($all, static fn (string $group): bool => isset($groups[$group])));
    }

    /**
     * @param  Collection<int, Deliverable>  $deliverables
     * @return list<array{id: string, who: list<array<string, mixed>>}> whom each cause is found of, the commonest first
     */
    private static function causes(Collection $deliverables): array
    {
        $causes = [];
        foreach ($deliverables as $deliverable) {
            foreach ($deliverable->newest->summary['causes'] ?? [] as $cause) {
                $causes[$cause['id']][$deliverable->id] = [
                    'id' => $deliverable->id,
                    'code' => $deliverable->code,
                    'owner' => $deliverable->owner?->name,
                    'says' => $cause['says'],
                    'folio' => $cause['side'] === 'scene' ? 'scene' : 'frames',
                ];
            }
        }
        uasort($causes, static fn (array $a, array $b): int => count($b) <=> count($a));

        return array_map(
            static fn (string $id, array $who): array => ['id' => $id, 'who' => array_values($who)],
            array_map(strval(...), array_keys($causes)),
            array_values($causes),
        );
    }

    /**
     * @param  Collection<int, Deliverable>  $deliverables
     * @return list<array<string, mixed>> settings that the scenes of a specification share, and whose are others
     */
    private static function agreement(Collection $deliverables): array
    {
        $settings = [];
        foreach ($deliverables as $deliverable) {
            $own = $deliverable->newest->summary['settings'] ?? null;
            if ($own !== null) {
                $settings[$deliverable->specification->title][$deliverable->code] = $own;
            }
        }
        $agreement = [];
        foreach ($settings as $title => $scenes) {
            foreach (SharedSettings::among($scenes) as $line) {
                $agreement[] = ['specification' => $title] + $line;
            }
        }

        return $agreement;
    }

    /** What is otherwise than it was yesterday, in a word; null where nothing is. */
    private static function changed(Deliverable $deliverable, ?Check $then): ?string
    {
        $now = $deliverable->newest;
        if ($now === null || $then?->id === $now->id) {
            return null;
        }
        if ($then === null) {
            return $now->updated_at->isAfter(Carbon::now()->subDay()) ? 'first check' : null;
        }
        if ($then->verdict !== $now->verdict) {
            return match ($now->verdict) {
                'balanced' => 'balances now',
                'unbalanced' => 'balances no more',
                default => 'is open now',
            };
        }

        return self::lines($then) != self::lines($now) ? 'other lines' : null;
    }

    /** @return array{array<string, string>, list<string>} marks by group, and causes */
    private static function lines(Check $check): array
    {
        return [$check->summary['groups'] ?? [], array_column($check->summary['causes'] ?? [], 'id')];
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
