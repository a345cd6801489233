<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Actions\Changes\ChangedLayer;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Http\Pages\Specification\AskedLine;
use App\Http\Pages\Specification\ConflictShown;
use App\Http\Pages\Specification\OfferedRequirement;
use App\Models\Production;
use App\Models\User;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;

/** What a house asks of everything. */
final readonly class HousePage
{
    use RendersPage;

    public Book $book;

    /** @var list<AskedLine> */
    public array $lines;

    /** @var list<StartingLine> */
    public array $starting;

    /** @var list<OfferedRequirement> */
    public array $offered;

    /** @var list<ConflictShown> */
    public array $faults;

    public function __construct(Production $production, User $reader)
    {
        $draft = Specification::draft($production->houseLayer());
        $target = ChangedLayer::house($production);
        $this->book = new Book($production, $reader);
        $this->lines = array_map(
            static fn (Requirement $r): AskedLine => new AskedLine(
                $r,
                ['house' => $r->required()],
                ['house' => $target->token('', $r->id())],
            ),
            array_values($draft->specification->parts[0]->requirements),
        );
        $this->starting = StartingLine::all($draft->specification->startingValues, $target);
        $this->offered = OfferedRequirement::all();
        $this->faults = ConflictShown::all($draft->faults);
    }
}
