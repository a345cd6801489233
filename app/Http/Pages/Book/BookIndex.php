<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Actions\Checks\AskedStamps;
use App\Models\Check;
use App\Models\CheckOutline;
use App\Models\DeliverableOutline;
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
        $own = $production->deliverablesFor($reader);
        $newest = CheckOutline::ofAll(Check::query()->forIndex()->newestOf($own));
        $asked = new AskedStamps;
        $lines = array_map(
            static fn (DeliverableOutline $deliverable): IndexLine => new IndexLine($deliverable, $asked),
            DeliverableOutline::ofAll($production, $own, $newest),
        );
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
