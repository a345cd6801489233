<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Submission\SubmissionRecord;

/**
 * A sign-off: a check, its very files by their sums, who and when.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $check_id
 * @property int|null $delivery_id
 * @property int|null $user_id
 * @property int|null $withdrawn_by_id
 * @property int|null $number  from 1 among those of its deliverable that were signed
 * @property SubmissionState $state
 * @property string $note
 * @property array<string, string> $answers  what was done instead, by the key of a line that could not be checked
 * @property list<string> $algorithms
 * @property array{files: int, all_files: int, bytes: int, all_bytes: int, by?: int|null}|null $progress  `by`:
 *   who has its files looked at again
 * @property Carbon|null $seen_at  when somebody last worked on it, or put it in the queue
 * @property string|null $fault
 * @property int|null $file_count
 * @property int|null $total_size
 * @property string|null $fingerprint
 * @property string|null $record  packed
 * @property Carbon|null $signed_at
 * @property Carbon|null $withdrawn_at
 * @property string|null $withdrawn_why
 * @property array{at: string, holds: bool, says: list<string>}|null $verified
 * @property array{number: int|null, says: list<string>, approved: list<array{number: int, signed_by: string,
 *   signed_at: string, files: int, names: list<string>}>}|null $since  how it stands to the one that was signed before
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property Deliverable $deliverable
 * @property Check|null $check
 * @property Delivery|null $delivery
 * @property User|null $person
 * @property User|null $withdrawer
 */
final class Submission extends Model
{
    /** All but the record itself. */
    public const SHOWN = [
        'id', 'deliverable_id', 'check_id', 'delivery_id', 'user_id', 'withdrawn_by_id', 'number', 'state', 'note',
        'answers', 'algorithms', 'progress', 'seen_at', 'fault', 'file_count', 'total_size', 'fingerprint',
        'signed_at', 'withdrawn_at', 'withdrawn_why', 'verified', 'since', 'created_at', 'updated_at',
    ];

    protected $fillable = [
        'deliverable_id', 'check_id', 'delivery_id', 'user_id', 'withdrawn_by_id', 'number', 'state', 'note', 'answers',
        'algorithms', 'progress', 'seen_at', 'fault', 'file_count', 'total_size', 'fingerprint', 'record', 'signed_at',
        'withdrawn_at', 'withdrawn_why', 'verified', 'since',
    ];

    protected $hidden = ['record'];

    protected function casts(): array
    {
        return [
            'state' => SubmissionState::class, 'answers' => 'array', 'algorithms' => 'array', 'progress' => 'array',
            'verified' => 'array', 'since' => 'array',
            'seen_at' => 'datetime', 'signed_at' => 'datetime', 'withdrawn_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Deliverable, $this> */
    public function deliverable(): BelongsTo
    {
        return $this->belongsTo(Deliverable::class);
    }

    /** @return BelongsTo<Check, $this> */
    public function check(): BelongsTo
    {
        return $this->belongsTo(Check::class);
    }

    /** @return BelongsTo<Delivery, $this> */
    public function delivery(): BelongsTo
    {
        return $this->belongsTo(Delivery::class);
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return BelongsTo<User, $this> */
    public function withdrawer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'withdrawn_by_id');
    }

    /**
     * Without their records, which may be long.
     *
     * @param  Builder<self>  $query
     */
    public function scopeShown(Builder $query): void
    {
        $query->select(self::SHOWN)->with(['person', 'withdrawer', 'delivery:id,origin']);
    }

    /** @return list<SumAlgorithm> */
    public function sumAlgorithms(): array
    {
        return array_map(SumAlgorithm::from(...), $this->algorithms);
    }

    public function signedRecord(): SubmissionRecord
    {
        $packed = self::query()->whereKey($this->id)->value('record');

        return SubmissionRecord::read((string) gzdecode((string) $packed), 'the record');
    }

    /** Whether its files lie where only the browser of whoever had them checked can read them. */
    public function isOnOwnDisk(): bool
    {
        return $this->delivery?->origin === DeliveryOrigin::Own;
    }

    /** Whether its files are being read just now, to be signed or to be verified. */
    public function isUnderWay(): bool
    {
        return $this->progress !== null;
    }
}
