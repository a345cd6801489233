<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Due;
use App\Http\Pages\Book\IndexLine;
use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Prose;

/** One thing that somebody owes: what is asked, what is wrong with it, and where its files go. */
final readonly class OwnLine
{
    public int $id;

    public string $code;

    public string $title;

    public ?Due $due;

    public ?Verdict $verdict;

    public bool $waived;

    /** What is to be done, in the fewest words; null: nothing was checked yet. */
    public ?string $holdsUp;

    /** What most likely went wrong. */
    public ?string $cause;

    /** @var 'scene'|'frames' the page that has the trouble */
    public string $folio;

    /** @var list<string> what is asked, a sentence a part */
    public array $asked;

    /** @var list<string> folders in which its files are looked for */
    public array $folders;

    public function __construct(Deliverable $deliverable)
    {
        $line = IndexLine::of($deliverable);
        $this->id = $line->id;
        $this->code = $line->code;
        $this->title = $line->title;
        $this->due = $line->due;
        $this->verdict = $line->verdict;
        $this->waived = $line->waived;
        $this->holdsUp = $line->holdsUp;
        $this->folio = $line->folio;
        $this->cause = $deliverable->newest->summary['causes'][0]['says'] ?? null;
        $parts = $deliverable->draft()->specification->parts;
        $this->asked = array_map(
            static fn (Part $p): string => (count($parts) > 1 ? "{$p->name}: " : '').Prose::of($p),
            $parts,
        );
        $this->folders = IntakeFolder::ownFolders($deliverable);
    }
}
