<?php

declare(strict_types=1);

namespace App\Actions\Trees;

use App\Actions\Checks\AskedLayers;
use App\Intake\ApprovedPictures;
use App\Intake\IntakeFolder;
use App\Models\CheckState;
use App\Models\Deliverable;
use App\Models\DeliveredTree;
use App\Processes\ScanOutcome;
use App\Processes\TreeProcess;
use App\Queue\Workers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Tree\TreeOrder;

/**
 * Some seconds of looking through a delivered tree, done apart; the next turn goes on from there. Of one that was
 * looked through before, only whose is what.
 */
final class TreeJob implements ShouldQueue
{
    use Queueable;

    public const BROKE_OFF = 'It broke off before it was done, and nothing was changed. Begin it again.';

    public int $tries = 2;

    public int $timeout = 1800;

    public function __construct(public readonly int $tree) {}

    public function handle(): void
    {
        $tree = DeliveredTree::query()->with('production', 'intakeRoot')->find($this->tree);
        if ($tree === null || ! $tree->state->isUnderWay()) {
            Storage::deleteDirectory(self::spool($this->tree));

            return;
        }
        // whoever begins it without the queue waits for all of it
        do {
            $goesOn = $this->slice($tree);
        } while ($goesOn && config('queue.default') === 'sync');
        $goesOn && self::dispatch($this->tree);
    }

    /** Whether something is left to do. */
    private function slice(DeliveredTree $tree): bool
    {
        try {
            $order = $this->order($tree);
            $outcome = TreeProcess::run($order, fn (?array $progress): bool => $this->tell($tree, $progress));
            if ($outcome === ScanOutcome::Paused) {
                return true;
            }
            if ($outcome === ScanOutcome::Whole) {
                $tree->update([
                    'state' => CheckState::Done, 'progress' => null,
                    'scanned' => (string) file_get_contents($order->scanned()),
                    'report' => (string) file_get_contents($order->report()),
                ]);
            }
            if ($outcome === ScanOutcome::Broken) {
                $tree->update(['state' => CheckState::Failed, 'fault' => self::BROKE_OFF, 'progress' => null]);
            }
        } catch (PlainSentence $refused) {
            $tree->update(['state' => CheckState::Failed, 'fault' => $refused->getMessage(), 'progress' => null]);
        }
        Storage::deleteDirectory(self::spool($tree->id));

        return false;
    }

    private static function spool(int $tree): string
    {
        return "spool/tree-{$tree}";
    }

    /** @throws PlainSentence */
    private function order(DeliveredTree $tree): TreeOrder
    {
        $spool = self::spool($tree->id);
        Storage::makeDirectory($spool);
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
            Storage::path($spool),
            (int) config('ledger.slice'),
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

        // somebody may have stopped it
        return DeliveredTree::query()->whereKey($tree->id)->underWay()->update([
            'state' => CheckState::Running, 'seen_at' => Carbon::now(),
        ] + ($progress === null ? [] : ['progress' => json_encode($progress, JSON_THROW_ON_ERROR)])) === 1;
    }

    public function failed(?\Throwable $fault): void
    {
        Storage::deleteDirectory(self::spool($this->tree));
        DeliveredTree::query()->whereKey($this->tree)->update(
            ['state' => CheckState::Failed, 'fault' => self::BROKE_OFF, 'progress' => null],
        );
    }
}
