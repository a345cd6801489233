<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;
use stdClass;

/**
 * A deliverable as indexes and boards tell of it: whose it is, what it answers, its newest check. They read hundreds,
 * and making models of each would be most of their time: so it is made of rows as well.
 */
final readonly class DeliverableOutline
{
    private const COLUMNS = [
        'deliverables.id', 'deliverables.code', 'deliverables.title', 'deliverables.due_at', 'deliverables.owner_id',
        'deliverables.production_id', 'deliverables.specification_id', 'deliverables.values', 'deliverables.overrides',
        'users.name as owner', 'users.handle', 'specifications.title as specification',
    ];

    public int $id;

    public string $code;

    public string $title;

    /** @var int|null seconds since 1970 */
    public ?int $dueAt;

    public ?int $ownerId;

    public ?string $owner;

    /** What names are made with in place of the owner's own name. */
    private ?string $handle;

    public int $productionId;

    public int $specificationId;

    public string $specification;

    private string $values;

    private string $overrides;

    /**
     * @param  array<string, mixed>  $row  the columns as the database has them, and the names of what they lead to
     * @param  Specification  $asked  with its latest revision; the same for all that answer it
     */
    private function __construct(
        array $row,
        public Production $production,
        public Specification $asked,
        public ?CheckOutline $newest,
    ) {
        $columns = new StoredColumns($row);
        $this->id = (int) $columns->number('id');
        $this->code = (string) $columns->text('code');
        $this->title = (string) $columns->text('title');
        $this->dueAt = $columns->time('due_at');
        $this->ownerId = $columns->number('owner_id');
        $this->owner = $columns->text('owner');
        $this->handle = $columns->text('handle');
        $this->productionId = (int) $columns->number('production_id');
        $this->specificationId = (int) $columns->number('specification_id');
        $this->specification = (string) $columns->text('specification');
        $this->values = $columns->text('values') ?? '[]';
        $this->overrides = $columns->text('overrides') ?? '[]';
    }

    /** @param  Deliverable  $deliverable  with what `forIndex` loads */
    public static function of(Deliverable $deliverable): self
    {
        $names = [
            'owner' => $deliverable->owner?->name, 'handle' => $deliverable->owner?->handle,
            'specification' => $deliverable->specification->title,
        ];

        return new self(
            $names + $deliverable->getAttributes(),
            $deliverable->production,
            $deliverable->specification,
            CheckOutline::of($deliverable->newest),
        );
    }

    /**
     * Many of one production, without a model of each.
     *
     * @param  HasMany<Deliverable, Production>  $deliverables
     * @param  array<int, CheckOutline>  $newest  by deliverable
     * @return list<self> by code
     */
    public static function ofAll(Production $production, HasMany $deliverables, array $newest): array
    {
        $specifications = $production->specifications()->with('latest')->get()->keyBy('id')->all();

        return array_map(static function (stdClass $found) use ($production, $specifications, $newest): self {
            $row = (array) $found;

            return new self(
                $row,
                $production,
                $specifications[$row['specification_id']],
                $newest[$row['id']] ?? null,
            );
        }, array_values($deliverables->toBase()
            ->leftJoin('users', 'users.id', '=', 'deliverables.owner_id')
            ->join('specifications', 'specifications.id', '=', 'deliverables.specification_id')
            ->orderBy('deliverables.code')->get(self::COLUMNS)->all()));
    }

    /** @return array<string, string> as `Deliverable::impliedValues` */
    public function impliedValues(): array
    {
        return Deliverable::implied($this->production->code, $this->code, $this->handle);
    }

    /** @return array<string, mixed> as `Deliverable::ownLayer` */
    public function ownLayer(): array
    {
        return Deliverable::layerOf(self::document($this->values), self::document($this->overrides));
    }

    /** @return array<string, mixed> */
    private static function document(string $text): array
    {
        $document = json_decode($text, true);

        return is_array($document) ? $document : [];
    }
}
