<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Actions\Checks\AskedStamps;
use App\Models\Check;
use App\Models\CheckOutline;
use App\Models\DeliverableOutline;
use App\Models\Production;
use Illuminate\Database\Eloquent\Builder;
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
        $owed = self::owed($production);
        $yesterday = self::before($production, $owed, Carbon::now()->subDay());
        $asked = new AskedStamps;
        $rows = [];
        foreach ($owed as $deliverable) {
            $rows[] = new BoardRow($deliverable, $yesterday[$deliverable->id] ?? null, $asked);
        }
        $this->rows = $rows;
        $this->groups = self::groups($owed);
        $this->causes = self::causes($owed);
        $this->agreement = self::agreement($owed);
    }

    /**
     * @param  list<DeliverableOutline>  $owed
     * @return list<Group>
     */
    private static function groups(array $owed): array
    {
        $groups = [];
        foreach ($owed as $deliverable) {
            $groups += $deliverable->newest->summary['groups'] ?? [];
        }

        return array_values(
            array_filter(Group::cases(), static fn (Group $group): bool => isset($groups[$group->value])),
        );
    }

    /**
     * @param  list<DeliverableOutline>  $owed
     * @return list<CommonCause>
     */
    private static function causes(array $owed): array
    {
        $causes = [];
        foreach ($owed as $deliverable) {
            foreach ($deliverable->newest->summary['causes'] ?? [] as $cause) {
                $causes[$cause['id']][$deliverable->id] = [
                    'id' => $deliverable->id,
                    'code' => $deliverable->code,
                    'owner' => $deliverable->owner,
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
     * @param  list<DeliverableOutline>  $owed
     * @return list<SharedSetting>
     */
    private static function agreement(array $owed): array
    {
        $settings = [];
        foreach ($owed as $deliverable) {
            $own = $deliverable->newest->summary['settings'] ?? null;
            if ($own !== null) {
                $settings[$deliverable->specification][$deliverable->code] = $own;
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

    /** @return list<DeliverableOutline> all that are owed, with their newest checks */
    private static function owed(Production $production): array
    {
        $newest = Check::query()->forBoard()->newestOf($production->deliverables());

        return DeliverableOutline::ofAll($production, $production->deliverables(), CheckOutline::ofAll($newest));
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
     * @param  list<DeliverableOutline>  $owed
     * @return array<int, CheckOutline> by deliverable
     */
    private static function before(Production $production, array $owed, Carbon $moment): array
    {
        $ids = self::newest($production)->where('updated_at', '<=', $moment)->toBase()
            ->pluck(DB::raw('max(id)'), 'deliverable_id');
        [$before, $others] = [[], []];
        foreach ($owed as $deliverable) {
            $then = $ids[$deliverable->id] ?? null;
            if ($then !== null && $deliverable->newest?->id === $then) {
                $before[$deliverable->id] = $deliverable->newest;
            } elseif ($then !== null) {
                $others[] = $then;
            }
        }

        return $before + CheckOutline::ofAll(Check::query()->forBoard()->whereIn('id', $others));
    }
}
