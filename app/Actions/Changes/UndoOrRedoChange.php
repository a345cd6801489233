<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Language\Phrase;
use App\Models\Change;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes a change back, or makes it again. */
final readonly class UndoOrRedoChange
{
    /**
     * Takes a change back, or makes it again.
     *
     * @throws ValidationException where something else stands there by now
     */
    public function run(Change $change, bool $undo, User $by): void
    {
        DB::transaction(function () use ($change, $undo, $by): void {
            $target = self::target($change);
            [$from, $to] = $undo ? [$change->after, $change->before] : [$change->before, $change->after];
            if ($change->undone === $undo || $target->read($change->part, $change->key) !== $from) {
                throw ValidationException::withMessages(
                    ['refused' => Phrase::of('This was changed again since, and stays as it is.')],
                );
            }
            $target->write($change->part, $change->key, $to, $by);
            $change->update(['undone' => $undo]);
            foreach (Change::query()->where('follows_id', $change->id)->where('undone', ! $undo)->orderBy(
                'id',
                $undo ? 'desc' : 'asc',
            )->get() as $follower) {
                $this->run($follower, $undo, $by);
            }
        });
    }

    private static function target(Change $change): ChangedLayer
    {
        return match ($change->layer) {
            'house' => ChangedLayer::house(Production::query()->findOrFail($change->production_id)),
            'specification' => ChangedLayer::specification(
                Specification::query()->findOrFail($change->specification_id),
            ),
            default => ChangedLayer::deliverable(Deliverable::query()->findOrFail($change->deliverable_id)),
        };
    }
}
