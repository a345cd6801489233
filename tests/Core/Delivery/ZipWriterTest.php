<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\Archive\ZipWriter;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\StringSource;
use Tests\Core\Support\Workbench;

/** An archive that is written as it goes is read by others, and by us. */
final class ZipWriterTest extends TestCase
{
    /** @param  array<array-key, string>  $files */
    private static function written(Workbench $bench, array $files): string
    {
        $entries = array_map(
            static fn (string $path, string $bytes): array => [$path, 1_790_000_000, new StringSource($bytes)],
            array_map(strval(...), array_keys($files)),
            $files,
        );
        $bench->put('a.zip', implode('', iterator_to_array(ZipWriter::write($entries), false)));

        return "{$bench->folder}/a.zip";
    }

    public function test_others_read_it_and_so_do_we(): void
    {
        $bench = new Workbench;
        $files = ['TC/a.0001.exr' => random_bytes(700_000), 'TC/ü b.txt' => '', 'TC/sub/c.txt' => "c\n", '7' => 'x'];
        $path = self::written($bench, $files);

        $zip = new \ZipArchive;
        self::assertTrue($zip->open($path, \ZipArchive::CHECKCONS));
        foreach ($files as $name => $bytes) {
            self::assertSame($bytes, $zip->getFromName((string) $name));
        }
        self::assertSame(1_790_000_000, $zip->statName('TC/a.0001.exr')['mtime'] ?? null);
        exec('unzip -tq '.escapeshellarg($path), $lines, $code);
        self::assertSame(0, $code, implode("\n", $lines));
        $listing = PlaceListing::of($path);
        $read = [];
        foreach ($listing->files() as $file) {
            /** @var ListedFile $file */
            $read[$file->path()] = $listing->open($file)->read(0, $file->size);
        }
        ksort($files);
        ksort($read);
        self::assertSame($files, $read);
        $sizes = array_map(
            static fn (string $name, string $bytes): array => [$name, strlen($bytes)],
            array_map(strval(...), array_keys($files)),
            $files,
        );
        self::assertSame(filesize($path), ZipWriter::length($sizes));
    }

    public function test_none_at_all_and_more_than_old_archives_count(): void
    {
        $bench = new Workbench;
        $path = self::written($bench, []);
        self::assertSame(22, filesize($path));
        self::assertSame(22, ZipWriter::length([]));
        $many = [];
        for ($n = 0; $n < 66_000; $n++) {
            $many["f{$n}"] = '';
        }
        $path = self::written($bench, $many);
        $zip = new \ZipArchive;
        self::assertTrue($zip->open($path));
        self::assertSame(66_000, $zip->count());
        self::assertSame(filesize($path), ZipWriter::length(array_map(
            static fn (string $name): array => [$name, 0],
            array_keys($many),
        )));
    }

    /** Four gigabytes and more, of which nothing is kept: what is told of them is looked at by another program. */
    public function test_sizes_beyond_four_gigabytes(): void
    {
        $size = 0x1_0000_0010;
        $long = new class($size) implements ByteSource
        {
            public function __construct(private readonly int $size) {}

            public function size(): int
            {
                return $this->size;
            }

            public function read(int $offset, int $length): string
            {
                return str_repeat("\0", max(0, min($length, $this->size - $offset)));
            }
        };
        $bench = new Workbench;
        $path = "{$bench->folder}/long.zip";
        $out = fopen($path, 'wb');
        self::assertIsResource($out);
        $length = 0;
        foreach (ZipWriter::write([['long.bin', 0, $long], ['b', 0, new StringSource('b')]]) as $piece) {
            $length += strlen($piece);
            // zeros are left out of the file: it takes next to nothing of the disk
            trim($piece, "\0") === '' ? fseek($out, strlen($piece), SEEK_CUR) : fwrite($out, $piece);
        }
        fclose($out);
        self::assertSame($length, ZipWriter::length([['long.bin', $size], ['b', 1]]));
        exec('unzip -Zv '.escapeshellarg($path).' long.bin', $lines, $code);
        self::assertSame(0, $code);
        self::assertStringContainsString((string) $size, implode("\n", $lines));
        $zip = new \ZipArchive;
        self::assertTrue($zip->open($path, \ZipArchive::RDONLY));
        self::assertSame([$size, 'b'], [$zip->statName('long.bin')['size'] ?? null, $zip->getFromName('b')]);
    }

    public function test_a_file_that_becomes_shorter_is_told(): void
    {
        $short = new class implements ByteSource
        {
            public function size(): int
            {
                return 10;
            }

            public function read(int $offset, int $length): string
            {
                return $offset === 0 ? 'abc' : '';
            }
        };
        $this->expectException(ArchiveRefused::class);
        iterator_to_array(ZipWriter::write([['x', 0, $short]]), false);
    }
}
