<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Intake\ApprovedPictures;
use App\Intake\IntakeFolder;
use App\Ledger\CheckDesk;
use App\Ledger\Spool;
use App\Models\Check;
use App\Models\IntakeRoot;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Delivery\ScanProgress;
use PlainLedger\Core\Media\Depth;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\PlainSentence;

/** Some seconds of a scan. What is left is kept in a spool file, and the next slice goes on from there. */
final class ScanSlice implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 170;

    public function __construct(private readonly int $check) {}

    public function handle(CheckDesk $desk): void
    {
        $check = Check::query()->with('deliverable.production', 'deliverable.owner')->find($this->check);
        if ($check === null || ! $check->isUnderWay() || $check->order === null) {
            return;
        }
        $root = IntakeRoot::query()->find($check->order['root']);
        $overseer = $check->person?->roleIn($check->deliverable->production_id)?->decides() ?? false;
        try {
            if ($root === null) {
                throw \PlainLedger\Core\Delivery\FolderRefused::because($check->order['folder'], 'is not there any more');
            }
            $listing = IntakeFolder::open($root, $check->order['folder'], $check->deliverable, $overseer)->listing();
            $asked = $check->resolved();
            $looker = PixelRules::looker($asked, ApprovedPictures::of($asked, $check->deliverable, $root));
            $scan = new Scan($listing, Probe::standard(), Depth::from($check->order['depth']), $looker, ChecksumsRule::isAskedBy($asked));
            $spool = $this->spool($check);
            if ($spool !== null) {
                $scan->resume($spool);
            }
            if (! $this->work($check, $scan)) {
                return;
            }
            $desk->deliver($check, $scan->delivery(time()));
        } catch (PlainSentence $refused) {
            $check->update(['state' => 'failed', 'fault' => $refused->getMessage(), 'progress' => null]);
        }
        Storage::delete($this->spoolName($check));
    }

    /** Whether the scan came to its end. */
    private function work(Check $check, Scan $scan): bool
    {
        $began = $check->progress['began'] ?? time();
        $until = microtime(true) + (int) config('ledger.slice');
        $told = 0.0;
        foreach ($scan->steps(200) as $progress) {
            if (microtime(true) - $told > 0.7) {
                $told = microtime(true);
                $this->tell($check, $progress, $began);
                if (! $check->isUnderWay()) {
                    Storage::delete($this->spoolName($check));

                    return false;
                }
            }
            // names are listed in one go: they are quick, and a folder cannot be entered half-way
            if ($progress->all !== null && microtime(true) > $until && config('queue.default') !== 'sync' && $this->job?->getConnectionName() !== 'sync') {
                Storage::put($this->spoolName($check), (string) gzencode(json_encode($scan->checkpoint(), JSON_THROW_ON_ERROR), 1));
                self::dispatch($this->check);

                return false;
            }
        }

        return true;
    }

    private function tell(Check $check, ScanProgress $progress, int $began): void
    {
        $check->refresh();
        if ($check->isUnderWay()) {
            $check->update(['state' => 'running', 'progress' => ['done' => $progress->done, 'all' => $progress->all, 'at' => $progress->at, 'began' => $began]]);
        }
    }

    private function spoolName(Check $check): string
    {
        return Spool::name('check', $check);
    }

    /** @return array<string, mixed>|null */
    private function spool(Check $check): ?array
    {
        $packed = Storage::exists($this->spoolName($check)) ? (string) Storage::get($this->spoolName($check)) : '';
        /** @var array<string, mixed>|null $spool */
        $spool = $packed === '' ? null : json_decode((string) gzdecode($packed), true, 64);

        return $spool;
    }

    public function failed(?\Throwable $fault): void
    {
        Check::query()->whereKey($this->check)->whereIn('state', ['queued', 'running'])->update(['state' => 'failed', 'fault' => 'The check broke off. Nothing was changed; start it again.']);
        $check = Check::query()->find($this->check);
        $check === null ?: Storage::delete($this->spoolName($check));
    }
}
