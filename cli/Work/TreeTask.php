<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Tree\OwedDelivery;
use PlainLedger\Core\Tree\TreeCheck;
use PlainLedger\Core\Tree\TreeOrder;
use PlainLedger\Core\Tree\TreeReport;
use PlainLedger\Core\Tree\TreeRow;

/** A delivered tree, scanned once, beside all that it may answer. A second look reads no file again. */
final readonly class TreeTask
{
    private const FILES_A_STEP = 200;

    /** Seconds between two lines that say how far it is. */
    private const TELLS = 0.5;

    /** @param  \Closure(array<string, mixed>): void  $say */
    public function __construct(private \Closure $say) {}

    public function run(TreeOrder $order): void
    {
        $listing = new BeatingListing(PlaceListing::at($order->folder), new Beat($this->say));
        $kept = SpoolFile::read($order->scanned);
        $tree = $kept === null ? $this->scanned($listing) : Delivery::fromArray($kept);
        if ($kept === null) {
            SpoolFile::keep($order->scanned, $tree->toArray());
        }
        $check = new TreeCheck(
            $order->owed(),
            $listing,
            Probe::standard(),
            static fn (OwedDelivery $one): array => ApprovedFiles::pictures($order->approved[(int) $one->key] ?? []),
        );
        SpoolFile::keep($order->report, self::told($check->of($tree, $order->byHand)));
        ($this->say)(['ended' => true]);
    }

    private function scanned(Listing $listing): Delivery
    {
        $scan = new Scan($listing, Probe::standard());
        $told = 0.0;
        foreach ($scan->steps(self::FILES_A_STEP) as $progress) {
            $now = microtime(true);
            if ($now - $told > self::TELLS) {
                $told = $now;
                ($this->say)(['done' => $progress->done, 'all' => $progress->all, 'at' => $progress->at]);
            }
        }

        return $scan->delivery(time());
    }

    /** @return array<string, mixed> without the whole check of each */
    private static function told(TreeReport $report): array
    {
        $rows = array_map(static fn (TreeRow $row): array => [
            'key' => (int) $row->owed->key, 'cause' => $row->cause(),
        ] + array_diff_key($row->toArray(), ['check' => 1, 'specification' => 1]), $report->rows);

        return ['deliverables' => $rows] + $report->toArray();
    }
}
