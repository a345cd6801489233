<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\Decoders\ExrDecoder;
use PlainLedger\Core\Media\Decoders\GdDecoder;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Demo\ExrWriter;

/** Float pictures brought to a screen, beside the very pictures they were made of. */
final class ExrDecoderTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/';

    private static function decoded(string $file): Pixels
    {
        $source = FileSource::open(self::FIXTURES.$file);

        return PictureDecoder::standard()->decode($source, Probe::standard()->read($source));
    }

    /** @return iterable<string, array{string}> */
    public static function ofTheSamePicture(): iterable
    {
        foreach ([
            'float-none', 'float-rle', 'float-zip1', 'float-zip16', 'half-zip16', 'half-piz', 'tiled-mipmap',
            'tiled-ripmap', 'multipart',
        ] as $name) {
            yield $name => ["encoders/{$name}.exr"];
        }
    }

    /** Its values are those of the PNG over 255, taken as light: shown, they stand higher on the curve. */
    #[DataProvider('ofTheSamePicture')]
    public function test_every_pixel_is_the_one_it_was_made_of(string $file): void
    {
        $source = FileSource::open(self::FIXTURES.'encoders/rgb8.png');
        $png = (new GdDecoder)->decode($source, Probe::standard()->read($source));
        $exr = self::decoded($file);
        self::assertSame([$png->width(), $png->height()], [$exr->width(), $exr->height()]);
        $far = [];
        for ($y = 0; $y < $png->height(); $y++) {
            for ($x = 0; $x < $png->width(); $x++) {
                [$a, $b] = [$png->at($x, $y), $exr->at($x, $y)];
                foreach ([0, 1, 2] as $c) {
                    $light = $a[$c] / 255;
                    $shown = 255 * ($light <= 0.0031308 ? 12.92 * $light : 1.055 * $light ** (1 / 2.4) - 0.055);
                    if (abs($shown - $b[$c]) > 2) {
                        $far[] = "{$x},{$y}: {$b[$c]} for {$shown}";
                    }
                }
            }
        }
        self::assertSame([], array_slice($far, 0, 5));
    }

    public function test_alpha_is_seen_through_where_it_is(): void
    {
        $exr = self::decoded('encoders/gbra-float.exr');
        self::assertSame(255, $exr->at(3, 3)[3]);
        $source = FileSource::open(self::FIXTURES.'encoders/gbra-float.exr');
        self::assertFalse(
            PixelSampler::standard(
                new \PlainLedger\Core\Media\SampleOptions(false),
            )->sample($source, Probe::standard()->read($source))?->seenThrough,
        );
        $through = new StringSource(
            (new ExrWriter(32, 18))->write(array_fill(0, 18, [[16, [0.2, 0.3, 0.4, 1.0]], [16, [0.1, 0.1, 0.2, 0.5]]])),
        );
        self::assertTrue(
            PixelSampler::standard(
                new \PlainLedger\Core\Media\SampleOptions(false),
            )->sample($through, Probe::standard()->read($through))?->seenThrough,
        );
    }

    public function test_a_small_picture_and_a_sample(): void
    {
        $exr = self::decoded('encoders/half-zip16.exr');
        $small = imagecreatefromstring($exr->thumbnail(33)) ?: self::fail('no picture');
        self::assertSame([33, 19], [imagesx($small), imagesy($small)]);
        self::assertSame(3 * 16 * 16, strlen($exr->sample(16)));
        self::assertSame([66 * 3 * 20, 66 * 3 * 18], array_map(strlen(...), [...$exr->lines(20)]));
    }

    /** @return iterable<string, array{string, string}> */
    public static function others(): iterable
    {
        yield 'dwaa' => ['encoders/tiled-dwaa.exr', 'dwaa is not decoded'];
        yield 'deep' => ['exr/deep.exr', 'deep'];
        yield 'whole numbers' => ['exr/id.exr', 'whole numbers'];
        yield 'chroma of another size' => ['exr/yc.exr', 'not all of one size'];
    }

    #[DataProvider('others')]
    public function test_what_is_not_unpacked_here_says_so(string $file, string $why): void
    {
        $this->expectException(PixelsRefused::class);
        $this->expectExceptionMessage($why);
        self::decoded($file);
    }

    /** Whatever stands in the file: a picture, or a sentence. */
    public function test_broken_files_bring_nothing_down(): void
    {
        mt_srand(11);
        $refused = 0;
        foreach (['float-none', 'float-rle', 'float-zip16', 'half-zip16'] as $name) {
            $bytes = (string) file_get_contents(self::FIXTURES."encoders/{$name}.exr");
            $facts = Probe::standard()->read(new StringSource($bytes));
            for ($n = 0; $n < 40; $n++) {
                $broken = $bytes;
                for ($k = 0; $k < 6; $k++) {
                    $broken[mt_rand(0, strlen($broken) - 1)] = chr(mt_rand(0, 255));
                }
                $broken = $n % 4 === 0 ? substr($broken, 0, mt_rand(1, strlen($broken))) : $broken;
                try {
                    self::assertGreaterThan(0, (new ExrDecoder)->decode(new StringSource($broken), $facts)->width());
                } catch (PixelsRefused $sentence) {
                    self::assertNotSame('', $sentence->getMessage());
                    $refused++;
                }
                // and what tells it apart is there or not, but never a fault
                (new ExrDecoder)->tellsApart(new StringSource($broken), $facts);
            }
        }
        self::assertGreaterThan(20, $refused);
    }
}
