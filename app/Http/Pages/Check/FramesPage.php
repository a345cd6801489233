<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Text\PlainSentence;

/** What was delivered, against what is asked. */
final readonly class FramesPage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{specify: bool, check: bool} */
    public array $may;

    public ?Ledger $ledger;

    /** @var list<PastCheck> */
    public array $past;

    /** @var list<IntakePlace> */
    public array $roots;

    public ?Progress $running;

    public ?Unfinished $broken;

    public ?WatchedFolder $watch;

    /** Pixels are to be looked at: from elsewhere whole pictures have to be sent for that. */
    public bool $looks;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $overseer = $reader->can('specify', $deliverable);
        $running = $deliverable->checks()->underWay()->latest('id')->first();
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->may = ['specify' => $overseer, 'check' => $reader->can('check', $deliverable)];
        $this->ledger = $deliverable->newest === null ? null : new Ledger($deliverable->newest);
        $this->past = PastCheck::all($deliverable);
        $this->roots = IntakePlace::all($deliverable, $overseer);
        $this->running = $running === null ? null : new Progress($running);
        $this->broken = Unfinished::of($deliverable);
        $this->watch = WatchedFolder::of($deliverable);
        $this->looks = self::looksAtPixels($deliverable);
    }

    private static function looksAtPixels(Deliverable $deliverable): bool
    {
        try {
            return PixelRules::sampleOptionsFor($deliverable->resolved()) !== null;
        } catch (PlainSentence) {
            // what is asked cannot be resolved; its own page says why
            return false;
        }
    }
}
