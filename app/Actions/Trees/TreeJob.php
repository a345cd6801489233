<?php

declare(strict_types=1);

namespace App\Actions\Trees;

use App\Actions\Checks\AskedLayers;
use App\Intake\ApprovedPictures;
use App\Intake\IntakeFolder;
use App\Models\CheckState;
use App\Models\Deliverable;
use App\Models\DeliveredTree;
use App\Processes\TreeProcess;
use App\Queue\Workers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Tree\TreeOrder;

/** A delivered tree looked through, apart; of one that was looked through before, only whose is what. */
final class TreeJob implements ShouldQueue
{
    use Queueable;

    public const BROKE_OFF = 'It broke off before it was done, and nothing was changed. Begin it again.';

    public int $tries = 1;

    public int $timeout = 1800;

    public function __construct(public readonly int $tree) {}

    public function handle(): void
    {
        $tree = DeliveredTree::query()->with('production', 'intakeRoot')->find($this->tree);
        if ($tree === null || ! $tree->state->isUnderWay()) {
            return;
        }
        $spool = "spool/tree-{$tree->id}-".bin2hex(random_bytes(6));
        Storage::makeDirectory($spool);
        try {
            $this->lookThrough($tree, $spool);
        } catch (PlainSentence $refused) {
            $tree->update(['state' => CheckState::Failed, 'fault' => $refused->getMessage(), 'progress' => null]);
        } finally {
            Storage::deleteDirectory($spool);
        }
    }

    private function lookThrough(DeliveredTree $tree, string $spool): void
    {
        $order = $this->order($tree, $spool);
        if (! TreeProcess::run($order, fn (?array $progress): bool => $this->tell($tree, $progress))) {
            $tree->update(['state' => CheckState::Failed, 'fault' => self::BROKE_OFF, 'progress' => null]);

            return;
        }
        $tree->update([
            'state' => CheckState::Done, 'progress' => null,
            'scanned' => (string) file_get_contents($order->scanned),
            'report' => (string) file_get_contents($order->report),
        ]);
    }

    /** @throws PlainSentence */
    private function order(DeliveredTree $tree, string $spool): TreeOrder
    {
        [$layers, $approved] = [[], []];
        $owed = Deliverable::query()->where('production_id', $tree->production_id)->with(Deliverable::ASKED)
            ->orderBy('code')
            ->get();
        foreach ($owed as $deliverable) {
            $layers[$deliverable->id] = AskedLayers::layers($deliverable);
            $approved[$deliverable->id] = ApprovedPictures::places(
                $deliverable->resolved(),
                $deliverable,
                $tree->intakeRoot,
            );
        }
        $order = new TreeOrder(
            IntakeFolder::ofProduction($tree->intakeRoot, $tree->folder)->path,
            Storage::path("{$spool}/scanned.gz"),
            Storage::path("{$spool}/report.gz"),
            $layers,
            $approved,
            $tree->by_hand ?? [],
        );
        if ($tree->scanned !== null) {
            Storage::put("{$spool}/scanned.gz", $tree->scanned);
        }

        return $order;
    }

    /** @param  array{done: int, all: int|null, at: string}|null  $progress  null: it goes on */
    private function tell(DeliveredTree $tree, ?array $progress): bool
    {
        Workers::beat();

        return DeliveredTree::query()->whereKey($tree->id)->update([
            'state' => CheckState::Running, 'seen_at' => Carbon::now(),
        ] + ($progress === null ? [] : ['progress' => json_encode($progress, JSON_THROW_ON_ERROR)])) === 1;
    }

    public function failed(?\Throwable $fault): void
    {
        DeliveredTree::query()->whereKey($this->tree)->update(
            ['state' => CheckState::Failed, 'fault' => self::BROKE_OFF, 'progress' => null],
        );
    }
}
