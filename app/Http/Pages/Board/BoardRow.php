<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Actions\Checks\AskedStamps;
use App\Http\Moment;
use App\Http\Pages\Book\Due;
use App\Http\Pages\Book\IndexLine;
use App\Http\Pages\ByKey;
use App\Models\CheckOutline;
use App\Models\DeliverableOutline;
use DateTimeImmutable;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Verdict;

/** One deliverable on a board. */
final readonly class BoardRow
{
    /** Of what was not checked. */
    private const NOTHING = ['balance' => [0, 0], 'groups' => [], 'waivers' => [], 'causes' => []];

    public int $id;

    public string $code;

    public string $title;

    public ?string $owner;

    public ?int $ownerId;

    public string $specification;

    public int $specificationId;

    public ?Due $due;

    /** @var int|null seconds since 1970 */
    public ?int $dueAt;

    /** What is otherwise than it was yesterday, in a word. */
    public ?string $changed;

    public bool $stale;

    public ?string $holdsUp;

    /** @var 'scene'|'frames' the page that has the trouble */
    public string $folio;

    /** @var ByKey<Mark> by group */
    public ByKey $marks;

    public int $good;

    public int $all;

    public int $waived;

    /** What the first cause says. */
    public ?string $cause;

    /** @var list<string> */
    public array $causes;

    public ?Verdict $verdict;

    public bool $scene;

    public bool $files;

    /** @var int|null seconds since 1970 */
    public ?int $checked;

    public ?string $when;

    /**
     * @param  CheckOutline|null  $then  the newest check of the day before; the newest itself where that is older
     */
    public function __construct(DeliverableOutline $deliverable, ?CheckOutline $then, AskedStamps $asked)
    {
        $newest = $deliverable->newest;
        $line = new IndexLine($deliverable, $asked);
        $this->id = $line->id;
        $this->code = $line->code;
        $this->title = $line->title;
        $this->owner = $line->owner;
        $this->ownerId = $deliverable->ownerId;
        $this->due = $line->due;
        $this->stale = $line->stale;
        $this->holdsUp = $line->holdsUp;
        $this->folio = $line->folio;
        $this->verdict = $line->verdict;
        $this->specification = $deliverable->specification;
        $this->specificationId = $deliverable->specificationId;
        $this->dueAt = $line->due?->stamp();
        $this->changed = $newest === null ? null : self::changed($newest, $then);
        $summary = $newest->summary ?? self::NOTHING;
        [$this->good, $this->all] = $summary['balance'];
        $this->marks = new ByKey(array_map(Mark::from(...), $summary['groups']));
        $this->waived = count($summary['waivers']);
        $this->cause = $summary['causes'][0]['says'] ?? null;
        $this->causes = array_values(array_unique(array_column($summary['causes'], 'id')));
        $this->scene = $newest?->hasScene === true;
        $this->files = $newest?->hasFiles === true;
        $this->checked = $newest?->endedAt;
        $this->when = $this->checked === null ? null : Moment::told(new DateTimeImmutable("@{$this->checked}"));
    }

    private static function changed(CheckOutline $now, ?CheckOutline $then): ?string
    {
        if ($then === null) {
            // older than a day, it would be that of the day before itself
            return 'first check';
        }
        if ($then === $now) {
            return null;
        }
        if ($then->verdict !== $now->verdict) {
            return match ($now->verdict) {
                Verdict::Balanced => 'balances now',
                Verdict::Unbalanced => 'no longer balances',
                default => 'is open now',
            };
        }

        return self::lines($then) != self::lines($now) ? 'other lines' : null;
    }

    /** @return array{array<string, string>, list<string>} marks by group, and causes */
    private static function lines(CheckOutline $check): array
    {
        return [$check->summary['groups'] ?? [], array_column($check->summary['causes'] ?? [], 'id')];
    }
}
