<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use Illuminate\Database\Eloquent\Relations\HasMany;
use PlainLedger\Core\Specification\Layer;

/** Whether what a check was made by is still what is asked: a stamp of all layers, which boards can compare. */
final readonly class AskedLayers
{
    /**
     * @param  list<array{set_by: string, data: array<string, mixed>, label?: string}>  $layers as a check keeps them
     */
    public static function stamp(array $layers): string
    {
        $asked = array_map(static fn (array $l): array => [$l['set_by'], $l['data']], $layers);

        return hash('sha256', json_encode($asked, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    public static function now(Deliverable $deliverable): string
    {
        return self::stamp(self::layers($deliverable));
    }

    /**
     * @return list<array{set_by: string, data: array<string, mixed>, label: string}> what is asked just now, as a
     *   check keeps it
     */
    public static function layers(Deliverable $deliverable): array
    {
        return array_map(
            static fn (Layer $l): array => ['set_by' => $l->setBy->value, 'data' => $l->data, 'label' => $l->label],
            $deliverable->layers($deliverable->specification->latest),
        );
    }

    /** Whether the house, the specification or the deliverable asks otherwise since. */
    public static function hasChangedSince(Deliverable $deliverable, ?Check $check): bool
    {
        return $check !== null && $check->asked !== self::now($deliverable);
    }

    /**
     * @return list<Check> the newest check of each deliverable, with its deliverable, where other things were asked
     *   then
     */
    public static function outOfDate(Production|Specification $of): array
    {
        $stale = [];
        /** @var HasMany<Deliverable, Production|Specification> $deliverables */
        $deliverables = $of->deliverables();
        foreach ($deliverables->with(
            [
                'newest' => fn ($query) => $query->select(
                    'checks.id',
                    'checks.deliverable_id',
                    'checks.asked',
                    'checks.specification_revision_id',
                ),
                'newest.revision',
                ...Deliverable::ASKED,
            ],
        )->orderBy('code')->get() as $deliverable) {
            $check = $deliverable->newest;
            if ($check !== null && self::hasChangedSince($deliverable, $check)) {
                $stale[] = $check->setRelation('deliverable', $deliverable);
            }
        }

        return $stale;
    }
}
