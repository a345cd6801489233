<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Actions\Checks\AskedStamps;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Report\SharedSettings;
use PlainLedger\Core\Specification\Group;

/**
 * The rows of a board, and what is common among them.
 *
 * @phpstan-type CommonCause array{id: string,
 *   who: list<array{id: int, code: string, owner: string|null, says: string, folio: 'scene'|'frames'}>}
 * @phpstan-type SharedSetting array{specification: string, id: string, label: string, common: string, count: int,
 *   others: list<array{whose: string, value: string}>}
 */
final readonly class Board
{
    /** @var list<BoardRow> */
    public array $rows;

    /** @var list<Group> those that anybody is asked something of */
    public array $groups;

    /** @var list<CommonCause> whom each cause is found of, the commonest first */
    public array $causes;

    /** @var list<SharedSetting> settings that the scenes of a specification share, and whose are others */
    public array $agreement;

    public function __construct(Production $production)
    {
        $deliverables = self::owed($production);
        $yesterday = self::before($production, $deliverables, Carbon::now()->subDay());
        $asked = new AskedStamps;
        $rows = $summaries = [];
        foreach ($deliverables as $deliverable) {
            // each access reads the document anew
            $summary = $deliverable->newest?->summary;
            $id = (int) $deliverable->stored('id');
            $rows[] = new BoardRow($deliverable, $summary, $yesterday[$id] ?? null, $asked);
            $summaries[$id] = $summary ?? [];
        }
        $this->rows = $rows;
        $this->groups = self::groups($summaries);
        $this->causes = self::causes($deliverables, $summaries);
        $this->agreement = self::agreement($deliverables, $summaries);
    }

    /**
     * @param  array<int, array<string, mixed>>  $summaries  by deliverable
     * @return list<Group>
     */
    private static function groups(array $summaries): array
    {
        $groups = [];
        foreach ($summaries as $summary) {
            $groups += $summary['groups'] ?? [];
        }

        return array_values(
            array_filter(Group::cases(), static fn (Group $group): bool => isset($groups[$group->value])),
        );
    }

    /**
     * @param  Collection<int, Deliverable>  $deliverables
     * @param  array<int, array<string, mixed>>  $summaries  by deliverable
     * @return list<CommonCause>
     */
    private static function causes(Collection $deliverables, array $summaries): array
    {
        $causes = [];
        foreach ($deliverables as $deliverable) {
            $id = (int) $deliverable->stored('id');
            foreach ($summaries[$id]['causes'] ?? [] as $cause) {
                $causes[$cause['id']][$id] = [
                    'id' => $id,
                    'code' => (string) $deliverable->stored('code'),
                    'owner' => $deliverable->owner?->name,
                    'says' => $cause['says'],
                    'folio' => $cause['side'] === Side::Scene->value ? 'scene' : 'frames',
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
     * @param  array<int, array<string, mixed>>  $summaries  by deliverable
     * @return list<SharedSetting>
     */
    private static function agreement(Collection $deliverables, array $summaries): array
    {
        $settings = [];
        foreach ($deliverables as $deliverable) {
            $own = $summaries[(int) $deliverable->stored('id')]['settings'] ?? null;
            if ($own !== null) {
                $settings[$deliverable->specification->title][(string) $deliverable->stored('code')] = $own;
            }
        }
        $agreement = [];
        foreach ($settings as $title => $scenes) {
            foreach (SharedSettings::among($scenes) as $line) {
                $agreement[] = ['specification' => (string) $title] + $line;
            }
        }

        return $agreement;
    }

    /**
     * All that are owed, with their newest checks.
     *
     * @return Collection<int, Deliverable>
     */
    private static function owed(Production $production): Collection
    {
        $newest = Check::query()->forBoard()->whereIn('id', self::newest($production)->selectRaw('max(id)'))->get();
        $by = [];
        foreach ($newest as $check) {
            $by[(int) $check->stored('deliverable_id')] = $check;
        }
        $deliverables = $production->deliverables()->with('owner', 'specification.latest')->orderBy('code')->get();
        foreach ($deliverables as $deliverable) {
            $deliverable->setRelation('newest', $by[(int) $deliverable->stored('id')] ?? null)
                ->setRelation('production', $production);
        }

        return $deliverables;
    }

    /** @return Builder<Check> those that were done, by deliverable */
    private static function newest(Production $production): Builder
    {
        return Check::query()->done()
            ->whereIn('deliverable_id', $production->deliverables()->select('id'))
            ->groupBy('deliverable_id');
    }

    /**
     * The newest of each deliverable that was done by then; where that is the newest at all, it is not read again.
     *
     * @param  Collection<int, Deliverable>  $deliverables
     * @return array<int, Check> by deliverable
     */
    private static function before(Production $production, Collection $deliverables, Carbon $moment): array
    {
        $ids = self::newest($production)->where('updated_at', '<=', $moment)->toBase()
            ->pluck(DB::raw('max(id)'), 'deliverable_id');
        [$before, $others] = [[], []];
        foreach ($deliverables as $deliverable) {
            $id = (int) $deliverable->stored('id');
            $then = $ids[$id] ?? null;
            if ($then !== null && $deliverable->newest?->stored('id') === $then) {
                $before[$id] = $deliverable->newest;
            } elseif ($then !== null) {
                $others[] = $then;
            }
        }

        return $before + Check::query()->forBoard()->whereIn('id', $others)->get()->keyBy('deliverable_id')->all();
    }
}
