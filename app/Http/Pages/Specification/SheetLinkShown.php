<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Moment;
use App\Models\LinkKind;
use App\Models\SheetLink;

/** A link to a sheet, for somebody without a sign-in. */
final readonly class SheetLinkShown
{
    public int $id;

    /** @var string|null null where it is closed */
    public ?string $path;

    public string $expires;

    /** @var 'open'|'expired'|'taken back' */
    public string $state;

    public int $opened;

    public LinkKind $kind;

    public function __construct(SheetLink $link)
    {
        $this->id = $link->id;
        $this->path = $link->isOpen() ? $link->path() : null;
        $this->expires = Moment::told($link->expires_at);
        $this->state = match (true) {
            $link->revoked_at !== null => 'taken back',
            $link->isOpen() => 'open',
            default => 'expired',
        };
        $this->opened = $link->opened;
        $this->kind = $link->kind;
    }
}
