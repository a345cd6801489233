<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Specification\RequirementId;

/** Puts a deliverable into the book, with the specification it follows or one of its own. */
final readonly class MakeDeliverable
{
    /** @param  array<string, mixed>  $document  what a specification of its own begins with */
    public function run(Production $production, NewDeliverable $new, array $document, ?User $by): Deliverable
    {
        return DB::transaction(static function () use ($production, $new, $document, $by): Deliverable {
            $specification = $new->specification === null
                ? self::specification($production, $new, $document, $by)
                : Specification::query()->whereKey($new->specification)->firstOrFail();
            $deliverable = $production->deliverables()->create([
                'specification_id' => $specification->id,
                'owner_id' => $new->owner,
                'code' => $new->code,
                'title' => $new->title,
                'due_at' => $new->due,
                'values' => [],
                'overrides' => $new->range === '' ? [] : [RequirementId::TIME_RANGE => $new->range],
            ]);
            $deliverable->keepParts();

            return $deliverable;
        });
    }

    /** @param  array<string, mixed>  $document */
    private static function specification(
        Production $production,
        NewDeliverable $new,
        array $document,
        ?User $by,
    ): Specification {
        $told = is_string($document['title'] ?? null) ? $document['title'] : '';
        $own = $new->specificationTitle === '' ? $told : $new->specificationTitle;
        $title = $own === '' ? $new->code : $own;
        $specification = $production->specifications()->create(['title' => mb_substr($title, 0, 160)]);
        $specification->revise($document, $by);

        return $specification;
    }
}
