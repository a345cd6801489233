<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use App\Actions\Submissions\Obstacles;
use App\Actions\Submissions\SinceBefore;
use App\Audit\Chain;
use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Http\Pages\Specification\SheetLinkShown;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HistoryEntry;
use App\Models\LinkKind;
use App\Models\SheetLink;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Models\User;
use App\Security\RecordKeys;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Submission\Obstacle;
use PlainLedger\Core\Submission\ObstacleKind;
use PlainLedger\Core\Submission\RecordKey;

/** What stands in the way of handing over, the sign-offs there were, and all that happened. */
final readonly class SubmissionPage
{
    use RendersPage;

    private const MOST_ENTRIES = 200;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{sign: bool} */
    public array $may;

    public ?CheckToSign $check;

    /**
     * With what was done instead when it was signed last.
     *
     * @var list<array{kind: ObstacleKind, says: string, key: string|null, before: string|null}>
     */
    public array $obstacles;

    public ?SinceShown $since;

    /** The number of the one that was signed last. */
    public ?int $before;

    /** @var list<array{id: string, part: string, required: string, found: string|null, reason: string}> */
    public array $accepted;

    /** @var list<array{value: string, label: string}> */
    public array $algorithms;

    public ?SubmissionShown $current;

    /** @var list<SubmissionShown> all others, the newest first */
    public array $past;

    public ?SealShown $running;

    /** @var list<SheetLinkShown> to the record of the one that stands */
    public array $links;

    /** @var list<array{number: int, at: string, who: string, act: string, about: string, sum: string}> newest first */
    public array $history;

    /** Where the chain of all that happened is broken. */
    public ?string $broken;

    /** By which others know the key that records are signed with. */
    public string $signsWith;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $may = $reader->can('specify', $deliverable);
        $check = Obstacles::checkOf($deliverable);
        $all = Submission::query()->shown()->where('deliverable_id', $deliverable->id)->latest('id')->get();
        $current = $all->first(static fn (Submission $s): bool => $s->state === SubmissionState::Signed);
        $running = $all->first(static fn (Submission $s): bool => $s->isUnderWay());
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->may = ['sign' => $may];
        $this->check = $check === null ? null : new CheckToSign($check);
        $before = SinceBefore::before($deliverable->id);
        $this->before = $before?->number;
        $this->since = SinceShown::of($before, $check);
        $this->obstacles = self::obstacles(Obstacles::of($deliverable, $check), $before->answers ?? []);
        $this->accepted = $check === null ? [] : self::accepted($check);
        $this->algorithms = array_map(
            static fn (SumAlgorithm $a): array => ['value' => $a->value, 'label' => $a->label()],
            [SumAlgorithm::Sha256, SumAlgorithm::Md5, SumAlgorithm::Xxh64, SumAlgorithm::Xxh128],
        );
        $this->current = $current === null ? null : new SubmissionShown($current);
        $others = $all->reject(static fn (Submission $s): bool => $s->is($current)
            || $s->state === SubmissionState::Sealing);
        $this->past = array_values($others->map(
            static fn (Submission $s): SubmissionShown => new SubmissionShown($s),
        )->all());
        $this->running = $running === null ? null : new SealShown($running);
        $this->links = $may && $current !== null ? self::links($current) : [];
        $this->history = self::history($deliverable);
        $this->broken = Chain::fault($deliverable->id);
        $this->signsWith = RecordKey::fingerprint(RecordKeys::own()->public);
    }

    /**
     * @param  list<Obstacle>  $obstacles
     * @param  array<string, string>  $before  what was done instead when it was signed last, by the key of a line
     * @return list<array{kind: ObstacleKind, says: string, key: string|null, before: string|null}>
     */
    private static function obstacles(array $obstacles, array $before): array
    {
        return array_map(static fn (Obstacle $o): array => [
            'kind' => $o->kind, 'says' => $o->says, 'key' => $o->line?->key(),
            'before' => $before[$o->line?->key() ?? ''] ?? null,
        ], $obstacles);
    }

    /** @return list<array{id: string, part: string, required: string, found: string|null, reason: string}> */
    private static function accepted(Check $check): array
    {
        $accepted = [];
        /** @var array<string, mixed> $entry */
        foreach ((array) $check->account()['entries'] as $entry) {
            $waiver = $entry['waiver'] ?? null;
            if (is_array($waiver)) {
                $files = is_array($entry['files'] ?? null) ? $entry['files'] : [];
                $accepted[] = [
                    'id' => (string) $entry['id'], 'part' => (string) $entry['part'],
                    'required' => (string) $entry['required'],
                    'found' => is_string($files['found'] ?? null) ? $files['found'] : null,
                    'reason' => (string) ($waiver['reason'] ?? ''),
                ];
            }
        }

        return $accepted;
    }

    /** @return list<SheetLinkShown> */
    private static function links(Submission $current): array
    {
        $links = SheetLink::query()->where('submission_id', $current->id)->where('kind', LinkKind::Record)
            ->latest('id')->limit(50)->get();

        return array_values($links->map(static fn (SheetLink $l): SheetLinkShown => new SheetLinkShown($l))->all());
    }

    /** @return list<array{number: int, at: string, who: string, act: string, about: string, sum: string}> */
    private static function history(Deliverable $deliverable): array
    {
        $entries = HistoryEntry::query()->where('deliverable_id', $deliverable->id)->orderByDesc('number')
            ->limit(self::MOST_ENTRIES)->get();

        return array_values($entries->map(static fn (HistoryEntry $e): array => [
            'number' => $e->number, 'at' => Moment::told(Carbon::parse($e->at)), 'who' => $e->who, 'act' => $e->act,
            'about' => ActShown::about($e->facts), 'sum' => substr($e->sum, 0, 12),
        ])->all());
    }
}
