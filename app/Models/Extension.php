<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What one deliverable was granted beyond the rules of its assignment.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $user_id  who granted it
 * @property Carbon|null $due_at  null: due when everybody's is
 * @property int $attempts  more than the rules allow
 * @property string $why
 */
final class Extension extends Model
{
    protected $fillable = ['deliverable_id', 'user_id', 'due_at', 'attempts', 'why'];

    protected $attributes = ['attempts' => 0, 'why' => ''];

    protected function casts(): array
    {
        return ['due_at' => 'datetime'];
    }
}
