<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Models\Check;
use App\Models\CheckState;
use App\Models\Deliverable;

/** The newest check, where it came to no end. */
final readonly class Unfinished
{
    public int $id;

    public string $says;

    private function __construct(Check $check)
    {
        $this->id = $check->id;
        $this->says = $check->state === CheckState::Failed
            ? (string) $check->fault
            : 'The check was stopped; nothing was kept of it.';
    }

    public static function of(Deliverable $deliverable): ?self
    {
        $last = $deliverable->checks()->latest('id')->first();

        return $last?->state === CheckState::Failed || $last?->state === CheckState::Stopped ? new self($last) : null;
    }
}
