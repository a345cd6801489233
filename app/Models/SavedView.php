<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How somebody likes to see what a production owes: which lines, in which order, with which columns.
 *
 * @property int $id
 * @property int $production_id
 * @property int $user_id
 * @property string $name
 * @property array{which: string, text: string, specification: string|null, by: string, down: bool,
 *   columns: list<string>} $state
 */
final class SavedView extends Model
{
    protected $fillable = ['production_id', 'user_id', 'name', 'state'];

    protected function casts(): array
    {
        return ['state' => 'array'];
    }
}
