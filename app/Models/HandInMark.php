<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What one who marks has to say of something that was handed in.
 *
 * @property int $id
 * @property int $hand_in_id
 * @property int $user_id
 * @property string|null $points  instead of those that are worked out
 * @property string $remark
 * @property User $person
 */
final class HandInMark extends Model
{
    protected $fillable = ['hand_in_id', 'user_id', 'points', 'remark'];

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }
}
