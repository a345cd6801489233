<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Collection;

/** What those who mark are told of whose something is: a name; or, where names are kept from them, a number. */
final readonly class Named
{
    /** @var array<int, int> a number by deliverable, in no order that a name has */
    private array $numbers;

    /** @param  Collection<int, Deliverable>  $deliverables  all of an assignment */
    private function __construct(private bool $isHidden, Collection $deliverables)
    {
        $word = static fn (Deliverable $d): string => hash_hmac('sha256', "{$d->id}", (string) config('app.key'));
        $this->numbers = array_flip(array_values($deliverables->sortBy($word)->pluck('id')->all()));
    }

    /** @param  Collection<int, Deliverable>  $deliverables  all of an assignment */
    public static function among(Assignment $assignment, Collection $deliverables): self
    {
        return new self($assignment->hidesNames(), $deliverables);
    }

    public static function within(Assignment $assignment): self
    {
        return self::among($assignment, $assignment->hidesNames()
            ? Deliverable::query()->where('specification_id', $assignment->specification_id)->get(['id'])
            : new Collection);
    }

    public function isHidden(): bool
    {
        return $this->isHidden;
    }

    public function of(Deliverable $deliverable): string
    {
        return $this->isHidden
            ? 'Learner '.(($this->numbers[$deliverable->id] ?? 0) + 1)
            : self::people($deliverable);
    }

    /** Everybody who answers for it. */
    public static function people(Deliverable $deliverable): string
    {
        $names = array_map(static fn (User $person): string => $person->name, $deliverable->people());

        return $names === [] ? $deliverable->code : implode(', ', $names);
    }

    /** A sentence in which nothing says whose it is. */
    public function masked(string $says, Deliverable $deliverable): string
    {
        if (! $this->isHidden) {
            return $says;
        }
        $words = [$deliverable->code];
        foreach ($deliverable->people() as $person) {
            $words = [...$words, ...self::words($person)];
        }
        usort($words, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));

        return str_ireplace($words, '…', $says);
    }

    /** @return list<string> */
    private static function words(User $person): array
    {
        $parts = preg_split('~\s+~', $person->name) ?: [];
        $words = [$person->name, $person->handle, $person->email, ...$parts];

        return array_values(array_filter($words, static fn (string $word): bool => strlen($word) > 2));
    }
}
