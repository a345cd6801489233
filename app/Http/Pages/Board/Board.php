<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
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
        $deliverables = $production->deliverables()->forBoard()->orderBy('code')->get();
        $yesterday = self::before($production, Carbon::now()->subDay());
        $this->rows = array_values($deliverables->map(
            static fn (Deliverable $d): BoardRow => new BoardRow($d, $yesterday[$d->id] ?? null),
        )->all());
        $this->groups = self::groups($deliverables);
        $this->causes = self::causes($deliverables);
        $this->agreement = self::agreement($deliverables);
    }

    /**
     * @param  Collection<int, Deliverable>  $deliverables
     * @return list<Group>
     */
    private static function groups(Collection $deliverables): array
    {
        $groups = [];
        foreach ($deliverables as $deliverable) {
            $groups += $deliverable->newest->summary['groups'] ?? [];
        }

        return array_values(
            array_filter(Group::cases(), static fn (Group $group): bool => isset($groups[$group->value])),
        );
    }

    /**
     * @param  Collection<int, Deliverable>  $deliverables
     * @return list<CommonCause>
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
     * @return list<SharedSetting>
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
                $agreement[] = ['specification' => (string) $title] + $line;
            }
        }

        return $agreement;
    }

    /** @return array<int, Check> the newest of each deliverable that was done by then */
    private static function before(Production $production, Carbon $moment): array
    {
        $ids = Check::query()->done()
            ->whereIn('deliverable_id', $production->deliverables()->select('id'))
            ->where('updated_at', '<=', $moment)
            ->groupBy('deliverable_id')
            ->selectRaw('max(id) as id')
            ->pluck('id');

        return Check::query()->forBoard()->whereIn('id', $ids)->get()->keyBy('deliverable_id')->all();
    }
}
