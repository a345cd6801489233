<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\Named;
use App\Actions\Courses\Standing;
use App\Http\FeedbackTold;
use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\HandInMark;
use App\Models\User;
use Illuminate\Support\Collection;

/** What a learner is told of one attempt; and where those who mark do so. */
final readonly class FeedbackPage
{
    use RendersPage;

    public Book $book;

    public int $id;

    public string $who;

    public string $assignment;

    public int $specification;

    /** Null where names are kept from those who mark. */
    public ?int $deliverable;

    public ?int $check;

    public FeedbackShown $feedback;

    public bool $decides;

    /** @var array{points: string|null, remark: string} what the reader has to say of it */
    public array $own;

    /** @var list<array{by: string, points: string|null, remark: string}> what others who mark have to say */
    public array $others;

    public bool $disputed;

    public ?string $agreed;

    public ?string $returned;

    public bool $mayReturn;

    /** @var array{before: int|null, after: int|null} hand-ins that count of others, in the order of the assignment */
    public array $beside;

    public function __construct(HandIn $handIn, User $reader)
    {
        $told = new FeedbackTold($handIn, $reader);
        $deliverable = $handIn->deliverable;
        $marks = $handIn->marks;
        $this->book = new Book($deliverable->production, $reader);
        $this->id = $handIn->id;
        $this->who = $told->who;
        $this->assignment = $deliverable->specification->title;
        $this->specification = $deliverable->specification_id;
        $this->deliverable = $told->hidesNames ? null : $deliverable->id;
        $this->check = $told->hidesNames ? null : $handIn->check_id;
        $this->feedback = new FeedbackShown($told->feedback);
        $this->decides = $told->decides;
        $own = $marks->first(static fn (HandInMark $m): bool => $m->user_id === $reader->id);
        $this->own = ['points' => $own?->points, 'remark' => $own->remark ?? ''];
        $this->others = $told->decides ? array_values($marks
            ->reject(static fn (HandInMark $m): bool => $m->user_id === $reader->id)
            ->map(static fn (HandInMark $m): array => [
                'by' => $m->person->name, 'points' => $m->points, 'remark' => $m->remark,
            ])->all()) : [];
        $this->disputed = Standing::isDisputed($handIn);
        $this->agreed = $handIn->agreed;
        $this->returned = $handIn->returned_at === null
            ? null
            : Moment::told($handIn->returned_at).': '.$handIn->returned_why;
        $this->mayReturn = $told->decides && $handIn->returned_at === null
            && $deliverable->handIns->last()?->is($handIn) === true;
        $this->beside = $told->decides ? self::beside($handIn) : ['before' => null, 'after' => null];
    }

    /** @return array{before: int|null, after: int|null} */
    private static function beside(HandIn $handIn): array
    {
        $assignment = Assignment::of($handIn->deliverable->specification);
        $all = Standing::all($assignment);
        $named = Named::among($assignment, new Collection(array_column($all, 'deliverable')));
        usort($all, static fn (Standing $a, Standing $b): int => strnatcasecmp(
            $named->of($a->deliverable),
            $named->of($b->deliverable),
        ));
        $ids = array_values(array_filter(array_map(
            static fn (Standing $s): ?int => $s->deliverable->is($handIn->deliverable)
                ? $handIn->id
                : $s->countingHandIn()?->id,
            $all,
        )));
        $at = (int) array_search($handIn->id, $ids, true);

        return ['before' => $ids[$at - 1] ?? null, 'after' => $ids[$at + 1] ?? null];
    }
}
