<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Moment;
use App\Http\Pages\Book\IndexLine;
use App\Models\Check;
use App\Models\CheckOutline;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Verdict;

/** A check that came to an end while somebody was away, where it is the newest of its deliverable still. */
final readonly class Finished
{
    private const MOST = 12;

    /** Days: whoever was away for longer reads the lists of the productions. */
    private const LONGEST = 30;

    public int $id;

    public string $code;

    public string $production;

    public ?Verdict $verdict;

    public bool $waived;

    public string $says;

    public string $when;

    /** @var 'scene'|'frames' the page that has the trouble */
    public string $folio;

    private function __construct(Deliverable $deliverable, Check $check)
    {
        $this->id = $deliverable->id;
        $this->code = $deliverable->code;
        $this->production = $deliverable->production->name;
        $this->verdict = $check->verdict;
        $this->waived = $check->waived > 0;
        $outline = CheckOutline::of($check);
        $this->says = IndexLine::holdsUp($outline) ?? '';
        $this->when = Moment::told($check->updated_at);
        $this->folio = IndexLine::folio($outline);
    }

    public static function since(User $reader): ?Carbon
    {
        return $reader->away_since?->max(Carbon::now()->subDays(self::LONGEST));
    }

    /** @return list<self> the newest first */
    public static function of(User $reader): array
    {
        $since = self::since($reader);
        if ($since === null) {
            return [];
        }
        $found = [];
        $deliverables = Deliverable::query()->openTo($reader)->whereNull('put_away_at')
            ->whereHas('checks', static fn ($checks) => $checks->done()->where('updated_at', '>', $since))
            ->with(['newest' => static fn ($newest) => $newest->forIndex(), 'production'])->get()
            ->sortByDesc(static fn (Deliverable $d): int => $d->newest->id ?? 0)->take(self::MOST);
        foreach ($deliverables as $deliverable) {
            if ($deliverable->newest !== null) {
                $found[] = new self($deliverable, $deliverable->newest);
            }
        }

        return $found;
    }
}
