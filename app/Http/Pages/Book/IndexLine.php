<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Actions\Checks\AskedStamps;
use App\Models\CheckOutline;
use App\Models\Deliverable;
use App\Models\DeliverableOutline;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Report\BlockerSummary;

/** One deliverable in the index: how it stands, in the fewest words. */
readonly class IndexLine
{
    /** Minutes after which nothing is said to arrive still that nobody has looked at since. */
    private const ARRIVES_FOR = 20;

    public int $id;

    public string $code;

    public string $title;

    public ?string $owner;

    public ?Due $due;

    public ?Verdict $verdict;

    public bool $waived;

    public ?string $holdsUp;

    /** Something else is asked since it was checked. */
    public bool $stale;

    /** @var 'scene'|'frames' the page that has the trouble */
    public string $folio;

    public function __construct(DeliverableOutline $deliverable, AskedStamps $asked)
    {
        $newest = $deliverable->newest;
        $this->id = $deliverable->id;
        $this->code = $deliverable->code;
        $this->title = $deliverable->title;
        $this->owner = $deliverable->owner;
        $this->due = Due::at($deliverable->dueAt);
        $this->verdict = $newest?->verdict;
        $this->waived = $newest?->waived === true;
        $this->holdsUp = self::holdsUp($newest);
        $this->stale = $asked->hasChangedSince($deliverable);
        $this->folio = self::folio($newest);
    }

    /** @param  Deliverable  $deliverable  with what `forIndex` loads and its newest check */
    public static function of(Deliverable $deliverable): self
    {
        return new self(DeliverableOutline::of($deliverable), new AskedStamps);
    }

    /** What a check says of itself in the fewest words; that files arrive is said no more once they should be there. */
    public static function holdsUp(?CheckOutline $check): ?string
    {
        if ($check?->holdsUp === BlockerSummary::ARRIVING && self::shouldHaveArrived($check)) {
            return 'was arriving; check again';
        }

        return $check?->holdsUp;
    }

    /** Whether so much time has passed that files which were arriving then are there, or never will be. */
    public static function shouldHaveArrived(CheckOutline $check): bool
    {
        return $check->endedBefore(Carbon::now()->subMinutes(self::ARRIVES_FOR));
    }

    /**
     * The folio that has the trouble: the first cause's side; of what balances, the frames where there are any.
     *
     * @return 'scene'|'frames'
     */
    public static function folio(?CheckOutline $check): string
    {
        $trouble = $check?->trouble;
        $isScene = $trouble === null
            ? $check?->hasFiles === false && $check->hasScene
            : $trouble === 'scene';

        return $isScene ? 'scene' : 'frames';
    }
}
