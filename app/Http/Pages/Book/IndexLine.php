<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Actions\Checks\AskedStamps;
use App\Models\Check;
use App\Models\Deliverable;
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

    /**
     * @param  Deliverable  $deliverable  with what `forIndex` loads and its newest check
     * @param  AskedStamps|null  $asked  shared by the lines of an index
     */
    public function __construct(Deliverable $deliverable, ?AskedStamps $asked = null)
    {
        $newest = $deliverable->newest;
        $this->id = (int) $deliverable->stored('id');
        $this->code = (string) $deliverable->stored('code');
        $this->title = (string) $deliverable->stored('title');
        $this->owner = $deliverable->owner?->name;
        $this->due = Due::at($deliverable->storedTime('due_at'));
        $this->verdict = Verdict::tryFrom((string) $newest?->stored('verdict'));
        $this->waived = (int) $newest?->stored('waived') > 0;
        $this->holdsUp = self::holdsUp($newest);
        $this->stale = ($asked ?? new AskedStamps)->hasChangedSince($deliverable, $newest);
        $this->folio = self::folio($newest);
    }

    /** What a check says of itself in the fewest words; that files arrive is said no more once they should be there. */
    public static function holdsUp(?Check $check): ?string
    {
        $says = $check?->stored('holds_up');
        if ($says === BlockerSummary::ARRIVING && self::shouldHaveArrived($check)) {
            return 'was arriving; check again';
        }

        return $says === null ? null : (string) $says;
    }

    /** Whether so much time has passed that files which were arriving then are there, or never will be. */
    public static function shouldHaveArrived(Check $check): bool
    {
        return $check->updated_at->isBefore(Carbon::now()->subMinutes(self::ARRIVES_FOR));
    }

    /**
     * The folio that has the trouble: the first cause's side; of what balances, the frames where there are any.
     *
     * @return 'scene'|'frames'
     */
    public static function folio(?Check $check): string
    {
        $trouble = $check?->stored('trouble');
        $isScene = $trouble === null
            ? $check?->stored('delivery_id') === null && $check?->stored('scene_id') !== null
            : $trouble === 'scene';

        return $isScene ? 'scene' : 'frames';
    }
}
