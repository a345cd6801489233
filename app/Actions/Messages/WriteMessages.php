<?php

declare(strict_types=1);

namespace App\Actions\Messages;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Messages\OwnerMessage;

/** A message to each owner of what does not balance, or of the deliverables that are named. */
final readonly class WriteMessages
{
    /**
     * @param  list<int>|null  $deliverables  null: all of what does not balance
     * @return int how many were written
     */
    public function run(Production $production, ?array $deliverables, User $by): int
    {
        $owed = $production->deliverables()->with('owner', 'newest')->whereNotNull('owner_id')->orderBy('code')
            ->when($deliverables !== null, fn ($query) => $query->whereIn('id', $deliverables ?? []))
            ->get()
            ->filter(
                static fn (Deliverable $d): bool => $deliverables !== null
                    || $d->newest?->verdict !== Verdict::Balanced,
            );
        $byOwner = $owed->groupBy('owner_id');
        foreach ($byOwner as $theirs) {
            $this->write($production, $theirs, $by);
        }

        return $byOwner->count();
    }

    /** @param  Collection<int, Deliverable>  $theirs */
    private function write(Production $production, Collection $theirs, User $by): void
    {
        /** @var User $owner */
        $owner = $theirs->firstOrFail()->owner;
        /**
         * @var non-empty-list<array{
         *   code: string, title: string, due: string|null, document: array<string, mixed>|null,
         * }> $told
         */
        $told = array_values($theirs->map(static fn (Deliverable $d): array => [
            'code' => $d->code,
            'title' => $d->title,
            'due' => $d->due_at?->setTimezone($production->zone())->format('j M, H:i T'),
            'document' => $d->newest?->account(),
        ])->all());
        $signed = "{$by->name}, {$by->roleIn($production->id)?->value}";
        $message = OwnerMessage::to($owner->name, $production->name, $told, $signed);
        $production->messages()->create([
            'to_id' => $owner->id,
            'by_id' => $by->id,
            'subject' => mb_substr($message->subject, 0, 300),
            'body' => $message->body,
        ]);
    }
}
