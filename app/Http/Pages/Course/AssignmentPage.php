<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\Distribution;
use App\Actions\Courses\GiveToEverybody;
use App\Actions\Courses\Named;
use App\Actions\Courses\Standing;
use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Assignment;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Collection;
use PlainLedger\Core\Course\DeliveryPrint;
use PlainLedger\Core\Course\FeedbackPhrases;
use PlainLedger\Core\Course\NextTime;
use PlainLedger\Core\Course\SameFiles;
use PlainLedger\Core\Course\SharedTraits;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Text\PlainSentence;

/** An assignment as those who mark it see it: who handed in, what is common, and how it is judged. */
final readonly class AssignmentPage
{
    use RendersPage;

    private const MOST_SHOWN = 5;

    public Book $book;

    public int $id;

    public string $title;

    /** @var list<array{id: int, title: string}> others of the course */
    public array $others;

    public AssignmentForm $form;

    public ?string $released;

    public bool $hidesNames;

    /** @var list<AssignmentRow> */
    public array $rows;

    /** @var list<string> learners who have none of it yet */
    public array $without;

    /** @var list<array{cause: string, says: string, who: list<string>}> the commonest first */
    public array $common;

    /** @var list<array{from: int, to: int, count: int}> */
    public array $distribution;

    /**
     * @var list<array{a: string, b: string, files: list<array{string, string}>, fileCount: int, pictureCount: int,
     *   pictures: list<array{string, string}>, told: list<string>, timeCount: int}>
     */
    public array $same;

    /** @var list<array{cause: string, usual: string, own: string}> of causes that were found here */
    public array $phrases;

    public function __construct(Specification $specification, User $reader)
    {
        $assignment = Assignment::of($specification);
        $production = $specification->production;
        $standings = [];
        foreach (Standing::all($assignment) as $standing) {
            $standings[$standing->deliverable->id] = $standing;
        }
        $named = Named::among($assignment, new Collection(array_column($standings, 'deliverable')));
        $this->book = new Book($production, $reader);
        $this->id = $specification->id;
        $this->title = $specification->title;
        $this->others = array_values(array_filter(
            $production->specificationTitles(),
            static fn (array $each): bool => $each['id'] !== $specification->id,
        ));
        $this->form = new AssignmentForm($assignment, self::askedLines($specification));
        $this->released = $assignment->released_at === null ? null : Moment::told($assignment->released_at);
        $this->hidesNames = $named->isHidden();
        $rows = array_map(
            static fn (Standing $standing): AssignmentRow => new AssignmentRow($standing, $named),
            array_values($standings),
        );
        // by number where names are hidden, so that the order of codes tells nothing
        usort($rows, static fn (AssignmentRow $a, AssignmentRow $b): int => strnatcasecmp($a->who, $b->who));
        $this->rows = $rows;
        $this->without = array_values(GiveToEverybody::without($specification)->pluck('name')->all());
        $this->common = self::common($standings, $named);
        $this->distribution = Distribution::of(array_map(
            static fn (AssignmentRow $row): ?int => $row->counting?->percent,
            $rows,
        ));
        $this->same = self::same($standings, $named);
        $this->phrases = self::phrases($this->common, FeedbackPhrases::of($production->phrases ?? []));
    }

    /** @return list<array{id: string, label: string, group: string}> of its must lines, each once */
    private static function askedLines(Specification $specification): array
    {
        try {
            $parts = Resolved::draft(
                $specification->production->houseLayer(),
                $specification->latest->layer(),
            )->specification->parts;
        } catch (PlainSentence) {
            return [];
        }
        $lines = [];
        foreach ($parts as $part) {
            foreach ($part->requirements as $requirement) {
                $lines[$requirement->id()] ??= self::line($requirement);
            }
        }

        return array_values($lines);
    }

    /** @return array{id: string, label: string, group: string} */
    private static function line(Requirement $requirement): array
    {
        return [
            'id' => $requirement->id(), 'label' => $requirement->descriptor->label,
            'group' => $requirement->descriptor->group->value,
        ];
    }

    /**
     * @param  array<int, Standing>  $standings
     * @return list<array{cause: string, says: string, who: list<string>}>
     */
    private static function common(array $standings, Named $named): array
    {
        $found = [];
        foreach ($standings as $standing) {
            foreach ($standing->countingHandIn()->causes ?? [] as $cause) {
                $found[$cause['id']]['says'] ??= $named->masked($cause['says'], $standing->deliverable);
                $found[$cause['id']]['who'][$standing->deliverable->id] = $named->of($standing->deliverable);
            }
        }
        uasort($found, static fn (array $a, array $b): int => count($b['who']) <=> count($a['who']));

        return array_map(static fn (string $id, array $each): array => [
            'cause' => $id, 'says' => $each['says'], 'who' => array_values($each['who']),
        ], array_map(strval(...), array_keys($found)), array_values($found));
    }

    /**
     * @param  array<int, Standing>  $standings
     * @return list<array{a: string, b: string, files: list<array{string, string}>, fileCount: int, pictureCount: int,
     *   pictures: list<array{string, string}>, told: list<string>, timeCount: int}>
     */
    private static function same(array $standings, Named $named): array
    {
        $prints = [];
        foreach ($standings as $id => $standing) {
            $print = $standing->countingHandIn()?->print;
            if ($print !== null) {
                $prints[$id] = DeliveryPrint::fromArray($print);
            }
        }
        // paths and hosts would say whose they are
        $most = $named->isHidden() ? 0 : self::MOST_SHOWN;

        return array_map(static fn (SharedTraits $s): array => [
            'a' => $named->of($standings[(int) $s->a]->deliverable),
            'b' => $named->of($standings[(int) $s->b]->deliverable),
            'files' => array_slice($s->files, 0, $most), 'fileCount' => count($s->files),
            'pictures' => array_slice($s->pictures, 0, $most), 'pictureCount' => count($s->pictures),
            'told' => array_slice(array_column($s->told, 0), 0, $most), 'timeCount' => count($s->times),
        ], SameFiles::among($prints));
    }

    /**
     * @param  list<array{cause: string, says: string, who: list<string>}>  $common
     * @return list<array{cause: string, usual: string, own: string}>
     */
    private static function phrases(array $common, FeedbackPhrases $phrases): array
    {
        $causes = array_unique([...array_column($common, 'cause'), ...array_keys($phrases->own)]);

        return array_values(array_map(static fn (string $cause): array => [
            'cause' => $cause, 'usual' => NextTime::for($cause) ?? '', 'own' => $phrases->own[$cause] ?? '',
        ], $causes));
    }
}
