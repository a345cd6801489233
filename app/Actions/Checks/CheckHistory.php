<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use PlainLedger\Core\Report\CheckComparison;

/** What is otherwise in a check than it was in those before. */
final readonly class CheckHistory
{
    /** @param  array<string, mixed>  $document */
    public static function since(Check $check, array $document): ?CheckComparison
    {
        $before = $check->deliverable->checks()
            ->done()
            ->where('id', '<', $check->id)
            ->with('scene')
            ->latest('id')
            ->limit(10)
            ->get();
        $documents = array_values($before->map(static fn (Check $c): array => $c->account())->all());
        if ($documents === []) {
            return null;
        }
        $scene = $check->scene?->settings();
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
}
