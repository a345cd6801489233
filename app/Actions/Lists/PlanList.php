<?php

declare(strict_types=1);

namespace App\Actions\Lists;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Shotlist\ExistingDeliverable;
use PlainLedger\Core\Shotlist\ListedPerson;
use PlainLedger\Core\Shotlist\ListPlan;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\Specification as Resolved;

/** Lays a list of deliverables against what the book has; nothing is kept. */
final readonly class PlanList
{
    /** @param  list<ShotRow>  $rows */
    public function run(Production $production, Specification $specification, array $rows): ListPlan
    {
        $known = $production->everything()
            ->orderBy('id')
            ->get()
            ->map(fn (Deliverable $d): ExistingDeliverable => new ExistingDeliverable(
                $d->code,
                $d->title,
                $d->owner_id,
                $d->due_at?->setTimezone($production->zone())->format('Y-m-d H:i'),
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
}
