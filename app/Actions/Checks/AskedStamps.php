<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;

/**
 * The stamps of many deliverables' layers: what they have in common, the house and the specification, is written out
 * once only. They are the same that `AskedLayers` gives.
 */
final class AskedStamps
{
    /** @var array<int, string> what the house asks, by production */
    private array $houses = [];

    /** @var array<int, string> what a specification asks, by its id */
    private array $revisions = [];

    public function hasChangedSince(Deliverable $deliverable, ?Check $check): bool
    {
        return $check !== null && $check->stored('asked') !== $this->now($deliverable);
    }

    public function now(Deliverable $deliverable): string
    {
        $house = (int) $deliverable->stored('production_id');
        $specification = (int) $deliverable->stored('specification_id');
        $layers = [
            $this->houses[$house] ??= self::written($deliverable->production->houseLayer()),
            self::written(new Layer(SetBy::Specification, ['values' => $deliverable->impliedValues()], '')),
            $this->revisions[$specification] ??= self::written($deliverable->specification->latest->layer()),
            self::written(new Layer(SetBy::Deliverable, $deliverable->ownLayer(), '')),
        ];

        return hash('sha256', '['.implode(',', $layers).']');
    }

    private static function written(Layer $layer): string
    {
        return json_encode(
            [$layer->setBy->value, $layer->data],
            JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
