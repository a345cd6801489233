<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Delivery;
use App\Models\DeliveryOrigin;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Delivery\Delivery as Scanned;

/** Keeps what was scanned, and closes the check with it. */
final readonly class KeepScan
{
    public function __construct(private CloseCheck $close) {}

    public function run(Check $check, Scanned $scanned): void
    {
        $order = $check->order ?? throw new \LogicException('This check was not made of a folder.');
        $delivery = new Delivery([
            'deliverable_id' => $check->deliverable_id,
            'user_id' => $check->user_id,
            'intake_root_id' => isset($order['archive']) ? null : $order['root'],
            'origin' => isset($order['archive']) ? DeliveryOrigin::Upload : DeliveryOrigin::Intake,
            'archive' => $order['archive'] ?? null,
            'folder' => $order['folder'],
            'depth' => $order['depth'],
            'file_count' => $scanned->fileCount(),
            'total_size' => $scanned->totalSize(),
            'scanned_at' => Carbon::createFromTimestamp($scanned->scannedAt),
            'data' => Delivery::pack($scanned),
        ]);
        $this->close->run($check, $delivery, $scanned);
    }
}
