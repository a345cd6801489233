<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Moment;
use App\Http\Pages\RendersPage;
use App\Models\SheetLink;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Specification\Catalogue;

/** For somebody without a sign-in: what is asked of them in a line, and a place for their folder. */
final readonly class OwnFolderPage
{
    use RendersPage;

    public int $link;

    public string $code;

    public string $title;

    public string $production;

    public string $until;

    /** Pixels are to be looked at, for which whole pictures have to be sent. */
    public bool $looks;

    /** @var array<string, string> how each requirement is called, by its id */
    public array $labels;

    public function __construct(SheetLink $link)
    {
        $deliverable = $link->deliverable->loadAsked();
        $this->link = $link->id;
        $this->code = $deliverable->code;
        $this->title = $deliverable->title;
        $this->production = $deliverable->production->name;
        $this->until = Moment::told($link->expires_at);
        $this->looks = PixelRules::sampleOptionsFor($deliverable->resolved()) !== null;
        $labels = [];
        foreach (Catalogue::standard()->all() as $descriptor) {
            $labels[$descriptor->id] = $descriptor->label;
        }
        $this->labels = $labels;
    }
}
