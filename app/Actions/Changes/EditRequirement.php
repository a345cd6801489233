<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Models\Change;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Specification\SetBy;

/** Changes what is asked of a deliverable, in whichever of its layers; what cannot be resolved then is not kept. */
final readonly class EditRequirement
{
    public function __construct(private ChangeRequirement $change) {}

    public function run(Deliverable $deliverable, RequirementEdit $edit, User $by): ?Change
    {
        $deliverable->loadAsked();
        $target = ChangedLayer::byLayer($deliverable)[$edit->layer->value];
        $part = self::part($deliverable, $edit, $target);

        return DB::transaction(function () use ($deliverable, $edit, $target, $part, $by): ?Change {
            $target->reload();
            $json = $edit->json ?? self::dropped($target, $part, $edit->id);
            $change = $this->change->run($target, $part, $edit->id, $json, $by, $edit->seen);
            if ($edit->layer !== SetBy::Deliverable && $edit->json !== null) {
                $change = $this->withoutException($deliverable, $edit, $change, $by);
            }
            self::resolve($deliverable);

            return $change;
        });
    }

    /** The house speaks of all parts; of the other layers one part alone where there are several. */
    private static function part(Deliverable $deliverable, RequirementEdit $edit, ChangedLayer $target): string
    {
        if ($edit->layer === SetBy::House) {
            return '';
        }
        $several = count($deliverable->draft()->specification->parts) > 1;

        return $target->partFor($edit->part, $edit->id, $several && $edit->part !== '');
    }

    /** What this layer set is taken back, and what lies below holds again; else it is asked here no more. */
    private static function dropped(ChangedLayer $target, string $part, string $id): ?string
    {
        return $target->read($part, $id) === null ? 'null' : null;
    }

    /** Who changes it for all does not mean to except this one. */
    private function withoutException(
        Deliverable $deliverable,
        RequirementEdit $edit,
        ?Change $change,
        User $by,
    ): ?Change {
        $own = ChangedLayer::deliverable($deliverable);
        foreach (['', $edit->part] as $place) {
            if ($own->read($place, $edit->id) !== null) {
                $removed = $this->change->run($own, $place, $edit->id, null, $by, follows: $change);
                $change ??= $removed;
            }
        }

        return $change;
    }

    private static function resolve(Deliverable $deliverable): void
    {
        $deliverable->refresh()->loadAsked();
        foreach ($deliverable->resolved()->parts as $part) {
            // widened by handles it may run out of bounds
            $part->expected();
        }
        $deliverable->keepParts();
    }
}
