<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Verdict;
use stdClass;

/**
 * What indexes and boards tell of a check that came to an end. They read hundreds, and making models of each would be
 * most of their time: so it is made of rows as well.
 */
final readonly class CheckOutline
{
    public int $id;

    public int $deliverableId;

    public ?Verdict $verdict;

    public ?string $holdsUp;

    /** Whether any of its lines is accepted as it is. */
    public bool $waived;

    /** @var string|null a stamp of its layers */
    public ?string $asked;

    /** @var string|null the side that its first cause is on, scene or files */
    public ?string $trouble;

    public bool $hasScene;

    public bool $hasFiles;

    /** @var int|null seconds since 1970 */
    public ?int $endedAt;

    /** @var array<string, mixed>|null what boards show of it, where that was read */
    public ?array $summary;

    /** @param  array<string, mixed>  $row  the columns as the database has them */
    private function __construct(array $row)
    {
        $columns = new StoredColumns($row);
        $this->id = (int) $columns->number('id');
        $this->deliverableId = (int) $columns->number('deliverable_id');
        $this->verdict = Verdict::tryFrom((string) $columns->text('verdict'));
        $this->holdsUp = $columns->text('holds_up');
        $this->waived = (int) $columns->number('waived') > 0;
        $this->asked = $columns->text('asked');
        $this->trouble = $columns->text('trouble');
        $this->hasScene = $columns->number('scene_id') !== null;
        $this->hasFiles = $columns->number('delivery_id') !== null;
        $this->endedAt = $columns->time('updated_at');
        $summary = json_decode($columns->text('summary') ?? 'null', true);
        $this->summary = is_array($summary) ? $summary : null;
    }

    /** @return ($check is null ? null : self) */
    public static function of(?Check $check): ?self
    {
        return $check === null ? null : new self($check->getAttributes());
    }

    /**
     * Many, without a model of each.
     *
     * @param  Builder<Check>  $checks
     * @return array<int, self> by deliverable
     */
    public static function ofAll(Builder $checks): array
    {
        $found = $checks->toBase()->get()->map(static fn (stdClass $row): self => new self((array) $row))->all();

        return array_column($found, null, 'deliverableId');
    }

    public function endedBefore(Carbon $moment): bool
    {
        return ($this->endedAt ?? 0) < $moment->getTimestamp();
    }
}
