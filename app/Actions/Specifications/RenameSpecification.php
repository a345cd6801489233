<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Gives a specification another title. */
final readonly class RenameSpecification
{
    public function run(Specification $specification, string $title, User $by): void
    {
        DB::transaction(static function () use ($specification, $title, $by): void {
            $specification->update(['title' => $title]);
            $latest = $specification->latest()->firstOrFail();
            if (($latest->data['title'] ?? null) !== $title) {
                $specification->revise(['title' => $title] + $latest->data, $by);
            }
        });
    }
}
