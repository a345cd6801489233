<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\LateRule;

final class LatenessTest extends TestCase
{
    private static function of(string $handedIn, string $due, array $rule, string $zone = 'UTC'): Lateness
    {
        $zone = new \DateTimeZone($zone);

        return Lateness::of(
            new \DateTimeImmutable($handedIn, $zone),
            new \DateTimeImmutable($due, $zone),
            LateRule::fromArray($rule, 'rules'),
            $zone,
        );
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function moments(): iterable
    {
        yield 'the day before' => ['2026-03-05 23:59:00', 0, 'in time'];
        yield 'on the dot' => ['2026-03-06 23:59:00', 0, 'in time'];
        yield 'a second on' => ['2026-03-06 23:59:01', 0, '1 second after the due time, within the grace time'];
        yield 'the last of the grace' => [
            '2026-03-07 00:14:00', 0, '15 minutes after the due time, within the grace time',
        ];
        yield 'a second beyond it' => ['2026-03-07 00:14:01', 1, '15 minutes late, 1st day: 10 % off'];
        yield 'the end of the first day' => ['2026-03-07 23:59:00', 1, '24 hours late, 1st day: 10 % off'];
        yield 'the second day' => ['2026-03-07 23:59:01', 2, '24 hours late, 2nd day: 20 % off'];
        yield 'a month on' => ['2026-04-06 00:00:00', 31, '30 days late, 31st day: 40 % off'];
    }

    #[DataProvider('moments')]
    public function test_days_begin_at_the_due_time(string $handedIn, int $days, string $says): void
    {
        $late = self::of($handedIn, '2026-03-06 23:59', ['grace' => 15, 'percent' => '10', 'most' => '40']);

        self::assertSame($days, $late->days);
        self::assertSame($says, $late->says());
        self::assertSame($days > 0, $late->isLate());
    }

    public function test_a_day_on_which_clocks_change_is_a_day(): void
    {
        // clocks go forward in the night to the 29th of March: that day has 23 hours
        $rule = ['percent' => 5];
        $zone = 'Europe/Berlin';
        self::assertSame(1, self::of('2026-03-29 18:00', '2026-03-28 18:00', $rule, $zone)->days);
        self::assertSame(2, self::of('2026-03-29 18:01', '2026-03-28 18:00', $rule, $zone)->days);
        // and back in the night to the 25th of October: 25 hours
        self::assertSame(1, self::of('2026-10-25 18:00', '2026-10-24 18:00', $rule, $zone)->days);
        self::assertSame(2, self::of('2026-10-25 18:01', '2026-10-24 18:00', $rule, $zone)->days);
        // told in another zone the same moments are late on other days
        $due = new \DateTimeImmutable('2026-03-28 18:00', new \DateTimeZone($zone));
        $at = new \DateTimeImmutable('2026-03-29 17:30', new \DateTimeZone($zone));
        $plain = LateRule::fromArray($rule, 'rules');
        self::assertSame(1, Lateness::of($at, $due, $plain, new \DateTimeZone('UTC'))->days);
    }

    public function test_it_closes(): void
    {
        $rule = ['closes' => 2];
        self::assertFalse(self::of('2026-03-08 23:59', '2026-03-06 23:59', $rule)->isClosed);
        self::assertTrue(self::of('2026-03-09 00:00', '2026-03-06 23:59', $rule)->isClosed);
        self::assertTrue(self::of('2026-03-06 23:59:01', '2026-03-06 23:59', ['closes' => 0])->isClosed);
        // the grace time is before it closes
        self::assertFalse(self::of('2026-03-07 00:00', '2026-03-06 23:59', ['closes' => 0, 'grace' => 5])->isClosed);
        // a clock that jumped ten thousand years is told at once
        self::assertSame(1000, self::of('9026-03-06 23:59', '2026-03-06 23:59', [])->days);
    }

    public function test_without_a_due_time_nothing_is_late(): void
    {
        $zone = new \DateTimeZone('UTC');
        $late = Lateness::of(new \DateTimeImmutable, null, LateRule::fromArray(['percent' => 50], 'rules'), $zone);

        self::assertFalse($late->isLate());
        self::assertSame('0', (string) $late->percentOff);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongRules(): iterable
    {
        yield 'grace in words' => [['grace' => 'an hour'], 'grace time is whole minutes'];
        yield 'grace below nothing' => [['grace' => -1], 'grace time is whole minutes'];
        yield 'more than all' => [['percent' => '101'], 'percentage from 0 to 100'];
        yield 'three places' => [['percent' => '1.234'], 'percentage from 0 to 100'];
        yield 'a list' => [['most' => [1]], 'percentage from 0 to 100'];
        yield 'closes in a year and a half' => [['closes' => 500], 'at most 366'];
    }

    /** @param  array<string, mixed>  $rule */
    #[DataProvider('wrongRules')]
    public function test_rules_that_cannot_be_used(array $rule, string $why): void
    {
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage($why);
        LateRule::fromArray($rule, 'rules');
    }

    public function test_rules_are_written_as_they_were_read(): void
    {
        $rule = ['grace' => 15, 'percent' => '2.5', 'most' => '50', 'closes' => 7];
        self::assertSame($rule, LateRule::fromArray($rule, 'rules')->toArray());
        self::assertSame(
            ['grace' => 0, 'percent' => '12.5', 'most' => '100', 'closes' => null],
            LateRule::fromArray(['percent' => ' 12,50 '], 'rules')->toArray(),
        );
    }
}
