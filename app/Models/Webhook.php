<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * An address elsewhere that is called when something happens in a production.
 *
 * @property int $id
 * @property int $production_id
 * @property string $url
 * @property string $secret  by which a call is signed; kept encrypted
 * @property list<string> $events
 * @property Production $production
 */
final class Webhook extends Model
{
    protected $fillable = ['production_id', 'url', 'secret', 'events'];

    protected $hidden = ['secret'];

    protected function casts(): array
    {
        return ['secret' => 'encrypted', 'events' => 'array'];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }

    /** @return HasMany<WebhookCall, $this> */
    public function calls(): HasMany
    {
        return $this->hasMany(WebhookCall::class);
    }
}
