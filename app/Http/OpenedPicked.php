<?php

declare(strict_types=1);

namespace App\Http;

use App\Intake\PickedFolder;
use App\Models\Deliverable;
use App\Models\SheetLink;
use Illuminate\Http\Request;

/** A folder on somebody's own disk, as far as it was begun by whoever asks and they still may. */
final readonly class OpenedPicked
{
    /** Links by which a visitor came, in their session. */
    public const FOLLOWED = 'followed-links';

    private function __construct(public PickedFolder $folder, public Deliverable $deliverable) {}

    public static function of(Request $request, string $token): self
    {
        $folder = PickedFolder::find($token) ?? abort(404);
        $deliverable = Deliverable::query()->find($folder->deliverable()) ?? abort(404);
        $may = $folder->link() === null
            ? $request->user()?->id === $folder->user() && $request->user()?->can('check', $deliverable)
            : self::follows($request, $folder->link())?->isOpen();
        abort_unless($may === true, 403);

        return new self($folder, $deliverable);
    }

    /** The link by which the visitor came in this session; null where they did not. */
    public static function follows(Request $request, int $link): ?SheetLink
    {
        return in_array($link, (array) $request->session()->get(self::FOLLOWED, []), true)
            ? SheetLink::query()->find($link)
            : null;
    }
}
