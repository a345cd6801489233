<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Submission\FilesSince;
use PlainLedger\Core\Submission\OtherClock;
use Tests\Core\Support\Workbench;

/** Files that were dated by a clock that does not agree. */
final class OtherClockTest extends TestCase
{
    /**
     * @param  array<string, int>  $spans  seconds by which a file is dated later, by its name
     * @return list<string> files that count as changed
     */
    private static function changed(array $spans, int $ahead): array
    {
        $bench = new Workbench;
        $files = [];
        foreach ($spans as $name => $span) {
            $bench->put($name, 'x');
            touch("{$bench->folder}/{$name}", 1_700_000_000);
            $files[] = new SealedFile($name, 1, 1_700_000_000 + $span, ['md5' => md5('x')]);
        }
        $checked = $bench->scan();
        $seal = OtherClock::asChecked(new Seal([SumAlgorithm::Md5], $files), $checked, $ahead);

        return FilesSince::of($checked, $seal)->changed;
    }

    public function test_all_later_by_what_the_clock_is_ahead_are_the_same(): void
    {
        self::assertSame([], self::changed(['a' => 3600, 'b' => 3600, 'c' => 3600], 3600));
        self::assertSame([], self::changed(['a' => -90, 'b' => -90, 'c' => -90], -88));
        // each was rounded by itself
        self::assertSame([], self::changed(['a' => 3600, 'b' => 3601, 'c' => 3599], 3602));
    }

    public function test_one_that_was_written_since_is_not(): void
    {
        self::assertSame(['b'], self::changed(['a' => 3600, 'b' => 3604, 'c' => 3600], 3600));
        self::assertSame(['b'], self::changed(['a' => 0, 'b' => 1, 'c' => 0], 0));
        self::assertSame(['a', 'b', 'c'], self::changed(['a' => 3600, 'b' => 3600, 'c' => 3600], 0));
        self::assertSame(['a'], self::changed(['a' => 7], 0));
    }
}
