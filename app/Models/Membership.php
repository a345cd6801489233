<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $user_id
 * @property int $production_id
 * @property Role $role
 * @property string|null $number  what they are called in another system
 * @property User $user
 * @property Production $production
 */
final class Membership extends Model
{
    protected $fillable = ['production_id', 'user_id', 'role', 'number'];

    protected function casts(): array
    {
        return ['role' => Role::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Production, $this> none where it was deleted */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }
}
