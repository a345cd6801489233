<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\NumberedName;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Delivery\ScanProgress;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SampleOptions;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Media\StringSource;
use Tests\Core\Support\Workbench;

final class ScanTest extends TestCase
{
    /** @return list<string> sequences as `pattern range` */
    private static function sequences(Delivery $delivery): array
    {
        $found = [];
        foreach ($delivery->groups as $group) {
            foreach (Sequence::of(
                $group,
                $group->columnCount() === 0 ? null : Sequence::likelyColumn($group),
            ) as $sequence) {
                $found[] = trim(
                    ($group->folder === '' ? '' : "{$group->folder}/").$sequence->pattern().' '.$sequence->frames,
                );
            }
        }
        sort($found);

        return $found;
    }

    public function test_names_are_grouped_by_the_number_that_runs(): void
    {
        $bench = (new Workbench)->frames('TC_010_v003.%04d.png', '1001-1005', 'x')
            ->frames('TC_020_v003.%04d.png', '1001-1005', 'x')
            ->frames('%04d_b.png', '1-3', 'x')
            ->put('notes.txt', 'x')
            ->put('a/b/c_v2.mp4', 'x');

        self::assertSame(
            [
                '####_b.png 1-3',
                'TC_010_v003.####.png 1001-1005',
                'TC_020_v003.####.png 1001-1005',
                'a/b/c_v#.mp4 2',
                'notes.txt',
            ],
            self::sequences($bench->scan()),
        );
    }

    public function test_counts_of_digits_part_a_sequence_only_where_zeros_say_so(): void
    {
        self::assertSame(['f#.png 8-12'], self::sequences((new Workbench)->frames('f%d.png', '8-12', 'x')->scan()));
        self::assertSame(
            ['f####.png 8-12'],
            self::sequences((new Workbench)->frames('f%04d.png', '8-12', 'x')->scan()),
        );
        self::assertSame(
            ['f##.png 8-120'],
            self::sequences((new Workbench)->frames('f%02d.png', '8-120', 'x')->scan()),
        );
        self::assertSame(
            ['f####.png 4-6', 'f###.png 1-3'],
            self::sequences((new Workbench)->frames('f%03d.png', '1-3', 'x')->frames('f%04d.png', '4-6', 'x')->scan()),
        );
    }

    public function test_negative_numbers_carry_their_sign(): void
    {
        $bench = (new Workbench)->put('f.-0002.png', 'x')
            ->put('f.-0001.png', 'x')
            ->put('f.0000.png', 'x')
            ->put('f.0001.png', 'x');

        self::assertSame(['f.####.png -2-1'], self::sequences($bench->scan()));
        self::assertSame([['a-', '.png'], ['1']], array_values((array) NumberedName::of('a-1.png')));
        self::assertSame([['a_', '.png'], ['-1']], array_values((array) NumberedName::of('a_-1.png')));
    }

    public function test_names_come_back_byte_by_byte(): void
    {
        foreach ([
            "bad\xFF\xFE_%03d.png",
            "new\nline %d",
            '%d',
            '...%d',
            'x%d.mp4',
            str_repeat('y', 240).'%d',
        ] as $format) {
            $bench = (new Workbench)->frames($format, '7-11', 'x');
            $names = [];
            foreach ($bench->scan()->groups as $group) {
                for ($row = 0; $row < $group->count(); $row++) {
                    $names[] = $group->name($row);
                }
            }
            sort($names);
            $expected = array_map(static fn (int $n): string => sprintf($format, $n), range(7, 11));
            sort($expected);
            self::assertSame($expected, $names);
        }
    }

    public function test_links_and_what_is_no_file_are_told_and_not_opened(): void
    {
        $bench = (new Workbench)->put('in/a.png', Workbench::png())->put('outside.png', Workbench::png());
        symlink("{$bench->folder}/in/a.png", "{$bench->folder}/in/inside.png");
        symlink("{$bench->folder}/outside.png", "{$bench->folder}/in/outward.png");
        symlink("{$bench->folder}/nowhere", "{$bench->folder}/in/dangling.png");
        symlink('.', "{$bench->folder}/in/loop");
        posix_mkfifo("{$bench->folder}/in/pipe.png", 0o600);
        $delivery = (new Scan(FolderListing::of("{$bench->folder}/in"), Probe::standard()))->run(Workbench::NOW);
        $found = [];
        foreach ($delivery->groups as $group) {
            $facts = $delivery->factsOf($group, 0);
            $found[$group->name(0)] = $facts->damage() === Damage::Unreadable
                ? $facts->wholeness->reason
                : $facts->kind?->value;
        }
        ksort($found);
        // where one leads is not told, nor whether that is there
        $link = 'it is a link, and links are not followed';

        self::assertSame(
            [
                'a.png' => 'png',
                'dangling.png' => $link,
                'inside.png' => $link,
                'loop' => $link,
                'outward.png' => $link,
                'pipe.png' => 'it is no regular file',
            ],
            $found,
        );
    }

    public function test_folders_that_cannot_be_looked_into(): void
    {
        $bench = (new Workbench)->put('file', 'x');
        foreach (["{$bench->folder}/nowhere", "{$bench->folder}/file", "a\0b"] as $path) {
            try {
                FolderListing::of($path);
                self::fail('It was opened.');
            } catch (FolderRefused $refused) {
                self::assertStringStartsWith('The folder “', $refused->getMessage());
            }
        }
    }

    public function test_a_scan_can_be_stopped_kept_and_continued(): void
    {
        $bench = (new Workbench)->frames('TC.%04d.png', '1-50', Workbench::png())
            ->put('TC.0020.png', '')
            ->put('x.txt', 'x');
        $whole = $bench->scan();
        $first = new Scan(FolderListing::of($bench->folder), Probe::standard());
        $progress = null;
        foreach ($first->steps(10) as $progress) {
            if ($progress->done >= 20) {
                break;
            }
        }
        self::assertInstanceOf(ScanProgress::class, $progress);
        self::assertSame(51, $progress->all);

        $kept = json_decode((string) json_encode($first->checkpoint(), JSON_THROW_ON_ERROR), true);
        $second = (new Scan(FolderListing::of($bench->folder), Probe::standard()))->resume($kept);
        $steps = 0;
        foreach ($second->steps(10) as $progress) {
            $steps++;
        }
        self::assertLessThanOrEqual(4, $steps);
        self::assertSame($whole->toArray(), $second->delivery(Workbench::NOW)->toArray());
    }

    public function test_a_delivery_is_stored_and_read_back_the_same(): void
    {
        $bench = (new Workbench)->frames("odd\xFF.%04d.exr", '1-9', Workbench::exr())
            ->put('odd.txt', 'x')
            ->put('cut.png', substr(Workbench::png(), 0, 50));
        $delivery = $bench->scan();
        $again = Delivery::fromArray(
            (array) json_decode((string) json_encode($delivery->toArray(), JSON_THROW_ON_ERROR), true),
        );

        self::assertSame($delivery->toArray(), $again->toArray());
        self::assertSame(11, $again->fileCount());
        self::assertSame($delivery->totalSize(), $again->totalSize());
        self::assertEquals($delivery->facts->get(0), $again->facts->get(0));
    }

    public function test_files_that_vanish_between_listing_and_reading_are_told(): void
    {
        $listing = new class implements Listing
        {
            public function mayGrow(): bool
            {
                return true;
            }

            public function root(): string
            {
                return '';
            }

            public function files(): iterable
            {
                yield new ListedFile('', 'a.0001.png', 100, 0);
                yield new ListedFile('', 'a.0002.png', 100, 0);
            }

            public function open(ListedFile $file): ByteSource
            {
                return $file->name === 'a.0001.png'
                    ? new StringSource(Workbench::png())
                    : throw SourceUnreadable::file($file->name, 'it is gone');
            }

            public function again(ListedFile $file): ListedFile
            {
                return $file;
            }
        };
        $delivery = (new Scan($listing, Probe::standard()))->run(0);

        self::assertTrue($delivery->factsOf($delivery->groups[0], 0)->isWhole());
        self::assertSame('it is gone', $delivery->factsOf($delivery->groups[0], 1)->wholeness->reason);
    }

    public function test_many_frames_cost_little_memory(): void
    {
        $listing = new class implements Listing
        {
            public function mayGrow(): bool
            {
                return true;
            }

            public function root(): string
            {
                return '';
            }

            public function files(): iterable
            {
                for ($n = 1; $n <= 60_000; $n++) {
                    yield new ListedFile('shots/TC_010', sprintf('TC_010_light_v003.%07d.png', $n), 5000, $n);
                }
            }

            public function open(ListedFile $file): ByteSource
            {
                static $source = null;

                return $source ??= new StringSource(Workbench::png());
            }

            public function again(ListedFile $file): ListedFile
            {
                return $file;
            }
        };
        $before = memory_get_usage();
        $delivery = (new Scan($listing, Probe::standard()))->run(0);

        self::assertSame(60_000, $delivery->groups[0]->count());
        self::assertSame(1, $delivery->facts->count());
        // some thirty bytes a file
        self::assertLessThan(60_000 * 60, memory_get_usage() - $before);
    }

    public function test_more_than_can_be_compared_is_refused_with_its_figure(): void
    {
        $many = static fn (int $many, string $name): Listing => new class($many, $name) implements Listing
        {
            public function __construct(private int $many, private string $name) {}

            public function files(): iterable
            {
                for ($n = 0; $n < $this->many; $n++) {
                    yield new ListedFile(
                        '',
                        sprintf($this->name, strtr((string) $n, '0123456789', 'abcdefghij'), $n),
                        5000,
                        0,
                    );
                }
            }

            public function mayGrow(): bool
            {

                return true;

            }

            public function root(): string
            {
                return 'renders';
            }

            public function open(ListedFile $file): ByteSource
            {
                throw SourceUnreadable::file($file->name, 'it is gone');
            }

            public function again(ListedFile $file): ListedFile
            {
                return $file;
            }
        };
        $sampler = PixelSampler::standard(new SampleOptions(false));
        foreach ([
            [
                new Scan($many(520_002, '%s.png'), Probe::standard()),
                'The folder “renders” holds more than 500,000 files that belong to no sequence, more than are told '
                    .'apart. Check a folder further down.',
            ],
            [
                new Scan($many(100_002, 'a.%2$06d.png'), Probe::standard(), ScanDepth::Quick, $sampler),
                'The folder “renders” holds more than 100,000 files, and their pixels are to be looked at. Check a '
                    .'folder further down.',
            ],
        ] as [$scan, $says]) {
            try {
                $scan->run(0);
                self::fail('It was taken.');
            } catch (FolderRefused $refused) {
                self::assertSame($says, $refused->getMessage());
            }
        }
    }

    public function test_sums_go_on_where_a_checkpoint_was_taken(): void
    {
        $bench = new Workbench;
        $lines = '';
        foreach (range(1, 60) as $n) {
            $bench->put(sprintf('in/a.%04d.txt', $n), "text {$n}");
            $lines .= hash('sha256', $n === 7 ? 'another' : "text {$n}").sprintf("  a.%04d.txt\n", $n);
        }
        $bench->put('in/sums.sha256', $lines);
        $scan = static fn (): Scan => new Scan(FolderListing::of("{$bench->folder}/in"), Probe::standard(), sums: true);
        $first = $scan();
        $steps = 0;
        foreach ($first->steps(20) as $progress) {
            // the names, their headers, and then the first twenty sums
            if (++$steps === 8) {
                break;
            }
        }
        $second = $scan()->resume(json_decode((string) json_encode($first->checkpoint()), true));
        self::assertGreaterThan(0, $first->checkpoint()['summed_up']);
        $sums = $second->run(0)->checksums;

        self::assertSame(
            [1, 0, 1, 0, ['a.0007.txt']],
            [$sums?->lists, $sums?->unlisted, $sums?->wrong, $sums?->absent, $sums?->names],
        );
    }
}
