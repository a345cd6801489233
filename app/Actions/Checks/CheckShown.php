<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Delivery\SeenPictures;

/** The files of a check once more, with pictures of a movie that somebody's browser showed. */
final readonly class CheckShown
{
    public function __construct(private OpenCheck $open) {}

    public function run(Check $old, string $part, SeenPictures $seen, User $by): Check
    {
        $order = $old->delivery?->order() ?? throw new \LogicException('Its files cannot be looked at from here.');
        $order['seen'] = [$part => $seen->toArray()];
        $check = $this->open->run($old->deliverable, $old->scene, $by, $order);
        ScanSlice::dispatch($check->id);

        return $check->refresh();
    }
}
