<?php

declare(strict_types=1);

namespace App\Actions\Watches;

use App\Actions\Checks\CheckFolder;
use App\Intake\IntakeFolder;
use App\Models\FolderWatch;
use App\Queue\Workers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Delivery\ArrivalGap;
use PlainLedger\Core\Delivery\FolderPulse;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\PlainSentence;

/**
 * One look at a folder that a render fills. As long as something comes another follows; once it stands still its files
 * are checked, and it is not looked at any more.
 */
final class WatchLook implements ShouldQueue
{
    use Queueable;

    /** Seconds between two looks, and as many times longer than one takes. */
    private const EVERY = 10;

    private const SPARING = 20;

    /** Looks that are kept. */
    private const KEPT = 40;

    /** Seconds after which an empty folder is given up, and any other is checked, however slowly it was filled. */
    private const PATIENCE = 43_200;

    public int $tries = 1;

    public function __construct(public readonly int $watch, public readonly string $began) {}

    /** The first of them, and one again where those before were lost. */
    public static function begin(FolderWatch $watch): void
    {
        self::dispatch($watch->id, $watch->created_at->toIso8601String());
    }

    public function handle(CheckFolder $check): void
    {
        Workers::beat();
        $watch = FolderWatch::query()->whereHas('deliverable.production')->with(
            'deliverable.production',
            'deliverable.owner',
            'intakeRoot',
            'person',
        )->find($this->watch);
        // another one that was begun later has looks of its own
        if ($watch?->ended !== null || $watch?->created_at->toIso8601String() !== $this->began) {
            return;
        }
        if ($watch->deliverable->production->archived_at !== null) {
            $watch->update(['ended' => 'The production was archived.']);

            return;
        }
        $start = microtime(true);
        try {
            $goesOn = $this->look($watch, $check);
        } catch (PlainSentence $refused) {
            $watch->update(['ended' => mb_substr($refused->getMessage(), 0, 200)]);

            return;
        }
        if ($goesOn && config('queue.default') !== 'sync') {
            $pause = max(self::EVERY, (int) ceil(self::SPARING * (microtime(true) - $start)));
            self::dispatch($this->watch, $this->began)->delay($pause);
        }
    }

    /** Whether there is anything to wait for. */
    private function look(FolderWatch $watch, CheckFolder $check): bool
    {
        $overseer = $watch->person?->can('specify', $watch->deliverable) ?? false;
        $folder = IntakeFolder::open($watch->intakeRoot, $watch->folder, $watch->deliverable, $overseer);
        $now = Carbon::now();
        $pulse = FolderPulse::of($folder->listing(), $now->getTimestamp());
        $before = $watch->pulses();
        $moved = $before === [] || ! $pulse->isAs($before[count($before) - 1]);
        $watch->update([
            'looks' => array_slice([...$watch->looks, $pulse->toArray()], -self::KEPT),
            'moved_at' => $moved ? $now : $watch->moved_at,
            'looked_at' => $now,
        ]);
        $still = $now->getTimestamp() - ($watch->moved_at ?? $now)->getTimestamp();
        if ($pulse->isEmpty() && $still > self::PATIENCE) {
            $watch->update(['ended' => 'Nothing came for half a day.']);

            return false;
        }
        if ($pulse->isEmpty() || $still < self::patience($pulse)) {
            return true;
        }

        return ! $this->check($watch, $folder, $check);
    }

    /** Seconds without a change after which a render of that pace is over. */
    public static function patience(FolderPulse $pulse): int
    {
        return min(self::PATIENCE, max((int) config('ledger.still'), ArrivalGap::patience($pulse->gap)));
    }

    /** Whether nothing is to be waited for any more: while another is under way, it is waited for. */
    private function check(FolderWatch $watch, IntakeFolder $folder, CheckFolder $check): bool
    {
        $by = $watch->person;
        if ($by?->can('check', $watch->deliverable) !== true) {
            $watch->update(['ended' => 'Whoever followed it may not check it any more.']);

            return true;
        }
        if ($watch->deliverable->checks()->underWay()->exists()) {
            return false;
        }
        $watch->update(['ended' => 'Everything stood still, and was checked.']);
        $check->run($watch->deliverable->loadAsked(), $folder, ScanDepth::Quick, $by);

        return true;
    }
}
