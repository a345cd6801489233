<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Moment;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;

/** The productions that somebody belongs to, and what needs them now. */
final readonly class ProductionsPage
{
    use RendersPage;

    /** @var list<ProductionLine> */
    public array $productions;

    /** @var list<Need> what is owed still, due first */
    public array $needs;

    /** @var list<Running> */
    public array $running;

    /** @var list<Finished> since the reader went */
    public array $finished;

    /** When that was. */
    public ?string $awaySince;

    /** @param  iterable<Production>  $productions */
    public function __construct(iterable $productions, User $reader)
    {
        $lines = [];
        foreach ($productions as $production) {
            $lines[] = new ProductionLine($production, $reader);
        }
        $this->productions = $lines;
        $this->needs = Need::of($reader);
        $this->running = Running::of($reader);
        $this->finished = Finished::of($reader);
        $since = Finished::since($reader);
        $this->awaySince = $since === null ? null : Moment::told($since);
    }
}
