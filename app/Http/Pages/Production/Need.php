<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Due;
use App\Http\Pages\Book\IndexLine;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use PlainLedger\Core\Checking\Verdict;

/** A deliverable that is owed still: what is due first stands first, in whichever production it is. */
final readonly class Need
{
    private const MOST = 12;

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
        $line = IndexLine::of($deliverable);
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
        $first = Deliverable::query()->whereNull('put_away_at')
            ->whereHas('production', fn ($production) => $production->whereNull('archived_at'))
            ->openTo($reader)
            ->besideNewest()
            ->where(static fn (Builder $any) => $any->whereNull('newest.verdict')
                ->orWhere('newest.verdict', '!=', Verdict::Balanced)
                ->orWhereHas('checks', static fn ($checks) => $checks->underWay()))
            ->orderByRaw('due_at is null, due_at, code')
            ->limit(self::MOST)
            ->pluck('deliverables.id');
        $underWay = Check::query()->underWay()->whereIn('deliverable_id', $first)->pluck('deliverable_id')->flip();
        $needs = Deliverable::query()->forIndex()->whereIn('id', $first)
            ->orderByRaw('due_at is null, due_at, code')->get();

        return array_values(
            $needs->map(static fn (Deliverable $d): self => new self($d, $underWay->has($d->id)))->all(),
        );
    }
}
