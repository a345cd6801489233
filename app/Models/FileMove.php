<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Files that somebody had renamed, moved or set aside in an intake folder; which, stands in the folder's journal.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int $intake_root_id
 * @property int|null $user_id
 * @property string $folder
 * @property string $work
 * @property int $files
 * @property Carbon|null $undone_at
 * @property Carbon $created_at
 * @property Deliverable $deliverable
 * @property IntakeRoot $intakeRoot
 * @property User|null $person
 */
final class FileMove extends Model
{
    protected $fillable = ['deliverable_id', 'intake_root_id', 'user_id', 'folder', 'work', 'files', 'undone_at'];

    protected function casts(): array
    {
        return ['undone_at' => 'datetime'];
    }

    /** @return BelongsTo<Deliverable, $this> */
    public function deliverable(): BelongsTo
    {
        return $this->belongsTo(Deliverable::class);
    }

    /** @return BelongsTo<IntakeRoot, $this> */
    public function intakeRoot(): BelongsTo
    {
        return $this->belongsTo(IntakeRoot::class);
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** The newest of a deliverable's folder that can be undone; null where there is none. */
    public static function last(Deliverable $deliverable, Delivery $delivery): ?self
    {
        return self::query()
            ->where('deliverable_id', $deliverable->id)
            ->where('intake_root_id', $delivery->intake_root_id)
            ->where('folder', $delivery->folder)
            ->whereNull('undone_at')
            ->latest('id')
            ->first();
    }
}
