<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\CheckState;
use App\Models\Deliverable;
use App\Models\Scene;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Text\PlainSentence;

/** Begins a check by what is asked at that moment. */
final readonly class OpenCheck
{
    /**
     * @param  array{root: int, folder: string, depth: string, archive?: string, seen?: array<string, array{
     *   path: string, size: int, modified: int, grids: array<int, string>}>}|null  $order  where its files are to be
     *   looked at; and pictures of movies that somebody's browser showed, by part
     *
     * @throws PlainSentence where what is asked cannot be resolved, or another check is under way
     */
    public function run(Deliverable $deliverable, ?Scene $scene, User $by, ?array $order = null): Check
    {
        return DB::transaction(function () use ($deliverable, $scene, $by, $order): Check {
            $deliverable->loadAsked();
            ProductionQuota::allows($deliverable->production, $order !== null);
            $revision = $deliverable->specification->latest;
            // what cannot be resolved is refused before anything is written
            $deliverable->resolved($revision);
            if ($revision->used_at === null) {
                $revision->update(['used_at' => Carbon::now()]);
            }

            $layers = AskedLayers::layers($deliverable);
            // of several who ask for the same look at the same files, all wait for one
            $under = $order === null ? null : $deliverable->checks()->underWay()->latest('id')->first();
            if ($under !== null && $under->order == $order && $under->asked === AskedLayers::stamp($layers)) {
                return $under;
            }
            if ($under !== null) {
                throw CheckRefused::underWay();
            }

            return $deliverable->checks()->create([
                'specification_revision_id' => $revision->id,
                'scene_id' => $scene?->id,
                'user_id' => $by->id,
                'state' => CheckState::Queued,
                'order' => $order,
                'seen_at' => Carbon::now(),
                'layers' => $layers, 'asked' => AskedLayers::stamp($layers),
            ]);
        });
    }
}
