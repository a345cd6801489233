<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\Decoders\Movies\MoviePictures;
use PlainLedger\Core\Media\Decoders\Movies\PointGrid;
use PlainLedger\Core\Media\Decoders\Movies\RunLines;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;

/** The same pictures in several movies, each unpacked in its own way. */
final class MoviePicturesTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../fixtures/movies/';

    /** @return array<int, string> grids of the first and the fourth picture */
    private static function grids(string $name): array
    {
        $source = FileSource::open(self::FOLDER.$name);
        $facts = Probe::standard()->read($source);
        self::assertNull(MoviePictures::whyNot($facts));

        return iterator_to_array(MoviePictures::of($source, $facts)?->grids([0 => true, 3 => true]) ?? []);
    }

    /** @return iterable<string, array{string, int}> file, and how far it may be on the mean, in hundredths of 255 */
    public static function movies(): iterable
    {
        yield 'runs of pixels' => ['run24.mov', 0];
        yield 'runs with alpha' => ['run.mov', 0];
        yield 'PNG with alpha' => ['png.mov', 0];
        yield 'PNG in AVI' => ['png.avi', 0];
        yield 'lines from the top' => ['raw.avi', 0];
        yield 'eight bits of light and colour difference' => ['raw.mov', 150];
        yield 'ten bits of them' => ['v210.mov', 150];
        yield 'JPEG' => ['jpeg.mov', 300];
        yield 'JPEG in Matroska' => ['jpeg.mkv', 400];
        yield 'sixteen bits' => ['png48.mov', 100];
    }

    #[DataProvider('movies')]
    public function test_they_come_out_alike(string $name, int $most): void
    {
        foreach (self::grids('rgb.mov') as $place => $expected) {
            $found = self::grids($name)[$place];
            $sum = 0;
            for ($i = 0; $i < PointGrid::COUNT; $i++) {
                $sum += abs(ord($expected[$i]) - ord($found[$i]));
            }
            self::assertLessThanOrEqual($most * PointGrid::COUNT, 100 * $sum, "picture {$place}");
        }
    }

    public function test_pictures_of_one_movie_are_not_alike(): void
    {
        [$first, $fourth] = array_values(self::grids('rgb.mov'));

        self::assertNotSame($first, $fourth);
    }

    public function test_runs_that_leave_the_picture_are_refused(): void
    {
        $head = "\0\0\0\x20\0\0";
        $lines = new RunLines(2, 1, 3);
        // one run of two pixels, drawn and ended
        $lines->draw($head."\1\xFE\x10\x20\x30\xFF\0\0");
        self::assertSame(chr(PointGrid::light(0x10, 0x20, 0x30)), $lines->grid()[0]);

        $this->expectException(PixelsRefused::class);
        $lines->draw($head."\1\xF0\x10\x20\x30\xFF\0\0");
    }

    public function test_lines_that_are_too_many_are_refused(): void
    {
        $this->expectException(PixelsRefused::class);
        (new RunLines(2, 1, 3))->draw("\0\0\0\x20\0\x08\0\0\0\0\0\x05\0\0\1\xFF\1\xFF\1\xFF\1\xFF");
    }
}
