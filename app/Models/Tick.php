<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A piece of work that somebody has ticked off.
 *
 * @property int $deliverable_id
 * @property int|null $user_id
 * @property string $fix
 */
final class Tick extends Model
{
    protected $fillable = ['deliverable_id', 'user_id', 'fix'];

    /** @param  array<string, mixed>  $fix  as a check's document tells it */
    public static function key(array $fix): string
    {
        return hash('sha256', (string) json_encode(array_diff_key($fix, ['says' => true])));
    }
}
