<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Course\Attempt;
use PlainLedger\Core\Course\CountingAttempt;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\Decimal;
use PlainLedger\Core\Course\GradedLine;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\LateRule;
use PlainLedger\Core\Course\Needed;
use PlainLedger\Core\Course\PointLine;
use PlainLedger\Core\Course\Points;
use PlainLedger\Core\Course\PointScheme;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Level;
use Tests\Core\Support\Workbench;

final class PointsTest extends TestCase
{
    private static function line(string $id, Mark $mark, Level $level = Level::Must, ?string $pass = null): GradedLine
    {
        $group = Catalogue::standard()->find($id)->group ?? self::fail("{$id} is no requirement");

        return new GradedLine($id, $group, 'frames', $pass, $level, $mark);
    }

    /** @return list<GradedLine> two of Picture, one differs; one of Time, one of Naming, two that only should hold */
    private static function lines(): array
    {
        return [
            self::line('picture.resolution', Mark::Unequal),
            self::line('picture.pixel_aspect', Mark::Equal),
            self::line('time.rate', Mark::Unknown),
            self::line('time.range', Mark::Waived),
            self::line('naming.pattern', Mark::Equal),
            self::line('content.frozen', Mark::Equal, Level::Should),
            self::line('render.samples', Mark::Unequal, Level::Should),
        ];
    }

    /** @param  array<string, mixed>  $scheme */
    private static function points(array $scheme, ?Lateness $late = null): Points
    {
        return Points::of(PointScheme::fromArray($scheme, 'rules'), self::lines(), $late);
    }

    private static function late(int $percent): Lateness
    {
        $zone = new \DateTimeZone('UTC');

        return Lateness::of(
            new \DateTimeImmutable('2026-03-07', $zone),
            new \DateTimeImmutable('2026-03-06', $zone),
            LateRule::fromArray(['percent' => $percent], 'rules'),
            $zone,
        );
    }

    public function test_without_a_scheme_a_hundred_points_are_for_all_lines_alike(): void
    {
        $points = self::points([]);

        self::assertSame('60', Decimal::shown($points->earned()));
        self::assertSame('20', Decimal::shown($points->open()));
        self::assertSame('100', Decimal::shown($points->possible()));
        self::assertSame('All lines', $points->lines[0]->label);
        self::assertSame(['Frame rate'], $points->lines[0]->untold);
    }

    public function test_points_by_group_and_by_line(): void
    {
        $points = self::points([
            'groups' => ['Picture' => 10, 'Time' => '7.5', 'Sound' => 20],
            'lines' => ['naming.pattern' => 3, 'picture.pixel_aspect' => '2,5'],
        ]);
        $of = array_map(
            static fn (PointLine $l): array => [$l->label, Decimal::shown($l->earned), Decimal::shown($l->possible)],
            $points->lines,
        );

        // of the picture only the size is left, since pixels have points of their own; nothing is asked of sound
        self::assertSame([
            ['Picture', '0', '10'], ['Time', '3.75', '7.5'], ['File names', '3', '3'], ['Pixel aspect', '2.5', '2.5'],
        ], $of);
        self::assertSame('9.25', Decimal::shown($points->earned()));
        self::assertSame('3.75', Decimal::shown($points->open()));
    }

    public function test_all_or_nothing(): void
    {
        $points = self::points(['share' => 'all', 'groups' => ['Picture' => 10, 'Time' => 4, 'Naming' => 6]]);

        // one differs; one cannot be told, and somebody who looks may give all of it; one holds
        self::assertSame(['0', '0', '6'], array_map(
            static fn (PointLine $l): string => Decimal::shown($l->earned),
            $points->lines,
        ));
        self::assertSame('4', Decimal::shown($points->open()));
    }

    public function test_should_lines_are_a_bonus_and_lateness_comes_off_all(): void
    {
        $points = self::points(['groups' => ['Naming' => 10], 'bonus' => 5], self::late(20));

        self::assertSame('2.5', Decimal::shown($points->bonus));
        self::assertSame('2.5', Decimal::shown($points->off()));
        self::assertSame('10', Decimal::shown($points->total()));
        // of which no line is asked adds nothing
        $none = Points::of(PointScheme::fromArray(['bonus' => 5], 'rules'), [self::line('time.rate', Mark::Equal)]);
        self::assertSame('0', Decimal::shown($none->bonusPossible));
    }

    public function test_thirds_are_exact_until_they_are_shown(): void
    {
        $lines = [
            self::line('time.rate', Mark::Equal, pass: 'mist'),
            self::line('time.rate', Mark::Unequal, pass: 'shadow'),
            self::line('time.range', Mark::Unequal, pass: 'shadow'),
        ];
        $points = Points::of(PointScheme::fromArray(['groups' => ['Time' => 10]], 'rules'), $lines, self::late(50));

        self::assertTrue($points->earned()->isEqualTo(BigRational::nd(10, 3)));
        self::assertSame('3.33', Decimal::shown($points->earned()));
        self::assertSame('1.67', Decimal::shown($points->total()));
        self::assertSame(['Frame rate, shadow', 'Frame range, shadow'], $points->lines[0]->bad);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongSchemes(): iterable
    {
        yield 'no such group' => [['groups' => ['Shape' => 1]], '“Shape” is no group'];
        yield 'no such line' => [['lines' => ['picture.size' => 1]], '“picture.size” is no requirement'];
        yield 'below nothing' => [['groups' => ['Time' => -1]], 'a number from 0 to 100,000'];
        yield 'too much' => [['groups' => ['Time' => 100_001]], 'a number from 0 to 100,000'];
        yield 'words' => [['lines' => ['time.rate' => 'ten']], 'a number from 0 to 100,000'];
        yield 'no list' => [['lines' => 7], '“lines” holds points by name'];
        yield 'another share' => [['share' => 'half'], '“part” or “all”'];
        yield 'no bonus' => [['bonus' => 'x'], 'the bonus is a number'];
    }

    /** @param  array<string, mixed>  $scheme */
    #[DataProvider('wrongSchemes')]
    public function test_schemes_that_cannot_be_used(array $scheme, string $why): void
    {
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage($why);
        PointScheme::fromArray($scheme, 'rules');
    }

    private static function attempt(int $number, ?string $given): Attempt
    {
        $zone = new \DateTimeZone('UTC');
        $late = Lateness::of(new \DateTimeImmutable, null, LateRule::none(), $zone);

        return new Attempt($number, self::points([]), $late, Decimal::read($given));
    }

    public function test_the_last_or_the_best_attempt_counts(): void
    {
        $attempts = [
            self::attempt(3, '40'), self::attempt(1, '80'), self::attempt(2, '80.00'), self::attempt(4, null),
        ];

        self::assertSame(4, Attempt::counting($attempts, CountingAttempt::Last)?->number);
        // of equal ones the later
        self::assertSame(2, Attempt::counting($attempts, CountingAttempt::Best)?->number);
        self::assertNull(Attempt::counting([], CountingAttempt::Best));
        self::assertSame('60', Decimal::shown(self::attempt(1, null)->total()));
    }

    public function test_rules_are_read_and_written(): void
    {
        $rules = AssignmentRules::fromArray([
            'points' => ['groups' => ['*' => 50], 'share' => 'all', 'bonus' => '2.5'],
            'late' => ['grace' => 10],
            'attempts' => 3,
            'counts' => 'best',
            'needed' => 'both',
        ]);
        $text = json_encode($rules->toArray(), JSON_THROW_ON_ERROR);

        self::assertEquals($rules, AssignmentRules::read($text, 'rules.json'));
        self::assertNull(AssignmentRules::plain()->attempts);
        self::assertEquals(AssignmentRules::plain(), AssignmentRules::fromArray([]));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongRules(): iterable
    {
        yield 'no attempt at all' => [['attempts' => 0], 'from 1 to 100'];
        yield 'another attempt' => [['counts' => 'first'], '“last” or the “best”'];
        yield 'needs nothing' => [['needed' => 'none'], '“files”, “scene” or “both”'];
        yield 'points that are none' => [['points' => 'many'], '“points” is an object'];
    }

    /** @param  array<string, mixed>  $rules */
    #[DataProvider('wrongRules')]
    public function test_rules_that_cannot_be_used(array $rules, string $why): void
    {
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage($why);
        AssignmentRules::fromArray($rules);
    }

    public function test_a_document_of_another_kind_is_refused(): void
    {
        $this->expectException(JsonRefused::class);
        AssignmentRules::read('{"format": "plain-ledger/check"}', 'rules.json');
    }

    public function test_lines_of_a_real_check(): void
    {
        $asked = Workbench::specification([
            'picture.resolution' => '128x72',
            'format.kind' => 'png',
            'time.rate' => '24',
            'camera.name' => 'cam_a',
            'render.samples' => ['min' => 64, 'level' => 'should'],
            'naming.pattern' => 'a.{frame:4}.png',
        ]);
        $bench = (new Workbench)->frames('a.%04d.png', '1-3', Workbench::png());
        $report = $bench->report($asked);
        $marks = static function (Needed $needed, CheckReport $of): array {
            $by = [];
            foreach (GradedLine::among($of, $needed) as $line) {
                $by[$line->id] = "{$line->level->value} {$line->mark->value}";
            }

            return $by;
        };

        $ofFiles = $marks(Needed::Files, $report);
        self::assertSame('must unequal', $ofFiles['picture.resolution']);
        self::assertSame('must equal', $ofFiles['format.kind']);
        self::assertSame('must equal', $ofFiles['naming.pattern']);
        // only a scene shows them, and none was asked for
        self::assertArrayNotHasKey('render.samples', $ofFiles);
        // with a scene owed, they could not be told
        $ofBoth = $marks(Needed::Both, $report);
        self::assertSame('should unknown', $ofBoth['render.samples']);
        self::assertSame('must unknown', $ofBoth['camera.name']);
        // kept and read again they are the same
        foreach (GradedLine::among($report, Needed::Both) as $line) {
            self::assertEquals($line, GradedLine::fromArray($line->toArray()));
        }
        self::assertNull(GradedLine::fromArray(['id' => 'time.rate', 'group' => 'Nothing']));
        // such files never tell their rate, and that is nobody's fault; none at all would be
        self::assertArrayNotHasKey('time.rate', $ofFiles);
        $asked = Workbench::specification(['content.black' => 'none', 'format.kind' => 'png']);
        $nothing = $marks(Needed::Files, (new Workbench)->report($asked));
        self::assertSame('must unknown', $nothing['content.black']);
        self::assertNotContains('must equal', $nothing);
    }
}
