<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\ArrivalForecast;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\FolderPulse;
use Tests\Core\Support\Workbench;

/** A folder that a render fills. */
final class FolderPulseTest extends TestCase
{
    public function test_what_lies_there_is_counted_and_a_change_is_seen(): void
    {
        $bench = (new Workbench)->frames('v1/a.%04d.png', '1-5', 'abc', 100)->put('v1/log.txt', 'x', 5);
        $listing = FolderListing::of($bench->folder);
        $pulse = FolderPulse::of($listing, Workbench::NOW);
        self::assertSame([5, 1, 16, 1], [$pulse->pictures, $pulse->others, $pulse->bytes, $pulse->arriving]);
        self::assertTrue($pulse->isAs(FolderPulse::of($listing, Workbench::NOW + 60)));
        // frames of the bench come a minute apart
        self::assertSame(60, $pulse->gap);
        self::assertEquals($pulse, FolderPulse::fromArray($pulse->toArray()));

        foreach ([['v1/a.0003.png', 'abcd'], ['v1/a.0006.png', 'abc']] as [$path, $bytes]) {
            $before = FolderPulse::of($listing, Workbench::NOW);
            $bench->put($path, $bytes, 5000);
            self::assertFalse(FolderPulse::of($listing, Workbench::NOW)->isAs($before), $path);
        }
        $bench->put('v1/a.0001.png', 'xyz', 0);
        self::assertSame(2, FolderPulse::of($listing, Workbench::NOW)->arriving);
        $empty = new Workbench;
        self::assertTrue(FolderPulse::of(FolderListing::of($empty->folder), Workbench::NOW)->isEmpty());
    }

    private static function look(int $at, int $pictures): FolderPulse
    {
        return new FolderPulse($at, $pictures, 0, 0, 0, 0, 0);
    }

    public function test_the_pace_tells_when_the_last_one_comes(): void
    {
        $forecast = new ArrivalForecast([self::look(1000, 10), self::look(1010, 11), self::look(1090, 13)]);
        self::assertSame('2', (string) $forecast->perMinute());
        // 7 more, at 30 s each
        self::assertSame(1090 + 210, $forecast->readyAt(20));
        self::assertNull($forecast->readyAt(13));
        // of seconds that are not whole the next one
        self::assertSame(70 + 24, (new ArrivalForecast([self::look(0, 0), self::look(70, 3)]))->readyAt(4));
    }

    public function test_nothing_is_foretold_by_too_little(): void
    {
        self::assertNull((new ArrivalForecast([]))->perMinute());
        self::assertNull((new ArrivalForecast([self::look(0, 5)]))->readyAt(10));
        self::assertNull((new ArrivalForecast([self::look(0, 5), self::look(60, 6)]))->perMinute());
        self::assertNull((new ArrivalForecast([self::look(0, 9), self::look(60, 5)]))->readyAt(10));
    }

    public function test_the_pace_of_long_ago_does_not_count(): void
    {
        $looks = [self::look(0, 0)];
        foreach (range(1, 40) as $n) {
            $looks[] = self::look(100_000 + 60 * $n, 2 * $n);
        }
        self::assertSame('2', (string) (new ArrivalForecast($looks))->perMinute());
    }
}
