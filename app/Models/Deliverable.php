<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Specification\CustomFacts;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Specification\SpecificationDraft;

/**
 * @property int $id
 * @property int $production_id
 * @property int $specification_id
 * @property int|null $owner_id
 * @property string $code
 * @property string $title
 * @property Carbon|null $due_at
 * @property Carbon|null $put_away_at
 * @property array<string, mixed> $values
 * @property array<string, mixed> $overrides
 * @property string|null $frame_times  what a frame takes, as it was typed: one time, or several
 * @property string|null $frame_size  bytes of a frame, as they were typed
 * @property Production $production
 * @property Specification $specification
 * @property User|null $owner
 * @property Check|null $newest
 * @property Extension|null $extension
 * @property Collection<int, User> $team
 * @property Collection<int, HandIn> $handIns
 */
final class Deliverable extends Model
{
    /** Relations that what is asked of it is read from. */
    public const ASKED = ['owner', 'production', 'specification.latest'];

    protected $fillable = [
        'production_id', 'specification_id', 'owner_id', 'code', 'title', 'due_at', 'values', 'overrides',
        'frame_times', 'frame_size', 'put_away_at',
    ];

    protected function casts(): array
    {
        return ['values' => 'array', 'overrides' => 'array', 'due_at' => 'datetime', 'put_away_at' => 'datetime'];
    }

    /** @return BelongsTo<Production, $this> */
    public function production(): BelongsTo
    {
        return $this->belongsTo(Production::class);
    }

    /** @return BelongsTo<Specification, $this> */
    public function specification(): BelongsTo
    {
        return $this->belongsTo(Specification::class);
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /**
     * Those who answer for it together with its owner.
     *
     * @return BelongsToMany<User, $this>
     */
    public function team(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'team_members')->withTimestamps();
    }

    /** @return list<User> everybody who answers for it, its owner first */
    public function people(): array
    {
        return [...($this->owner === null ? [] : [$this->owner]), ...array_values($this->team->all())];
    }

    /** @return HasOne<Extension, $this> */
    public function extension(): HasOne
    {
        return $this->hasOne(Extension::class);
    }

    /** @return HasMany<HandIn, $this> */
    public function handIns(): HasMany
    {
        return $this->hasMany(HandIn::class)->orderBy('number');
    }

    /**
     * What somebody answers for, alone or with others.
     *
     * @param  Builder<self>  $query
     */
    public function scopeOwedBy(Builder $query, User $user): void
    {
        $query->where(fn (Builder $any) => $any->where('owner_id', $user->id)
            ->orWhereHas('team', fn (Builder $team) => $team->whereKey($user->id)));
    }

    public function isOwedBy(User $user): bool
    {
        return $this->owner_id === $user->id || $this->team()->whereKey($user->id)->exists();
    }

    /** @return HasMany<Part, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(Part::class);
    }

    /** @return HasMany<Scene, $this> */
    public function scenes(): HasMany
    {
        return $this->hasMany(Scene::class);
    }

    /** @return HasMany<RenderLog, $this> */
    public function renderLogs(): HasMany
    {
        return $this->hasMany(RenderLog::class);
    }

    /** @return HasMany<Tick, $this> */
    public function ticks(): HasMany
    {
        return $this->hasMany(Tick::class);
    }

    /** @return HasMany<Delivery, $this> */
    public function deliveries(): HasMany
    {
        return $this->hasMany(Delivery::class);
    }

    /** @return HasMany<Check, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(Check::class);
    }

    /**
     * The newest check that came to an end: what the index shows.
     *
     * @return HasOne<Check, $this>
     */
    public function newest(): HasOne
    {
        return $this->hasOne(Check::class)->ofMany(['id' => 'max'], fn ($query) => $query->done());
    }

    /**
     * With what is asked of each, so that nothing more is read for any.
     *
     * @param  Builder<self>  $query
     */
    public function scopeWithAsked(Builder $query): void
    {
        $query->with(self::ASKED);
    }

    /**
     * All for those who decide, what is theirs for everybody else.
     *
     * @param  Builder<self>  $query
     */
    public function scopeOpenTo(Builder $query, User $reader): void
    {
        $in = $reader->memberships()->get();
        $decides = $in->filter(static fn (Membership $m): bool => $m->role->decides());
        $query->whereIn('production_id', $in->pluck('production_id'))
            ->where(fn (Builder $any) => $any->owedBy($reader)
                ->orWhereIn('production_id', $decides->pluck('production_id')));
    }

    /**
     * Beside its newest check, as `newest`, so that the database itself can count and choose by it.
     *
     * @param  Builder<self>  $query
     */
    public function scopeBesideNewest(Builder $query): void
    {
        $newest = Check::query()->done()->whereColumn('checks.deliverable_id', 'deliverables.id')
            ->selectRaw('max(checks.id)');
        $query->leftJoin('checks as newest', fn (JoinClause $join) => $join->where('newest.id', '=', $newest));
    }

    /**
     * With the least that an index shows.
     *
     * @param  Builder<self>  $query
     */
    public function scopeForIndex(Builder $query): void
    {
        $query->with([...self::ASKED, 'newest' => fn ($newest) => $newest->forIndex()]);
    }

    /**
     * With what a board shows.
     *
     * @param  Builder<self>  $query
     */
    public function scopeForBoard(Builder $query): void
    {
        $query->with([...self::ASKED, 'newest' => fn ($newest) => $newest->forBoard()]);
    }

    /** What is asked of it. */
    public function loadAsked(): self
    {
        return $this->load(self::ASKED);
    }

    /** What its own pages show: what is asked, and the newest check. */
    public function loadForPage(): self
    {
        return $this->load([...self::ASKED, 'newest']);
    }

    /** @return list<Layer> house, specification, deliverable: each laid over the one before */
    public function layers(SpecificationRevision $revision): array
    {
        return [
            $this->production->houseLayer(),
            new Layer(SetBy::Specification, ['values' => $this->impliedValues()], $this->code),
            $revision->layer(),
            new Layer(SetBy::Deliverable, $this->ownLayer(), $this->code),
        ];
    }

    /** @return array<string, string> what it says of itself is there for names without being typed twice */
    public function impliedValues(): array
    {
        return self::implied($this->production->code, $this->code, $this->owner?->handle);
    }

    /** @return array<string, string> */
    public static function implied(string $production, string $code, ?string $learner): array
    {
        return ['production' => $production, 'shot' => $code, ...($learner === null ? [] : ['learner' => $learner])];
    }

    /** @return array<string, mixed> its values and overrides, those of single parts apart */
    public function ownLayer(): array
    {
        return self::layerOf($this->values, $this->overrides);
    }

    /**
     * @param  array<string, mixed>  $values
     * @param  array<string, mixed>  $overrides
     * @return array<string, mixed>
     */
    public static function layerOf(array $values, array $overrides): array
    {
        $byPart = is_array($overrides['parts'] ?? null) ? $overrides['parts'] : [];
        unset($overrides['parts']);

        return ['values' => $values, 'require' => $overrides] + (
            $byPart === []
                ? []
                : [
                    'parts' => array_map(
                        static fn (string $name, mixed $require): array => ['name' => $name, 'require' => $require],
                        array_map(strval(...), array_keys($byPart)),
                        array_values($byPart),
                    ),
                ]
        );
    }

    /** As far as it can be understood: pages show it also where something cannot be met. */
    public function draft(): SpecificationDraft
    {
        return Resolved::draft(...$this->layers($this->specification->latest));
    }

    public function resolved(?SpecificationRevision $revision = null): Resolved
    {
        return Resolved::resolve(...$this->layers($revision ?? $this->specification->latest));
    }

    /** Brings the table of parts in line with what the specification has. */
    public function keepParts(): void
    {
        $ids = [];
        $resolved = $this->draft()->specification;
        foreach ($resolved->parts as $part) {
            $row = $this->parts()->firstOrNew(['name' => $part->name]);
            $row->fill(['delivers' => $part->delivers->value])->save();
            $ids[$part->name] = $row->id;
        }
        foreach ($resolved->parts as $part) {
            $this->parts()
                ->whereKey($ids[$part->name])
                ->update(['made_from_id' => $part->madeFrom === null ? null : $ids[$part->madeFrom]]);
        }
        $this->parts()->whereNotIn('id', array_values($ids))->delete();
    }

    /**
     * What names stand for in scenes of a deliverable: the labels of facts of its own, and the names of the production.
     */
    public function fieldMap(): FieldMap
    {
        return FieldMap::ofOwnFacts(
            CustomFacts::labels($this->draft()->specification),
        )->under($this->production->fieldMap());
    }
}
