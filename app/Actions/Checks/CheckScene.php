<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Keeps scene settings, and checks them beside the newest delivery where there is one. */
final readonly class CheckScene
{
    public function __construct(private OpenCheck $open, private CloseCheck $close) {}

    /**
     * @param  array<string, mixed>  $scene  of the row that is made
     */
    public function run(Deliverable $deliverable, array $scene, User $by): Check
    {
        // settings without a check of them would stand there as if nobody had looked at them
        [$kept, $check] = DB::transaction(function () use ($deliverable, $scene, $by): array {
            $kept = $deliverable->scenes()->create($scene);

            return [$kept, $this->open->run($deliverable, $kept, $by)];
        });

        return $this->close->ofScene($check->setRelation('scene', $kept), $deliverable);
    }
}
