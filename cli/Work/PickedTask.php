<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Delivery\CrashGuard;
use PlainLedger\Core\Delivery\Picked\PickedListing;
use PlainLedger\Core\Delivery\Picked\PickedNames;
use PlainLedger\Core\Delivery\Picked\PickedOrder;
use PlainLedger\Core\Delivery\Picked\PickedScan;
use PlainLedger\Core\Delivery\Picked\PickedSpool;
use PlainLedger\Core\Delivery\Picked\Slices;
use PlainLedger\Core\Delivery\ScanStage;

/**
 * As much of a look at somebody's own files as what has come of them allows. What has to come next is said; what was
 * found in the end lies in the spool.
 */
final readonly class PickedTask
{
    /** @param  \Closure(array<string, mixed>): void  $say */
    public function __construct(private \Closure $say) {}

    public function run(PickedOrder $order): void
    {
        $spool = new PickedSpool($order->spool);
        $listing = new PickedListing(
            $order->label,
            static fn (): iterable => PickedNames::read($spool->names()),
            Slices::unpack((string) @file_get_contents($spool->slices())),
        );
        $scan = new PickedScan(
            $listing,
            ScanTask::sampler($order->content),
            $order->whole,
            $order->content->sums,
            $this->caution($order),
        );
        $kept = SpoolFile::read($spool->state());
        $kept === null || $scan->resume($kept);
        $this->takeAnswers($spool, $listing);
        $wanted = $scan->advance();
        if ($wanted->isNothing()) {
            SpoolFile::keep($spool->delivery(), $scan->delivery(time())->toArray());
            ($this->say)(['ended' => true]);

            return;
        }
        SpoolFile::keep($spool->state(), $scan->checkpoint());
        SpoolFile::put($spool->slices(), $listing->slices->pack());
        @unlink($spool->answers());
        $progress = $scan->progress();
        ($this->say)([
            'ranges' => (object) $wanted->ranges, 'sums' => (object) $wanted->sums,
            'done' => $progress->done, 'all' => $progress->all,
        ]);
    }

    /** Beside bytes: which files are gone, and what checksums came to. */
    private function takeAnswers(PickedSpool $spool, PickedListing $listing): void
    {
        /** @var array{gone?: array<int, string>, sums?: array<int, string|null>}|null $answers */
        $answers = json_decode((string) @file_get_contents($spool->answers()), true, 4);
        foreach ($answers['gone'] ?? [] as $file => $why) {
            $listing->lose($file, $why);
        }
        foreach ($answers['sums'] ?? [] as $file => $sum) {
            $listing->keepSum($file, $sum);
        }
    }

    private function caution(PickedOrder $order): CrashGuard
    {
        $avoided = [];
        foreach ($order->avoided as [$path, $stage]) {
            $avoided[$path][] = ScanStage::from($stage);
        }

        return new CrashGuard($avoided, fn (string $path, ScanStage $stage) => ($this->say)(
            ['path' => base64_encode($path), 'stage' => $stage->value],
        ));
    }
}
