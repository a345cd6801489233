<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The log of one render, as far as it was read.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $user_id
 * @property int|null $intake_root_id
 * @property string|null $path  below the base of the root, where the file can be followed
 * @property string $name
 * @property array{name: string, patterns: list<array{event: string, pattern: string}>}|null $shape
 * @property int $read  bytes
 * @property int $size
 * @property array<string, mixed>|null $reading
 * @property string|null $fault
 * @property Carbon $updated_at
 * @property Deliverable $deliverable
 * @property IntakeRoot|null $intakeRoot
 */
final class RenderLog extends Model
{
    protected $fillable = [
        'deliverable_id',
        'user_id',
        'intake_root_id',
        'path',
        'name',
        'shape',
        'read',
        'size',
        'reading',
        'fault',
    ];

    protected function casts(): array
    {
        return ['shape' => 'array', 'reading' => 'array'];
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
}
