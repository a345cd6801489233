<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use PlainLedger\Demo\Practice\Blunder;

/**
 * Something that is set to practise on: deliveries with the same mistakes, another one for each.
 *
 * @property int $id
 * @property int $production_id
 * @property int|null $user_id
 * @property string $title
 * @property list<string> $mistakes
 * @property 'find'|'write' $kind  whether mistakes are to be found, or a specification written for a described job
 * @property Carbon $created_at
 * @property Production $production
 */
final class PracticeExercise extends Model
{
    protected $fillable = ['production_id', 'user_id', 'title', 'mistakes', 'kind'];

    protected $attributes = ['kind' => 'find'];

    protected $hidden = ['mistakes'];

    protected function casts(): array
    {
        return ['mistakes' => 'array'];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }

    /** @return HasMany<PracticeTry, $this> */
    public function tries(): HasMany
    {
        return $this->hasMany(PracticeTry::class);
    }

    public function isBrief(): bool
    {
        return $this->kind === 'write';
    }

    /** @return list<Blunder> */
    public function blunders(): array
    {
        return array_map(Blunder::from(...), $this->mistakes);
    }
}
