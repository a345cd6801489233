<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Course\GradedLine;

/**
 * Something that was handed in: a check, and what counts of it, kept for as long as the deliverable is.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $check_id
 * @property int|null $user_id
 * @property int $number  from 1 among those of its deliverable
 * @property Carbon $handed_at
 * @property Carbon $counted_at  by which it is late or not
 * @property Verdict $verdict
 * @property list<array<string, mixed>> $lines  as `GradedLine` gives them
 * @property list<array{id: string, says: string}> $causes
 * @property array<string, mixed>|null $print  as `DeliveryPrint` gives it
 * @property Carbon|null $returned_at
 * @property string|null $returned_why
 * @property string|null $agreed  points that those who mark agreed on
 * @property int|null $agreed_by_id
 * @property Deliverable $deliverable
 * @property Check|null $check
 * @property User|null $person
 * @property \Illuminate\Database\Eloquent\Collection<int, HandInMark> $marks
 */
final class HandIn extends Model
{
    protected $fillable = [
        'deliverable_id', 'check_id', 'user_id', 'number', 'handed_at', 'counted_at', 'verdict', 'lines', 'causes',
        'print', 'returned_at', 'returned_why', 'agreed', 'agreed_by_id',
    ];

    protected $hidden = ['print', 'lines'];

    protected function casts(): array
    {
        return [
            'handed_at' => 'datetime', 'counted_at' => 'datetime', 'returned_at' => 'datetime',
            'verdict' => Verdict::class, 'lines' => 'array', 'causes' => 'array', 'print' => 'array',
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

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return HasMany<HandInMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(HandInMark::class)->orderBy('id');
    }

    /** @return list<GradedLine> */
    public function graded(): array
    {
        return array_values(array_filter(array_map(GradedLine::fromArray(...), $this->lines)));
    }
}
