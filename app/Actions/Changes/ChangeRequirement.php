<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Language\Phrase;
use App\Models\Change;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Text\Text;

/** Changes what is asked; never over somebody else's change that was not seen. */
final readonly class ChangeRequirement
{
    /**
     * @param  string|null  $json  what is asked from now on; null: this layer says nothing of it any more
     * @param  string|null  $seen  the token of what stood there when the change was begun; null where it does not
     *   matter
     * @param  Change|null  $follows  the change it is made with, and is to be taken back with
     *
     * @throws ValidationException where somebody else has changed it meanwhile
     */
    public function run(
        ChangedLayer $target,
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
                    ['value' => Phrase::of('There is no requirement “:shown”.', ['shown' => Text::shown($key)])],
                );
            }
            if ($before === $json) {
                return null;
            }
            if ($seen !== null && $seen !== $target->token($part, $key)) {
                throw $this->conflict($target, $part, $key, $before);
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

    private function conflict(ChangedLayer $target, string $part, string $key, ?string $now): ValidationException
    {
        $other = $this->lastOf($target, $part, $key);
        $who = $other?->person === null ? 'Somebody' : $other->person->name;
        $what = $now === null
            ? ': it is not asked here any more.'
            : '. Theirs stands now; yours is kept in the field.';

        return ValidationException::withMessages(['conflict' => Phrase::of(
            ':who has changed this meanwhile:what',
            ['who' => $who, 'what' => $what],
        )]);
    }

    private static function isKnown(string $key): bool
    {
        $id = (string) preg_replace('~^starting_values\.~', '', $key);

        return str_starts_with($id, 'values.') || Catalogue::standard()->find($id) !== null;
    }

    private function lastOf(ChangedLayer $target, string $part, string $key): ?Change
    {
        return Change::query()->where(array_filter($target->ids()))
            ->where('layer', $target->layer->value)
            ->where('part', $part)
            ->where('key', $key)
            ->with('person')
            ->latest('id')
            ->first();
    }
}
