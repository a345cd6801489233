<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Practice\MarkedPoint;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Practice\PracticeAnswer;
use PlainLedger\Core\Practice\PracticeTruth;
use PlainLedger\Demo\Practice\Blunder;
use PlainLedger\Demo\Practice\Exercise;
use PlainLedger\Demo\Practice\PracticeMaker;
use PlainLedger\Demo\Practice\PracticeRefused;
use Tests\Core\Support\Workbench;

/** Deliveries with known mistakes, and what is said of answers to them. */
final class PracticeTest extends TestCase
{
    /** @return iterable<string, array{Exercise}> */
    public static function exercises(): iterable
    {
        foreach (Exercise::all() as $exercise) {
            yield "{$exercise->number} {$exercise->title}" => [$exercise];
        }
    }

    private static function guide(): CauseGuide
    {
        return CauseGuide::read((string) file_get_contents(dirname(__DIR__, 3).'/docs/causes.md'));
    }

    /** @param  array<string, mixed>  $answer */
    private static function answer(array $answer): PracticeAnswer
    {
        $document = $answer + ['format' => PracticeAnswer::FORMAT, 'version' => 1];

        return PracticeAnswer::read(json_encode($document, JSON_THROW_ON_ERROR), 'answer.json');
    }

    private static function right(PracticeTruth $truth): PracticeAnswer
    {
        return self::answer([
            'balances' => $truth->balances(), 'lines' => $truth->lines, 'causes' => array_keys($truth->causes),
            'render' => array_map(strval(...), $truth->render) === [] ? '' : array_map(strval(...), $truth->render),
        ]);
    }

    #[DataProvider('exercises')]
    public function test_each_exercise_shows_its_mistakes_and_nothing_else(Exercise $exercise): void
    {
        foreach (['wren', 'juna'] as $whose) {
            $bench = new Workbench;
            $truth = (new PracticeMaker)->make($exercise->title, $exercise->blunders, $whose, $bench->folder);

            self::assertEqualsCanonicalizing(array_column($exercise->blunders, 'value'), array_keys($truth->causes));
            self::assertSame($exercise->blunders === [], $truth->balances());
            // whoever gives all that answers right, and who says nothing does not
            self::assertTrue(Marking::of($truth, self::right($truth), self::guide())->isPerfect());
            if ($exercise->blunders !== []) {
                $nothing = Marking::of($truth, self::answer(['balances' => true]), self::guide());
                self::assertSame([0, false], [$nothing->earned(), $nothing->isPerfect()]);
            }
            // small enough to be downloaded
            $bytes = array_sum(array_map(filesize(...), glob("{$bench->folder}/files/*") ?: []));
            self::assertLessThan(4_000_000, $bytes);
        }
    }

    public function test_thirty_of_them_from_one_mistake_to_four(): void
    {
        $all = Exercise::all();
        self::assertCount(30, $all);
        self::assertSame(range(1, 30), array_map(static fn (Exercise $e): int => $e->number, $all));
        self::assertEqualsCanonicalizing([1, 2, 3, 4], array_values(array_unique(array_map(
            static fn (Exercise $e): int => $e->difficulty(),
            $all,
        ))));
        // each cause that can be practised is in the guide
        foreach (Blunder::cases() as $blunder) {
            self::assertNotNull(self::guide()->evidence($blunder->value), $blunder->value);
        }
        self::assertNull(Exercise::find(31));
    }

    public function test_the_same_word_makes_the_same_and_another_word_another(): void
    {
        $made = static function (string $word): string {
            $bench = new Workbench;
            (new PracticeMaker)->make('x', [Blunder::ScaleBelowFull], $word, $bench->folder);
            $files = array_map(
                static fn (string $f): string => basename($f).hash_file('sha256', $f),
                glob("{$bench->folder}/files/*") ?: [],
            );

            return implode("\n", [...$files, (string) file_get_contents("{$bench->folder}/scene.json")]);
        };

        self::assertSame($made('wren'), $made('wren'));
        self::assertNotSame($made('wren'), $made('juna'));
    }

    public function test_a_wrong_guess_says_how_it_would_have_shown(): void
    {
        $truth = PracticeTruth::of([
            'entries' => [
                ['id' => 'time.range', 'mark' => 'unequal'], ['id' => 'time.range', 'mark' => 'unequal'],
                ['id' => 'time.rate', 'mark' => 'equal'],
            ],
            'causes' => [[
                'id' => 'single-frame-mode', 'says' => 'One frame came.', 'evidence' => ['one file'],
                'or' => ['render-stopped'],
            ]],
            'fixes' => [['kind' => 'render', 'part' => 'frames', 'frames' => '1-10']],
        ]);
        $points = static fn (array $answer): array => array_map(
            static fn (MarkedPoint $p): array => [$p->about, $p->key, $p->mark, $p->earned, $p->possible],
            Marking::of($truth, self::answer($answer + ['balances' => false]), self::guide())->points,
        );

        self::assertSame([
            ['verdict', '', 'right', 1, 1], ['line', 'time.range', 'right', 1, 1],
            ['line', 'time.rate', 'wrong', -1, 0],
            ['cause', 'single-frame-mode', 'near', 1, 2], ['cause', 'cut-short', 'wrong', -1, 0],
            ['frames', 'frames', 'near', 1, 2],
        ], $points([
            'lines' => ['time.range', 'time.rate'], 'causes' => ['render-stopped', 'cut-short'], 'render' => '1-12',
        ]));
        // one that is possible takes nothing away where the likelier one is named too, and gives nothing
        self::assertContains(
            ['cause', 'render-stopped', 'wrong', -1, 0],
            $points(['causes' => ['single-frame-mode', 'render-stopped']]),
        );
        self::assertContains(['frames', 'frames', 'wrong', 0, 2], $points(['render' => ['frames' => '1-9']]));
        self::assertContains(['frames', 'frames', 'missed', 0, 2], $points([]));
        $answer = self::answer(['causes' => ['no-such', 'cut-short'], 'render' => '2-11']);
        $marking = Marking::of($truth, $answer, self::guide());
        $says = implode("\n", array_map(static fn (MarkedPoint $p): string => $p->says, $marking->points));
        self::assertStringContainsString('no-such is none of the causes there are.', $says);
        self::assertStringContainsString('cut-short is not the matter: it would show as the bytes.', $says);
        self::assertStringContainsString('Render 1-10 again. You left out 1. 11 need not be.', $says);
        self::assertStringContainsString('One frame came. Seen by: one file.', $says);
    }

    public function test_nothing_is_the_matter_and_something_is_rendered_again(): void
    {
        $truth = PracticeTruth::of(['entries' => [], 'causes' => [], 'fixes' => []]);
        $marking = Marking::of($truth, self::answer(['balances' => true, 'render' => '5']), self::guide());

        self::assertSame([0, 1], [$marking->earned(), $marking->possible()]);
        self::assertSame('Nothing has to be rendered again.', $marking->points[1]->says);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function answersThatAreNone(): iterable
    {
        yield 'lines' => [['lines' => 'time.range'], 'answer.json: "lines" must be a list of ids.'];
        yield 'a cause' => [['causes' => [7]], 'answer.json: "causes" must be a list of ids.'];
        yield 'frames' => [['render' => '10-'], '"render"'];
    }

    /** @param  array<string, mixed>  $answer */
    #[DataProvider('answersThatAreNone')]
    public function test_answers_that_are_none(array $answer, string $says): void
    {
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage($says);
        self::answer($answer);
    }

    public function test_some_mistakes_that_do_not_hide_each_other(): void
    {
        for ($n = 0; $n < 40; $n++) {
            $bench = new Workbench;
            $some = Blunder::some((string) (1 + $n % 4), "word {$n}");
            self::assertCount(1 + $n % 4, $some);
            $truth = (new PracticeMaker)->make('x', $some, "word {$n}", $bench->folder);
            self::assertEqualsCanonicalizing(array_column($some, 'value'), array_keys($truth->causes));
        }
        $this->expectException(PracticeRefused::class);
        Blunder::some('5', 'x');
    }

    public function test_passes_and_movies_are_owed_and_come(): void
    {
        $made = static function (Blunder ...$blunders): array {
            $bench = new Workbench;
            (new PracticeMaker)->make('x', array_values($blunders), 'wren', $bench->folder);
            $names = array_map(basename(...), glob("{$bench->folder}/files/*") ?: []);
            $asked = json_decode((string) file_get_contents("{$bench->folder}/specification.json"), true);

            return [$names, $asked];
        };
        [$names, $asked] = $made(Blunder::PassShort, Blunder::CaseDiffers);
        self::assertSame(['beauty', 'mist', 'shadow'], $asked['require']['passes']);
        $of = static fn (string $pass): int => count(preg_grep("~_{$pass}_v003~", $names) ?: []);
        self::assertSame($of('beauty'), $of('mist'));
        self::assertLessThan($of('beauty'), $of('shadow'));
        [$names] = $made(Blunder::PassMissing);
        self::assertSame([], preg_grep('~mist~', $names));

        [$names, $asked] = $made(Blunder::NoStartTimecode);
        self::assertSame(['frames', 'movie'], array_column($asked['parts'], 'name'));
        self::assertCount(1, preg_grep('~_v003\.mp4$~', $names) ?: []);
        // the timecode that is asked is the first frame's
        self::assertSame('00:00:41:17', $asked['parts'][1]['require']['time.start_timecode']);
        self::assertSame(1001, (41 * 24) + 17);
        foreach ([Blunder::IndexLast, Blunder::VariableRate, Blunder::MovieShort] as $blunder) {
            // beside what happened to its frames each is told, and nothing else
            $bench = new Workbench;
            $truth = (new PracticeMaker)->make('x', [Blunder::RenderStopped, $blunder], 'w2', $bench->folder);
            self::assertContains('render-stopped', array_keys($truth->causes));
            self::assertNotContains('frames-in-wrong-order', array_keys($truth->causes));
        }
    }

    public function test_mistakes_that_hide_each_other_are_refused(): void
    {
        $this->expectExceptionMessage(
            '“last-frame-left-out, cut-short” hide each other: together they cannot be told apart.',
        );
        $bench = new Workbench;
        (new PracticeMaker)->make('x', [Blunder::LastFrameLeftOut, Blunder::CutShort], 'x', $bench->folder);
    }
}
