<?php

declare(strict_types=1);

namespace Tests\Core\Sealing;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Sealing\SealRefused;
use PlainLedger\Core\Sealing\ToldSums;

/** Sums that somebody else's machine tells: believed as far as they can be sums, and no further. */
final class ToldSumsTest extends TestCase
{
    /** @return array<string, string> */
    private static function sums(): array
    {
        return ['md5' => md5('x'), 'sha256' => hash('sha256', 'x'), 'crc' => 'zz'];
    }

    public function test_files_of_a_delivery_with_the_sums_that_are_wanted(): void
    {
        $told = [
            ['a/b.0001.exr', 7, 1_700_000_000_999, self::sums()], ['Thumbs.db', 7, 1, self::sums()],
            ['checksums.md5', 7, 1, self::sums()], ['ascmhl/0001_a.mhl', 7, 1, self::sums()],
            ['../b.exr', 7, 1, self::sums()], ['/b.exr', 7, 1, self::sums()], ['b.exr', -1, 1, self::sums()],
            ['_set-aside/b.exr', 7, 1, self::sums()],
        ];

        self::assertEquals(
            [new SealedFile('a/b.0001.exr', 7, 1_700_000_000, ['md5' => md5('x')])],
            ToldSums::read($told, [SumAlgorithm::Md5]),
        );
        self::assertSame([], ToldSums::read([], [SumAlgorithm::Md5]));
    }

    /** @return iterable<string, array{mixed}> */
    public static function noSums(): iterable
    {
        yield 'no list' => ['b.exr'];
        yield 'no sums' => [['b.exr', 7, 1]];
        yield 'a size in letters' => [['b.exr', '7', 1, self::sums()]];
        yield 'none by that algorithm' => [['b.exr', 7, 1, ['sha256' => hash('sha256', 'x')]]];
        yield 'one of another length' => [['b.exr', 7, 1, ['md5' => 'abc']]];
        yield 'one with other letters' => [['b.exr', 7, 1, ['md5' => str_repeat('g', 32)]]];
        yield 'one that is no text' => [['b.exr', 7, 1, ['md5' => 7]]];
    }

    #[DataProvider('noSums')]
    public function test_what_is_no_sum_is_refused(mixed $told): void
    {
        $this->expectException(SealRefused::class);
        ToldSums::read([$told], [SumAlgorithm::Md5]);
    }
}
