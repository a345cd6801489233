<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use PlainLedger\Core\Checking\Verdict;

/** A production and its index, as far as one person may see it; what is troubled comes first. */
final readonly class Book
{
    /** @var array{id: int, code: string, name: string, kind: string} */
    public array $production;

    public ?Role $role;

    public bool $decides;

    /** @var list<IndexLine> */
    public array $index;

    public function __construct(Production $production, User $reader)
    {
        $this->production = [
            'id' => $production->id,
            'code' => $production->code,
            'name' => $production->name,
            'kind' => $production->kind,
        ];
        $this->role = $reader->roleIn($production->id);
        $this->decides = $this->role?->decides() ?? false;
        $this->index = self::index($production, $this->decides ? null : $reader);
    }

    /**
     * @param  User|null  $owner  whose alone; null: all
     * @return list<IndexLine>
     */
    private static function index(Production $production, ?User $owner): array
    {
        $deliverables = $production->deliverables()->forIndex()
            ->when($owner !== null, fn ($query) => $query->where('owner_id', $owner?->id))
            ->orderBy('code')
            ->get();
        $lines = array_values($deliverables->map(static fn (Deliverable $d): IndexLine => new IndexLine($d))->all());
        $weight = static fn (IndexLine $line): int => match ($line->verdict) {
            Verdict::Unbalanced => 0,
            Verdict::Open => 1,
            null => 2,
            Verdict::Balanced => 3,
        };
        usort(
            $lines,
            static fn (IndexLine $a, IndexLine $b): int => [$weight($a), $a->code] <=> [$weight($b), $b->code],
        );

        return $lines;
    }
}
