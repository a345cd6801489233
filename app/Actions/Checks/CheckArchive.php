<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\CheckedPlace;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\PlainSentence;

/** Checks an archive that was uploaded, beside the newest scene settings where there are any. */
final readonly class CheckArchive
{
    public function __construct(private OpenCheck $open) {}

    /**
     * At once where it is small, else by the queue.
     *
     * @param  string  $archive  the file in the storage
     * @param  string  $name  as whoever uploaded it called it
     *
     * @throws PlainSentence
     */
    public function run(Deliverable $deliverable, string $archive, string $name, ScanDepth $depth, User $by): Check
    {
        $order = ['root' => 0, 'folder' => $name, 'depth' => $depth->value, 'archive' => $archive];
        $scene = $deliverable->scenes()->latest('id')->first();
        try {
            $check = $this->open->run($deliverable, $scene, $by, $order);
        } catch (PlainSentence $refused) {
            // nothing would ever look at it
            Storage::delete($archive);
            throw $refused;
        }
        $listing = CheckedPlace::ordered($order, $deliverable, false)->listing();
        $atOnce = ScanSlice::isAtOnce($check, $listing, $depth);
        $atOnce ? ScanSlice::dispatchSync($check->id) : ScanSlice::dispatch($check->id);

        return $check->refresh();
    }
}
