<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Actions\Checks\AskedStamps;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use PlainLedger\Core\Checking\Verdict;

/** The index of a production, as far as one person may see it; what is troubled comes first. */
final readonly class BookIndex
{
    /** @var list<IndexLine> */
    public array $lines;

    public function __construct(Production $production, User $reader)
    {
        $deliverables = $production->deliverablesFor($reader)->forIndex()->orderBy('code')->get();
        $asked = new AskedStamps;
        $lines = array_values($deliverables->map(
            static fn (Deliverable $d): IndexLine => new IndexLine($d, $asked),
        )->all());
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
        $this->lines = $lines;
    }
}
