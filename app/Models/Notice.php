<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something somebody is told.
 *
 * @property int $id
 * @property int $user_id
 * @property int $production_id
 * @property NoticeKind $kind
 * @property string $says
 * @property string $url  a path of this installation
 * @property Carbon|null $read_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property Production $production
 */
final class Notice extends Model
{
    protected $fillable = ['user_id', 'production_id', 'kind', 'says', 'url', 'read_at'];

    protected function casts(): array
    {
        return ['kind' => NoticeKind::class, 'read_at' => 'datetime'];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }
}
