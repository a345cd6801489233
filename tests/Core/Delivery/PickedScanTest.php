<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Archive\ZipListing;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Picked\PickedNames;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\OwnDisk;
use Tests\Core\Support\Workbench;

/** Files of which only slices come. */
final class PickedScanTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/';

    /** Without where it lies, which each place tells in its own way. */
    private static function verdict(Delivery $delivery, Specification $asked): string
    {
        $data = $delivery->toArray();
        unset($data['place'], $data['root']);
        $alike = Delivery::fromArray($data);

        return (new JsonReport)->write(CheckReport::of($asked, null, $alike));
    }

    private static function zipped(Workbench $bench): Delivery
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'pl-zip');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($bench->folder, \FilesystemIterator::SKIP_DOTS),
        );
        foreach ($files as $file) {
            $name = substr((string) $file, strlen($bench->folder) + 1);
            $zip->addFromString($name, (string) file_get_contents((string) $file));
            // zip's own clock has steps of two seconds
            $zip->setMtimeName($name, intdiv($file->getMTime(), 2) * 2);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return (new Scan(ZipListing::of(new StringSource($bytes), 'a.zip'), Probe::standard()))->run(Workbench::NOW);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 25) as $seed) {
            yield "folder {$seed}" => [$seed];
        }
    }

    /** Frames of all formats, of several passes and folders; some cut short, missing, doubled or of other names. */
    private static function anyFolder(int $seed): Workbench
    {
        mt_srand($seed);
        $bench = new Workbench;
        $fixtures = [...(array) glob(self::FIXTURES.'stills/*.*'), ...(array) glob(self::FIXTURES.'exr/*.exr')];
        foreach (range(1, mt_rand(1, 4)) as $set) {
            $source = (string) $fixtures[mt_rand(0, count($fixtures) - 1)];
            $bytes = (string) file_get_contents($source);
            $end = pathinfo($source, PATHINFO_EXTENSION);
            $folder = ['', 'v1/', 'v1/beauty/', 'depth/'][mt_rand(0, 3)];
            $last = mt_rand(3, 14);
            foreach (range(1, $last) as $frame) {
                $what = mt_rand(0, 11);
                $content = match ($what) {
                    0 => substr($bytes, 0, mt_rand(0, strlen($bytes))),
                    1 => str_repeat("\0", mt_rand(1, 9000)),
                    default => $bytes,
                };
                if ($what !== 2) {
                    $bench->put(sprintf('%sS%d_TC.%04d.%s', $folder, $set, $frame, $end), $content, 90_000 - $frame);
                }
            }
        }

        return $bench->put('notes/read me.txt', 'as agreed')
            ->put('Thumbs.db', 'x')
            ->put('_set-aside/2026/S1_TC.0001.png', 'what was set aside before');
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('seeds')]
    public function test_a_folder_an_archive_of_it_and_slices_of_it_come_to_the_same_verdict(int $seed): void
    {
        $bench = self::anyFolder($seed);
        $asked = Workbench::specification([
            'naming.pattern' => 'S1_TC.####.png', 'time.range' => '1-9', 'format.type' => 'png',
            'picture.resolution' => '64x36', 'content.whole' => true,
        ]);
        $disk = new OwnDisk($bench->folder);
        $folder = self::verdict($bench->scan(), $asked);

        self::assertSame($folder, self::verdict($disk->scan(Workbench::NOW), $asked));
        self::assertSame($folder, self::verdict(self::zipped($bench), $asked));
    }

    public function test_few_bytes_are_sent_and_few_times(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.exr', '1-1000', Workbench::exr(400, 200));
        $disk = new OwnDisk($bench->folder);
        self::assertSame(1000, $disk->scan(Workbench::NOW)->fileCount());
        self::assertLessThanOrEqual(5, $disk->rounds);
        self::assertLessThan(1000 * 6000, $disk->sent);
    }

    public function test_what_lies_far_from_the_ends_is_asked_for_in_a_second_round(): void
    {
        // the directory of these pages lies in the middle
        $bytes = (string) file_get_contents(self::FIXTURES.'stills/im-pages.tif');
        $bench = (new Workbench)->frames('p.%04d.tif', '1-900', $bytes.str_repeat("\0", 90_000));
        $disk = new OwnDisk($bench->folder);
        $asked = Workbench::specification(['naming.pattern' => 'p.####.tif', 'time.range' => '1-900']);

        $own = self::verdict($disk->scan(Workbench::NOW), $asked);
        self::assertSame(self::verdict($bench->scan(), $asked), $own);
        self::assertLessThan(40, $disk->rounds);
    }

    public function test_a_file_that_is_shorter_than_it_was_told_cannot_be_read(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-5', Workbench::png());
        $disk = new OwnDisk($bench->folder, ['a.0003.png' => 1 << 40]);
        $asked = Workbench::specification([
            'naming.pattern' => 'a.####.png', 'time.range' => '1-5', 'content.whole' => true,
        ]);
        $report = CheckReport::of($asked, null, $disk->scan(Workbench::NOW))->toArray();

        self::assertSame('unbalanced', $report['verdict']);
        self::assertStringContainsString('changed since', (string) json_encode($report));
    }

    public function test_pictures_are_looked_at_where_they_are_sent_whole_and_told_otherwise(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-6', self::noise())
            ->put('a.0004.png', Workbench::png(400, 300));
        $asked = Workbench::specification([
            'naming.pattern' => 'a.####.png', 'time.range' => '1-6', 'content.black' => 'none',
        ]);
        $sampler = PixelRules::sampler($asked);
        $cell = static fn (Delivery $delivery): array => array_column(
            CheckReport::of($asked, null, $delivery)->toArray()['entries'],
            'files',
            'id',
        )['content.black'];

        $told = $cell((new OwnDisk($bench->folder))->scan(Workbench::NOW, $sampler));
        self::assertSame('unknown', $told['mark']);
        self::assertStringStartsWith('not looked at from here', $told['found']);
        $folder = $bench->scan(looksFor: $asked);
        self::assertSame(
            $cell($folder),
            $cell((new OwnDisk($bench->folder))->scan(Workbench::NOW, $sampler, whole: true)),
        );
        self::assertNotSame('unknown', $cell($folder)['mark']);
    }

    /** A picture of more than its two ends. */
    private static function noise(): string
    {
        mt_srand(3);
        $image = imagecreatetruecolor(120, 90);
        for ($i = 0; $i < 120 * 90; $i++) {
            imagesetpixel($image, $i % 120, intdiv($i, 120), mt_rand(0, 0xFFFFFF));
        }
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    public function test_a_folder_is_compared_as_far_as_it_is_known_where_it_lies(): void
    {
        $marks = static function (Delivery $delivery): string {
            $asked = Workbench::specification([
                'naming.pattern' => 'a.####.png', 'time.range' => '1-3', 'naming.folder' => 'TC_010/v003',
            ]);
            $entries = array_column(CheckReport::of($asked, null, $delivery)->toArray()['entries'], null, 'id');

            return (string) $entries['naming.folder']['files']['mark'];
        };
        $bench = (new Workbench)->frames('TC_010/v003/a.%04d.png', '1-3', Workbench::png())
            ->frames('TC_010/v004/a.%04d.png', '1-3', Workbench::png())
            ->frames('loose/a.%04d.png', '1-3', Workbench::png());
        $own = static fn (string $below): string => $marks(
            (new OwnDisk("{$bench->folder}/{$below}"))->scan(Workbench::NOW),
        );
        // whether “v003” lies in “TC_010” nobody knows from here
        self::assertSame(['equal', 'equal'], [$own('TC_010'), $own('TC_010/v003')]);
        self::assertSame(['unequal', 'unequal'], [$own('TC_010/v004'), $own('loose')]);

        $zip = static function (string $below) use ($marks): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'pl-zip');
            $zip = new \ZipArchive;
            $zip->open($path, \ZipArchive::OVERWRITE);
            foreach (['a.0001.png', 'a.0002.png', 'a.0003.png'] as $name) {
                $zip->addFromString(ltrim("{$below}/{$name}", '/'), Workbench::png());
            }
            $zip->close();
            $bytes = new StringSource((string) file_get_contents($path));
            unlink($path);
            $listing = ZipListing::of($bytes, 'from wren.zip', 'intake/from wren');

            return $marks((new Scan($listing, Probe::standard()))->run(Workbench::NOW));
        };
        self::assertSame(['equal', 'equal', 'equal'], [$zip(''), $zip('v003'), $zip('TC_010/v003')]);
        self::assertSame(['unequal', 'unequal'], [$zip('v004'), $zip('TC_020/v003')]);
    }

    public function test_checksums_are_worked_out_where_the_files_lie(): void
    {
        $png = Workbench::png();
        $bench = (new Workbench)->frames('v/a.%04d.png', '1-4', $png);
        $list = '';
        foreach (range(1, 4) as $n) {
            $list .= ($n === 3 ? str_repeat('ab', 32) : hash('sha256', $png)).sprintf("  a.%04d.png\n", $n);
        }
        $bench->put('v/all.sha256', $list.str_repeat('cd', 32)."  a.0009.png\n");
        $asked = Workbench::specification([
            'naming.pattern' => 'a.####.png', 'time.range' => '1-4', 'delivery.checksums' => 'sha256',
        ]);

        $own = (new OwnDisk($bench->folder))->scan(Workbench::NOW, sums: true);
        self::assertSame(
            self::verdict($bench->scan(looksFor: $asked), $asked),
            self::verdict($own, $asked),
        );
        self::assertSame([1, 1], [$own->checksums?->wrong, $own->checksums?->absent]);
    }

    public function test_movies_are_read_the_same_from_slices_of_them(): void
    {
        $bench = new Workbench;
        foreach (glob(__DIR__.'/../../fixtures/movies/*.{mp4,mov,avi,mkv,webm,mxf}', GLOB_BRACE) ?: [] as $path) {
            $bench->put(basename($path), (string) file_get_contents($path));
        }
        $disk = new OwnDisk($bench->folder);
        $facts = static function (Delivery $delivery): array {
            $told = [];
            foreach ($delivery->groups as $group) {
                for ($row = 0; $row < $group->count(); $row++) {
                    $told[$group->name($row)] = json_encode($delivery->factsOf($group, $row)->toArray('', true, 0));
                }
            }
            ksort($told);

            return $told;
        };

        self::assertSame($facts($bench->scan()), $facts($disk->scan(Workbench::NOW)));
        self::assertLessThan(16, $disk->rounds);
    }

    public function test_names_that_lead_elsewhere_are_left_out_and_other_forms_refused(): void
    {
        $lines = PickedNames::lines(
            [
                ['../../etc/passwd', 5, 0], ['/etc/passwd', 5, 0], ["a\0b", 1, 0], ['', 1, 0],
                ['C:\\x', 1, 0], ['v1/_set-aside/a.png', 1, 0], ['__MACOSX/._a', 1, 0], [str_repeat('a', 5000), 1, 0],
                ['a.png', -1, 0], ['b.png', PHP_INT_MAX, 0], ['v1//./good <b>.png', 7, 12_000],
            ],
            2000,
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'pl-names');
        file_put_contents($file, $lines);
        $files = [...PickedNames::read($file)];
        unlink($file);
        self::assertSame(
            [['v1', 'good <b>.png', 7, 10, 11]],
            array_map(
                static fn ($f): array => [$f->folder, $f->name, $f->size, $f->modified, $f->identity],
                $files,
            ),
        );

        $this->expectException(FolderRefused::class);
        PickedNames::lines([['a.png', '5', 0]], 0);
    }
}
