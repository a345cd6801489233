<?php

declare(strict_types=1);

namespace App\Actions\Lists;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Actions\Changes\WrittenRequirement;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Shotlist\ListPlan;
use PlainLedger\Core\Shotlist\PlannedRow;
use PlainLedger\Core\Shotlist\RowAction;
use PlainLedger\Core\Shotlist\ShotRow;

/** Makes and changes the deliverables of a planned list: all of them, or none. */
final readonly class WriteList
{
    public function __construct(private ChangeRequirement $change) {}

    /** @return array{made: int, changed: int} */
    public function run(
        Production $production,
        Specification $specification,
        ListPlan $plan,
        User $by,
    ): array {
        return DB::transaction(function () use ($production, $specification, $plan, $by): array {
            [$made, $changed] = [0, 0];
            foreach ($plan->rows as $planned) {
                if ($planned->does === RowAction::Make) {
                    $this->make($production, $specification, $planned);
                    $made++;
                } elseif ($planned->does === RowAction::Change) {
                    $this->changeOne($production, $planned, $by);
                    $changed++;
                }
            }

            return ['made' => $made, 'changed' => $changed];
        });
    }

    /** Lists are written on the clock of the production. */
    private static function due(ShotRow $row, Production $production): ?Carbon
    {
        $due = $row->details->due;

        return $due === null ? null : Carbon::parse($due, $production->zone())->utc();
    }

    private function make(Production $production, Specification $specification, PlannedRow $planned): void
    {
        $row = $planned->row;
        $deliverable = $production->deliverables()->create([
            'specification_id' => $specification->id,
            'owner_id' => $planned->owner?->id,
            'code' => $row->code,
            'title' => $row->details->title ?? '',
            'due_at' => self::due($row, $production),
            'values' => $row->values,
            'overrides' => $row->overrides,
        ]);
        $deliverable->setRelation('specification', $specification)->setRelation('production', $production);
        $deliverable->keepParts();
    }

    private function changeOne(Production $production, PlannedRow $planned, User $by): void
    {
        $row = $planned->row;
        $deliverable = $production->everything()
            ->whereRaw('lower(code) = ?', [strtolower($row->code)])
            ->firstOrFail();
        // whoever lists one that was put away owes it once more
        $deliverable->update(['put_away_at' => null]);
        $deliverable->update(
            array_filter(
                [
                    'title' => $row->details->title,
                    'due_at' => self::due($row, $production),
                    'owner_id' => $planned->owner?->id,
                ],
                static fn (mixed $v): bool => $v !== null,
            ),
        );
        $target = ChangedLayer::deliverable($deliverable);
        foreach ($row->overrides as $id => $value) {
            $this->change->run(
                $target,
                '',
                $id,
                WrittenRequirement::json($value),
                $by,
            );
        }
        foreach ($row->values as $name => $value) {
            $this->change->run(
                $target,
                '',
                "values.{$name}",
                WrittenRequirement::json($value),
                $by,
            );
        }
    }
}
