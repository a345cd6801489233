<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\FactsTable;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\StringSource;

/** Movies that ffmpeg wrote, each fact beside what its own prober says of it. */
final class MovieFormatsTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../fixtures/movies/';

    private const CODECS = [
        'mpeg2video' => 'mpeg2', 'rawvideo' => 'raw', 'v210' => 'raw', 'qtrle' => 'animation',
    ];

    /** Depth, chroma and channels by the name of a form of pixels. */
    private const FORMS = [
        'yuv420p' => [8, '4:2:0', 'RGB'], 'yuvj420p' => [8, '4:2:0', 'RGB'], 'yuv422p' => [8, '4:2:2', 'RGB'],
        'yuvj422p' => [8, '4:2:2', 'RGB'], 'yuv444p' => [8, '4:4:4', 'RGB'], 'yuvj444p' => [8, '4:4:4', 'RGB'],
        'yuv420p10le' => [10, '4:2:0', 'RGB'], 'yuv422p10le' => [10, '4:2:2', 'RGB'],
        'yuv444p12le' => [12, '4:4:4', 'RGB'], 'yuva444p12le' => [12, '4:4:4', 'RGBA'],
        'yuva420p' => [8, '4:2:0', 'RGBA'], 'uyvy422' => [8, '4:2:2', 'RGB'], 'rgb24' => [8, '4:4:4', 'RGB'],
        'bgr24' => [8, '4:4:4', 'RGB'], 'rgba' => [8, '4:4:4', 'RGBA'], 'argb' => [8, '4:4:4', 'RGBA'],
        'rgb48be' => [16, '4:4:4', 'RGB'], 'gbrp16le' => [16, '4:4:4', 'RGB'], 'gray' => [8, null, 'Y'],
    ];

    private static function read(string $name, ScanDepth $depth = ScanDepth::Quick): MediaFacts
    {
        return Probe::standard()->read(FileSource::open(self::FOLDER.$name), $depth);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function probed(): iterable
    {
        /** @var array<string, array<string, mixed>> $all */
        $all = json_decode((string) file_get_contents(self::FOLDER.'probed.json'), true, 16, JSON_THROW_ON_ERROR);
        foreach ($all as $name => $told) {
            yield $name => [$told];
        }
    }

    /** @param  array<string, mixed>  $told */
    #[DataProvider('probed')]
    public function test_every_fact_is_what_another_reader_says(array $told): void
    {
        $name = (string) $this->dataName();
        $facts = self::read($name);
        $line = $facts->toArray($name, true, 0);
        $header = (array) $line['header'];

        self::assertNull($line['damage']);
        self::assertTrue($line['complete']);
        self::assertSame([$told['width'], $told['height']], [$line['width'], $line['height']]);
        self::assertSame($told['pictures'], $line['frame_count']);
        self::assertSame(self::CODECS[$told['codec']] ?? $told['codec'], $line['codec']);
        self::assertSame(str_replace(':', '/', self::aspect($told['aspect'])), $line['pixel_aspect']);
        if ($name !== 'uneven.mp4') {
            self::assertSame(preg_replace('~/1$~', '', (string) $told['rate']), $line['frame_rate']);
            self::assertTrue($header['rate_constant']);
        }
        // its keyframes are by its own table, which the other reader does not look at
        if ($line['codec'] !== 'animation') {
            self::assertSame($told['interval'], $line['keyframe_interval_max']);
        }
        self::assertSame($told['b_frames'], $line['b_frames_max']);
        if (isset($header['scan'])) {
            self::assertSame($told['interlaced'] ? 'interlaced' : 'progressive', $header['scan']);
        }
        $sound = array_map(static fn ($s): array => [$s->sampleRate, $s->channels], $facts->movie->sound ?? []);
        self::assertSame(array_map(static fn (array $s): array => [$s[1], $s[2]], $told['sound']), $sound);
    }

    private static function aspect(string $told): string
    {
        return in_array($told, ['0:1', 'N/A'], true) ? '1:1' : $told;
    }

    /** @param  array<string, mixed>  $told */
    #[DataProvider('probed')]
    public function test_pixels_are_kept_as_another_reader_says(array $told): void
    {
        $name = (string) $this->dataName();
        // one tells the form that it decodes to, not that which is kept
        $form = ['alpha.webm' => 'yuva420p', 'jpeg2000.mxf' => null][$name] ?? $told['format'];
        if ($name === 'jpeg2000.mxf') {
            self::assertSame('jpeg2000', self::read($name)->encoding->codec);

            return;
        }
        $encoding = self::read($name)->encoding;

        self::assertSame(
            self::FORMS[$form],
            [$encoding->bitDepth, $encoding->chroma, implode('', $encoding->channels ?? [])],
        );
    }

    /** @param  array<string, mixed>  $told */
    #[DataProvider('probed')]
    public function test_whole_movies_are_whole_in_full(array $told): void
    {
        $facts = self::read((string) $this->dataName(), ScanDepth::Full);

        self::assertNull($facts->wholeness->reason);
        self::assertSame($told['pictures'], $facts->timing->frameCount);
    }

    /** @param  array<string, mixed>  $told */
    #[DataProvider('probed')]
    public function test_facts_are_the_same_after_they_were_kept(array $told): void
    {
        $name = (string) $this->dataName();
        $table = new FactsTable;
        $table->intern(self::read($name));
        $kept = FactsTable::fromArray(
            json_decode(json_encode($table->toArray(), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR),
        )->get(0);

        self::assertSame(
            json_encode($table->get(0)->toArray($name, true, 0)),
            json_encode($kept->toArray($name, true, 0)),
        );
        self::assertSame($told['pictures'], $kept->timing->frameCount);
    }

    /** @return iterable<string, array{string, string, string|int|bool|null}> file, named fact, what it is */
    public static function named(): iterable
    {
        yield 'index behind' => ['h264.mp4', 'index', 'last'];
        yield 'index first' => ['plain.mp4', 'index', 'first'];
        yield 'fragments' => ['fragments.mp4', 'fragmented', true];
        yield 'fragments begin with their index' => ['dash.mp4', 'index', 'first'];
        yield 'no index to be put anywhere' => ['jpeg.avi', 'index', null];
        yield 'drop-frame' => ['ntsc.mov', 'start_timecode', '01:00:00;00'];
        yield 'whole seconds' => ['pal.mov', 'start_timecode', '10:00:00:00'];
        yield 'none' => ['h264.mp4', 'start_timecode', null];
        yield 'of material' => ['mpeg2.mxf', 'start_timecode', '10:00:00:00'];
        yield 'of material, drop-frame' => ['fields.mxf', 'start_timecode', '01:00:00;00'];
        yield 'profile' => ['h264.mp4', 'profile', 'High'];
        yield 'ten bits' => ['high10.mp4', 'profile', 'High 10'];
        yield 'full chroma' => ['full.mp4', 'profile', 'High 4:4:4 Predictive'];
        yield 'main 10' => ['hevc.mp4', 'profile', 'Main 10'];
        yield 'proxy' => ['proxy.mov', 'profile', '422 Proxy'];
        yield 'with alpha' => ['alpha.mov', 'profile', '4444'];
        yield 'tagged' => ['colour.mp4', 'colour', 'rec709'];
        yield 'tagged otherwise' => ['srgb.mov', 'colour', 'srgb'];
        yield 'not tagged' => ['h264.mp4', 'colour', null];
        yield 'turned' => ['turned.mp4', 'rotation', 270];
        yield 'upright' => ['h264.mp4', 'rotation', 0];
        yield 'one picture stands longer' => ['uneven.mp4', 'uneven_pictures', '10'];
        yield 'and says so' => ['uneven.mp4', 'rate_constant', false];
    }

    #[DataProvider('named')]
    public function test_named_facts_are_told(string $file, string $name, string|int|bool|null $expected): void
    {
        self::assertSame($expected, ((array) self::read($file)->toArray('', true, 0)['header'])[$name] ?? null);
    }

    public function test_edits_leave_out_what_they_leave_out(): void
    {
        $facts = self::read('trimmed.mp4');

        self::assertSame(36, $facts->timing->frameCount);
        self::assertSame('3/2', (string) $facts->timing->duration);
    }

    public function test_a_coarse_clock_hides_no_rate(): void
    {
        self::assertSame('24', (string) self::read('thousand.mp4')->timing->rate);
        self::assertSame('24000/1001', (string) self::read('coarse.mp4')->timing->rate);
        self::assertSame('24000/1001', (string) self::read('film.mkv')->timing->rate);
    }

    public function test_an_index_of_indexes_is_read_as_the_one_at_the_end(): void
    {
        // sizes and keyframes in a table among the pictures, which the stream points at (OpenDML 1.02)
        $plain = (string) file_get_contents(self::FOLDER.'jpeg.avi');
        $movie = (int) strpos($plain, 'movi');
        $rows = '';
        $at = $movie + 4;
        $count = 0;
        while (substr($plain, $at + 2, 2) === 'dc' && $count < 12) {
            /** @var array{1: int} $size */
            $size = unpack('V', $plain, $at + 4);
            $rows .= pack('VV', $at + 8, $size[1] | ($count % 4 === 0 ? 0 : 1 << 31));
            $at += 8 + $size[1] + $size[1] % 2;
            $count++;
        }
        $table = 'ix00'.pack('VvCCV', 24 + strlen($rows), 2, 0, 1, $count).'00dc'.pack('PV', 0, 0).$rows;
        $indexes = pack('vCCV', 4, 0, 0, 1).'00dc'.str_repeat("\0", 12)
            .pack('PVV', strlen($plain), strlen($table), $count);
        $junk = (int) strpos($plain, 'JUNK');
        $broken = substr_replace($plain, 'indx'.pack('V', strlen($indexes)).$indexes, $junk, 8 + strlen($indexes));
        $facts = Probe::standard()->read(new StringSource($broken.$table));

        self::assertSame([$count, 4], [$facts->timing->frameCount, $facts->movie?->picture->order->longestInterval]);
    }

    public function test_compressed_sound_has_no_depth(): void
    {
        self::assertNull(self::read('sound.mp4')->movie?->sound[0]->bitDepth);
        self::assertSame(24, self::read('sound.mov')->movie?->sound[0]->bitDepth);
        self::assertSame(16, self::read('sound.avi')->movie?->sound[0]->bitDepth);
        self::assertSame(24, self::read('sound.mxf')->movie?->sound[0]->bitDepth);
    }

    /** @return iterable<string, array{string, int}> file, and how much of a thousand is left of it */
    public static function cut(): iterable
    {
        $files = [
            'plain.mp4', 'h264.mp4', 'fragments.mp4', 'ntsc.mov', 'jpeg.avi', 'h264.mkv', 'vp9.webm', 'mpeg2.mxf',
        ];
        foreach ($files as $file) {
            foreach ([100, 500, 900, 990] as $left) {
                yield "{$file}, {$left}" => [$file, $left];
            }
        }
    }

    #[DataProvider('cut')]
    public function test_what_is_cut_short_is_not_whole(string $file, int $left): void
    {
        $bytes = (string) file_get_contents(self::FOLDER.$file);
        $facts = Probe::standard()->read(new StringSource(substr($bytes, 0, intdiv(strlen($bytes) * $left, 1000))));

        self::assertFalse($facts->wholeness->complete);
        self::assertNotSame('', (string) $facts->wholeness->reason);
    }

    public function test_a_hole_of_zeros_is_found_in_full(): void
    {
        $bytes = (string) file_get_contents(self::FOLDER.'png.mov');
        $at = (int) strpos($bytes, 'IDAT') + 40;
        $source = new StringSource(substr_replace($bytes, str_repeat("\0", 16), $at, 16));

        // so small a hole is within a picture: only decoding shows it; a lost head is seen
        self::assertNull(Probe::standard()->read($source)->wholeness->reason);
        $headless = new StringSource(str_replace("\x89PNG", "\0\0\0\0", $bytes));
        self::assertStringContainsString(
            'is not framed as png is',
            (string) Probe::standard()->read($headless, ScanDepth::Full)->wholeness->reason,
        );
    }
}
