<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link by which somebody comes in: used once, and until a day.
 *
 * @property int $id
 * @property InvitationKind $kind
 * @property string $token  the hash of what stands in the link
 * @property int|null $production_id
 * @property Role|null $role
 * @property int|null $user_id
 * @property string|null $name
 * @property string|null $email
 * @property string|null $number  what they are called in another system
 * @property Carbon $expires_at
 * @property Carbon|null $used_at
 * @property Production|null $production
 * @property User|null $user
 */
final class Invitation extends Model
{
    protected $fillable = [
        'kind', 'token', 'production_id', 'role', 'user_id', 'name', 'email', 'number', 'by_id', 'expires_at',
        'used_at',
    ];

    protected $hidden = ['token'];

    protected function casts(): array
    {
        return [
            'kind' => InvitationKind::class, 'role' => Role::class,
            'expires_at' => 'datetime', 'used_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function hash(string $word): string
    {
        return hash('sha256', $word);
    }

    public static function of(string $word): ?self
    {
        return self::query()->where('token', self::hash($word))->first();
    }

    public function isOpen(): bool
    {
        return $this->used_at === null && $this->expires_at->isFuture();
    }
}
