<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A folder in which several deliverables were delivered, scanned once, and how each of them stands.
 *
 * @property int $id
 * @property int $production_id
 * @property int $intake_root_id
 * @property int|null $user_id
 * @property string $folder
 * @property CheckState $state
 * @property string|null $fault
 * @property array{done: int, all: int|null, at: string}|null $progress
 * @property array<string, string>|null $by_hand  key of a deliverable by the place of what was assigned to it
 * @property string|null $scanned  what was found, packed
 * @property string|null $report  how each deliverable stands, packed
 * @property Carbon|null $seen_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property Production $production
 * @property IntakeRoot $intakeRoot
 * @property User|null $person
 */
final class DeliveredTree extends Model
{
    protected $fillable = [
        'production_id', 'intake_root_id', 'user_id', 'folder', 'state', 'fault', 'progress', 'by_hand', 'scanned',
        'report', 'seen_at',
    ];

    protected $hidden = ['scanned', 'report'];

    /** Seconds without a sign of life after which nobody is taken to work on it. */
    private const PATIENCE = 600;

    protected function casts(): array
    {
        return ['state' => CheckState::class, 'progress' => 'array', 'by_hand' => 'array', 'seen_at' => 'datetime'];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
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

    /** @param  Builder<self>  $query */
    public function scopeUnderWay(Builder $query): void
    {
        $query->whereIn('state', [CheckState::Queued, CheckState::Running]);
    }

    public function isUnderWay(): bool
    {
        return $this->state->isUnderWay() && ($this->seen_at ?? $this->created_at)->diffInSeconds() < self::PATIENCE;
    }

    /**
     * Folders, from the intake root's base on, in which the files of one deliverable lie and those of no other.
     *
     * @return array<int, string> by deliverable
     */
    public function ownFolders(): array
    {
        /** @var list<array{key: int, folder: string, files: int}> $rows */
        $rows = $this->told()['deliverables'] ?? [];
        $with = array_filter($rows, static fn (array $row): bool => $row['files'] > 0);
        $folders = [];
        foreach ($with as $row) {
            $others = array_filter($with, static fn (array $other): bool => $other['key'] !== $row['key']
                && str_starts_with("{$other['folder']}/", $row['folder'] === '' ? '' : "{$row['folder']}/"));
            if ($others === []) {
                $folders[$row['key']] = trim("{$this->folder}/{$row['folder']}", '/');
            }
        }

        return $folders;
    }

    /** @return array<string, mixed>|null  as `TreeReport` tells it, without the whole check of each */
    public function told(): ?array
    {
        /** @var array<string, mixed>|null $told */
        $told = $this->report === null ? null : json_decode((string) gzdecode($this->report), true, 64);

        return $told;
    }
}
