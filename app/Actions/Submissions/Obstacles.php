<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\DeliveryOrigin;
use App\Models\Submission;
use PlainLedger\Core\Submission\Obstacle;
use PlainLedger\Core\Submission\ObstacleKind;
use PlainLedger\Core\Submission\Readiness;

/** What stands in the way of signing a deliverable off. */
final readonly class Obstacles
{
    /** The check that would be signed: the newest that files were looked at in. */
    public static function checkOf(Deliverable $deliverable): ?Check
    {
        return $deliverable->checks()->done()->whereNotNull('delivery_id')
            ->with('delivery', 'scene', 'revision', 'person')->latest('id')->first();
    }

    /** @return list<Obstacle> */
    public static function of(Deliverable $deliverable, ?Check $check): array
    {
        $obstacles = [];
        if ($deliverable->checks()->underWay()->exists()) {
            $obstacles[] = Obstacle::of(ObstacleKind::UnderWay, 'A check is under way.');
        }
        if (Submission::query()->where('deliverable_id', $deliverable->id)->whereNotNull('progress')->exists()) {
            $obstacles[] = Obstacle::of(ObstacleKind::UnderWay, 'Its files are being read for their sums.');
        }
        if ($check === null) {
            return [...$obstacles, Obstacle::of(ObstacleKind::NotChecked, 'The files were not checked yet.')];
        }
        if ($check->delivery?->order() === null && $check->delivery?->origin !== DeliveryOrigin::Own) {
            $obstacles[] = Obstacle::of(ObstacleKind::Elsewhere, 'Where the files lay cannot be reached from here any '
                .'more. Put them into the intake, or hand them in as an archive, and check them there.');
        }
        if (AskedLayers::hasChangedSince($deliverable, $check)) {
            $obstacles[] = Obstacle::of(
                ObstacleKind::OutOfDate,
                'Something else is asked since they were checked. Check them again.',
            );
        }

        return [...$obstacles, ...Readiness::of($check->account(), $check->resolved())];
    }

    /**
     * @param  list<Obstacle>  $obstacles
     * @param  array<string, string>  $answers  what was done instead, by the key of a line
     * @return list<Obstacle> those that stand in the way all the same
     */
    public static function unanswered(array $obstacles, array $answers): array
    {
        return array_values(array_filter(
            $obstacles,
            static fn (Obstacle $one): bool => ! $one->kind->canBeAnswered()
                || trim($answers[$one->line?->key() ?? ''] ?? '') === '',
        ));
    }
}
