<?php

declare(strict_types=1);

namespace Tests\Feature\Factories;

use App\Models\Deliverable;
use App\Models\SheetLink;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/** @extends Factory<SheetLink> */
final class SheetLinkFactory extends Factory
{
    protected $model = SheetLink::class;

    public function definition(): array
    {
        return ['expires_at' => Carbon::now()->addDay()];
    }

    public static function to(Deliverable $deliverable): self
    {
        return self::new()->state(['deliverable_id' => $deliverable->id]);
    }
}
