<?php

declare(strict_types=1);

namespace Tests\Feature\Factories;

use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Deliverable> */
final class DeliverableFactory extends Factory
{
    protected $model = Deliverable::class;

    public function definition(): array
    {
        return ['owner_id' => null, 'title' => '', 'values' => [], 'overrides' => []];
    }

    public static function following(Specification $specification): self
    {
        return self::new()->state([
            'production_id' => $specification->production_id,
            'specification_id' => $specification->id,
        ]);
    }

    /** Of the same production, and asked the same. */
    public static function beside(Deliverable $other): self
    {
        return self::following($other->specification);
    }

    public function named(string $code, string $title = ''): self
    {
        return $this->state(['code' => $code, 'title' => $title]);
    }

    public function ownedBy(User $owner): self
    {
        return $this->state(['owner_id' => $owner->id]);
    }

    public function withFrames(string $range): self
    {
        return $this->state(['overrides' => ['time.range' => $range]]);
    }
}
