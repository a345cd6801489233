<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A specification to begin from that a production keeps for itself.
 *
 * @property int $id
 * @property int $production_id
 * @property string $title
 * @property array<string, mixed> $document
 * @property Production $production
 */
final class Preset extends Model
{
    protected $fillable = ['production_id', 'title', 'document'];

    protected function casts(): array
    {
        return ['document' => 'array'];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }
}
