<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Intake\IntakeFolder;
use App\Jobs\ScanSlice;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\Scene;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery as Scanned;
use PlainLedger\Core\Media\Depth;
use PlainLedger\Core\Report\Account;
use PlainLedger\Core\Report\HoldsUp;
use PlainLedger\Core\Specification\Layer;

/** Where checks are opened, and closed when their files have been looked at. */
final readonly class CheckDesk
{
    /** Checks scene settings, beside the newest delivery where there is one. */
    public function checkScene(Deliverable $deliverable, Scene $scene, User $by): Check
    {
        $delivery = $deliverable->deliveries()->latest('id')->first();
        $check = $this->open($deliverable, $scene, $by);
        $this->close($check, $delivery);

        return $check;
    }

    /** Checks a folder, beside the newest scene settings where there are any: at once where it is small, else by the queue. */
    public function checkFolder(Deliverable $deliverable, IntakeFolder $folder, Depth $depth, User $by): Check
    {
        $scene = $deliverable->scenes()->latest('id')->first();
        $check = $this->open($deliverable, $scene, $by, ['root' => $folder->root->id, 'folder' => $folder->below, 'depth' => $depth->value]);
        // pixels take their time, however few the files are
        $small = $depth === Depth::Quick && PixelRules::looker($check->resolved()) === null && $folder->holdsAtMost((int) config('ledger.files_at_once'));
        $small ? ScanSlice::dispatchSync($check->id) : ScanSlice::dispatch($check->id);

        return $check->refresh();
    }

    /**
     * The same scene settings and files as another check, by what is asked now. Files are not read again, unless what is
     * in their pictures is asked by now and nobody has looked.
     */
    public function again(Check $old, User $by): Check
    {
        $delivery = $old->delivery;
        if ($delivery?->intake_root_id !== null && PixelRules::looker($old->deliverable->resolved()) !== null && ! $delivery->scanned()->wasLookedAt()) {
            $check = $this->open($old->deliverable, $old->scene, $by, ['root' => $delivery->intake_root_id, 'folder' => $delivery->folder, 'depth' => $delivery->depth]);
            ScanSlice::dispatch($check->id);

            return $check->refresh();
        }
        $check = $this->open($old->deliverable, $old->scene, $by);
        $this->close($check, $delivery);

        return $check;
    }

    /** @param  array{root: int, folder: string, depth: string}|null  $order */
    private function open(Deliverable $deliverable, ?Scene $scene, User $by, ?array $order = null): Check
    {
        return DB::transaction(function () use ($deliverable, $scene, $by, $order): Check {
            $deliverable->load('production', 'owner', 'specification.latest');
            $revision = $deliverable->specification->latest;
            $layers = $deliverable->layers($revision);
            // what cannot be resolved is refused before anything is written
            $deliverable->resolved($revision);
            if ($revision->used_at === null) {
                $revision->update(['used_at' => Carbon::now()]);
            }

            return $deliverable->checks()->create([
                'specification_revision_id' => $revision->id, 'scene_id' => $scene?->id, 'user_id' => $by->id, 'state' => 'queued', 'order' => $order,
                'layers' => array_map(static fn (Layer $l): array => ['set_by' => $l->setBy->value, 'data' => $l->data, 'label' => $l->label], $layers),
            ]);
        });
    }

    /** Keeps what was scanned, and closes the check with it. */
    public function deliver(Check $check, Scanned $scanned): void
    {
        $order = $check->order ?? throw new \LogicException('This check was not made of a folder.');
        $delivery = Delivery::query()->create([
            'deliverable_id' => $check->deliverable_id, 'user_id' => $check->user_id, 'intake_root_id' => $order['root'], 'folder' => $order['folder'], 'depth' => $order['depth'],
            'file_count' => $scanned->fileCount(), 'total_size' => $scanned->totalSize(), 'scanned_at' => Carbon::createFromTimestamp($scanned->scannedAt), 'data' => Delivery::pack($scanned),
        ]);
        $this->close($check, $delivery, $scanned);
    }

    private function close(Check $check, ?Delivery $delivery, ?Scanned $scanned = null): void
    {
        $check->loadMissing('scene');
        $account = Account::of($check->resolved(), $check->scene?->settings(), $scanned ?? $delivery?->scanned());
        $check->update([
            'state' => 'done', 'delivery_id' => $delivery?->id, 'verdict' => $account->check->verdict->value, 'holds_up' => HoldsUp::inWords($account), 'progress' => null,
            'document' => gzencode(json_encode($account->toArray() + ['strip' => Strip::of($account)], JSON_THROW_ON_ERROR), 5),
        ]);
    }

    /** The account as it was, for the reports of other formats. */
    public function account(Check $check): Account
    {
        $check->loadMissing('scene', 'delivery');

        return Account::of($check->resolved(), $check->scene?->settings(), $check->delivery?->scanned());
    }
}
