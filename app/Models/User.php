<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\HasApiTokens;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $handle
 * @property string $password
 * @property bool $is_administrator
 * @property Carbon|null $disabled_at
 * @property string|null $code_secret  of one-time codes, in base 32
 * @property Carbon|null $codes_since  since when they are asked for
 * @property int|null $code_step  of the one that was used last
 * @property list<string>|null $recovery_codes  hashes
 * @property array<string, array{page: bool, mail: bool}>|null $wishes  what they want to be told, by kind
 * @property string|null $session_mark  by which their sessions hold
 * @property Carbon|null $active_at  the last moment they did something, to some minutes
 * @property Carbon|null $away_since  when they went before they came back
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<\Laravel\Sanctum\PersonalAccessToken> */
    use HasApiTokens;

    protected $fillable = ['name', 'email', 'password', 'handle'];

    protected $hidden = ['password', 'remember_token', 'code_secret', 'recovery_codes', 'session_mark'];

    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'is_administrator' => 'boolean', 'disabled_at' => 'datetime',
            'code_secret' => 'encrypted', 'codes_since' => 'datetime', 'recovery_codes' => 'encrypted:array',
            'wishes' => 'array', 'active_at' => 'datetime', 'away_since' => 'datetime',
        ];
    }

    /** @return BelongsToMany<Production, $this> */
    public function productions(): BelongsToMany
    {
        return $this->belongsToMany(Production::class, 'memberships')->withPivot('role');
    }

    /** @return HasMany<Membership, $this> in what was not deleted */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class)->whereHas('production');
    }

    /** @param  'page'|'mail'  $way */
    public function wishes(NoticeKind $kind, string $way): bool
    {
        return $this->wishes[$kind->value][$way] ?? ($way === 'page' || $kind->isMailed());
    }

    /** @return HasMany<Notice, $this> of what they may see */
    public function notices(): HasMany
    {
        return $this->hasMany(Notice::class)->whereIn('production_id', $this->memberships()->select('production_id'));
    }

    public function roleIn(int $production): ?Role
    {
        $role = $this->memberships()->where('production_id', $production)->value('role');

        return $role instanceof Role ? $role : null;
    }
}
