<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One call of an address elsewhere: what was said, and whether it arrived.
 *
 * @property int $id
 * @property int $webhook_id
 * @property string $event
 * @property string $body
 * @property int $tries
 * @property int|null $status  the last answer
 * @property string|null $fault  why the last try did not arrive
 * @property Carbon|null $arrived_at
 * @property Carbon $created_at
 * @property Webhook $webhook
 */
final class WebhookCall extends Model
{
    protected $fillable = ['webhook_id', 'event', 'body', 'tries', 'status', 'fault', 'arrived_at'];

    protected function casts(): array
    {
        return ['arrived_at' => 'datetime'];
    }

    /** @return BelongsTo<Webhook, $this> */
    public function webhook(): BelongsTo
    {
        return $this->belongsTo(Webhook::class);
    }
}
