<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\HandInCheck;
use App\Actions\Courses\Standing;
use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\Check\Unfinished;
use App\Http\Pages\Production\OwnLine;
use App\Http\Pages\RendersPage;
use App\Models\Assignment;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Course\CountingAttempt;
use PlainLedger\Core\Course\FeedbackPhrases;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\Needed;

/** What a learner is asked, what of it is wrong, and handing it in. */
final readonly class HandInPage
{
    use RendersPage;

    private const MOST_CAUSES = 5;

    public Book $book;

    public DeliverableHead $deliverable;

    public OwnLine $own;

    public Needed $needed;

    /** @var array{id: int, at: string, verdict: Verdict|null, scene: bool, files: bool}|null what would be handed in */
    public ?array $check;

    /** Whether a check of it has not come to its end yet. */
    public bool $underWay;

    /** How the newest check ended before its end. */
    public ?Unfinished $broken;

    /** Why nothing can be handed in now. */
    public ?string $obstacle;

    /** How late it would be now; null where it would be in time. */
    public ?string $late;

    public ?int $left;

    public CountingAttempt $counts;

    /** @var list<AttemptShown> the newest first */
    public array $attempts;

    /** @var list<array{says: string, next: string}> what is wrong now, the likeliest first */
    public array $causes;

    /** @var list<string> the least work that puts it right, in order */
    public array $fixes;

    /** @var array{zone: string, due: string|null, grace: int, percent: string, closes: int|null} */
    public array $rules;

    /** @var array{due: bool, attempts: int, why: string}|null what was granted beyond the rules */
    public ?array $extension;

    /** @var array{members: list<array{id: int, name: string}>, possible: list<array{id: int, name: string}>} */
    public array $team;

    public bool $released;

    /** @var array{handIn: bool, decide: bool} */
    public array $may;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $assignment = Assignment::of($deliverable->specification);
        $standing = Standing::of($deliverable->loadMissing('team', 'handIns.person'), $assignment);
        $check = HandInCheck::checkOf($deliverable, $standing->rules);
        $decides = $reader->can('specify', $deliverable);
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->own = new OwnLine($deliverable);
        $this->needed = $standing->rules->needed;
        $this->check = $check === null ? null : self::checked($check);
        $this->underWay = $deliverable->checks()->underWay()->exists();
        $this->broken = Unfinished::of($deliverable);
        $this->obstacle = HandInCheck::obstacle($standing, $check, Carbon::now());
        $this->late = self::late($standing);
        $this->left = $standing->left();
        $this->counts = $standing->rules->counts;
        $this->released = $assignment->released_at !== null;
        $this->attempts = self::attempts($standing, $this->released || $decides);
        $this->causes = self::causes($deliverable, FeedbackPhrases::of($deliverable->production->phrases ?? []));
        $this->fixes = self::fixes($check);
        $this->rules = self::rules($standing);
        $extension = $deliverable->extension;
        $this->extension = $extension === null
            ? null
            : ['due' => $extension->due_at !== null, 'attempts' => $extension->attempts, 'why' => $extension->why];
        $this->team = self::team($deliverable, $decides);
        $this->may = ['handIn' => $reader->can('check', $deliverable), 'decide' => $decides];
    }

    /** @return array{id: int, at: string, verdict: Verdict|null, scene: bool, files: bool} */
    private static function checked(Check $check): array
    {
        return [
            'id' => $check->id, 'at' => Moment::told($check->updated_at), 'verdict' => $check->verdict,
            'scene' => $check->scene_id !== null, 'files' => $check->delivery_id !== null,
        ];
    }

    private static function late(Standing $standing): ?string
    {
        $late = Lateness::of(
            Carbon::now()->toDateTimeImmutable(),
            $standing->deliverable->due_at?->toDateTimeImmutable(),
            $standing->rules->late,
            new \DateTimeZone($standing->deliverable->production->zone()),
        );

        return $late->isLate() || $late->inGrace ? $late->says() : null;
    }

    /** @return list<AttemptShown> */
    private static function attempts(Standing $standing, bool $showsPoints): array
    {
        $shown = [];
        foreach (array_reverse($standing->attempts) as $attempt) {
            $handIn = $standing->handIn($attempt);
            if ($handIn !== null) {
                $shown[] = new AttemptShown($handIn, $attempt, $standing, $showsPoints);
            }
        }

        return $shown;
    }

    /** @return list<array{says: string, next: string}> */
    private static function causes(Deliverable $deliverable, FeedbackPhrases $phrases): array
    {
        return array_map(
            static fn (array $cause): array => [
                'says' => $cause['says'], 'next' => $phrases->for($cause['id']) ?? '',
            ],
            array_slice($deliverable->newest->summary['causes'] ?? [], 0, self::MOST_CAUSES),
        );
    }

    /** @return list<string> */
    private static function fixes(?Check $check): array
    {
        $fixes = $check?->account()['fixes'] ?? [];
        $says = array_map(
            static fn (mixed $fix): string => is_array($fix) && is_string($fix['says'] ?? null) ? $fix['says'] : '',
            is_array($fixes) ? array_values($fixes) : [],
        );

        return array_slice(array_values(array_filter($says)), 0, self::MOST_CAUSES);
    }

    /** @return array{zone: string, due: string|null, grace: int, percent: string, closes: int|null} */
    private static function rules(Standing $standing): array
    {
        $late = $standing->rules->late->toArray();
        $due = $standing->deliverable->due_at;

        return [
            'zone' => $standing->deliverable->production->zone(), 'due' => $due === null ? null : Moment::due($due),
            'grace' => $late['grace'], 'percent' => $late['percent'], 'closes' => $late['closes'],
        ];
    }

    /** @return array{members: list<array{id: int, name: string}>, possible: list<array{id: int, name: string}>} */
    private static function team(Deliverable $deliverable, bool $decides): array
    {
        $members = $deliverable->team->map(static fn (User $u): array => ['id' => $u->id, 'name' => $u->name])->all();
        $people = $decides ? $deliverable->production->people() : [];

        return [
            'members' => array_values($members),
            'possible' => array_values(array_map(
                static fn (array $p): array => ['id' => $p['id'], 'name' => $p['name']],
                array_filter($people, static fn (array $p): bool => $p['id'] !== $deliverable->owner_id
                    && ! $p['role']->decides()),
            )),
        ];
    }
}
