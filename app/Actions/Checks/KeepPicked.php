<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\DeliveryOrigin;
use App\Models\User;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Delivery\Delivery as Scanned;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Text\PlainSentence;

/** What was found of files on somebody's own disk: a check like any other, or an answer of which nothing is kept. */
final readonly class KeepPicked
{
    public function __construct(private OpenCheck $open, private CloseCheck $close) {}

    /**
     * @param  string  $label  the name of the folder
     *
     * @throws PlainSentence
     */
    public function run(Deliverable $deliverable, string $label, Scanned $scanned, User $by): Check
    {
        $check = $this->open->run($deliverable, $deliverable->scenes()->latest('id')->first(), $by);
        $delivery = new Delivery([
            'deliverable_id' => $deliverable->id,
            'user_id' => $by->id,
            'origin' => DeliveryOrigin::Own,
            'folder' => $label === '' ? 'chosen files' : $label,
            'depth' => $scanned->depth->value,
            'file_count' => $scanned->fileCount(),
            'total_size' => $scanned->totalSize(),
            'scanned_at' => Carbon::createFromTimestamp($scanned->scannedAt),
            'data' => Delivery::pack($scanned),
        ]);
        try {
            $this->close->run($check, $delivery, $scanned);
        } catch (\Throwable $fault) {
            $check->fail('What was found could not be worked out. Nothing was changed; try once more.');
            throw $fault;
        }

        return $check;
    }

    /** @return array<string, mixed> the document of a check, for somebody without a sign-in */
    public function answer(Deliverable $deliverable, Scanned $scanned): array
    {
        return CheckReport::of($deliverable->loadAsked()->resolved(), null, $scanned)->toArray();
    }
}
