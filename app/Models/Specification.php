<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property int $id
 * @property int $production_id
 * @property string $title
 * @property \Illuminate\Support\Carbon|null $retired_at  since when it is offered for nothing new
 * @property SpecificationRevision $latest
 * @property Production $production
 */
final class Specification extends Model
{
    protected $fillable = ['production_id', 'title', 'retired_at'];

    protected function casts(): array
    {
        return ['retired_at' => 'datetime'];
    }

    /** @return HasMany<SpecificationRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(SpecificationRevision::class);
    }

    /** @return HasOne<SpecificationRevision, $this> */
    public function latest(): HasOne
    {
        return $this->hasOne(SpecificationRevision::class)->ofMany('number', 'max');
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }

    /** @return HasMany<Deliverable, $this> */
    public function deliverables(): HasMany
    {
        return $this->hasMany(Deliverable::class);
    }

    /**
     * Changes what is asked. A revision that a check has used stays as it was, and a new one is begun.
     *
     * @param  array<string, mixed>  $data
     */
    public function revise(array $data, ?User $by): SpecificationRevision
    {
        $latest = $this->latest()->first();
        if ($latest instanceof SpecificationRevision && $latest->used_at === null) {
            $latest->update(['data' => $data, 'user_id' => $by?->id]);

            return $latest;
        }

        return $this->revisions()->create(
            [
                'number' => ($latest instanceof SpecificationRevision ? $latest->number : 0) + 1,
                'data' => $data,
                'user_id' => $by?->id,
            ],
        );
    }
}
