<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\WaivedLine;
use PlainLedger\Core\Checking\Waiver as Accepted;

/**
 * An unequal line that was accepted, of one deliverable or of all that follow a specification.
 *
 * @property int $id
 * @property int $production_id
 * @property int|null $specification_id
 * @property int|null $deliverable_id
 * @property int|null $user_id
 * @property string $entry
 * @property string $part
 * @property string|null $pass
 * @property string $required
 * @property list<string> $accepted
 * @property string $reason
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property User|null $person
 * @property Production $production
 */
final class Waiver extends Model
{
    protected $fillable = [
        'production_id', 'specification_id', 'deliverable_id', 'user_id', 'entry', 'part', 'pass', 'required',
        'accepted', 'reason', 'ended_at',
    ];

    protected function casts(): array
    {
        return ['accepted' => 'array', 'ended_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }

    /** @return list<Accepted> those that hold for a deliverable, its own first */
    public static function holding(Deliverable $deliverable): array
    {
        $rows = self::query()->with('person')->whereNull('ended_at')
            ->where(
                fn ($query) => $query->where('deliverable_id', $deliverable->id)->orWhere(
                    'specification_id',
                    $deliverable->specification_id,
                ),
            )
            ->orderByRaw('deliverable_id is null')->orderByDesc('id')->get();

        return array_values(
            $rows->map(
                static fn (self $w): Accepted => new Accepted(
                    new WaivedLine($w->entry, $w->part, $w->pass, $w->required),
                    $w->accepted,
                    $w->reason,
                    $w->person?->name,
                    $w->id,
                ),
            )->all(),
        );
    }
}
