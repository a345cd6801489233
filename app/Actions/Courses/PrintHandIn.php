<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Intake\CheckedPlace;
use App\Models\HandIn;
use App\Queue\Workers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use PlainLedger\Core\Course\DeliveryPrint;
use PlainLedger\Core\Text\PlainSentence;

/** Looks what the files of a hand-in can be known by again; of those on somebody's own disk nothing is known. */
final class PrintHandIn implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 600;

    public function __construct(public readonly int $handIn) {}

    public function handle(): void
    {
        $handIn = HandIn::query()->with('deliverable.owner', 'check.delivery')->find($this->handIn);
        $delivery = $handIn?->check?->delivery;
        if ($handIn === null || $delivery?->order() === null) {
            return;
        }
        try {
            $listing = CheckedPlace::of($delivery, $handIn->deliverable, true)->listing();
            $print = DeliveryPrint::of($listing, static fn () => Workers::beat());
        } catch (PlainSentence) {
            // the files are not there any more; what was handed in stands all the same
            return;
        }
        $handIn->update(['print' => $print->toArray()]);
    }
}
