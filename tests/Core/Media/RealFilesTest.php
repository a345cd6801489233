<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\StringSource;

/** Files that real encoders wrote, whole and broken in every everyday way. */
final class RealFilesTest extends TestCase
{
    private const ENCODERS = __DIR__.'/../../fixtures/encoders/';

    private const EXR = __DIR__.'/../../fixtures/exr/';

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function files(): iterable
    {
        $png = [
            'kind' => 'png', 'width' => 66, 'height' => 38, 'pixel_aspect' => '1/1', 'sample' => 'uint',
            'compression' => 'deflate', 'frame_rate' => null,
        ];
        $rgb = ['R', 'G', 'B'];
        $rgba = ['R', 'G', 'B', 'A'];
        yield 'rgb8.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => $rgb, 'alpha' => false]];
        yield 'rgb16.png' => [self::ENCODERS, $png + ['bit_depth' => 16, 'channels' => $rgb]];
        yield 'rgba8.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => $rgba, 'alpha' => true]];
        yield 'rgba16.png' => [self::ENCODERS, $png + ['bit_depth' => 16, 'channels' => $rgba]];
        yield 'grey8.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => ['Y'], 'alpha' => false]];
        yield 'greyalpha8.png' => [
            self::ENCODERS,
            $png + ['bit_depth' => 8, 'channels' => ['Y', 'A'], 'alpha' => true],
        ];
        yield 'palette8.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => $rgb, 'alpha' => false]];
        yield 'palettealpha.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => $rgba, 'alpha' => true]];
        yield 'mono1.png' => [
            self::ENCODERS,
            ['kind' => 'png', 'width' => 30, 'height' => 20, 'bit_depth' => 1, 'channels' => ['Y']],
        ];
        yield 'ffmpeg-mono.png' => [self::ENCODERS, ['bit_depth' => 1, 'channels' => ['Y']] + $png];
        yield 'pil-rgba.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => $rgba, 'alpha' => true]];
        yield 'pil-palette.png' => [self::ENCODERS, $png + ['bit_depth' => 4, 'channels' => $rgb]];
        yield 'pil-grey16.png' => [self::ENCODERS, $png + ['bit_depth' => 16, 'channels' => ['Y']]];
        yield 'gm-rgba16.png' => [self::ENCODERS, $png + ['bit_depth' => 16, 'channels' => $rgba]];
        yield 'optipng.png' => [self::ENCODERS, $png + ['bit_depth' => 8, 'channels' => $rgb]];
        yield 'profile.png' => [self::ENCODERS, $png];
        yield 'linear-profile.png' => [self::ENCODERS, $png];
        yield 'linear-gamma.png' => [self::ENCODERS, $png];
        yield 'srgb-gamma.png' => [self::ENCODERS, $png];
        yield 'interlaced.png' => [self::ENCODERS, $png];
        yield 'density.png' => [self::ENCODERS, $png];
        yield 'tall-pixels.png' => [self::ENCODERS, ['pixel_aspect' => '11/10'] + $png];
        yield 'texts.png' => [self::ENCODERS, $png];

        $jpeg = [
            'kind' => 'jpeg', 'width' => 66, 'height' => 38, 'pixel_aspect' => '1/1', 'bit_depth' => 8,
            'sample' => 'uint', 'compression' => 'jpeg', 'alpha' => false,
        ];
        yield 'q90-420.jpg' => [self::ENCODERS, $jpeg + ['channels' => $rgb, 'chroma' => '4:2:0']];
        yield 'q75-444.jpg' => [self::ENCODERS, $jpeg + ['channels' => $rgb, 'chroma' => '4:4:4']];
        yield 'progressive-422.jpg' => [self::ENCODERS, $jpeg + ['channels' => $rgb, 'chroma' => '4:2:2']];
        yield 'grey.jpg' => [self::ENCODERS, $jpeg + ['channels' => ['Y'], 'chroma' => null]];
        yield 'cmyk.jpg' => [self::ENCODERS, $jpeg + ['channels' => ['C', 'M', 'Y', 'K']]];
        yield 'pil-cmyk.jpg' => [self::ENCODERS, $jpeg + ['channels' => ['C', 'M', 'Y', 'K']]];
        yield 'pil-grey.jpg' => [self::ENCODERS, $jpeg + ['channels' => ['Y']]];
        yield 'pil-progressive.jpg' => [self::ENCODERS, $jpeg + ['chroma' => '4:2:0']];
        yield 'profile.jpg' => [self::ENCODERS, $jpeg + ['chroma' => '4:4:4']];
        yield 'exif-inch.jpg' => [self::ENCODERS, $jpeg];
        yield 'exif-cm.jpg' => [self::ENCODERS, $jpeg];
        yield 'gm-density.jpg' => [self::ENCODERS, $jpeg];
        yield 'restart-422.jpg' => [self::ENCODERS, $jpeg + ['chroma' => '4:2:2']];
        yield 'sample-411.jpg' => [self::ENCODERS, $jpeg + ['chroma' => '4:1:1']];
        yield 'arithmetic-444.jpg' => [self::ENCODERS, $jpeg + ['chroma' => '4:4:4']];
        yield 'kept-rgb.jpg' => [self::ENCODERS, $jpeg + ['channels' => $rgb]];
        yield 'mjpeg.jpg' => [self::ENCODERS, $jpeg];
        yield 'sar-10-11.jpg' => [self::ENCODERS, ['pixel_aspect' => '10/11'] + $jpeg];
        yield 'dpi-300-330.jpg' => [self::ENCODERS, ['pixel_aspect' => '11/10'] + $jpeg];

        $exr = [
            'kind' => 'exr', 'width' => 66, 'height' => 38, 'pixel_aspect' => '1/1', 'sample' => 'float',
            'frame_rate' => '24', 'channels' => $rgb,
        ];
        yield 'float-none.exr' => [self::ENCODERS, $exr + ['bit_depth' => 32, 'compression' => 'none']];
        yield 'float-rle.exr' => [self::ENCODERS, $exr + ['bit_depth' => 32, 'compression' => 'rle']];
        yield 'float-zip1.exr' => [self::ENCODERS, $exr + ['bit_depth' => 32, 'compression' => 'zips']];
        yield 'float-zip16.exr' => [self::ENCODERS, $exr + ['bit_depth' => 32, 'compression' => 'zip']];
        yield 'half-zip16.exr' => [self::ENCODERS, $exr + ['bit_depth' => 16, 'compression' => 'zip']];
        yield 'half-piz.exr' => [
            self::ENCODERS,
            ['frame_rate' => null] + $exr + ['bit_depth' => 16, 'compression' => 'piz'],
        ];
        yield 'gbr-float.exr' => [
            self::ENCODERS,
            ['frame_rate' => '25', 'channels' => $rgb, 'compression' => 'none'] + $exr,
        ];
        yield 'gbra-float.exr' => [self::ENCODERS, ['frame_rate' => '25', 'channels' => $rgba, 'alpha' => true] + $exr];
        yield 'half-rgba.exr' => [
            self::ENCODERS,
            ['frame_rate' => null, 'channels' => $rgba, 'bit_depth' => 16] + $exr,
        ];
        yield 'tiled-mipmap.exr' => [self::ENCODERS, $exr + ['compression' => 'zip']];
        yield 'tiled-ripmap.exr' => [self::ENCODERS, $exr + ['compression' => 'zip']];
        yield 'tiled-dwaa.exr' => [self::ENCODERS, $exr + ['compression' => 'dwaa']];
        yield 'multipart.exr' => [self::ENCODERS, $exr + ['bit_depth' => 16]];
        yield 'multiview.exr' => [
            self::ENCODERS,
            ['channels' => ['R', 'G', 'B', 'right.R', 'right.G', 'right.B']] + $exr,
        ];
        yield 'attributes.exr' => [self::ENCODERS, ['frame_rate' => '24000/1001', 'pixel_aspect' => '12/11'] + $exr];
        yield 'deep.exr' => [
            self::EXR,
            ['kind' => 'exr', 'width' => 24, 'height' => 16, 'channels' => ['A', 'Z'], 'compression' => 'zips'],
        ];
        yield 'deeptile.exr' => [
            self::EXR,
            [
                'kind' => 'exr', 'width' => 24, 'height' => 16, 'channels' => ['Z'], 'bit_depth' => 32,
                'compression' => 'rle',
            ],
        ];
        yield 'dec.exr' => [
            self::EXR,
            ['kind' => 'exr', 'width' => 40, 'height' => 30, 'channels' => $rgba, 'alpha' => true],
        ];
        yield 'win.exr' => [
            self::EXR,
            ['kind' => 'exr', 'width' => 100, 'height' => 80, 'pixel_aspect' => '10/11', 'frame_rate' => '24000/1001'],
        ];
        yield 'yc.exr' => [self::EXR, ['kind' => 'exr', 'channels' => ['Y', 'RY', 'BY'], 'alpha' => false]];
        yield 'yca.exr' => [self::EXR, ['kind' => 'exr', 'channels' => ['Y', 'RY', 'BY', 'A'], 'compression' => 'piz']];
        yield 'y.exr' => [self::EXR, ['kind' => 'exr', 'channels' => ['Y'], 'compression' => 'zips']];
        yield 'pxr.exr' => [self::EXR, ['kind' => 'exr', 'compression' => 'pxr24']];
        yield 'dwab.exr' => [self::EXR, ['kind' => 'exr', 'compression' => 'dwab']];
        yield 'id.exr' => [
            self::EXR,
            ['kind' => 'exr', 'width' => 7, 'height' => 5, 'bit_depth' => 32, 'sample' => 'uint', 'channels' => ['id']],
        ];
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('files')]
    public function test_the_header_is_read(string $folder, array $facts): void
    {
        $name = $this->dataName();
        foreach (ScanDepth::cases() as $depth) {
            $source = FileSource::open($folder.$name);
            $line = Probe::standard()->read($source, $depth)->toArray($name, true, $source->size());
            self::assertSame(true, $line['complete'], (string) $line['damage']);
            self::assertSame(
                $facts,
                array_intersect_key($line, $facts) === []
                    ? []
                    : array_map(
                        static fn (string $key): mixed => $line[$key],
                        array_combine(array_keys($facts), array_keys($facts)),
                    ),
            );
        }
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('files')]
    public function test_a_file_that_breaks_off_is_never_whole(string $folder, array $facts): void
    {
        $bytes = (string) file_get_contents($folder.$this->dataName());
        foreach ([
            1,
            8,
            20,
            60,
            intdiv(strlen($bytes), 2),
            intdiv(strlen($bytes) * 9, 10),
            strlen($bytes) - 1,
        ] as $length) {
            foreach (ScanDepth::cases() as $depth) {
                $found = Probe::standard()->read(
                    new StringSource(substr($bytes, 0, min($length, strlen($bytes) - 1))),
                    $depth,
                );
                self::assertFalse($found->isWhole(), "{$length} of ".strlen($bytes)." bytes, {$depth->value}");
            }
        }
        self::assertArrayHasKey('kind', $facts);
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('files')]
    public function test_zeros_where_the_picture_should_go_on_are_seen(string $folder, array $facts): void
    {
        $bytes = (string) file_get_contents($folder.$this->dataName());
        // files of one or two chunks: the last one's lead stands before the zeros, and the quick look reads no further
        if (in_array($this->dataName(), ['deeptile.exr', 'yca.exr', 'dwab.exr'], true)) {
            self::assertLessThan(7000, strlen($bytes));

            return;
        }
        $half = intdiv(strlen($bytes), 2);
        $found = Probe::standard()->read(
            new StringSource(substr($bytes, 0, $half).str_repeat("\0", strlen($bytes) - $half)),
        );

        self::assertFalse($found->isWhole(), json_encode($facts) ?: '');
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('files')]
    public function test_bytes_after_the_end_harm_nobody(string $folder, array $facts): void
    {
        $bytes = (string) file_get_contents($folder.$this->dataName());
        foreach (ScanDepth::cases() as $depth) {
            $found = Probe::standard()->read(new StringSource($bytes.str_repeat("\0", 700)), $depth);
            self::assertTrue($found->isWhole(), (string) $found->wholeness->reason);
        }
        self::assertSame($facts['kind'], $found->kind?->value);
    }

    public function test_in_full_one_wrong_byte_in_a_png_or_a_deflated_exr_is_seen(): void
    {
        mt_srand(3);
        foreach ([
            self::ENCODERS.'rgb8.png',
            self::ENCODERS.'rgba16.png',
            self::ENCODERS.'half-zip16.exr',
            self::ENCODERS.'float-zip1.exr',
            self::EXR.'dec.exr',
        ] as $path) {
            $bytes = (string) file_get_contents($path);
            for ($i = 0; $i < 25; $i++) {
                // in the picture: behind the header, before the end mark
                $at = mt_rand(intdiv(strlen($bytes), 2), strlen($bytes) - 14);
                $broken = $bytes;
                $broken[$at] = chr(ord($bytes[$at]) ^ mt_rand(1, 255));
                self::assertFalse(
                    Probe::standard()->read(new StringSource($broken), ScanDepth::Full)->isWhole(),
                    basename($path)." at {$at}",
                );
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function others(): iterable
    {
        foreach ([
            'tif' => 'tiff', 'tga' => 'tga', 'dpx' => 'dpx', 'bmp' => 'bmp', 'webp' => 'webp', 'mp4' => 'mp4',
            'mov' => 'mov', 'avi' => 'avi', 'mkv' => 'mkv', 'webm' => 'webm', 'mxf' => 'mxf', 'wav' => 'wav',
        ] as $extension => $kind) {
            yield "other.{$extension}" => [$kind];
        }
        yield 'footer.tga' => ['tga'];
    }

    #[DataProvider('others')]
    public function test_every_kind_is_told_by_its_signature(string $kind): void
    {
        $name = (string) $this->dataName();
        $facts = Probe::standard()->read(FileSource::open(self::ENCODERS.$name));

        self::assertSame($kind, $facts->kind?->value);
        self::assertTrue(Extension::agrees($name, $facts->kind));
        self::assertFalse(Extension::agrees('x.png', $facts->kind));
        self::assertTrue($facts->wholeness->complete);
    }

    public function test_what_is_nothing_of_it_is_nothing(): void
    {
        mt_srand(5);
        foreach ([
            '',
            'hello world, this is a text file',
            str_repeat("\0", 5000),
            '{"format": "plain-ledger/scene"}',
            "PK\x03\x04".str_repeat('x', 100),
            '%PDF-1.7',
            'GIF89a'.str_repeat("\0", 50),
        ] as $bytes) {
            self::assertNull(Probe::standard()->read(new StringSource($bytes))->kind, substr($bytes, 0, 10));
        }
        for ($i = 0; $i < 300; $i++) {
            $bytes = '';
            for ($n = mt_rand(1, 400); $n > 0; $n--) {
                $bytes .= chr(mt_rand(0, 255));
            }
            // whatever it is taken for, nothing is thrown
            self::assertContains(
                Probe::standard()->read(new StringSource($bytes))->wholeness->complete,
                [true, false, null],
            );
        }
    }
}
