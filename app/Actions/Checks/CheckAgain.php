<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use PlainLedger\Core\Text\PlainSentence;

/** The newest check of a deliverable once more, by what is asked and accepted now. */
final class CheckAgain implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 1800;

    public function __construct(private readonly int $deliverable, private readonly int $by) {}

    public function handle(RepeatCheck $repeat): void
    {
        $deliverable = Deliverable::query()->find($this->deliverable);
        $by = User::query()->find($this->by);
        $newest = $deliverable?->checks()
            ->done()
            ->latest('id')->first()?->loadForLedger();
        if ($newest instanceof Check && $by !== null) {
            try {
                $repeat->run($newest, $by);
            } catch (PlainSentence) {
                // it is being checked already, or may not be just now: the page says that it is out of date still
            }
        }
    }
}
