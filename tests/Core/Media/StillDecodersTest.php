<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;

/** Pictures of many packings, each beside the one that its encoder was given. */
final class StillDecodersTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../fixtures/stills/';

    private const SAME = [
        'ffmpeg-24.bmp', 'ffmpeg-32.bmp', 'ffmpeg-deflate.tif', 'ffmpeg-lzw.tif', 'ffmpeg-packbits.tif',
        'ffmpeg-raw.tga', 'ffmpeg-raw.tif', 'ffmpeg-rgba.dpx', 'ffmpeg-rgba.tif', 'ffmpeg-tall.dpx', 'gm-10.dpx',
        'gm-lzw.tif', 'im-16-le.dpx', 'im-2.bmp', 'im-3.bmp', 'im-big.tif', 'im-msb-lzw.tif', 'im-pages.tif',
        'im-planes.tif', 'im-tiled-zip.tif', 'im-uint32.tif', 'im-unassociated.tif', 'lossless-alpha.webp',
        'pil-alpha-lossless.webp', 'pil-deflate.tif', 'pil-lzw.tif', 'pil-packbits.tif', 'pil-raw.tif',
        'pil-rgb-rle.tga', 'pil-rgb.bmp', 'pil-rgb.tga', 'pil-rgba-rle.tga', 'pil-rgba.tga', 'pil-rgba.tif',
        'tiffcp-predictor.tif', 'tiffcp-separate.tif',
    ];

    /** Their encoder rounded sixteen, twelve or ten bits otherwise than down. */
    private const NEARLY = [
        'ffmpeg-10.dpx', 'ffmpeg-12-le.dpx', 'ffmpeg-16-le.dpx', 'ffmpeg-16.dpx', 'ffmpeg-rgb48.tif',
        'ffmpeg-rgba64.dpx', 'ffmpeg-rgba64.tif', 'im-10.dpx', 'im-12.dpx', 'tiffcp-big-endian16.tif',
        'tiffcp-big-msb.tif', 'tiffcp-tiles16.tif',
    ];

    /** Of values over 255 taken as light, and shown by the curve of sRGB. */
    private const LIGHT = [
        'float.exr', 'im-float16.tif', 'im-float32.tif', 'noise-piz.exr', 'noise-pxr24.exr', 'noise-zip.exr',
        'tiled-float-piz.exr', 'tiled-float-pxr24.exr', 'tiled-piz.exr', 'tiled-pxr24.exr', 'tiled-rle.exr',
        'views.exr',
    ];

    /** Lossy, or of fewer values: told by their mean. */
    private const LIKE = [
        'im-jpeg.tif' => 6, 'pil-jpeg.tif' => 6, 'lossy.webp' => 24, 'pil-p.tga' => 10, 'pil-p-rle.tga' => 10,
        'pil-p.bmp' => 10, 'pil-palette.tif' => 10, 'ffmpeg-palette.tga' => 10, 'im-palette16.tif' => 12,
        'ffmpeg-555.bmp' => 14, 'ffmpeg-565.bmp' => 14, 'ffmpeg-555.tga' => 16,
    ];

    private static function decoded(string $name, string $layer = ''): Pixels
    {
        $source = FileSource::open(self::FOLDER.$name);

        return PictureDecoder::standard()->decode($source, Probe::standard()->read($source), $layer);
    }

    private static function bytes(Pixels $pixels): string
    {
        return implode('', [...$pixels->lines(16)]);
    }

    /** @return array{int, float} the largest difference and the mean one */
    private static function apart(string $a, string $b): array
    {
        self::assertSame(strlen($a), strlen($b));
        [$most, $sum] = [0, 0];
        for ($i = 0, $many = strlen($a); $i < $many; $i++) {
            $far = abs(ord($a[$i]) - ord($b[$i]));
            $most = max($most, $far);
            $sum += $far;
        }

        return [$most, $sum / strlen($a)];
    }

    public function test_what_keeps_every_bit_gives_every_pixel(): void
    {
        $noise = self::bytes(self::decoded('noise.png'));
        foreach (self::SAME as $name) {
            self::assertTrue($noise === self::bytes(self::decoded($name)), $name);
        }
        foreach (self::NEARLY as $name) {
            self::assertLessThanOrEqual(1, self::apart($noise, self::bytes(self::decoded($name)))[0], $name);
        }
    }

    public function test_floats_are_shown_by_a_plain_view(): void
    {
        $shown = '';
        foreach (str_split(self::bytes(self::decoded('noise.png'))) as $byte) {
            $light = ord($byte) / 255;
            $curve = $light <= 0.0031308 ? 12.92 * $light : 1.055 * $light ** (1 / 2.4) - 0.055;
            $shown .= chr((int) round(255 * $curve));
        }
        foreach (self::LIGHT as $name) {
            self::assertLessThanOrEqual(2, self::apart($shown, self::bytes(self::decoded($name)))[0], $name);
        }
    }

    public function test_a_layer_of_its_own_is_shown_by_its_name(): void
    {
        $views = self::decoded('views.exr', 'right');
        self::assertTrue(self::bytes(self::decoded('float.exr')) === self::bytes($views));
        $this->expectExceptionMessage('it has no layer mist that can be shown');
        self::decoded('views.exr', 'mist');
    }

    public function test_what_loses_something_is_like_it(): void
    {
        $noise = self::bytes(self::decoded('noise.png'));
        foreach (self::LIKE as $name => $most) {
            self::assertLessThan($most, self::apart($noise, self::bytes(self::decoded($name)))[1], $name);
        }
    }

    public function test_greys_and_alpha_are_what_they_were(): void
    {
        $grey = self::bytes(self::decoded('ffmpeg-grey.tif'));
        $greys = ['ffmpeg-grey.dpx', 'ffmpeg-grey.bmp', 'pil-l.tga', 'pil-l-rle.tga', 'pil-l.bmp', 'pil-grey.tif'];
        foreach ($greys as $name) {
            self::assertLessThanOrEqual(2, self::apart($grey, self::bytes(self::decoded($name)))[0], $name);
        }
        $halves = ['pil-rgba.tga', 'pil-la.tga', 'pil-rgba.tif', 'lossless-alpha.webp', 'im-unassociated.tif'];
        foreach ($halves as $name) {
            self::assertEqualsWithDelta(128, self::decoded($name)->at(20, 20)[3], 2, $name);
        }
        self::assertSame(255, self::decoded('ffmpeg-32.bmp')->at(20, 20)[3]);
    }

    public function test_colours_that_alpha_has_darkened_are_shown_as_they_were(): void
    {
        // the same picture, kept in both ways
        $image = static fn (string $name): \GdImage => imagecreatefromstring(self::decoded($name)->thumbnail(64))
            ?: self::fail($name);
        [$darkened, $plain] = [$image('im-associated.tif'), $image('im-unassociated.tif')];
        [$most, $alphas] = [0, []];
        for ($y = 0; $y < imagesy($plain); $y++) {
            for ($x = 0; $x < imagesx($plain); $x++) {
                [$a, $b] = [imagecolorsforindex($darkened, (int) imagecolorat($darkened, $x, $y)),
                    imagecolorsforindex($plain, (int) imagecolorat($plain, $x, $y))];
                $alphas[$b['alpha']] = true;
                if ($b['alpha'] < 120) {
                    $most = max($most, abs($a['red'] - $b['red']), abs($a['green'] - $b['green']));
                }
            }
        }
        self::assertNotSame([], array_filter(array_keys($alphas), static fn (int $a): bool => $a > 20 && $a < 120));
        self::assertLessThan(8, $most);
    }

    public function test_a_palette_with_run_lengths_and_one_bit_is_read(): void
    {
        foreach (['im-rle.bmp' => 12, 'ffmpeg-bgra.tga' => 1, 'im-alpha.bmp' => 1] as $name => $most) {
            $source = FileSource::open(__DIR__.'/../../fixtures/encoders/rgb8.png');
            $picture = PictureDecoder::standard()->decode($source, Probe::standard()->read($source));
            [, $mean] = self::apart(self::bytes($picture), self::bytes(self::decoded($name)));
            self::assertLessThan($most, $mean, $name);
        }
        $mono = self::decoded('ffmpeg-mono.bmp');
        self::assertTrue(self::bytes($mono) === self::bytes(self::decoded('ffmpeg-mono.tif')));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'fax' => ['im-group4.tif', 'packed by ccitt-g4'];
        yield 'a stranger to PHP' => ['im-zstd.tif', 'packed by zstd'];
        yield 'inks' => ['pil-cmyk.tif', 'its channels are C, M, Y, K'];
        yield 'luminance' => ['ffmpeg-yuv420.tif', 'luminance'];
        yield 'animation' => ['animated.webp', 'it is an animation'];
    }

    #[DataProvider('refused')]
    public function test_what_is_not_unpacked_says_why(string $name, string $why): void
    {
        $this->expectException(PixelsRefused::class);
        $this->expectExceptionMessage($why);
        self::decoded($name);
    }

    /** A header of a few bytes must not be believed what it costs. */
    public function test_a_picture_of_four_billion_pixels_is_refused_before_it_is_unpacked(): void
    {
        $tga = pack('C3vvCvvvvCC', 0, 0, 10, 0, 0, 0, 0, 0, 65535, 65535, 24, 0).str_repeat("\xFF\0\0\0", 300);
        $tiff = "II*\0".pack('V', 8).pack('v', 5);
        foreach ([[256, 4, 1, 65535], [257, 4, 1, 65535], [259, 3, 1, 8], [273, 4, 1, 80], [279, 4, 1, 50]] as $entry) {
            $tiff .= pack('vvVV', ...$entry);
        }
        $tiff .= pack('V', 0).str_repeat("\0", 200);
        $bmp = 'BM'.pack('VVV', 0, 0, 54).pack('VVVvvVVVVVV', 40, 65535, 65535, 1, 8, 1, 90, 0, 0, 0, 0)
            .str_repeat("\xFF\0", 60);
        foreach ([$tga, $tiff, $bmp] as $bytes) {
            $source = new StringSource($bytes);
            $facts = Probe::standard()->read($source);
            memory_reset_peak_usage();
            $before = memory_get_usage();
            try {
                PictureDecoder::standard()->decode($source, $facts);
                self::fail('It was unpacked.');
            } catch (FileTooLarge|PixelsRefused) {
                self::assertLessThan(16 << 20, memory_get_peak_usage() - $before);
            }
        }
    }

    public function test_broken_pixels_end_in_a_picture_or_a_sentence(): void
    {
        mt_srand(3);
        $refused = 0;
        foreach ([
            'ffmpeg-lzw.tif', 'tiffcp-tiles16.tif', 'tiffcp-separate.tif', 'pil-rgb-rle.tga', 'im-rle.bmp',
            'gm-10.dpx', 'noise-piz.exr', 'tiled-pxr24.exr', 'im-palette16.tif', 'im-jpeg.tif', 'pil-p.tga',
        ] as $name) {
            $whole = (string) file_get_contents(self::FOLDER.$name);
            for ($try = 0; $try < 60; $try++) {
                $bytes = $whole;
                for ($i = mt_rand(1, 5); $i > 0; $i--) {
                    $bytes[mt_rand(0, strlen($bytes) - 1)] = chr(mt_rand(0, 255));
                }
                $source = new StringSource($bytes);
                try {
                    $pixels = PictureDecoder::standard()->decode($source, Probe::standard()->read($source));
                    self::assertGreaterThan(0, strlen(self::bytes($pixels)));
                } catch (PixelsRefused|FileTooLarge) {
                    $refused++;
                }
            }
        }
        self::assertGreaterThan(50, $refused);
    }
}
