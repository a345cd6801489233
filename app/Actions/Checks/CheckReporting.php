<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\Waiver;
use PlainLedger\Core\Checking\EarlierFiles;
use PlainLedger\Core\Checking\Waiver as Accepted;
use PlainLedger\Core\Delivery\Delivery as Scanned;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification as Resolved;

/** A check worked out from what is kept of it. */
final readonly class CheckReporting
{
    /**
     * @param  Scanned|null  $scanned  its files
     * @param  list<Accepted>  $waivers
     * @param  Delivery|null  $earlier  whose good files must not be written over
     */
    public function of(Check $check, ?Scanned $scanned, array $waivers, ?Delivery $earlier): CheckReport
    {
        $resolved = $check->resolved();

        return CheckReport::of(
            $resolved,
            $check->scene?->settings(),
            $scanned,
            $waivers,
            self::mustStay($check->deliverable, $earlier, $resolved),
            self::others($check->deliverable),
        );
    }

    /** As it was when the check was closed, for the reports of other formats. */
    public function asItWas(Check $check): CheckReport
    {
        $check->loadMissing('scene', 'delivery', 'deliverable');
        $id = $check->summary['earlier'] ?? null;
        $earlier = $id === null ? null : Delivery::query()->find($id);

        return $this->of($check, $check->delivery?->scanned(), CheckSummary::waivers($check->summary), $earlier);
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
    private static function mustStay(Deliverable $deliverable, ?Delivery $earlier, Resolved $resolved): ?EarlierFiles
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
}
