<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\ListedNames;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;

/** Names of one group, as sequences of frames. */
final class SequenceTest extends TestCase
{
    private static function group(string ...$names): NameGroup
    {
        $listed = new ListedNames;
        foreach ($names as $name) {
            $listed->add(new ListedFile('', $name, 1, 1, null, 1));
        }
        $groups = $listed->groups();
        self::assertCount(1, $groups);

        return $groups[0];
    }

    /** @return list<array{int|null, int, list<int>}> column, digits and numbers of each */
    private static function sequences(NameGroup $group, ?int $column, string $lead = '', string $trail = ''): array
    {
        return array_map(
            static fn (Sequence $one): array => [$one->column, $one->digits, $one->numbers->all()],
            Sequence::of($group, $column, $lead, $trail),
        );
    }

    public function test_one_number_counts_the_frames(): void
    {
        $group = self::group('a.0003.png', 'a.0001.png', 'a.0002.png');
        self::assertSame([[0, 4, [1, 2, 3]]], self::sequences($group, 0));
    }

    public function test_what_differs_beside_it_parts_them(): void
    {
        $group = self::group('a1.0001.png', 'a1.0002.png', 'a2.0001.png', 'a2.3.png');
        self::assertSame([[1, 4, [1, 2]], [1, 4, [1]], [1, 1, [3]]], self::sequences($group, 1));
    }

    public function test_digits_before_and_after_it_are_not_its_own(): void
    {
        $group = self::group('take20001.png', 'take20002.png', 'take30001.png', 'take2.png');
        self::assertSame([[null, 0, []], [null, 0, []], [0, 4, [1, 2]]], self::sequences($group, 0, '2'));
        $group = self::group('a00017.png', 'a00027.png');
        self::assertSame([[0, 4, [1, 2]]], self::sequences($group, 0, '', '7'));
    }

    public function test_without_a_number_each_file_stands_alone(): void
    {
        self::assertSame([[null, 0, []], [null, 0, []]], self::sequences(self::group('a1.png', 'a2.png'), null));
    }
}
