<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\Decoders\GdDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Demo\PngWriter;

final class PixelsTest extends TestCase
{
    private static function line(): array
    {
        return [[2, [1.0, 0.0, 0.0, 1.0]], [2, [0.0, 0.0, 1.0, 0.0]]];
    }

    public function test_png_and_jpeg_are_decoded(): void
    {
        foreach ([8, 16] as $bits) {
            $source = new StringSource((new PngWriter(4, 2, 'RGBA', $bits))->write([self::line(), self::line()]));
            $pixels = (new GdDecoder)->decode($source, Probe::standard()->read($source));
            self::assertSame([4, 2], [$pixels->width(), $pixels->height()]);
            self::assertSame([255, 0, 0, 255], $pixels->at(0, 0));
            self::assertSame([0, 0, 255, 0], $pixels->at(3, 1));
        }
        foreach (['q90-420.jpg', 'grey.jpg', 'cmyk.jpg', 'palettealpha.png', 'mono1.png', 'interlaced.png'] as $name) {
            $source = new StringSource((string) file_get_contents(__DIR__."/../../fixtures/encoders/{$name}"));
            $facts = Probe::standard()->read($source);
            $pixels = (new GdDecoder)->decode($source, $facts);
            self::assertSame(
                [$facts->picture->width, $facts->picture->height],
                [$pixels->width(), $pixels->height()],
                $name,
            );
            $small = Probe::standard()->read(new StringSource($pixels->thumbnail(20)));
            self::assertSame(
                [Kind::Png, 20],
                [$small->kind, max((int) $small->picture->width, (int) $small->picture->height)],
            );
        }
    }

    public function test_what_cannot_be_decoded_is_refused_before_it_is_unpacked(): void
    {
        $png = new StringSource((new PngWriter(4, 1))->write([self::line()]));
        $broken = substr_replace((new PngWriter(4, 1))->write([self::line()]), 'xxxx', 45, 4);
        foreach ([
            [$png, new MediaFacts(Kind::Exr, new PictureFacts(4, 1))], [$png, new MediaFacts(null)],
            [new StringSource($broken), new MediaFacts(Kind::Png, new PictureFacts(4, 1))],
        ] as [$source, $facts]) {
            try {
                (new GdDecoder)->decode($source, $facts);
                self::fail('It was decoded.');
            } catch (PixelsRefused $refused) {
                self::assertStringStartsWith('The picture cannot be shown', $refused->getMessage());
            }
        }
        $this->expectException(\OutOfRangeException::class);
        (new GdDecoder)->decode($png, Probe::standard()->read($png))->at(4, 0);
    }
}
