<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SliceSource;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Media\StringSource;
use Tests\Core\Support\Workbench;

final class SourcesTest extends TestCase
{
    public function test_sources_agree_on_every_edge(): void
    {
        $bench = (new Workbench)->put('a', 'abcdefghij');
        foreach ([
            FileSource::open("{$bench->folder}/a"),
            new StringSource('abcdefghij'),
            new SliceSource(10, [0 => 'abcde', 3 => 'defgh', 8 => 'ij']),
        ] as $source) {
            self::assertSame(10, $source->size());
            foreach ([
                [0, 4, 'abcd'], [7, 9, 'hij'], [2, 7, 'cdefghi'], [10, 5, ''], [99, 1, ''], [-1, 3, ''], [3, 0, ''],
                [0, 10, 'abcdefghij'],
            ] as [$offset, $length, $expected]) {
                self::assertSame($expected, $source->read($offset, $length), $source::class." {$offset}+{$length}");
            }
        }
    }

    public function test_a_source_that_lacks_bytes_says_which_and_the_reader_is_run_again(): void
    {
        foreach (['rgb16.png', 'q90-420.jpg', 'tiled-ripmap.exr', 'multipart.exr'] as $name) {
            $bytes = (string) file_get_contents(__DIR__.'/../../fixtures/encoders/'.$name);
            $slices = [];
            $asked = 0;
            $rounds = 0;
            do {
                try {
                    $facts = Probe::standard()->read(new SliceSource(strlen($bytes), $slices));
                } catch (BytesMissing $missing) {
                    $facts = null;
                    foreach ($missing->ranges as [$offset, $length]) {
                        $slices[$offset] = substr($bytes, $offset, $length);
                        $asked += $length;
                    }
                }
            } while ($facts === null && ++$rounds < 50);

            self::assertEquals(Probe::standard()->read(new StringSource($bytes)), $facts, $name);
            self::assertLessThan(20, $rounds, $name);
            self::assertGreaterThan(0, $asked);
        }
    }

    public function test_two_small_reads_an_image(): void
    {
        $png = Workbench::png(640, 360);
        $counting = new class($png.str_repeat("\0", 0)) implements ByteSource
        {
            /** @var list<array{int, int}> */
            public array $reads = [];

            public function __construct(private readonly string $bytes) {}

            public function size(): int
            {
                return strlen($this->bytes);
            }

            public function read(int $offset, int $length): string
            {
                $this->reads[] = [$offset, $length];

                return substr($this->bytes, $offset, $length);
            }
        };
        self::assertTrue(Probe::standard()->read($counting)->isWhole());
        self::assertLessThanOrEqual(2, count($counting->reads));
        self::assertLessThanOrEqual(4096 + 1024, array_sum(array_column($counting->reads, 1)));
    }

    public function test_a_file_that_is_gone_or_no_file_is_told_in_words(): void
    {
        $bench = new Workbench;
        foreach (["{$bench->folder}/nowhere", $bench->folder] as $path) {
            try {
                FileSource::open($path);
                self::fail("{$path} was opened.");
            } catch (SourceUnreadable $gone) {
                self::assertStringContainsString('could not be read', $gone->getMessage());
            }
        }
    }

    public function test_channels_as_people_write_them(): void
    {
        self::assertSame(['R', 'G', 'B', 'A'], Channels::parse('rgba'));
        self::assertSame(['R', 'G', 'B', 'A'], Channels::parse('A, B, G, R'));
        self::assertSame('RGBA', Channels::write(['A', 'B', 'G', 'R']));
        self::assertSame('R,G,B,mist.Y', Channels::write(['mist.Y', 'G', 'B', 'R']));
        self::assertSame(['Y'], Channels::parse('Y'));
        self::assertSame(['Z'], Channels::parse('Z'));
        self::assertSame(['a.b', 'c'], Channels::split('a.b.c'));
    }

    public function test_kinds_as_people_call_them(): void
    {
        foreach ([
            'jpg' => Kind::Jpeg, '.TIF' => Kind::Tiff, 'OpenEXR' => Kind::Exr, 'exr' => Kind::Exr, 'm4v' => Kind::Mp4,
            ' png ' => Kind::Png,
        ] as $word => $kind) {
            self::assertSame($kind, Kind::fromWord((string) $word));
        }
        self::assertNull(Kind::fromWord('banana'));
        foreach (Kind::cases() as $kind) {
            self::assertSame($kind, Kind::fromExtension($kind->usualExtension()));
            self::assertLessThanOrEqual(1, (int) $kind->isPicture() + (int) $kind->isMovie());
        }
    }
}
