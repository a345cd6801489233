<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\CheckEnded;
use App\Models\CheckState;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\Tick;
use App\Models\Waiver;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Delivery\Delivery as Scanned;
use PlainLedger\Core\Report\BlockerSummary;

/** Works a check out, and keeps what came of it. */
final readonly class CloseCheck
{
    /** Quick rather than small. */
    private const LEVEL = 5;

    public function __construct(private CheckReporting $reporting, private EndWaivers $endWaivers) {}

    /** Whatever was delivered before this scene must not be written over by it. */
    public function ofScene(Check $check, Deliverable $deliverable): Check
    {
        $delivery = $deliverable->deliveries()->latest('id')->first();
        $this->run($check, $delivery, earlier: $delivery);

        return $check;
    }

    /**
     * @param  Scanned|null  $scanned  what the delivery holds, where it is not kept yet
     * @param  Delivery|null  $earlier  whose good files must not be written over
     */
    public function run(Check $check, ?Delivery $delivery, ?Scanned $scanned = null, ?Delivery $earlier = null): void
    {
        $check->loadMissing('scene', 'deliverable');
        $scanned ??= $delivery?->scanned();
        $waivers = Waiver::holding($check->deliverable);
        $account = $this->reporting->of($check, $scanned, $waivers, $earlier);
        $document = $account->toArray();
        $since = CheckHistory::since($check, $document);
        $written = gzencode(
            json_encode(
                $document + ['strip' => FrameStrip::of($account), 'since' => $since?->toArray()],
                JSON_THROW_ON_ERROR,
            ),
            self::LEVEL,
        );
        $summary = CheckSummary::of($account, $earlier?->id);
        // all of it or nothing: a check is never done without its files, and never with waivers that it ends
        DB::transaction(function () use ($check, $delivery, $account, $written, $summary, $document): void {
            // who was told meanwhile that it is stopped, or broken off, is not told another thing later
            if (! Check::query()->whereKey($check->id)->underWay()->exists()) {
                return;
            }
            $delivery === null || $delivery->exists || $delivery->save();
            $check->update([
                'state' => CheckState::Done,
                'delivery_id' => $delivery?->id,
                'verdict' => $account->check->verdict,
                'holds_up' => BlockerSummary::inWords($account),
                'progress' => null,
                'document' => $written,
                'summary' => $summary,
                'waived' => count($summary['waivers']),
                'trouble' => $summary['causes'][0]['side'] ?? null,
            ]);
            $this->endWaivers->run($check->deliverable, $account);
            self::removeTicks($check->deliverable, $document);
        });
        if ($check->state === CheckState::Done) {
            event(new CheckEnded($check));
        }
    }

    /**
     * Work that is not asked for any more needs no tick.
     *
     * @param  array<string, mixed>  $document
     */
    private static function removeTicks(Deliverable $deliverable, array $document): void
    {
        $keys = array_map(Tick::key(...), is_array($document['fixes']) ? $document['fixes'] : []);
        $deliverable->ticks()->whereNotIn('fix', $keys)->delete();
    }
}
