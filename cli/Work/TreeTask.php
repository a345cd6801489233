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

/** A delivered tree, scanned once, some seconds at a time, beside all that it may answer. No file is read again. */
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
        $tree = $this->found($order, $listing);
        if ($tree === null) {
            ($this->say)(['paused' => true]);

            return;
        }
        $check = new TreeCheck(
            $order->owed(),
            $listing,
            Probe::standard(),
            static fn (OwedDelivery $one): array => ApprovedFiles::pictures($order->approved[(int) $one->key] ?? []),
        );
        SpoolFile::keep($order->report(), self::told($check->of($tree, $order->byHand)));
        ($this->say)(['ended' => true]);
    }

    /** Null where time was up before all was read. */
    private function found(TreeOrder $order, Listing $listing): ?Delivery
    {
        $kept = SpoolFile::read($order->scanned());
        if ($kept !== null) {
            return Delivery::fromArray($kept);
        }
        $scan = new Scan($listing, Probe::standard());
        $partial = SpoolFile::read($order->partial());
        $partial === null ? null : $scan->resume($partial);
        if (! $this->readOn($scan, $order->seconds)) {
            SpoolFile::keep($order->partial(), $scan->checkpoint());

            return null;
        }
        $tree = $scan->delivery(time());
        SpoolFile::keep($order->scanned(), $tree->toArray());

        return $tree;
    }

    /** Whether it came to its end. */
    private function readOn(Scan $scan, int $seconds): bool
    {
        $until = microtime(true) + $seconds;
        $told = 0.0;
        foreach ($scan->steps(self::FILES_A_STEP) as $progress) {
            $now = microtime(true);
            if ($now - $told > self::TELLS) {
                $told = $now;
                ($this->say)(['done' => $progress->done, 'all' => $progress->all, 'at' => $progress->at]);
            }
            if ($progress->all !== null && $now > $until) {
                return false;
            }
        }

        return true;
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
