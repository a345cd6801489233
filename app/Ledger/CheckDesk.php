<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Intake\IntakeFolder;
use App\Jobs\ScanSlice;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\Scene;
use App\Models\Tick;
use App\Models\User;
use App\Models\Waiver;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Checking\EarlierFiles;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery as Scanned;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Report\BlockerSummary;
use PlainLedger\Core\Report\CheckComparison;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification as Resolved;

/** Where checks are opened, and closed when their files have been looked at. */
final readonly class CheckDesk
{
    /**
     * Keeps scene settings, and checks them beside the newest delivery where there is one.
     *
     * @param  array<string, mixed>  $scene  of the row that is made
     */
    public function bringScene(Deliverable $deliverable, array $scene, User $by): Check
    {
        // settings without a check of them would stand there as if nobody had looked at them
        [$kept, $check] = DB::transaction(function () use ($deliverable, $scene, $by): array {
            $kept = $deliverable->scenes()->create($scene);

            return [$kept, $this->open($deliverable, $kept, $by)];
        });

        return $this->closeScene($check->setRelation('scene', $kept), $deliverable);
    }

    private function closeScene(Check $check, Deliverable $deliverable): Check
    {
        $delivery = $deliverable->deliveries()->latest('id')->first();
        // whatever was delivered before this scene must not be written over by it
        $this->close($check, $delivery, earlier: $delivery);

        return $check;
    }

    /**
     * Checks a folder, beside the newest scene settings where there are any: at once where it is small, else by the
     * queue.
     */
    public function checkFolder(Deliverable $deliverable, IntakeFolder $folder, ScanDepth $depth, User $by): Check
    {
        $scene = $deliverable->scenes()->latest('id')->first();
        $check = $this->open(
            $deliverable,
            $scene,
            $by,
            ['root' => $folder->root->id, 'folder' => $folder->below, 'depth' => $depth->value],
        );
        // pixels and checksums take their time, however few the files are
        $small = $depth === ScanDepth::Quick
            && PixelRules::sampleOptionsFor($check->resolved()) === null
            && ! ChecksumsRule::isAskedBy($check->resolved())
            && $folder->holdsAtMost((int) config('ledger.files_at_once'));
        if (! $check->wasRecentlyCreated) {
            return $check;
        }
        $small ? ScanSlice::dispatchSync($check->id) : ScanSlice::dispatch($check->id);

        return $check->refresh();
    }

    /**
     * The same scene settings and files as another check, by what is asked now. Files are not read again, unless
     * something is asked by now that nobody has looked for, or they were still arriving then.
     */
    public function again(Check $old, User $by): Check
    {
        $delivery = $old->delivery;
        // one that broke off has nothing yet
        if ($old->state !== 'done') {
            $check = $this->open(
                $old->deliverable,
                $old->deliverable->scenes()->latest('id')->first(),
                $by,
                $old->order,
            );
            if ($old->order === null) {
                return $this->closeScene($check, $old->deliverable);
            }
            ScanSlice::dispatch($check->id);

            return $check->refresh();
        }
        if (
            $delivery?->intake_root_id !== null
            && (
                self::wasArriving($old)
                || self::mustBeReadAgain($delivery->scanned(), $old->resolved(), $old->deliverable->resolved())
            )
        ) {
            $check = $this->open(
                $old->deliverable,
                $old->scene,
                $by,
                ['root' => $delivery->intake_root_id, 'folder' => $delivery->folder, 'depth' => $delivery->depth],
            );
            ScanSlice::dispatch($check->id);

            return $check->refresh();
        }
        $check = $this->open($old->deliverable, $old->scene, $by);
        $this->close($check, $delivery);

        return $check;
    }

    /** Files that were still being written then are others by now. */
    private static function wasArriving(Check $check): bool
    {
        return in_array('still-arriving', array_column($check->summary['causes'] ?? [], 'id'), true);
    }

    private static function mustBeReadAgain(Scanned $scanned, Resolved $then, Resolved $now): bool
    {
        $wanted = PixelRules::sampleOptionsFor($now);
        if ($wanted !== null && (! $scanned->hasSamples() || $wanted !== PixelRules::sampleOptionsFor($then))) {
            return true;
        }

        return $scanned->checksums === null && ChecksumsRule::isAskedBy($now);
    }

    /** @param  array{root: int, folder: string, depth: string}|null  $order */
    private function open(Deliverable $deliverable, ?Scene $scene, User $by, ?array $order = null): Check
    {
        return DB::transaction(function () use ($deliverable, $scene, $by, $order): Check {
            $deliverable->load('production', 'owner', 'specification.latest');
            Quota::allows($deliverable->production, $order !== null);
            $revision = $deliverable->specification->latest;
            // what cannot be resolved is refused before anything is written
            $deliverable->resolved($revision);
            if ($revision->used_at === null) {
                $revision->update(['used_at' => Carbon::now()]);
            }

            $layers = Asked::layers($deliverable);
            // of several who ask for the same look at the same files, all wait for one
            $under = $order === null ? null : $deliverable->checks()->underWay()->latest('id')->first();
            if ($under !== null && $under->order == $order && $under->asked === Asked::stamp($layers)) {
                return $under;
            }
            if ($under !== null) {
                throw CheckRefused::underWay();
            }

            return $deliverable->checks()->create([
                'specification_revision_id' => $revision->id,
                'scene_id' => $scene?->id,
                'user_id' => $by->id,
                'state' => 'queued',
                'order' => $order,
                'seen_at' => Carbon::now(),
                'layers' => $layers, 'asked' => Asked::stamp($layers),
            ]);
        });
    }

    /** Keeps what was scanned, and closes the check with it. */
    public function deliver(Check $check, Scanned $scanned): void
    {
        $order = $check->order ?? throw new \LogicException('This check was not made of a folder.');
        $delivery = new Delivery([
            'deliverable_id' => $check->deliverable_id,
            'user_id' => $check->user_id,
            'intake_root_id' => $order['root'],
            'folder' => $order['folder'],
            'depth' => $order['depth'],
            'file_count' => $scanned->fileCount(),
            'total_size' => $scanned->totalSize(),
            'scanned_at' => Carbon::createFromTimestamp($scanned->scannedAt),
            'data' => Delivery::pack($scanned),
        ]);
        $this->close($check, $delivery, $scanned);
    }

    private function close(Check $check, ?Delivery $delivery, ?Scanned $scanned = null, ?Delivery $earlier = null): void
    {
        $check->loadMissing('scene', 'deliverable');
        $resolved = $check->resolved();
        $waivers = Waiver::holding($check->deliverable);
        $scene = $check->scene?->settings();
        $account = CheckReport::of(
            $resolved,
            $scene,
            $scanned ?? $delivery?->scanned(),
            $waivers,
            $this->mustStay($check->deliverable, $earlier, $resolved),
            self::others($check->deliverable),
        );
        $document = $account->toArray();
        $since = $this->since($check, $document, $scene);
        $summary = Summary::of($account, $earlier?->id);
        $written = gzencode(
            json_encode(
                $document + ['strip' => Strip::of($account), 'since' => $since?->toArray()],
                JSON_THROW_ON_ERROR,
            ),
            5,
        );
        // all of it or nothing: a check is never done without its files, and never with waivers that it ends
        DB::transaction(function () use ($check, $delivery, $account, $written, $summary, $document): void {
            // who was told meanwhile that it is stopped, or broken off, is not told another thing later
            if (! Check::query()->whereKey($check->id)->underWay()->exists()) {
                return;
            }
            $delivery === null || $delivery->exists || $delivery->save();
            $check->update([
                'state' => 'done',
                'delivery_id' => $delivery?->id,
                'verdict' => $account->check->verdict->value,
                'holds_up' => BlockerSummary::inWords($account),
                'progress' => null,
                'document' => $written,
                'summary' => $summary,
                'waived' => count($summary['waivers']),
                'trouble' => $summary['causes'][0]['side'] ?? null,
            ]);
            $this->endWaivers($check->deliverable, $account);
            // work that is not asked for any more needs no tick
            $check->deliverable->ticks()
                ->whereNotIn('fix', array_map(Tick::key(...), is_array($document['fixes']) ? $document['fixes'] : []))
                ->delete();
        });
    }

    /** @return array<string, list<string>> what other deliverables of the production have in their names */
    private static function others(Deliverable $deliverable): array
    {
        $others = Deliverable::query()->where('production_id', $deliverable->production_id)
            ->whereKeyNot($deliverable->id)
            ->with('owner:id,handle')
            ->get(['id', 'code', 'owner_id']);
        $found = ['shot' => [], 'learner' => []];
        foreach ($others as $other) {
            $found['shot'][] = $other->code;
            // who owes several deliverables is no other
            if ($other->owner !== null && $other->owner_id !== $deliverable->owner_id) {
                $found['learner'][$other->owner->handle] = $other->owner->handle;
            }
        }

        return ['shot' => $found['shot'], 'learner' => array_values($found['learner'])];
    }

    /** Good files of an earlier delivery, as far as a newer check of them tells which are good. */
    private function mustStay(Deliverable $deliverable, ?Delivery $earlier, Resolved $resolved): ?EarlierFiles
    {
        if (
            $earlier === null
            || array_filter(
                $resolved->parts,
                static fn ($part): bool => $part->find(RequirementId::OUTPUT_OVERWRITES) !== null,
            ) === []
        ) {
            return null;
        }
        $account = CheckReport::of($resolved, null, $earlier->scanned(), Waiver::holding($deliverable));

        return EarlierFiles::of(
            $account->check,
            $account->remedy->rerender,
            ($earlier->intakeRoot->path ?? '').'/'.$earlier->folder,
        );
    }

    /** @param  array<string, mixed>  $document */
    private function since(Check $check, array $document, ?SceneSettings $scene): ?CheckComparison
    {
        $before = $check->deliverable->checks()
            ->where('state', 'done')
            ->where('id', '<', $check->id)
            ->with('scene')
            ->latest('id')
            ->limit(10)
            ->get();
        $documents = array_values($before->map(static fn (Check $c): array => $c->account())->all());
        if ($documents === []) {
            return null;
        }
        $makes = static fn (array $document): mixed => is_array($document['scene'] ?? null)
            ? $document['scene']['makes'] ?? null
            : null;
        // settings of another part are others by nature
        $last = $before->first(
            static fn (Check $c): bool => $c->scene_id !== null && $makes($c->account()) === $makes($document),
        );

        return CheckComparison::of(
            $document,
            $documents,
            $scene,
            $scene === null || $last === null || $last->scene_id === $check->scene_id
                ? null
                : $last->scene?->settings(),
        );
    }

    /** What was accepted for one deliverable ends when its line shows another value. */
    private function endWaivers(Deliverable $deliverable, CheckReport $account): void
    {
        $held = [];
        $shown = [];
        foreach ($account->check->entries as $entry) {
            $key = "{$entry->id()}\t{$entry->part}\t{$entry->pass}";
            if ($entry->waiver?->key !== null) {
                $held[$entry->waiver->key] = true;
            }
            if ($entry->mark !== Mark::Unknown) {
                $shown[$key] = true;
            }
        }
        foreach (Waiver::query()->where('deliverable_id', $deliverable->id)->whereNull('ended_at')->get() as $waiver) {
            if (! isset($held[$waiver->id]) && isset($shown["{$waiver->entry}\t{$waiver->part}\t{$waiver->pass}"])) {
                $waiver->update(['ended_at' => Carbon::now()]);
            }
        }
    }

    /** The account as it was, for the reports of other formats. */
    public function account(Check $check): CheckReport
    {
        $check->loadMissing('scene', 'delivery', 'deliverable');
        $resolved = $check->resolved();
        $earlier = $check->summary['earlier'] ?? null;

        return CheckReport::of(
            $resolved,
            $check->scene?->settings(),
            $check->delivery?->scanned(),
            Summary::waivers($check->summary),
            $this->mustStay(
                $check->deliverable,
                $earlier === null ? null : Delivery::query()->find($earlier),
                $resolved,
            ),
            self::others($check->deliverable),
        );
    }
}
