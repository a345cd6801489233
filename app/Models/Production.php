<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property string $kind
 * @property array<string, mixed> $house
 * @property list<array<string, mixed>>|null $field_map
 * @property list<array{name: string, patterns: list<array{event: string, pattern: string}>,
 *   example?: string}>|null $log_shapes
 * @property array{machines?: int, hours?: string}|null $pool
 * @property array{bytes?: int, checks?: int, archive?: int}|null $limits  where it has others than the usual ones
 * @property string|null $time_zone  in which its times are told where no reader's own is known; null: UTC
 * @property array{checks: int, days: int}|null $retention  how many checks of each deliverable are kept, and those of
 *   how many days; null: all
 * @property bool $is_sample
 * @property array<string, mixed>|null $gradebook  which of its columns are whose, as `GradebookColumns` gives it
 * @property array<string, string>|null $phrases  what is said of causes in its own words
 * @property Carbon|null $archived_at  since when it can be read, and nothing in it changed
 * @property Carbon|null $deleted_at
 */
final class Production extends Model
{
    // for some days; then it is gone for good
    use SoftDeletes;

    protected $fillable = [
        'code', 'name', 'kind', 'house', 'field_map', 'log_shapes', 'pool', 'limits', 'time_zone', 'archived_at',
        'retention', 'gradebook', 'phrases',
    ];

    protected function casts(): array
    {
        return [
            'house' => 'array',
            'field_map' => 'array',
            'log_shapes' => 'array',
            'pool' => 'array',
            'limits' => 'array',
            'archived_at' => 'datetime',
            'is_sample' => 'boolean',
            'retention' => 'array',
            'gradebook' => 'array',
            'phrases' => 'array',
        ];
    }

    /** Codes are the same whatever their case; one that was deleted has its own still. */
    public static function byCode(string $code): ?self
    {
        return self::withTrashed()->whereRaw('lower(code) = ?', [strtolower($code)])->first();
    }

    /**
     * What is owed; not what was put away.
     *
     * @return HasMany<Deliverable, $this>
     */
    public function deliverables(): HasMany
    {
        return $this->everything()->whereNull('put_away_at');
    }

    /** @return HasMany<Deliverable, $this> with what was put away */
    public function everything(): HasMany
    {
        return $this->hasMany(Deliverable::class);
    }

    /** @return HasMany<Message, $this> */
    public function messages(): HasMany
    {
        return $this->hasMany(Message::class);
    }

    /** @return Collection<int, Message> with whom they are to and by */
    public function newestMessages(): Collection
    {
        return $this->messages()->with('to', 'by')->orderByDesc('id')->limit(2000)->get();
    }

    /**
     * Those that are in use.
     *
     * @param  int|null  $also  one that is offered also where it is retired
     * @return list<array{id: int, title: string}> by title
     */
    public function specificationTitles(?int $also = null): array
    {
        $offered = $this->specifications()->where(
            fn ($any) => $any->whereNull('retired_at')->orWhere('id', $also),
        );

        return array_values($offered->orderBy('title')->get(['id', 'title'])->map(
            static fn (Specification $s): array => ['id' => $s->id, 'title' => $s->title],
        )->all());
    }

    /** @return HasMany<Specification, $this> */
    public function specifications(): HasMany
    {
        return $this->hasMany(Specification::class);
    }

    /** @return HasMany<IntakeRoot, $this> */
    public function intakeRoots(): HasMany
    {
        return $this->hasMany(IntakeRoot::class);
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** @return list<array{id: int, name: string, role: Role}> who can owe something in it */
    public function people(): array
    {
        return array_values($this->memberships()->with('user')->get()->map(
            static fn (Membership $m): array => ['id' => $m->user_id, 'name' => $m->user->name, 'role' => $m->role],
        )->all());
    }

    /** @return HasMany<Invitation, $this> */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class);
    }

    /** @return HasMany<Preset, $this> */
    public function presets(): HasMany
    {
        return $this->hasMany(Preset::class);
    }

    /**
     * Changes it while nobody else does, as it stands by then: of two who each add something, both have it.
     *
     * @param  \Closure(self): mixed  $change
     */
    public function alone(\Closure $change): void
    {
        DB::transaction(function () use ($change): void {
            $now = self::query()->lockForUpdate()->findOrFail($this->id);
            $change($now);
            $this->setRawAttributes($now->getAttributes(), true);
        });
    }

    /** Other names for settings, as this production has them. */
    public function fieldMap(): FieldMap
    {
        return Scene::map($this->field_map);
    }

    public function keepFieldMap(FieldMap $map): void
    {
        $this->update(
            ['field_map' => array_map(static fn (FieldMeaning $m): array => $m->toArray(), $map->meanings())],
        );
    }

    /** @return list<LogShape> its own first */
    public function logShapes(): array
    {
        return [
            ...array_map(
                static fn (array $s): LogShape => LogShape::of($s['name'], $s['patterns'], $s['example'] ?? ''),
                $this->log_shapes ?? [],
            ),
            ...LogShape::standard(),
        ];
    }

    /** The zone in which its lists, messages and hours of machines are written. */
    public function zone(): string
    {
        return $this->time_zone ?? (string) config('app.timezone');
    }

    /**
     * Those that one may see: all of them for who decides, what is theirs for everybody else.
     *
     * @return HasMany<Deliverable, $this>
     */
    public function deliverablesFor(User $reader): HasMany
    {
        $decides = $reader->roleIn($this->id)?->decides() ?? false;

        return $decides ? $this->deliverables() : $this->deliverables()->owedBy($reader);
    }

    public function houseLayer(): Layer
    {
        return new Layer(SetBy::House, $this->house, 'house requirements');
    }
}
