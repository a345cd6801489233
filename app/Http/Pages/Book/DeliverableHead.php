<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Actions\Checks\AskedStamps;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\DeliverableOutline;
use App\Models\Submission;
use App\Models\SubmissionState;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Text\PlainSentence;

/** What a deliverable's own pages have in common: its line of the index, and more. */
final readonly class DeliverableHead extends IndexLine
{
    public string $specification;

    public int $revision;

    /** @var array{scene: Mark|null, frames: Mark|null} each folio's own mark */
    public array $folios;

    /** Whether a movie is owed, whose folio has a mark of its own. */
    public bool $owesMovie;

    public ?Mark $movie;

    /** Whether a sign-off of it stands. */
    public bool $submitted;

    /** @param  Deliverable  $deliverable  with what `forIndex` loads and its newest check */
    public function __construct(Deliverable $deliverable)
    {
        parent::__construct(DeliverableOutline::of($deliverable), new AskedStamps);
        $this->specification = $deliverable->specification->title;
        $this->revision = $deliverable->specification->latest->number;
        $newest = $deliverable->newest;
        $this->submitted = Submission::query()->where('deliverable_id', $deliverable->id)
            ->where('state', SubmissionState::Signed)->exists();
        $movies = self::movies($deliverable);
        $entries = $newest instanceof Check ? self::entries($newest) : [];
        $this->folios = ['scene' => self::together($entries, 'scene'), 'frames' => self::together($entries, 'files')];
        $this->owesMovie = $movies !== [];
        $this->movie = self::together(
            array_filter($entries, static fn (array $entry): bool => in_array($entry['part'] ?? '', $movies, true)),
            'files',
        );
    }

    /** @return list<string> parts that are movies */
    private static function movies(Deliverable $deliverable): array
    {
        try {
            $parts = $deliverable->resolved()->parts;
        } catch (PlainSentence) {
            // what is asked cannot be resolved; its own page says why
            return [];
        }
        $movies = array_filter($parts, static fn (Part $part): bool => $part->delivers->isMovie());

        return array_values(array_map(static fn (Part $part): string => $part->name, $movies));
    }

    /** @return list<array<string, mixed>> */
    private static function entries(Check $check): array
    {
        /** @var list<array<string, mixed>> */
        return Check::query()->findOrFail($check->id)->account()['entries'];
    }

    /**
     * One mark for what must agree on one side.
     *
     * @param  array<int, array<string, mixed>>  $entries
     */
    private static function together(array $entries, string $side): ?Mark
    {
        $marks = [];
        foreach ($entries as $entry) {
            $cell = $entry[$side] ?? null;
            if (is_array($cell) && ! isset($cell['stale']) && $entry['level'] === Level::Must->value) {
                $marks[] = Mark::from((string) $cell['mark']);
            }
        }

        return $marks === [] ? null : Mark::together(...$marks);
    }
}
