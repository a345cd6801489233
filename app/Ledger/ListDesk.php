<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Actions\Changes\ChangeRequirement;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Shotlist\ExistingDeliverable;
use PlainLedger\Core\Shotlist\ListedPerson;
use PlainLedger\Core\Shotlist\ListPlan;
use PlainLedger\Core\Shotlist\PlannedRow;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;

/** Many deliverables at once: planned against what the book has, and written whole or not at all. */
final readonly class ListDesk
{
    /** @param  list<ShotRow>  $rows */
    public function plan(Production $production, Specification $specification, array $rows): ListPlan
    {
        $known = $production->deliverables()
            ->orderBy('id')
            ->get()
            ->map(fn (Deliverable $d): ExistingDeliverable => new ExistingDeliverable(
                $d->code,
                $d->title,
                $d->owner_id,
                $d->due_at?->format('Y-m-d H:i'),
                array_map(strval(...), array_filter($d->values, is_scalar(...))),
                self::texts($d->overrides),
            ))->all();
        $people = $production->memberships()
            ->with('user')
            ->get()
            ->map(
                static fn ($m): ListedPerson => new ListedPerson(
                    $m->user->id,
                    $m->user->name,
                    $m->user->handle,
                    $m->user->email,
                ),
            )
            ->all();
        $codes = array_flip(array_map(static fn (ExistingDeliverable $k): string => strtolower($k->code), $known));
        // what the specification asks anyway is not asked once more of a new one
        $asked = $this->asked($production, $specification);
        $rows = array_map(static fn (ShotRow $row): ShotRow => isset($codes[strtolower($row->code)]) ? $row
            : $row->asking(array_diff_assoc($row->overrides, $asked)), $rows);

        return ListPlan::of($rows, array_values($known), array_values($people));
    }

    /** @return array<string, string> what all parts are asked alike */
    private function asked(Production $production, Specification $specification): array
    {
        $parts = Resolved::draft($production->houseLayer(), $specification->latest->layer())->specification->parts;
        $asked = array_map(static fn ($r): string => $r->required(), $parts[0]->requirements);
        foreach ($parts as $part) {
            $asked = array_intersect_assoc(
                $asked,
                array_map(static fn ($r): string => $r->required(), $part->requirements),
            );
        }

        return $asked;
    }

    /**
     * @param  array<string, mixed>  $overrides
     * @return array<string, string>
     */
    private static function texts(array $overrides): array
    {
        $texts = [];
        foreach ($overrides as $id => $json) {
            $descriptor = Catalogue::standard()->find($id);
            try {
                if ($descriptor !== null && $json !== null) {
                    $texts[$id] = (string) RequirementValue::read($descriptor, $json);
                }
            } catch (NotUnderstood|\PlainLedger\Core\Naming\PatternRefused) {
                // it will simply differ
            }
        }

        return $texts;
    }

    /** @return array{made: int, changed: int} */
    public function write(
        Production $production,
        Specification $specification,
        ListPlan $plan,
        ChangeRequirement $change,
        User $by,
    ): array {
        return DB::transaction(function () use ($production, $specification, $plan, $change, $by): array {
            [$made, $changed] = [0, 0];
            foreach ($plan->rows as $planned) {
                if ($planned->does === PlannedRow::MAKE) {
                    $this->make($production, $specification, $planned);
                    $made++;
                } elseif ($planned->does === PlannedRow::CHANGE) {
                    $this->change($production, $planned, $change, $by);
                    $changed++;
                }
            }

            return ['made' => $made, 'changed' => $changed];
        });
    }

    private function make(Production $production, Specification $specification, PlannedRow $planned): void
    {
        $row = $planned->row;
        $deliverable = $production->deliverables()->create([
            'specification_id' => $specification->id,
            'owner_id' => $planned->owner?->id,
            'code' => $row->code,
            'title' => $row->details->title ?? '',
            'due_at' => $row->details->due === null ? null : Carbon::parse($row->details->due),
            'values' => $row->values,
            'overrides' => $row->overrides,
        ]);
        $deliverable->setRelation('specification', $specification)->setRelation('production', $production);
        $deliverable->keepParts();
    }

    private function change(Production $production, PlannedRow $planned, ChangeRequirement $change, User $by): void
    {
        $row = $planned->row;
        $deliverable = $production->deliverables()
            ->whereRaw('lower(code) = ?', [strtolower($row->code)])
            ->firstOrFail();
        $deliverable->update(
            array_filter(
                [
                    'title' => $row->details->title,
                    'due_at' => $row->details->due === null ? null : Carbon::parse($row->details->due),
                    'owner_id' => $planned->owner?->id,
                ],
                static fn (mixed $v): bool => $v !== null,
            ),
        );
        $target = Target::deliverable($deliverable);
        foreach ($row->overrides as $id => $value) {
            $change->run(
                $target,
                '',
                $id,
                json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                $by,
            );
        }
        foreach ($row->values as $name => $value) {
            $change->run(
                $target,
                '',
                "values.{$name}",
                json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                $by,
            );
        }
    }

    /**
     * One value changed in several deliverables: what it is now, what it would be, and what that contradicts.
     *
     * @param  list<Deliverable>  $deliverables
     * @param  string|null  $json  null: what each sets itself is taken back
     * @return list<array{id: int, code: string, from: string|null, to: string|null, quarrels: list<string>}>
     */
    public function together(array $deliverables, string $id, ?string $json): array
    {
        $proofreader = \PlainLedger\Core\Specification\Proofreader::standard();
        $lines = [];
        foreach ($deliverables as $deliverable) {
            $layers = $deliverable->layers($deliverable->specification->latest);
            $own = array_pop($layers);
            $data = $own->data ?? [];
            $require = is_array($data['require'] ?? null) ? $data['require'] : [];
            unset($require[$id]);
            if ($json !== null) {
                $require[$id] = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
            }
            $now = Resolved::draft(...$deliverable->layers($deliverable->specification->latest));
            $then = Resolved::draft(
                ...[...$layers, new Layer(SetBy::Deliverable, ['require' => $require] + $data, $deliverable->code)],
            );
            $before = array_map(static fn ($q): string => $q->says, $proofreader->read($now));
            $after = array_map(static fn ($q): string => $q->says, $proofreader->read($then));
            $lines[] = [
                'id' => $deliverable->id,
                'code' => $deliverable->code,
                'from' => $now->specification->parts[0]->find($id)?->required(),
                'to' => $then->specification->parts[0]->find($id)?->required(),
                'quarrels' => array_values(array_diff($after, $before)),
            ];
        }

        return $lines;
    }
}
