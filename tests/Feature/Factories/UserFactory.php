<?php

declare(strict_types=1);

namespace Tests\Feature\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    protected $model = User::class;

    public function definition(): array
    {
        return ['password' => 'a long password'];
    }

    public function named(string $handle): self
    {
        return $this->state([
            'name' => ucfirst($handle),
            'email' => "{$handle}@harbour.example",
            'handle' => $handle,
        ]);
    }
}
