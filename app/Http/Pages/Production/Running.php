<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Models\Check;
use App\Models\CheckState;
use App\Models\Deliverable;
use App\Models\User;

/** A check that is waiting or under way. */
final readonly class Running
{
    private const MOST = 12;

    public int $id;

    public string $code;

    public string $production;

    public bool $waits;

    private function __construct(Check $check)
    {
        $this->id = $check->id;
        $this->code = $check->deliverable->code;
        $this->production = $check->deliverable->production->name;
        $this->waits = $check->state === CheckState::Queued;
    }

    /** @return list<self> the oldest first */
    public static function of(User $reader): array
    {
        return array_values(Check::query()->underWay()
            ->whereIn('deliverable_id', Deliverable::query()->openTo($reader)->select('id'))
            ->with('deliverable.production')
            ->orderBy('id')->limit(self::MOST)->get()
            ->map(static fn (Check $check): self => new self($check))->all());
    }
}
