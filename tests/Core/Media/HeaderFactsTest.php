<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\Readers\ExrTiles;
use PlainLedger\Core\Media\Readers\JpegFrame;
use PlainLedger\Core\Media\Readers\PngChunks;

/** Single pieces of headers, each by itself. */
final class HeaderFactsTest extends TestCase
{
    /** @return iterable<string, array{int, int}> mode as it is stored, and tiles of 32 × 32 in 100 × 50 pixels */
    public static function levels(): iterable
    {
        // 4 × 2
        yield 'one level' => [0x00, 8];
        // 100 × 50, 50 × 25, 25 × 12, 12 × 6, 6 × 3, 3 × 1, 1 × 1
        yield 'each half as large' => [0x01, 15];
        // 100 × 50, 50 × 25, 25 × 13, 13 × 7, 7 × 4, 4 × 2, 2 × 1, 1 × 1
        yield 'each half as large, rounded up' => [0x11, 16];
        // widths 4 + 2 + 5 × 1, heights 2 + 5 × 1, each with each
        yield 'width and height halved apart' => [0x02, 77];
    }

    #[DataProvider('levels')]
    public function test_tiles_of_all_levels_are_counted(int $mode, int $tiles): void
    {
        self::assertSame($tiles, ExrTiles::read(pack('VVC', 32, 32, $mode))?->count(100, 50));
    }

    public function test_tiles_of_no_size_are_refused(): void
    {
        self::assertNull(ExrTiles::read('short'));
        $this->expectException(FileDamaged::class);
        ExrTiles::read(pack('VVC', 0, 32, 0));
    }

    /** @return iterable<string, array{list<array{string, string}>, string|null}> chunks, and the encoding they name */
    public static function colours(): iterable
    {
        yield 'code points' => [[['cICP', "\x09\x10\x00\x01"]], 'rec2100-pq'];
        yield 'code points of no one word' => [[['cICP', "\x02\x02\x00\x01"]], null];
        yield 'code points cut short' => [[['cICP', "\x09\x10"]], null];
        yield 'a gamma' => [[['gAMA', pack('N', 100_000)]], 'linear'];
        yield 'a gamma of no encoding' => [[['gAMA', pack('N', 50_000)]], null];
        yield 'the mark above a gamma' => [[['gAMA', pack('N', 100_000)], ['sRGB', "\0"]], 'srgb'];
        $profile = "screen\0\0".gzcompress('Display P3');
        yield 'a profile above a gamma' => [[['gAMA', pack('N', 45_455)], ['iCCP', $profile]], 'display-p3'];
        yield 'a profile that names none' => [[['gAMA', pack('N', 45_455)], ['iCCP', "mine\0\0"]], null];
    }

    /** @param  list<array{string, string}>  $given */
    #[DataProvider('colours')]
    public function test_chunks_name_a_colour_encoding(array $given, ?string $colour): void
    {
        $chunks = new PngChunks;
        foreach ($given as [$type, $data]) {
            $chunks->take($type, $data, strlen($data));
        }
        self::assertSame($colour, $chunks->colour());
    }

    public function test_other_chunks_are_noted(): void
    {
        $chunks = new PngChunks;
        $chunks->take('acTL', pack('NN', 12, 0), 8);
        $chunks->take('tRNS', "\0\0", 2);
        $chunks->take('pHYs', pack('NNC', 11_811, 5906, 1), 9);
        $chunks->take('tEXt', "Camera\0cam_quay", 15);
        $chunks->take('iTXt', "Note\0\1\0\0\0".gzcompress('packed'), 20);
        self::assertTrue($chunks->transparent);
        self::assertSame([300, 'cam_quay'], [$chunks->density, $chunks->camera()]);
        self::assertSame('5906/11811', (string) $chunks->pixelAspect());
        self::assertSame(
            ['animation frames' => '12', 'density' => '300 ppi', 'Camera' => 'cam_quay', 'Note' => 'packed'],
            $chunks->header,
        );
    }

    /**
     * @return iterable<string, array{list<int>, string|null}> factors of each component, and what is written for them
     */
    public static function factors(): iterable
    {
        yield 'none is left out' => [[0x11, 0x11, 0x11], '4:4:4'];
        yield 'half across' => [[0x21, 0x11, 0x11], '4:2:2'];
        yield 'half across and down' => [[0x22, 0x11, 0x11], '4:2:0'];
        yield 'half across of larger factors' => [[0x42, 0x22, 0x22], '4:2:2'];
        yield 'a quarter' => [[0x41, 0x11, 0x11], '4:1:1'];
        yield 'half down' => [[0x12, 0x11, 0x11], '4:4:0'];
        yield 'no whole factor' => [[0x31, 0x21, 0x21], null];
        yield 'the two differ' => [[0x22, 0x11, 0x21], null];
        yield 'grey' => [[0x11], null];
    }

    /** @param  list<int>  $factors */
    #[DataProvider('factors')]
    public function test_chroma_is_told_by_the_factors(array $factors, ?string $chroma): void
    {
        $data = pack('CnnC', 8, 10, 20, count($factors));
        foreach ($factors as $n => $factor) {
            $data .= pack('CCC', $n + 1, $factor, 0);
        }
        self::assertSame($chroma, JpegFrame::read($data, 0xC0)->chroma());
    }
}
