<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Submission\PathRuns;

/** Many paths in few words. */
final class PathRunsTest extends TestCase
{
    public function test_what_differs_in_one_number_is_one_line(): void
    {
        self::assertSame(
            [
                'TC_010_light_v003.####.exr 1001-1003,1010', 'notes.txt', 'mist/TC_010_light_v003.####.exr 7-8',
            ],
            PathRuns::of([
                'notes.txt', 'TC_010_light_v003.1010.exr', 'TC_010_light_v003.1001.exr', 'TC_010_light_v003.1003.exr',
                'TC_010_light_v003.1002.exr', 'mist/TC_010_light_v003.0007.exr', 'mist/TC_010_light_v003.0008.exr',
            ]),
        );
    }

    public function test_the_number_that_counts_is_the_last_that_differs(): void
    {
        self::assertSame(['shot_####_v2.png 1-2'], PathRuns::of(['shot_0001_v2.png', 'shot_0002_v2.png']));
        self::assertSame(
            ['a_v1.####.png 1-2', 'a_v2.####.png 1-2'],
            PathRuns::of(['a_v1.0001.png', 'a_v1.0002.png', 'a_v2.0001.png', 'a_v2.0002.png']),
        );
    }

    public function test_one_alone_and_one_without_a_number_are_named(): void
    {
        self::assertSame(['a.0007.png', 'b.png'], PathRuns::of(['b.png', 'a.0007.png']));
        self::assertSame([], PathRuns::of([]));
        self::assertSame(['a.###.png -2--1'], PathRuns::of(['a.-001.png', 'a.-002.png']));
    }
}
