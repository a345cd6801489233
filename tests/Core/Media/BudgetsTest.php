<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Decoders\ExrDecoder;
use PlainLedger\Core\Media\Decoders\GdDecoder;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Report\CheckReport;
use Tests\Core\Support\Workbench;

/** What a file claims is held against what there is, before memory or time is spent on it. */
final class BudgetsTest extends TestCase
{
    public function test_a_small_file_of_wide_lines_is_unpacked_in_little_memory(): void
    {
        // a few kilobytes that come to 11 million bytes in one chunk
        $exr = self::exr(120_000, 16, ['B', 'G', 'R'], gzcompress(str_repeat("\x80", 120_000 * 16 * 6)) ?: '');
        self::assertLessThan(60_000, strlen($exr));
        $source = new StringSource($exr);
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $pixels = (new ExrDecoder)->decode($source, Probe::standard()->read($source));

        self::assertSame([120_000, 16], [$pixels->width(), $pixels->height()]);
        self::assertLessThan(100 << 20, memory_get_peak_usage() - $before);
    }

    /** @return iterable<string, array{string, string}> a file, and the figure that is told of it */
    public static function tooLarge(): iterable
    {
        yield 'pixels of PNG' => [self::png(100_000, 100_000), '100,000 × 100,000 pixels'];
        yield 'pixels of OpenEXR' => [self::exr(20_000, 20_000, ['B', 'G', 'R'], 'x'), '20,000 × 20,000 pixels'];
        yield 'channels of OpenEXR' => [
            self::exr(4_000, 2_000, array_map(static fn (int $n): string => "n{$n}", range(1, 400)), 'x'),
            '4,000 × 2,000 pixels in 403 channels, 6.45 GB uncompressed',
        ];
        yield 'scans of JPEG' => [self::jpeg(60_000), '60,000 scans of 64 × 64 pixels'];
    }

    #[DataProvider('tooLarge')]
    public function test_what_is_too_large_is_told_with_its_figure(string $bytes, string $figure): void
    {
        $source = new StringSource($bytes);
        $facts = (new Probe(...self::readers()))->read($source);
        $facts = new MediaFacts($facts->kind, new PictureFacts($facts->picture->width, $facts->picture->height));
        $before = memory_get_usage();
        memory_reset_peak_usage();
        try {
            ($facts->kind === Kind::Exr ? new ExrDecoder : new GdDecoder)->decode($source, $facts);
            self::fail('It was decoded.');
        } catch (FileTooLarge $over) {
            self::assertSame("too large to look at here: {$figure}", $over->getMessage());
        }
        self::assertLessThan(8 << 20, memory_get_peak_usage() - $before);
    }

    public function test_more_chunks_or_segments_than_anybody_writes_leave_it_unknown_whether_it_is_whole(): void
    {
        $png = self::png(4, 4);
        $many = substr($png, 0, 33).str_repeat(self::chunk('teXt', ''), 100_001).substr($png, 33).str_repeat('.', 1100);
        foreach ([
            [$many, ScanDepth::Quick, '100,000 chunks'],
            [self::jpeg(200_001).str_repeat('.', 100), ScanDepth::Quick, '200,000 segments'],
            [self::jpeg(200_001), ScanDepth::Full, '200,000 segments'],
        ] as [$bytes, $depth, $figure]) {
            $facts = Probe::standard()->read(new StringSource($bytes), $depth);
            self::assertNotNull($facts->picture->width);
            self::assertSame(
                [null, null, "too large to look at here: more than {$figure}"],
                [$facts->wholeness->complete, $facts->damage(), $facts->unread()],
            );
        }
    }

    public function test_such_a_frame_is_a_question_and_spares_the_others(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-3', Workbench::png())->put(
            'TC_010.0002.png',
            self::png(100_000, 100_000),
        );
        $specification = Workbench::specification(
            [
                'time.range' => '1-3',
                'content.black' => 'none',
                'content.frozen' => 'none',
                'naming.pattern' => 'TC_010.{frame:4}.{ext}',
            ],
        );
        $delivery = (
            new Scan(
                FolderListing::of($bench->folder),
                Probe::standard(),
                ScanDepth::Quick,
                PixelRules::sampler($specification),
            )
        )->run(Workbench::NOW);
        $account = CheckReport::of($specification, null, $delivery);
        $cells = [];
        foreach ($account->check->entries as $entry) {
            $cells[$entry->id()] = [$entry->files?->mark, $entry->files?->found];
        }

        self::assertSame(
            [Mark::Unknown, 'too large to look at here: 100,000 × 100,000 pixels'],
            $cells['content.black'],
        );
        self::assertSame($cells['content.black'], $cells['content.frozen']);
        self::assertSame(Mark::Equal, $cells['time.range'][0]);
        $looked = array_map(static fn (int $row): bool => $delivery->groups[0]->sample($row) !== null, [0, 1, 2]);
        self::assertSame(
            [1 => true, 2 => false, 3 => true],
            self::sorted(array_combine($delivery->groups[0]->numbers(1)->all(), $looked)),
        );
    }

    public function test_a_channel_called_by_a_number_is_one(): void
    {
        $facts = Probe::standard()->read(
            new StringSource(self::exr(4, 4, ['7'], gzcompress(str_repeat("\x80", 4 * 4 * 8)) ?: '')),
        );

        self::assertTrue($facts->isWhole());
        self::assertContains('7', $facts->encoding->channels ?? []);
    }

    public function test_names_in_a_header_that_are_no_utf_8_are_read_and_told(): void
    {
        $facts = Probe::standard()->read(
            new StringSource(Workbench::exr(16, 9, texts: ['camera' => "cam_\xE9t\xE9", 'comments' => 'é'])),
        );

        self::assertSame('cam_été', $facts->labels->camera);
        self::assertSame(
            ['é', 'no UTF-8, read as Latin-1'],
            [$facts->labels->header['comments'] ?? null, $facts->labels->header['texts'] ?? null],
        );
    }

    /**
     * @param  array<int, bool>  $byFrame
     * @return array<int, bool>
     */
    private static function sorted(array $byFrame): array
    {
        ksort($byFrame);

        return $byFrame;
    }

    /** @return list<\PlainLedger\Core\Media\Readers\Reader> */
    private static function readers(): array
    {
        return [
            new \PlainLedger\Core\Media\Readers\PngReader,
            new \PlainLedger\Core\Media\Readers\JpegReader,
            new \PlainLedger\Core\Media\Readers\ExrReader,
        ];
    }

    private static function chunk(string $type, string $data): string
    {
        return pack('N', strlen($data)).$type.$data.hash('crc32b', $type.$data, true);
    }

    private static function png(int $width, int $height): string
    {
        return "\x89PNG\r\n\x1A\n"
            .self::chunk('IHDR', pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0))
            .self::chunk('IDAT', gzcompress(str_repeat("\0", 100)) ?: '')
            .self::chunk('IEND', '');
    }

    /** Baseline header of 64 × 64, and as many scans of one byte each. */
    private static function jpeg(int $scans): string
    {
        $segment = static fn (int $marker, string $data): string => "\xFF"
            .chr($marker)
            .pack('n', strlen($data) + 2)
            .$data;

        return "\xFF\xD8"
            .$segment(0xC2, "\x08\0\x40\0\x40\x01\x01\x11\0")
            .str_repeat($segment(0xDA, "\x01\x01\0\0\0\0").'.', $scans)
            ."\xFF\xD9";
    }

    /**
     * One chunk of sixteen lines, half, packed by ZIP.
     *
     * @param  list<string>  $channels  R, G and B are added where they lack
     */
    private static function exr(int $width, int $height, array $channels, string $packed): string
    {
        $channels = array_values(array_unique([...$channels, ...(count($channels) > 3 ? ['R', 'G', 'B'] : [])]));
        sort($channels, SORT_STRING);
        $list = implode(
            '',
            array_map(static fn (string $name): string => $name."\0".pack('VVVV', 1, 0, 1, 1), $channels),
        )."\0";
        $attribute = static fn (string $name, string $type, string $value): string => "{$name}\0{$type}\0"
            .pack('V', strlen($value))
            .$value;
        $window = pack('VVVV', 0, 0, $width - 1, $height - 1);
        $header = "\x76\x2F\x31\x01"
            .pack('V', 2)
            .$attribute('channels', 'chlist', $list)
            .$attribute('compression', 'compression', "\x03")
            .$attribute('dataWindow', 'box2i', $window)
            .$attribute('displayWindow', 'box2i', $window)
                .$attribute('lineOrder', 'lineOrder', "\0")
                .$attribute('pixelAspectRatio', 'float', pack('g', 1.0))
                ."\0";
        $chunks = intdiv($height + 15, 16);

        return $header
            .str_repeat(pack('P', strlen($header) + 8 * $chunks), $chunks)
            .pack('VV', 0, strlen($packed))
            .$packed;
    }
}
