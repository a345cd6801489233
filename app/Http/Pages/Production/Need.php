<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Due;
use App\Http\Pages\Book\IndexLine;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Checking\Verdict;

/** A deliverable that is owed still: what is due first stands first, in whichever production it is. */
final readonly class Need
{
    private const MOST = 12;

    /** Of so many that are due first those are taken that do not balance. */
    private const MOST_LOOKED_THROUGH = 400;

    public int $id;

    public string $code;

    public string $title;

    public string $production;

    public ?string $owner;

    public ?Verdict $verdict;

    public bool $waived;

    /** What holds it up, in few words. */
    public string $says;

    public ?Due $due;

    /** @var 'scene'|'frames' the page that has the trouble */
    public string $folio;

    private function __construct(Deliverable $deliverable, bool $isUnderWay)
    {
        $line = new IndexLine($deliverable);
        $this->id = $line->id;
        $this->code = $line->code;
        $this->title = $line->title;
        $this->production = $deliverable->production->name;
        $this->owner = $line->owner;
        $this->verdict = $line->verdict;
        $this->waived = $line->waived;
        $this->due = $line->due;
        $this->folio = $line->folio;
        $this->says = match (true) {
            $isUnderWay => 'is being checked',
            $line->verdict === null => 'nothing was checked yet',
            $line->stale => 'asked otherwise since it was checked',
            default => $line->holdsUp ?? 'not everything could be checked',
        };
    }

    /** @return list<self> */
    public static function of(User $reader): array
    {
        $open = Deliverable::query()->whereNull('put_away_at')
            ->whereHas('production', fn ($production) => $production->whereNull('archived_at'))
            ->openTo($reader)
            ->with(['newest' => static fn ($newest) => $newest->select(
                'checks.id', 'checks.deliverable_id', 'checks.verdict',
            )])
            ->orderByRaw('due_at is null, due_at, code')
            ->limit(self::MOST_LOOKED_THROUGH)
            ->get(['id']);
        $underWay = Check::query()->underWay()->whereIn('deliverable_id', $open->modelKeys())
            ->pluck('deliverable_id')->flip();
        $first = $open->filter(static fn (Deliverable $d): bool => $underWay->has($d->id)
            || $d->newest?->verdict !== Verdict::Balanced)->take(self::MOST)->modelKeys();
        $needs = Deliverable::query()->forIndex()->whereIn('id', $first)
            ->orderByRaw('due_at is null, due_at, code')->get();

        return array_values(
            $needs->map(static fn (Deliverable $d): self => new self($d, $underWay->has($d->id)))->all(),
        );
    }
}
