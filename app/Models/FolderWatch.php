<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Delivery\FolderPulse;

/**
 * An intake folder that a render fills, looked at again and again until it stands still.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int $intake_root_id
 * @property int|null $user_id
 * @property string $folder
 * @property list<array{int, int, int, int, int, int, int}> $looks
 * @property Carbon|null $moved_at
 * @property Carbon|null $looked_at
 * @property string|null $ended  why it is not looked at any more
 * @property Carbon $created_at
 * @property Deliverable $deliverable
 * @property IntakeRoot $intakeRoot
 * @property User|null $person
 */
final class FolderWatch extends Model
{
    protected $fillable = [
        'deliverable_id', 'intake_root_id', 'user_id', 'folder', 'looks', 'moved_at', 'looked_at', 'ended',
    ];

    protected function casts(): array
    {
        return ['looks' => 'array', 'moved_at' => 'datetime', 'looked_at' => 'datetime'];
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

    /** @return list<FolderPulse> in their order */
    public function pulses(): array
    {
        return array_map(FolderPulse::fromArray(...), $this->looks);
    }
}
