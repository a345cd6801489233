<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;

/**
 * One comparison, kept with the very layers it was resolved from.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int $specification_revision_id
 * @property int|null $scene_id
 * @property int|null $delivery_id
 * @property int|null $user_id
 * @property CheckState $state
 * @property Verdict|null $verdict
 * @property string|null $holds_up
 * @property list<array{set_by: string, data: array<string, mixed>, label: string}> $layers
 * @property array{root: int, folder: string, depth: string, archive?: string, seen?: array<string, array{path: string,
 *   size: int, modified: int, grids: array<int, string>}>}|null $order
 * @property array{done: int, all: int|null, at: string, began: int, moved?: int}|null $progress  `moved`: when it
 *   last took a step
 * @property string|null $document
 * @property string|null $asked  a stamp of its layers
 * @property string|null $trouble  the side that its first cause is on, scene or files
 * @property int $waived  how many of its lines are accepted as they are
 * @property array{groups: array<string, string>, causes: list<array{id: string, side: string, says: string}>,
 *   balance: array{int, int}, settings: array<string, string>|null, waivers: list<array<string, mixed>>,
 *   earlier: int|null, render: array{frames: string, bytes: int|null, gaps: list<int>}|null}|null $summary what boards
 *   show of it, and what it was closed with
 * @property string|null $fault
 * @property Carbon|null $seen_at  when somebody last worked on it, or put it in the queue
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property Deliverable $deliverable
 * @property SpecificationRevision $revision
 * @property Scene|null $scene
 * @property Delivery|null $delivery
 * @property User|null $person
 */
final class Check extends Model
{
    protected $fillable = [
        'deliverable_id', 'specification_revision_id', 'scene_id', 'delivery_id', 'user_id', 'state', 'verdict',
        'holds_up', 'layers', 'order', 'progress', 'document', 'fault', 'summary', 'waived', 'asked', 'trouble',
        'seen_at',
    ];

    protected $hidden = ['document', 'layers', 'summary'];

    protected function casts(): array
    {
        return [
            'layers' => 'array',
            'order' => 'array',
            'progress' => 'array',
            'summary' => 'array',
            'seen_at' => 'datetime',
            'state' => CheckState::class,
            'verdict' => Verdict::class,
        ];
    }

    /** @return BelongsTo<Deliverable, $this> */
    public function deliverable(): BelongsTo
    {
        return $this->belongsTo(Deliverable::class);
    }

    /** @return BelongsTo<SpecificationRevision, $this> */
    public function revision(): BelongsTo
    {
        return $this->belongsTo(SpecificationRevision::class, 'specification_revision_id');
    }

    /** @return BelongsTo<Scene, $this> */
    public function scene(): BelongsTo
    {
        return $this->belongsTo(Scene::class);
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

    /** @return array<string, mixed> the `plain-ledger/check` document */
    public function account(): array
    {
        /** @var array<string, mixed> $document */
        $document = json_decode((string) gzdecode((string) $this->document), true, 64, JSON_THROW_ON_ERROR);

        return $document;
    }

    /** What was asked when it was made. */
    public function resolved(): Resolved
    {
        return Resolved::resolve(
            ...array_map(
                static fn (array $l): Layer => new Layer(SetBy::from($l['set_by']), $l['data'], $l['label']),
                $this->layers,
            ),
        );
    }

    /**
     * Those that wait for their turn or are worked on.
     *
     * @param  Builder<self>  $query
     */
    public function scopeUnderWay(Builder $query): void
    {
        $query->whereIn('state', [CheckState::Queued, CheckState::Running]);
    }

    /**
     * Those that came to an end, with a verdict.
     *
     * @param  Builder<self>  $query
     */
    public function scopeDone(Builder $query): void
    {
        $query->where('state', CheckState::Done);
    }

    /**
     * The newest of each deliverable that came to an end.
     *
     * @param  Builder<self>  $query
     * @param  HasMany<Deliverable, Production>  $deliverables
     */
    public function scopeNewestOf(Builder $query, HasMany $deliverables): void
    {
        $query->whereIn('checks.id', self::query()->done()
            ->whereIn('deliverable_id', (clone $deliverables)->select('deliverables.id'))
            ->groupBy('deliverable_id')->selectRaw('max(id)'));
    }

    /**
     * What boards read of a check: never its document.
     *
     * @param  Builder<self>  $query
     */
    public function scopeForBoard(Builder $query): void
    {
        $query->select([
            'checks.id', 'checks.deliverable_id', 'checks.verdict', 'checks.holds_up', 'checks.summary',
            'checks.waived', 'checks.scene_id', 'checks.delivery_id', 'checks.updated_at', 'checks.asked',
            'checks.trouble',
        ]);
    }

    /**
     * What the index reads of a check: neither its document nor its summary.
     *
     * @param  Builder<self>  $query
     */
    public function scopeForIndex(Builder $query): void
    {
        $query->select([
            'checks.id', 'checks.deliverable_id', 'checks.verdict', 'checks.holds_up', 'checks.waived',
            'checks.asked', 'checks.trouble', 'checks.scene_id', 'checks.delivery_id', 'checks.updated_at',
        ]);
    }

    /** Everything that the ledger shows beside its document. */
    public function loadForLedger(): self
    {
        return $this->loadMissing([
            'revision', 'scene', 'delivery.intakeRoot', 'person',
            ...array_map(static fn (string $r): string => "deliverable.{$r}", Deliverable::ASKED),
        ]);
    }

    public function isUnderWay(): bool
    {
        return $this->state->isUnderWay();
    }

    /** Ends it with a sentence, where it is under way still. */
    public function fail(string $says): void
    {
        self::query()->whereKey($this->id)
            ->underWay()
            ->update(['state' => CheckState::Failed, 'fault' => $says, 'progress' => null]);
    }
}
