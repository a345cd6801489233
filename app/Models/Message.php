<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What would be sent to somebody: the outbox stands in for a post office, and keeps it.
 *
 * @property int $id
 * @property int $production_id
 * @property int $to_id
 * @property int|null $by_id
 * @property string $subject
 * @property string $body
 * @property Carbon $created_at
 * @property User $to
 * @property User|null $by
 * @property Production $production
 */
final class Message extends Model
{
    protected $fillable = ['production_id', 'to_id', 'by_id', 'subject', 'body'];

    /** @return BelongsTo<User, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(User::class, 'to_id');
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }
}
