<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Health\MachineTrouble;
use App\Intake\ApprovedPictures;
use App\Intake\CheckedPlace;
use App\Intake\ListingSize;
use App\Intake\Spool;
use App\Models\Check;
use App\Models\CheckState;
use App\Processes\ScanEnd;
use App\Processes\ScanOutcome;
use App\Processes\ScanProcess;
use App\Queue\Workers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\FilesystemException;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\ScanOrder;
use PlainLedger\Core\Delivery\ScanPlace;
use PlainLedger\Core\Delivery\SeenPictures;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\PlainSentence;

/**
 * Some seconds of a scan, done apart. What is left is kept in a spool file, and the next slice goes on from there; so
 * it does where a file has broken one off, without that file.
 */
final class ScanSlice implements ShouldQueue
{
    use Queueable;

    public const BROKE_OFF = 'The check broke off twice, and nothing was changed. Begin it again; if it breaks off '
        .'once more, check a folder further down to find the file that does it.';

    public int $tries = 2;

    public int $timeout = 1800;

    public function __construct(public readonly int $check) {}

    public function handle(KeepScan $keepScan): void
    {
        $check = Check::query()->with('deliverable.production', 'deliverable.owner')->find($this->check);
        if ($check === null || ! $check->isUnderWay() || $check->order === null) {
            return;
        }
        // whoever orders one without the queue waits for all of it
        do {
            $goesOn = $this->slice($check, $keepScan);
        } while ($goesOn && $this->hasNoQueue());
        $goesOn && self::dispatch($this->check);
    }

    /** Whether so little is to be read that nobody has to wait for the queue. */
    public static function isAtOnce(Check $check, Listing $listing, ScanDepth $depth): bool
    {
        // pixels and checksums take their time, however few the files are
        if (
            $depth === ScanDepth::Full
            || PixelRules::sampleOptionsFor($check->resolved()) !== null
            || ChecksumsRule::isAskedBy($check->resolved())
        ) {
            return false;
        }

        return ListingSize::isAtMost($listing, (int) config('ledger.files_at_once'));
    }

    private function hasNoQueue(): bool
    {
        return config('queue.default') === 'sync';
    }

    /** Whether something is left to do. */
    private function slice(Check $check, KeepScan $keepScan): bool
    {
        try {
            $troubles = BrokenScans::of($check);
            $order = $this->order($check, $troubles);
            $end = ScanProcess::standard()->run($order, fn (?array $progress): bool => $this->tell($check, $progress));
            if ($end->outcome === ScanOutcome::Paused || $end->outcome === ScanOutcome::Broken) {
                return $this->goesOn($check, $end, $troubles);
            }
            if ($end->outcome === ScanOutcome::Whole) {
                $keepScan->run($check, ScanProcess::delivery($order->spool));
            }
            if ($end->refusal !== null) {
                $check->fail($end->refusal->getMessage());
            }
        } catch (PlainSentence $refused) {
            $check->fail($refused->getMessage());
        } catch (FilesystemException $fault) {
            // without a place for what is found there is nothing to go on with
            report($fault);
            $check->fail((MachineTrouble::behind($fault) ?? MachineTrouble::ReadOnly)->sentence());

            return false;
        }
        $this->forget($check);

        return false;
    }

    private function order(Check $check, BrokenScans $troubles): ScanOrder
    {
        $order = $check->order ?? throw new \LogicException('This check was not made of a folder.');
        $overseer = $check->person?->roleIn($check->deliverable->production_id)?->decides() ?? false;
        $asked = $check->resolved();
        $spool = Storage::path(Spool::name('check', $check));
        Storage::makeDirectory(dirname(Spool::name('check', $check)));

        $place = CheckedPlace::ordered($order, $check->deliverable, $overseer);

        return new ScanOrder(
            new ScanPlace(
                $place->path,
                isset($order['archive']) ? $order['folder'] : '',
                $this->known($check, $order),
            ),
            ScanDepth::from($order['depth']),
            new ContentOrder(
                PixelRules::sampleOptionsFor($asked),
                ApprovedPictures::places($asked, $check->deliverable, $place->root),
                ChecksumsRule::isAskedBy($asked),
                MovieLook::isOwedBy($asked) ? $check->layers : [],
                array_map(SeenPictures::fromArray(...), $order['seen'] ?? []),
            ),
            $spool,
            (int) config('ledger.slice'), $troubles->avoided(), $troubles->areThere(),
        );
    }

    /**
     * What an earlier scan of the same place has found, so that what has not changed since is not read again.
     *
     * @param  array{root: int, folder: string, depth: string, archive?: string}  $order
     * @return string a file; `""` where there is none
     */
    private function known(Check $check, array $order): string
    {
        $name = Spool::name('known', $check);
        if (isset($order['archive']) || $order['depth'] !== ScanDepth::Quick->value) {
            return '';
        }
        if (! Storage::exists($name)) {
            $earlier = $check->deliverable->deliveries()->where('intake_root_id', $order['root'])
                ->where('folder', $order['folder'])
                ->latest('id')
                ->first();
            // nothing is kept too, so that the next slice asks no more
            Storage::put($name, $earlier->data ?? '');
        }

        return Storage::path($name);
    }

    private function goesOn(Check $check, ScanEnd $end, BrokenScans $troubles): bool
    {
        if ($end->outcome === ScanOutcome::Broken) {
            $troubles->add($end->at);
            if ($troubles->areTooMany()) {
                $check->fail(
                    'Too many files took more memory or time than there is for one. Check a folder further down.',
                );
                $this->forget($check);

                return false;
            }
        }

        return true;
    }

    /**
     * @param  array{done: int, all: int|null, at: string}|null  $progress  null: it goes on
     * @return bool whether anybody still wants to know
     */
    private function tell(Check $check, ?array $progress): bool
    {
        Workers::beat();
        $check->refresh();
        if (! $check->isUnderWay()) {
            return false;
        }
        $before = $check->progress;
        $moved = $progress === null || ($before !== null && $before['at'] === $progress['at'])
            ? $before['moved'] ?? time()
            : time();
        $kept = $progress === null ? $before : $progress + ['began' => $before['began'] ?? time(), 'moved' => $moved];

        // somebody may have stopped it between the two
        return Check::query()->whereKey($check->id)->underWay()
            ->update(
                [
                    'state' => CheckState::Running,
                    'progress' => json_encode($kept, JSON_THROW_ON_ERROR),
                    'seen_at' => Carbon::now(),
                ],
            ) === 1;
    }

    private function forget(Check $check): void
    {
        Storage::delete([Spool::name('check', $check), Spool::name('known', $check)]);
        BrokenScans::of($check)->forget();
    }

    public function failed(?\Throwable $fault): void
    {
        $check = Check::query()->find($this->check);
        if ($check !== null) {
            $check->fail(self::BROKE_OFF);
            $this->forget($check);
        }
    }
}
