<?php

declare(strict_types=1);

namespace Tests\Feature\Factories;

use App\Models\Production;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Production> */
final class ProductionFactory extends Factory
{
    protected $model = Production::class;

    public function definition(): array
    {
        return ['code' => 'XX', 'name' => 'Another', 'kind' => 'film', 'house' => []];
    }

    public function named(string $code, string $name): self
    {
        return $this->state(['code' => $code, 'name' => $name]);
    }

    public function with(User $person, string $role): self
    {
        return $this->afterCreating(static function (Production $production) use ($person, $role): void {
            $production->memberships()->create(['user_id' => $person->id, 'role' => $role]);
        });
    }
}
