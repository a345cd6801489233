<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

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

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }
}
