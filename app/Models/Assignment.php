<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Course\AssignmentRules;

/**
 * How what is handed in of a specification is judged.
 *
 * @property int $id
 * @property int $specification_id
 * @property Carbon|null $due_at  of everybody who has no other time
 * @property array<string, mixed> $rules
 * @property bool $anonymous  who marks does not see whose it is, until points are told
 * @property Carbon|null $released_at  since when learners see their points
 * @property Specification $specification
 */
final class Assignment extends Model
{
    protected $fillable = ['specification_id', 'due_at', 'rules', 'anonymous', 'released_at'];

    protected $attributes = ['anonymous' => false];

    protected function casts(): array
    {
        return ['due_at' => 'datetime', 'rules' => 'array', 'anonymous' => 'boolean', 'released_at' => 'datetime'];
    }

    /** Of a specification; not kept where it has none yet, and due when most of its deliverables are. */
    public static function of(Specification $specification): self
    {
        $found = self::query()->where('specification_id', $specification->id)->first() ?? new self([
            'specification_id' => $specification->id, 'rules' => AssignmentRules::plain()->toArray(),
            'due_at' => Deliverable::query()->where('specification_id', $specification->id)->whereNotNull('due_at')
                ->groupBy('due_at')->orderByRaw('count(*) desc, due_at')->value('due_at'),
        ]);

        return $found->setRelation('specification', $specification);
    }

    /** @return BelongsTo<Specification, $this> */
    public function specification(): BelongsTo
    {
        return $this->belongsTo(Specification::class);
    }

    public function judgedBy(): AssignmentRules
    {
        return AssignmentRules::fromArray($this->rules);
    }

    /** Whether names are kept from those who mark. */
    public function hidesNames(): bool
    {
        return $this->anonymous && $this->released_at === null;
    }
}
