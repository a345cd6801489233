<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\ReadShare;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use Tests\Core\Support\Workbench;

/** A scan whose files are read in several shares. */
final class ReadShareTest extends TestCase
{
    private static function bench(): Workbench
    {
        $stills = __DIR__.'/../../fixtures/stills/';
        $bench = new Workbench;
        foreach (['im-noted.dpx', 'ffmpeg-10.dpx', 'ffmpeg-rgba.tif', 'im-rle.tga', 'lossy.webp'] as $set => $name) {
            $bytes = (string) file_get_contents($stills.$name);
            foreach (range(1, 7) as $frame) {
                $content = ($frame + $set) % 6 === 0 ? substr($bytes, 0, 200) : $bytes;
                $bench->put(sprintf('v1/s%d_%04d.%s', $set, $frame, pathinfo($name, PATHINFO_EXTENSION)), $content);
            }
        }

        return $bench->put('notes.txt', 'x')->put('v1/empty.png', '');
    }

    private static function scan(Workbench $bench, bool $samples): Scan
    {
        $asked = Workbench::specification(['content.black' => 'none', 'content.frozen' => 'none']);

        return new Scan(
            FolderListing::of($bench->folder),
            Probe::standard(),
            sampler: $samples ? PixelRules::sampler($asked) : null,
        );
    }

    /** @return array<string, list<mixed>> facts in full, by name: not by number, which the order of shares may change */
    private static function told(Delivery $delivery): array
    {
        $told = [];
        foreach ($delivery->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $told[$group->folder.'/'.$group->name($row)] = [
                    $delivery->factsOf($group, $row), $group->otherFrame($row), $group->timecode($row),
                    $group->sample($row), $group->unsampledReason($row), $group->distance($row), $group->size($row),
                ];
            }
        }
        ksort($told);

        return $told;
    }

    public function test_shares_that_are_put_together_are_the_whole(): void
    {
        $bench = self::bench();
        foreach ([false, true] as $samples) {
            $whole = self::told(self::scan($bench, $samples)->run(Workbench::NOW));
            foreach ([1, 5, 13, 100] as $each) {
                $scan = self::scan($bench, $samples);
                $files = count($scan->upcoming(1000));
                $shares = [];
                for ($at = 0; $at < $files; $at += $each) {
                    // as it comes from another process
                    $shares[] = unserialize(serialize($scan->readShare($at, $each)));
                }
                foreach ($shares as $share) {
                    self::assertInstanceOf(ReadShare::class, $share);
                    $scan->takeShare($share);
                }
                self::assertEquals($whole, self::told($scan->run(Workbench::NOW)), "shares of {$each}");
            }
        }
    }

    public function test_a_file_that_is_written_meanwhile_is_as_it_is_then(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-4', Workbench::png());
        $scan = self::scan($bench, false);
        $scan->upcoming(1);
        $bench->put('a.0003.png', Workbench::png(128, 72), 5);
        $scan->takeShare($scan->readShare(0, 4));
        $delivery = $scan->run(Workbench::NOW);
        $group = $delivery->groups[0];
        $row = $group->name(2) === 'a.0003.png' ? 2 : (int) array_search(
            'a.0003.png',
            array_map($group->name(...), range(0, 3)),
            true,
        );
        self::assertSame([128, strlen(Workbench::png(128, 72))], [
            $delivery->factsOf($group, $row)->picture->width, $group->size($row),
        ]);
    }
}
