<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Crypt;

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
 * @property string|null $link  enciphered, as long as nobody has used it; only of those into a production
 * @property Carbon $created_at
 * @property Carbon $expires_at
 * @property Carbon|null $used_at
 * @property Production|null $production
 * @property User|null $user
 * @property User|null $by
 */
final class Invitation extends Model
{
    protected $fillable = [
        'kind', 'token', 'production_id', 'role', 'user_id', 'name', 'email', 'number', 'by_id', 'expires_at',
        'used_at', 'link',
    ];

    protected $hidden = ['token', 'link'];

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

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }

    /** The whole link, for the outbox; null where it was used, has ended, or was kept under another key. */
    public function openLink(): ?string
    {
        if ($this->link === null || ! $this->isOpen()) {
            return null;
        }
        try {
            return Crypt::decryptString($this->link);
        } catch (DecryptException) {
            return null;
        }
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
