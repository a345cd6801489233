<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\SheetLink;
use App\Models\User;
use PlainLedger\Core\Specification\Proofreader;

/** The sheet that is handed out, and the links to it. */
final readonly class HandOutPage
{
    use RendersPage;

    private const MOST_LINKS = 50;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{specify: bool} */
    public array $may;

    /** @var list<ConflictShown> */
    public array $conflicts;

    /** @var list<SheetLinkShown> */
    public array $links;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $may = $reader->can('specify', $deliverable);
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->may = ['specify' => $may];
        $this->conflicts = ConflictShown::all(Proofreader::standard()->read($deliverable->draft()));
        $this->links = $may ? self::links($deliverable) : [];
    }

    /** @return list<SheetLinkShown> */
    private static function links(Deliverable $deliverable): array
    {
        $links = SheetLink::query()->where('deliverable_id', $deliverable->id)->whereNull('submission_id')
            ->latest('id')
            ->limit(self::MOST_LINKS)
            ->get();

        return array_values($links->map(static fn (SheetLink $l): SheetLinkShown => new SheetLinkShown($l))->all());
    }
}
