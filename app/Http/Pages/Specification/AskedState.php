<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Moment;
use App\Models\Change;
use App\Models\Deliverable;

/** A mark of all layers together, and who changed one last. */
final readonly class AskedState
{
    public string $token;

    public ?string $by;

    public ?string $at;

    public function __construct(Deliverable $deliverable)
    {
        $layers = [
            $deliverable->production->house,
            $deliverable->specification->latest->data,
            $deliverable->overrides,
            $deliverable->values,
        ];
        $last = Change::query()->touching($deliverable)->with('person')->latest('id')->first();
        $this->token = substr(hash('sha256', (string) json_encode($layers)), 0, 16);
        $this->by = $last?->person?->name;
        $this->at = $last === null ? null : Moment::time($last->created_at);
    }
}
