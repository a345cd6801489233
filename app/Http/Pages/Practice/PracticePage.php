<?php

declare(strict_types=1);

namespace App\Http\Pages\Practice;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\PracticeExercise;
use App\Models\PracticeTry;
use App\Models\Production;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use PlainLedger\Demo\Practice\Blunder;
use PlainLedger\Demo\Practice\Exercise;

/** What is set to practise on: for those who decide how it went, for all others what is theirs. */
final readonly class PracticePage
{
    use RendersPage;

    public Book $book;

    /**
     * @var list<array{id: int, title: string, kind: 'find'|'write', mistakes: list<string>|null, begun: int,
     *   answered: int, own: array{earned: int, possible: int}|null}>
     */
    public array $exercises;

    /** @var list<array{number: int, title: string, difficulty: int}> those that ship; for those who decide */
    public array $ready;

    /** @var list<string> mistakes that can be chosen */
    public array $mistakes;

    /** @var list<array{cause: string, right: int, of: int}> of all answers; the hardest first */
    public array $causes;

    /** @var list<array{id: int, name: string, marks: array<int, string>}> by exercise; for those who decide */
    public array $people;

    public function __construct(Production $production, User $reader)
    {
        $decides = $reader->can('decide', $production);
        $this->book = new Book($production, $reader);
        $exercises = PracticeExercise::query()->where('production_id', $production->id)->orderBy('id')->get();
        $tries = PracticeTry::query()->with('person')->whereIn('practice_exercise_id', $exercises->modelKeys())
            ->when(! $decides, static fn (Builder $query) => $query->where('user_id', $reader->id))
            ->orderBy('id')->get();
        $all = array_values($tries->all());
        $this->exercises = array_values($exercises->map(static fn (PracticeExercise $e): array => self::line(
            $e,
            array_values(array_filter($all, static fn (PracticeTry $t): bool => $t->practice_exercise_id === $e->id)),
            $reader,
            $decides,
        ))->all());
        $this->ready = ! $decides ? [] : array_map(static fn (Exercise $e): array => [
            'number' => $e->number, 'title' => $e->title, 'difficulty' => $e->difficulty(),
        ], Exercise::all());
        $this->mistakes = $decides ? array_column(Blunder::cases(), 'value') : [];
        $this->causes = $decides ? self::causes($all) : [];
        $this->people = $decides ? self::people($all) : [];
    }

    /**
     * @param  list<PracticeTry>  $tries
     * @return array{id: int, title: string, kind: 'find'|'write', mistakes: list<string>|null, begun: int,
     *   answered: int, own: array{earned: int, possible: int}|null}
     */
    private static function line(PracticeExercise $exercise, array $tries, User $reader, bool $decides): array
    {
        $answered = array_filter($tries, static fn (PracticeTry $t): bool => $t->marks !== null);
        $best = null;
        foreach ($answered as $try) {
            if ($try->user_id === $reader->id && $try->marks !== null) {
                $own = ['earned' => $try->marks['earned'], 'possible' => $try->marks['possible']];
                $best = $best === null || $own['earned'] > $best['earned'] ? $own : $best;
            }
        }

        return [
            'id' => $exercise->id, 'title' => $exercise->title, 'kind' => $exercise->kind,
            'mistakes' => $decides ? $exercise->mistakes : null,
            'begun' => count(array_unique(array_column($tries, 'user_id'))),
            'answered' => count(array_unique(array_map(static fn (PracticeTry $t): int => $t->user_id, $answered))),
            'own' => $best,
        ];
    }

    /**
     * @param  list<PracticeTry>  $tries
     * @return list<array{cause: string, right: int, of: int}>
     */
    private static function causes(array $tries): array
    {
        $found = [];
        foreach ($tries as $try) {
            foreach ($try->marks['points'] ?? [] as $point) {
                if ($point['about'] === 'cause' && $point['possible'] > 0) {
                    $found[$point['key']] ??= ['cause' => $point['key'], 'right' => 0, 'of' => 0];
                    $found[$point['key']]['of']++;
                    $found[$point['key']]['right'] += $point['mark'] === 'right' ? 1 : 0;
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => $a['right'] * $b['of'] <=> $b['right'] * $a['of']);

        return $found;
    }

    /**
     * @param  list<PracticeTry>  $tries
     * @return list<array{id: int, name: string, marks: array<int, string>}> the newest of each
     */
    private static function people(array $tries): array
    {
        $people = [];
        foreach ($tries as $try) {
            $people[$try->user_id] ??= ['id' => $try->user_id, 'name' => $try->person->name, 'marks' => []];
            $people[$try->user_id]['marks'][$try->practice_exercise_id] = $try->marks === null
                ? '…'
                : "{$try->marks['earned']}/{$try->marks['possible']}";
        }
        usort($people, static fn (array $a, array $b): int => strcasecmp($a['name'], $b['name']));

        return $people;
    }
}
