<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use App\Models\Production;

/** Machines that render, and the hours in which they may. */
final readonly class Pool
{
    public int $machines;

    public string $hours;

    public function __construct(Production $production)
    {
        $this->machines = $production->pool['machines'] ?? 1;
        $this->hours = $production->pool['hours'] ?? '';
    }
}
