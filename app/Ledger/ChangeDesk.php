<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Change;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Text\Text;

/** Changes of what is asked: made, taken back, made again; never over somebody else's unseen one. */
final readonly class ChangeDesk
{
    /**
     * @param  string|null  $json  what is asked from now on; null: this layer says nothing of it any more
     * @param  string|null  $seen  the token of what stood there when the change was begun; null where it does not
     *   matter
     * @param  Change|null  $follows  the change it is made with, and is to be taken back with
     *
     * @throws ValidationException where somebody else has changed it meanwhile
     */
    public function change(
        Target $target,
        string $part,
        string $key,
        ?string $json,
        User $by,
        ?string $seen = null,
        ?Change $follows = null,
    ): ?Change {
        return DB::transaction(function () use ($target, $part, $key, $json, $by, $seen, $follows): ?Change {
            $target->reload();
            $before = $target->read($part, $key);
            // what is not known and stands nowhere cannot be taken back either
            if ($before === null && ($json === null || $json === 'null') && ! self::isKnown($key)) {
                throw ValidationException::withMessages(
                    ['value' => 'There is no requirement “'.Text::shown($key).'”.'],
                );
            }
            if ($before === $json) {
                return null;
            }
            if ($seen !== null && $seen !== $target->token($part, $key)) {
                $other = $this->lastOf($target, $part, $key);
                throw ValidationException::withMessages(
                    [
                        'conflict' => ($other?->person === null ? 'Somebody' : $other->person->name)
                            .' has changed this meanwhile'
                            .(
                                $before === null
                                    ? ': it is not asked here any more.'
                                    : '. Theirs stands now; yours is kept in the field.'
                            ),
                    ],
                );
            }
            $target->write($part, $key, $json, $by);

            return Change::query()->create(
                $target->ids() + [
                    'user_id' => $by->id, 'layer' => $target->layer->value, 'part' => $part, 'key' => $key,
                    'before' => $before, 'after' => $json, 'follows_id' => $follows?->id,
                ],
            );
        });
    }

    private static function isKnown(string $key): bool
    {
        $id = (string) preg_replace('~^starting_values\.~', '', $key);

        return str_starts_with($id, 'values.') || Catalogue::standard()->find($id) !== null;
    }

    private function lastOf(Target $target, string $part, string $key): ?Change
    {
        return Change::query()->where(array_filter($target->ids()))
            ->where('layer', $target->layer->value)
            ->where('part', $part)
            ->where('key', $key)
            ->with('person')
            ->latest('id')
            ->first();
    }

    /**
     * Takes a change back, or makes it again.
     *
     * @throws ValidationException where something else stands there by now
     */
    public function turn(Change $change, bool $undo, User $by): void
    {
        DB::transaction(function () use ($change, $undo, $by): void {
            $target = $this->target($change);
            [$from, $to] = $undo ? [$change->after, $change->before] : [$change->before, $change->after];
            if ($change->undone === $undo || $target->read($change->part, $change->key) !== $from) {
                throw ValidationException::withMessages(
                    ['refused' => 'This was changed again since, and stays as it is.'],
                );
            }
            $target->write($change->part, $change->key, $to, $by);
            $change->update(['undone' => $undo]);
            foreach (Change::query()->where('follows_id', $change->id)->where('undone', ! $undo)->orderBy(
                'id',
                $undo ? 'desc' : 'asc',
            )->get() as $follower) {
                $this->turn($follower, $undo, $by);
            }
        });
    }

    private function target(Change $change): Target
    {
        return match ($change->layer) {
            'house' => Target::house(Production::query()->findOrFail($change->production_id)),
            'specification' => Target::specification(Specification::query()->findOrFail($change->specification_id)),
            default => Target::deliverable(Deliverable::query()->findOrFail($change->deliverable_id)),
        };
    }
}
