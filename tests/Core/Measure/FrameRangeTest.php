<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;

final class FrameRangeTest extends TestCase
{
    /** @return iterable<string, array{string, string, int}> typed, shortest text, count */
    public static function texts(): iterable
    {
        yield 'a run' => ['1-100', '1-100', 100];
        yield 'one' => ['7', '7', 1];
        yield 'neighbours' => ['9,10', '9-10', 2];
        yield 'a step, from three on and only if shorter' => ['1,3,5,7', '1-7x2', 4];
        yield 'three of a step are no shorter' => ['1,3,5', '1,3,5', 3];
        yield 'three of larger numbers are' => ['1001,1003,1005', '1001-1005x2', 3];
        yield 'two never make a step' => ['1001,1095', '1001,1095', 2];
        yield 'mixed' => ['1-10,15,20-30', '1-10,15,20-30', 22];
        yield 'overlapping and out of order' => ['20-30,1-10,5-12,11', '1-12,20-30', 23];
        yield 'stepped overlap closes up' => ['1-9x2,2-10x2', '1-10', 10];
        yield 'negatives' => ['-5--1', '-5--1', 5];
        yield 'across zero' => ['-2-2', '-2-2', 5];
        yield 'negative step' => ['-9--1x4', '-9--1x4', 3];
        yield 'dots' => ['1..5', '1-5', 5];
        yield 'words' => ['1 to 9 step 2', '1-9x2', 5];
        yield 'en dash and spaces' => ["1001 \u{2013} 1096", '1001-1096', 96];
        yield 'a step that does not meet its end' => ['1-100x33', '1-100x33', 4];
        yield 'a run gives its end to a step where that is shorter' => ['1,2,4,6,8', '1,2-8x2', 5];
        yield 'a step after a run' => ['1-10,12,14,16', '1-9,10-16x2', 13];
        yield 'two steps' => ['1-9x2,101-109x4', '1-9x2,101-109x4', 8];
        yield 'none' => ['', '', 0];
    }

    #[DataProvider('texts')]
    public function test_it_reads_what_people_type_and_writes_the_shortest(
        string $typed,
        string $shortest,
        int $count,
    ): void {
        $range = FrameRange::parse($typed);

        self::assertSame($shortest, (string) $range);
        self::assertCount($count, $range);
        self::assertTrue(FrameRange::parse((string) $range)->equals($range));
    }

    public function test_what_is_no_range_is_refused_in_words(): void
    {
        foreach (['banana', '10-1', '1-10x0', '1-', '1--', '5-5-5', '1-99999999999', '1-9x2x3', '0x10'] as $text) {
            try {
                FrameRange::parse($text);
                self::fail("“{$text}” was taken for a range.");
            } catch (NotUnderstood $refused) {
                self::assertStringEndsWith('.', $refused->getMessage());
            }
        }
    }

    public function test_sets_agree_with_plain_arrays(): void
    {
        mt_srand(20261125);
        for ($round = 0; $round < 400; $round++) {
            $draw = static function (): array {
                $numbers = [];
                for ($i = mt_rand(0, 14); $i > 0; $i--) {
                    $start = mt_rand(-30, 60);
                    for ($n = $start, $end = $start + mt_rand(0, 9), $step = mt_rand(1, 3); $n <= $end; $n += $step) {
                        $numbers[$n] = $n;
                    }
                }

                return array_values($numbers);
            };
            [$a, $b] = [$draw(), $draw()];
            [$x, $y] = [FrameRange::fromNumbers($a), FrameRange::fromNumbers($b)];
            $set = static fn (FrameRange $r): array => iterator_to_array($r->numbers(), false);
            $sorted = static function (array $list): array {
                $list = array_values(array_unique($list));
                sort($list);

                return $list;
            };
            self::assertSame($sorted($a), $set($x));
            self::assertSame($sorted([...$a, ...$b]), $set($x->plus($y)));
            self::assertSame($sorted(array_diff($a, $b)), $set($x->minus($y)));
            self::assertSame($sorted(array_intersect($a, $b)), $set($x->and($y)));
            self::assertSame(count($sorted($a)), count($x));
            self::assertTrue(FrameRange::parse((string) $x)->equals($x), (string) $x);
            self::assertLessThanOrEqual(strlen(implode(',', $sorted($a))), strlen((string) $x));
            foreach ([-31, 0, 7, 65] as $n) {
                self::assertSame(in_array($n, $a, true), $x->contains($n));
            }
        }
    }

    public function test_no_shorter_text_exists_among_all_cuts(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 150; $round++) {
            $numbers = [];
            for ($n = 1; $n <= 11; $n++) {
                if (mt_rand(0, 1) === 1) {
                    $numbers[] = $n * (($round % 3) * 50 + 1);
                }
            }
            self::assertSame(
                $this->shortestLength($numbers),
                strlen((string) FrameRange::fromNumbers($numbers)),
                implode(',', $numbers),
            );
        }
    }

    /**
     * By trying every way to cut the sorted numbers into pieces.
     *
     * @param  list<int>  $numbers
     */
    private function shortestLength(array $numbers): int
    {
        $best = [count($numbers) => 0];
        for ($i = count($numbers) - 1; $i >= 0; $i--) {
            $best[$i] = PHP_INT_MAX;
            for ($j = $i; $j < count($numbers); $j++) {
                $text = self::piece(array_slice($numbers, $i, $j - $i + 1));
                if ($text !== null) {
                    $best[$i] = min($best[$i], strlen($text) + ($j + 1 < count($numbers) ? 1 : 0) + $best[$j + 1]);
                }
            }
        }

        return $best[0];
    }

    /**
     * @param  non-empty-list<int>  $numbers
     * @return string|null null where they are no piece
     */
    private static function piece(array $numbers): ?string
    {
        [$first, $last] = [$numbers[0], $numbers[count($numbers) - 1]];
        $step = static fn (int $a, int $b): int => $b - $a;
        $steps = array_unique(array_map($step, array_slice($numbers, 0, -1), array_slice($numbers, 1)));

        return match (true) {
            count($numbers) === 1 => (string) $first,
            count($steps) !== 1 => null,
            $steps[0] === 1 => "{$first}-{$last}",
            count($numbers) > 2 => "{$first}-{$last}x{$steps[0]}",
            default => null,
        };
    }

    public function test_handles_steps_and_shifts(): void
    {
        self::assertSame('993-1104', (string) FrameRange::parse('1001-1096')->widened(8, 8));
        self::assertSame('9-10,15,20-23', (string) FrameRange::parse('10,15,20')->widened(1, 3));
        self::assertSame('1,5,9', (string) FrameRange::parse('1-10')->every(4));
        self::assertSame('1001-1010', (string) FrameRange::parse('1-10')->shifted(1000));
        self::assertSame(2, FrameRange::parse('1,3,9')->commonStep());
        self::assertNull(FrameRange::parse('1,96')->commonStep());
    }

    public function test_a_million_frames_cost_next_to_nothing(): void
    {
        $before = memory_get_usage();
        $range = FrameRange::parse('1-1000000');
        $holes = $range->minus(FrameRange::parse('5,777777'));

        self::assertSame('1-4,6-777776,777778-1000000', (string) $holes);
        self::assertSame(999_998, count($holes));
        self::assertLessThan(100_000, memory_get_usage() - $before);
    }
}
