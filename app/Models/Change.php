<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PlainLedger\Core\Specification\SetBy;

/**
 * One change of what is asked: by whom, where, from what to what. It can be taken back and made again.
 *
 * @property int $id
 * @property int $production_id
 * @property int|null $specification_id
 * @property int|null $deliverable_id
 * @property int|null $user_id
 * @property string $layer
 * @property string $part
 * @property string $key
 * @property string|null $before
 * @property string|null $after
 * @property bool $undone
 * @property int|null $follows_id  the change it was made with, and is taken back with
 * @property \Illuminate\Support\Carbon $created_at
 * @property User|null $person
 * @property Deliverable|null $deliverable
 * @property Production $production
 */
final class Change extends Model
{
    protected $fillable = [
        'production_id', 'specification_id', 'deliverable_id', 'user_id', 'layer', 'part', 'key', 'before', 'after',
        'undone', 'follows_id',
    ];

    protected function casts(): array
    {
        return ['undone' => 'boolean'];
    }

    /**
     * Those that had to do with what is asked of a deliverable.
     *
     * @param  Builder<self>  $query
     */
    public function scopeTouching(Builder $query, Deliverable $deliverable): void
    {
        $query->where('production_id', $deliverable->production_id)->where(
            fn (Builder $any) => $any->where('deliverable_id', $deliverable->id)
                ->orWhere('specification_id', $deliverable->specification_id)
                ->orWhere('layer', SetBy::House->value),
        );
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return BelongsTo<Deliverable, $this> */
    public function deliverable(): BelongsTo
    {
        return $this->belongsTo(Deliverable::class);
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }
}
