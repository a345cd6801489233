<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\KnownFacts;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use Tests\Core\Support\Workbench;

/** What has not changed since the last look is not read again. */
final class KnownFactsTest extends TestCase
{
    /** As another process gets it. */
    private static function kept(Delivery $delivery): Delivery
    {
        return Delivery::fromArray(json_decode((string) json_encode($delivery->toArray()), true));
    }

    private static function again(Workbench $bench, Delivery $before, ScanDepth $depth = ScanDepth::Quick): Delivery
    {
        $known = new KnownFacts(self::kept($before));

        return (
            new Scan(FolderListing::of($bench->folder), Probe::standard(), $depth, known: $known)
        )->run(Workbench::NOW);
    }

    /** Whether each file is whole, by name. */
    private static function whole(Delivery $delivery): array
    {
        $whole = [];
        foreach ($delivery->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $whole[$group->name($row)] = $delivery->factsOf($group, $row)->isWhole();
            }
        }
        ksort($whole);

        return $whole;
    }

    /** Other bytes under the same name, size and time. */
    private static function spoil(Workbench $bench, string $path, int $age): void
    {
        $bench->put($path, str_repeat("\0", (int) filesize("{$bench->folder}/{$path}")), $age);
    }

    public function test_only_what_has_the_same_size_and_time_is_taken_as_it_was(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-6', Workbench::png(), 90_000);
        $before = $bench->scan();
        // nobody can tell these from what they were: they are not read
        self::spoil($bench, 'a.0001.png', 90_000 + 60 * 5);
        // another time, another size
        self::spoil($bench, 'a.0002.png', 50);
        $bench->put('a.0003.png', 'short', 90_000 + 60 * 3);
        $bench->frames('a.%04d.png', '7-8', Workbench::png());
        self::assertSame(
            ['a.0001.png' => true, 'a.0002.png' => false, 'a.0003.png' => false]
                + array_fill_keys(['a.0004.png', 'a.0005.png', 'a.0006.png', 'a.0007.png', 'a.0008.png'], true),
            self::whole(self::again($bench, $before)),
        );
        // whoever wants every byte read gets that
        self::assertFalse(self::whole(self::again($bench, $before, ScanDepth::Full))['a.0001.png']);
    }

    public function test_what_was_damaged_or_just_written_is_read_again(): void
    {
        $png = Workbench::png();
        $bench = (new Workbench)->put('a.0001.png', substr($png, 0, 60).str_repeat("\0", strlen($png) - 60))
            ->put('a.0002.png', $png, 1);
        $before = $bench->scan();
        self::assertSame([false, true], array_values(self::whole($before)));
        $bench->put('a.0001.png', $png);
        self::spoil($bench, 'a.0002.png', 1);
        self::assertSame([true, false], array_values(self::whole(self::again($bench, $before))));
    }

    public function test_a_second_look_comes_to_the_same_in_any_order_and_with_what_frames_tell_of_themselves(): void
    {
        $stills = __DIR__.'/../../fixtures/stills/';
        $bench = new Workbench;
        foreach (['im-noted.dpx', 'ffmpeg-10.dpx', 'im-pages.tif', 'ffmpeg-rgba.tif', 'im-rle.tga'] as $set => $name) {
            foreach (range(1, 5) as $frame) {
                $end = pathinfo($name, PATHINFO_EXTENSION);
                $bench->put(
                    sprintf('v1/s%d_%04d.%s', $set, $frame, $end),
                    (string) file_get_contents($stills.$name),
                );
            }
        }
        $before = $bench->scan();
        // so that rows are others than they were
        $bench->put('v1/s0_0000.dpx', (string) file_get_contents($stills.'im-noted.dpx'))->without('v1/s2_0003.tif');
        $plain = static fn (Delivery $delivery): array => array_map(
            static function ($group) use ($delivery): array {
                $told = [];
                for ($row = 0; $row < $group->count(); $row++) {
                    $told[$group->name($row)] = [
                        $delivery->factsOf($group, $row), $group->otherFrame($row), $group->timecode($row),
                    ];
                }
                ksort($told);

                return $told;
            },
            $delivery->groups,
        );

        self::assertEquals($plain(self::kept($bench->scan())), $plain(self::kept(self::again($bench, $before))));
    }
}
