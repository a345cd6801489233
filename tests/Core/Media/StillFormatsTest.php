<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SliceSource;
use PlainLedger\Core\Media\StringSource;

/** TIFF, TGA, DPX, BMP, WebP and WAV as several encoders write them, whole and broken. */
final class StillFormatsTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../fixtures/stills/';

    /** What the encoder was told to write, and another library reads. All are 66 by 38 pixels. */
    private const PICTURES = [
        'animated.webp' => '8 uint RGBA lossless, animation frames 2',
        'ffmpeg-10.dpx' => '10 uint RGB none, colour linear',
        'ffmpeg-12-le.dpx' => '12 uint RGB none, colour linear',
        'ffmpeg-16-le.dpx' => '16 uint RGB none, colour linear',
        'ffmpeg-16.dpx' => '16 uint RGB none, colour linear',
        'ffmpeg-24.bmp' => '8 uint RGB none',
        'ffmpeg-32.bmp' => '8 uint RGB none',
        'ffmpeg-555.bmp' => '5 uint RGB none',
        'ffmpeg-555.tga' => '5 uint RGB rle',
        'ffmpeg-565.bmp' => '5 uint RGB none',
        'ffmpeg-bgra.tga' => '8 uint RGBA none',
        'ffmpeg-deflate.tif' => '8 uint RGB deflate, density 72',
        'ffmpeg-grey.bmp' => '8 uint Y none',
        'ffmpeg-grey.dpx' => '8 uint Y none, colour linear',
        'ffmpeg-grey.tga' => '8 uint Y rle',
        'ffmpeg-grey.tif' => '8 uint Y none, density 72',
        'ffmpeg-grey16.tif' => '16 uint Y lzw, density 72',
        'ffmpeg-lzw.tif' => '8 uint RGB lzw, density 72',
        'ffmpeg-mono.bmp' => '1 uint Y none',
        'ffmpeg-mono.tif' => '1 uint Y packbits, density 72',
        'ffmpeg-packbits.tif' => '8 uint RGB packbits, density 72',
        'ffmpeg-palette.bmp' => '8 uint RGB none',
        'ffmpeg-palette.tga' => '8 uint RGB rle',
        'ffmpeg-palette.tif' => '8 uint RGB none, density 72',
        'ffmpeg-raw.tga' => '8 uint RGB none',
        'ffmpeg-raw.tif' => '8 uint RGB none, density 72',
        'ffmpeg-rgb48.tif' => '16 uint RGB deflate, density 72',
        'ffmpeg-rgba.dpx' => '8 uint RGBA none, colour linear',
        'ffmpeg-rgba.tif' => '8 uint RGBA lzw, alpha_kind straight, density 72',
        'ffmpeg-rgba64.dpx' => '16 uint RGBA none, colour linear',
        'ffmpeg-rgba64.tif' => '16 uint RGBA none, alpha_kind straight, density 72',
        'ffmpeg-tall.dpx' => '8 uint RGB none 10/11, colour linear',
        'ffmpeg-tall.tif' => '8 uint RGB none 10/11, density 72',
        'ffmpeg-yuv420.tif' => '8 uint RGB none 4:2:0, density 72',
        'ffmpeg.webp' => '8 uint RGB lossy 4:2:0',
        'gm-10.dpx' => '10 uint RGB none, colour linear',
        'gm-lzw.tif' => '8 uint RGB lzw',
        'gm.tga' => '8 uint RGB none',
        'im-10.dpx' => '10 uint RGB none',
        'im-12.dpx' => '12 uint RGB none',
        'im-16-le.dpx' => '16 uint RGB none',
        'im-2.bmp' => '8 uint RGB none',
        'im-3.bmp' => '8 uint RGB none, density 1',
        'im-alpha.bmp' => '8 uint RGBA none, density 1, colour srgb',
        'im-associated.tif' => '8 uint RGBA deflate, alpha_kind premultiplied',
        'im-big.tif' => '8 uint RGB deflate, long form yes',
        'im-centimetre.tif' => '8 uint RGB none, density 254',
        'im-cmyk.tif' => '8 uint CMYK lzw',
        'im-density.bmp' => '8 uint RGB none, density 300, colour srgb',
        'im-density.tif' => '8 uint RGB none 11/10, density 300',
        'im-fax.tif' => '1 uint Y ccitt-g3',
        'im-float16.tif' => '16 float RGB deflate',
        'im-float32.tif' => '32 float RGB deflate',
        'im-grey-rle.tga' => '8 uint Y rle',
        'im-group4.tif' => '1 uint Y ccitt-g4',
        'im-jpeg.tif' => '8 uint RGB jpeg',
        'im-log.dpx' => '10 uint RGB none, colour log',
        'im-lzma.tif' => '8 uint RGB lzma',
        'im-msb-lzw.tif' => '8 uint RGB lzw',
        'im-noted.dpx' => '10 uint RGB none at 24, start_timecode 01:02:03:04',
        'im-pages.tif' => '8 uint RGB lzw, pages 3',
        'im-palette.tga' => '8 uint RGB none',
        'im-palette16.tif' => '4 uint RGB none',
        'im-planes.tif' => '8 uint RGB none, planes apart',
        'im-rgba.tga' => '8 uint RGBA none',
        'im-rle.bmp' => '8 uint RGB rle, density 1',
        'im-rle.tga' => '8 uint RGB rle',
        'im-tiled-zip.tif' => '8 uint RGB deflate',
        'im-turned.tif' => '8 uint RGB none, orientation turned by 90°',
        'im-uint32.tif' => '32 uint RGB none',
        'im-unassociated.tif' => '8 uint RGBA deflate, alpha_kind straight',
        'im-unspecified.tif' => '8 uint RGBA deflate',
        'im-webp.tif' => '8 uint RGB webp',
        'im-zstd.tif' => '8 uint RGB zstd',
        'lossless-alpha.webp' => '8 uint RGBA lossless',
        'lossless.webp' => '8 uint RGB lossless',
        'lossy-alpha.webp' => '8 uint RGBA lossy 4:2:0',
        'lossy.webp' => '8 uint RGB lossy 4:2:0',
        'noise.png' => '8 uint RGB deflate',
        'packet-behind.png' => '8 uint RGB deflate, projection lat-long',
        'pil-1.bmp' => '1 uint Y none, density 96',
        'pil-alpha-lossless.webp' => '8 uint RGBA lossless',
        'pil-animated.webp' => '8 uint RGB lossy 4:2:0, animation frames 3',
        'pil-cmyk.tif' => '8 uint CMYK none',
        'pil-deflate.tif' => '8 uint RGB deflate',
        'pil-float.tif' => '32 float Y none',
        'pil-grey.tif' => '8 uint Y none',
        'pil-grey16.tif' => '16 uint Y none',
        'pil-jpeg.tif' => '8 uint RGB jpeg',
        'pil-l-rle.tga' => '8 uint Y rle',
        'pil-l.bmp' => '8 uint Y none, density 96',
        'pil-l.tga' => '8 uint Y none',
        'pil-la-rle.tga' => '8 uint YA rle',
        'pil-la.tga' => '8 uint YA none',
        'pil-lzw.tif' => '8 uint RGB lzw',
        'pil-mono.tif' => '1 uint Y ccitt-g4',
        'pil-noted.tif' => '8 uint RGB none at 24000/1001, projection lat-long, start_timecode 01:00:10:05',
        'pil-p-rle.tga' => '8 uint RGB rle',
        'pil-p.bmp' => '8 uint RGB none, density 96',
        'pil-p.tga' => '8 uint RGB none',
        'pil-packbits.tif' => '8 uint RGB packbits',
        'pil-pages.tif' => '8 uint RGB none, pages 3',
        'pil-palette.tif' => '8 uint RGB none',
        'pil-projection.webp' => '8 uint RGB lossy 4:2:0, projection lat-long',
        'pil-raw.tif' => '8 uint RGB none',
        'pil-rgb-rle.tga' => '8 uint RGB rle',
        'pil-rgb.bmp' => '8 uint RGB none, density 96',
        'pil-rgb.tga' => '8 uint RGB none',
        'pil-rgba-rle.tga' => '8 uint RGBA rle',
        'pil-rgba.bmp' => '8 uint RGB none, density 96',
        'pil-rgba.tga' => '8 uint RGBA none',
        'pil-rgba.tif' => '8 uint RGBA lzw, alpha_kind straight',
        'pil-webp.tif' => '8 uint RGB webp',
        'pil-ycbcr.tif' => '8 uint RGB jpeg 4:4:4',
        'pil-zstd.tif' => '8 uint RGB zstd',
        'pil.webp' => '8 uint RGB lossy 4:2:0',
        'profile.webp' => '8 uint RGB lossy 4:2:0, colour srgb, projection lat-long',
        'text-behind.png' => '8 uint RGB deflate, camera cam_quay',
        'tiffcp-big-endian16.tif' => '16 uint RGB none, density 72',
        'tiffcp-big-msb.tif' => '16 uint RGB deflate, density 72, long form yes',
        'tiffcp-predictor.tif' => '8 uint RGB lzw, density 72',
        'tiffcp-separate.tif' => '8 uint RGBA packbits, alpha_kind straight, density 72, planes apart',
        'tiffcp-tiles16.tif' => '16 uint RGB deflate, density 72',
    ];

    private const SOUNDS = [
        'pcm24.wav' => [48000, 2, 24, 'pcm', '1/10'],
        'float32.wav' => [48000, 1, 32, 'pcm float', '1/10'],
        'alaw.wav' => [48000, 1, null, 'a-law', null],
        'adpcm.wav' => [48000, 1, null, 'adpcm', null],
        'u8.wav' => [48000, 1, 8, 'pcm', '1/10'],
        'surround.wav' => [48000, 6, 16, 'pcm', '1/10'],
        'rf64.wav' => [48000, 1, 16, 'pcm', '1/10'],
        'bext.wav' => [48000, 1, 24, 'pcm', '1/10'],
        'piped.wav' => [48000, 1, 16, 'pcm', '1/10'],
    ];

    /** Without a told length, since it was written into a pipe. */
    private const OPEN_END = 'piped.wav';

    /** @return iterable<string, array{string, string}> */
    public static function pictures(): iterable
    {
        foreach (self::PICTURES as $name => $says) {
            yield $name => [$name, $says];
        }
    }

    #[DataProvider('pictures')]
    public function test_it_says_what_its_encoder_wrote(string $name, string $says): void
    {
        foreach (ScanDepth::cases() as $depth) {
            $facts = Probe::standard()->read(FileSource::open(self::FOLDER.$name), $depth);

            self::assertSame([66, 38], [$facts->picture->width, $facts->picture->height]);
            self::assertSame($says, self::spoken($facts));
            self::assertSame([true, null], [$facts->wholeness->complete, $facts->wholeness->reason], $depth->name);
        }
    }

    private static function spoken(MediaFacts $facts): string
    {
        $line = $facts->toArray('', true, 0);
        $said = "{$line['bit_depth']} {$line['sample']} {$facts->encoding->channelsText()} {$line['compression']}";
        $said .= $line['chroma'] === null ? '' : " {$line['chroma']}";
        $said .= $line['pixel_aspect'] === '1/1' ? '' : " {$line['pixel_aspect']}";
        $said .= $line['frame_rate'] === null ? '' : " at {$line['frame_rate']}";
        $header = (array) $line['header'];
        foreach ([
            'alpha_kind', 'density', 'colour', 'projection', 'start_timecode', 'pages', 'planes', 'orientation',
            'animation frames', 'long form', 'camera',
        ] as $key) {
            $said .= isset($header[$key]) ? ", {$key} {$header[$key]}" : '';
        }

        return $said;
    }

    public function test_sound_says_its_rate_channels_depth_and_length(): void
    {
        foreach (self::SOUNDS as $name => [$rate, $channels, $bits, $codec, $duration]) {
            $line = Probe::standard()->read(FileSource::open(self::FOLDER.$name))->toArray('', true, 0);
            self::assertSame('wav', $line['kind'], $name);
            self::assertSame(
                ['sample_rate' => $rate, 'channels' => $channels, 'bit_depth' => $bits, 'codec' => $codec],
                $line['audio'],
                $name,
            );
            self::assertSame([$duration, true], [$line['duration'], $line['complete']], $name);
        }
        $facts = Probe::standard()->read(FileSource::open(self::FOLDER.'bext.wav'));
        $header = (array) $facts->toArray('', true, 0)['header'];
        self::assertSame('48000', $header['first sample since midnight']);
        self::assertSame('quay at dawn', $header['description']);
    }

    public function test_whatever_is_cut_short_is_told_at_either_depth(): void
    {
        $names = array_diff([...array_keys(self::PICTURES), ...array_keys(self::SOUNDS)], [self::OPEN_END]);
        $missed = [];
        foreach ($names as $name) {
            $bytes = (string) file_get_contents(self::FOLDER.$name);
            foreach (ScanDepth::cases() as $depth) {
                foreach ([5, 20, 50, 80, 97] as $percent) {
                    $part = substr($bytes, 0, intdiv(strlen($bytes) * $percent, 100));
                    $facts = Probe::standard()->read(new StringSource($part), $depth);
                    if ($facts->wholeness->complete !== false || $facts->wholeness->reason === null) {
                        $missed[] = "{$name} at {$percent} %, {$depth->name}";
                    }
                }
            }
        }

        self::assertSame([], $missed);
    }

    public function test_bytes_changed_inside_what_is_packed_are_found_in_full(): void
    {
        foreach ([
            'ffmpeg-deflate.tif' => 100, 'pil-deflate.tif' => 300, 'im-tiled-zip.tif' => 200, 'im-rle.tga' => 60,
            'ffmpeg-packbits.tif' => 20,
        ] as $name => $at) {
            $bytes = (string) file_get_contents(self::FOLDER.$name);
            // a code that is not, or says nothing, whatever stood there
            $bytes = substr_replace($bytes, str_repeat("\x80", 400), $at, 400);
            $facts = Probe::standard()->read(new StringSource($bytes), ScanDepth::Full);
            self::assertFalse($facts->wholeness->complete, $name);
        }
    }

    public function test_a_picture_is_read_the_same_from_slices_as_from_a_file(): void
    {
        foreach ([...array_keys(self::PICTURES), ...array_keys(self::SOUNDS)] as $name) {
            $bytes = (string) file_get_contents(self::FOLDER.$name);
            $slices = [];
            for ($round = 0, $facts = null; $facts === null; $round++) {
                self::assertLessThan(16, $round, $name);
                try {
                    $facts = Probe::standard()->read(new SliceSource(strlen($bytes), $slices));
                } catch (BytesMissing $missing) {
                    foreach ($missing->ranges as [$offset, $length]) {
                        $slices[$offset] = substr($bytes, $offset, $length);
                    }
                }
            }
            self::assertEquals(Probe::standard()->read(new StringSource($bytes)), $facts, $name);
        }
    }

    /** Where a format allows it: its head and its tail, or its head and its directory. */
    public function test_two_small_reads_are_enough_for_most(): void
    {
        foreach ([
            'ffmpeg-raw.tif' => 2, 'pil-raw.tif' => 2, 'im-10.dpx' => 1, 'ffmpeg-24.bmp' => 2, 'pil-rgb.tga' => 2,
            'ffmpeg-raw.tga' => 2, 'lossy.webp' => 2,
        ] as $name => $most) {
            $source = self::counting((string) file_get_contents(self::FOLDER.$name));
            Probe::standard()->read($source);
            self::assertLessThanOrEqual($most, $source->reads, $name);
        }
    }

    /** @return ByteSource&object{reads: int} */
    private static function counting(string $bytes): ByteSource
    {
        return new class($bytes) implements ByteSource
        {
            public int $reads = 0;

            public function __construct(private readonly string $bytes) {}

            public function size(): int
            {
                return strlen($this->bytes);
            }

            public function read(int $offset, int $length): string
            {
                $this->reads++;

                return $offset < 0 ? '' : substr($this->bytes, $offset, max(0, $length));
            }
        };
    }

    public function test_files_that_lie_are_told_so_and_cost_nothing(): void
    {
        $tiff = static fn (string $entries, int $count): string => "II*\0".pack('V', 8).pack('v', $count).$entries
            .pack('V', 0).str_repeat("\0", 400);
        $entry = static fn (int ...$fields): string => pack('vvVV', ...$fields);
        $sizes = $entry(256, 4, 1, 60_000).$entry(257, 4, 1, 60_000);
        foreach ([
            'a table beyond the end' => $tiff($sizes.$entry(273, 4, 1 << 28, 400).$entry(279, 4, 1, 9), 4),
            'too few strips' => $tiff($sizes.$entry(273, 4, 1, 200).$entry(278, 4, 1, 1).$entry(279, 4, 1, 9), 5),
            'no strips' => $tiff($sizes, 2),
            'tiles of nothing' => $tiff($sizes.$entry(324, 4, 1, 200), 3),
            'a directory of itself' => "II*\0".pack('V', 8).pack('v', 4).$entry(256, 4, 1, 2).$entry(257, 4, 1, 2)
                .$entry(273, 4, 1, 70).$entry(279, 4, 1, 1).pack('V', 8).str_repeat("\0", 99),
            'a directory of nothing' => "MM\0*".pack('N', 0),
            'impossible samples' => $tiff($sizes.$entry(277, 3, 1, 65535), 3),
            'pixels without bits' => substr_replace(
                (string) file_get_contents(dirname(__DIR__, 2).'/fixtures/stills/ffmpeg-24.bmp'),
                "\0\0",
                28,
                2,
            ),
            'places of another length' => "II+\0".pack('vvP', 4, 0, 16).str_repeat("\0", 40),
        ] as $what => $bytes) {
            $before = memory_get_usage();
            $facts = Probe::standard()->read(new StringSource($bytes), ScanDepth::Full);
            self::assertFalse($facts->wholeness->complete, $what);
            self::assertNotNull($facts->wholeness->reason, $what);
            self::assertLessThan(8 << 20, memory_get_usage() - $before, $what);
        }
    }

    /** Read by one that was read before, every file says what it says when it is read alone. */
    public function test_frames_read_by_those_before_them_say_what_they_say_alone(): void
    {
        mt_srand(17);
        $folders = [self::FOLDER, __DIR__.'/../../fixtures/encoders/', __DIR__.'/../../fixtures/exr/'];
        $differing = [];
        foreach ($folders as $folder) {
            foreach (glob("{$folder}*.{png,jpg,exr,tif,tga,dpx,bmp,webp,wav}", GLOB_BRACE) ?: [] as $path) {
                $whole = (string) file_get_contents($path);
                $probe = Probe::standard();
                $probe->read(new StringSource($whole));
                for ($i = 0; $i < 40; $i++) {
                    $bytes = self::changed($whole);
                    $alone = Probe::exact()->read(new StringSource($bytes))->withoutHeader();
                    if ($probe->read(new StringSource($bytes))->withoutHeader() != $alone) {
                        $differing[] = basename($path)." {$i}";
                    }
                }
            }
        }
        self::assertSame([], $differing);
    }

    private static function changed(string $bytes): string
    {
        $near = min(strlen($bytes), 2100);
        for ($i = mt_rand(1, 3); $i > 0; $i--) {
            $at = mt_rand(0, 2) > 0 ? mt_rand(0, $near - 1) : mt_rand(0, strlen($bytes) - 1);
            $bytes[$at] = chr(mt_rand(0, 255));
        }

        return mt_rand(0, 5) === 0 ? substr($bytes, 0, mt_rand(1, strlen($bytes))) : $bytes;
    }

    /** Each by what it can be held against: a checksum, or the lengths and counts that it tells of itself. */
    public function test_every_packing_of_openexr_is_held_against_what_it_should_come_to(): void
    {
        foreach (['piz', 'pxr24', 'rle', 'b44', 'b44a', 'dwaa', 'dwab'] as $packing) {
            $bytes = (string) file_get_contents(self::FOLDER."smooth-{$packing}.exr");
            self::assertTrue(
                Probe::standard()->read(new StringSource($bytes), ScanDepth::Full)->wholeness->complete,
                $packing,
            );
            // behind the lead of the first chunk: its place and levels, its length, and then what is packed
            $table = (int) strpos($bytes, "\0\0", (int) strpos($bytes, 'tiles'));
            $first = self::firstChunk($bytes, $table);
            $at = $first + 20;
            $bytes = match ($packing) {
                'piz' => substr_replace($bytes, "\xFF\xFF\xFF\x7F", self::codeOf($bytes, $at) + 16, 4),
                'b44' => substr_replace($bytes, "\xFF", $at + 2, 1),
                'b44a' => substr_replace($bytes, ord($bytes[$at + 2]) >= 52 ? "\0" : "\xFF", $at + 2, 1),
                'dwaa', 'dwab' => substr_replace($bytes, "\x01", $at + 26, 1),
                'rle' => substr_replace($bytes, "\x7F\x7F\x7F", $at, 3),
                default => substr_replace($bytes, "\0\0\0\0", $at + 8, 4),
            };
            $facts = Probe::standard()->read(new StringSource($bytes), ScanDepth::Full);
            self::assertFalse($facts->wholeness->complete, $packing);
            self::assertStringContainsString('does not unpack', (string) $facts->wholeness->reason, $packing);
        }
    }

    private static function firstChunk(string $bytes, int $from): int
    {
        // an entry of the table points behind the table, at a chunk of tile 0, 0
        for ($at = $from; $at < $from + 400; $at++) {
            $place = unpack('P', substr($bytes, $at, 8))[1] ?? 0;
            if ($place > $at && $place < strlen($bytes) && substr($bytes, $place, 16) === str_repeat("\0", 16)) {
                return $place;
            }
        }
        self::fail('There is no chunk.');
    }

    /** Where Huffman's code begins, with its own counts. */
    private static function codeOf(string $bytes, int $at): int
    {
        /** @var array{1: int, 2: int} $span */
        $span = unpack('v2', substr($bytes, $at, 4));

        return $at + 4 + ($span[1] <= $span[2] ? $span[2] - $span[1] + 1 : 0);
    }
}
