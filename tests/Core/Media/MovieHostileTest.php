<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\StringSource;

/** Movies that lie: broken at random, and on purpose. */
final class MovieHostileTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../fixtures/movies/';

    private const MUTATIONS = 1500;

    /** @return iterable<string, array{string}> */
    public static function containers(): iterable
    {
        foreach ([
            'h264.mp4', 'fragments.mp4', 'sound.mp4', 'ntsc.mov', 'run.mov', 'ffv1.mov', 'mpeg2.mov', 'jpeg.avi',
            'ffv1.avi', 'h264.avi', 'h264.mkv', 'ffv1.mkv', 'vp9.webm', 'mpeg2.mxf', 'sound.mxf', 'hevc.mp4', 'av1.mp4',
        ] as $file) {
            yield $file => [$file];
        }
    }

    #[DataProvider('containers')]
    public function test_whatever_is_changed_in_it_something_can_be_said(string $file): void
    {
        $bytes = (string) file_get_contents(self::FOLDER.$file);
        $tables = self::tables($bytes);
        mt_srand(crc32($file));
        $before = memory_get_usage();
        $longest = 0.0;
        for ($i = 0; $i < self::MUTATIONS; $i++) {
            $broken = self::broken($bytes, $tables);
            $began = microtime(true);
            $facts = Probe::standard()->read(
                new StringSource($broken),
                $i % 4 === 0 ? ScanDepth::Full : ScanDepth::Quick,
            );
            $longest = max($longest, microtime(true) - $began);
            self::assertTrue($facts->damage() === null || (string) $facts->wholeness->reason !== '');
        }
        self::assertLessThan(1.0, $longest, $file);
        self::assertLessThan(32 << 20, memory_get_usage() - $before);
    }

    /** @return list<int> places where what is changed matters most */
    private static function tables(string $bytes): array
    {
        $places = [];
        $words = [
            'moov', 'moof', 'stbl', 'stts', 'stsz', 'stco', 'stsc', 'ctts', 'elst', 'avcC', 'LIST', 'idx1', 'strf',
        ];
        foreach ($words as $word) {
            $at = strpos($bytes, $word);
            $places = $at === false ? $places : [...$places, $at];
        }

        return $places;
    }

    /** @param  list<int>  $tables */
    private static function broken(string $bytes, array $tables): string
    {
        for ($many = mt_rand(1, 6); $many > 0; $many--) {
            $base = $tables !== [] && mt_rand(0, 1) === 1 ? $tables[mt_rand(0, count($tables) - 1)] - 8 : 0;
            $at = max(0, min(strlen($bytes) - 8, $base + mt_rand(0, $base === 0 ? min(3000, strlen($bytes)) : 64)));
            $with = match (mt_rand(0, 4)) {
                0 => "\xFF\xFF\xFF\xFF",
                1 => "\0\0\0\0",
                2 => "\x7F\xFF\xFF\xFF",
                3 => "\0\0\0\1",
                default => chr(mt_rand(0, 255)),
            };
            $bytes = substr_replace($bytes, $with, $at, strlen($with));
        }

        return mt_rand(0, 5) === 0 ? substr($bytes, 0, mt_rand(12, strlen($bytes))) : $bytes;
    }

    private static function box(string $type, string $data): string
    {
        return pack('N', 8 + strlen($data)).$type.$data;
    }

    /** @return iterable<string, array{string}> */
    public static function lies(): iterable
    {
        $head = self::box('ftyp', 'isom'.pack('N', 512).'isom');
        yield 'text' => [$head.'This is no movie at all, but a text of some length that goes on for a while.'];
        yield 'a box of 2^63' => [$head.pack('N', 1).'moov'.pack('J', PHP_INT_MAX).str_repeat("\0", 64)];
        yield 'a box of nothing' => [$head.pack('N', 4).'moov'.str_repeat("\0", 64)];
        $nested = 'x';
        for ($i = 0; $i < 10_000; $i++) {
            $nested = self::box('moov', $nested);
        }
        yield 'ten thousand deep' => [$head.$nested];
        $table = self::box('stsz', pack('N3', 0, 0, 1_000_000_000));
        $track = self::box('trak', self::box('tkhd', str_repeat("\0", 84)).self::box('mdia', implode('', [
            self::box('mdhd', pack('N6', 0, 0, 0, 24, 0, 0)), self::box('hdlr', "\0\0\0\0\0\0\0\0vide\0\0\0\0"),
            self::box('minf', self::box('stbl', $table.self::box('stco', pack('N3', 0, 1, 99)))),
        ])));
        yield 'a table of 10^9 rows' => [$head.self::box('moov', $track).self::box('mdat', 'x')];
        yield 'only an index' => [$head.self::box('moov', self::box('mvhd', str_repeat("\0", 100)))];
        $ebml = "\x1A\x45\xDF\xA3\x84\x42\x82\x81x";
        yield 'an element that never ends' => [
            $ebml."\x18\x53\x80\x67\x01".str_repeat("\xFF", 7).str_repeat("\x1F\x43\xB6\x75\xFF", 50),
        ];
        yield 'partitions that point backwards' => [
            str_repeat("\x06\x0E\x2B\x34\x02\x05\x01\x01\x0D\x01\x02\x01\x01\x02\x04\x00\x04\0\0\0\0", 20),
        ];
        yield 'a list that is longer than the file' => ['RIFF'.pack('V', 1 << 30).'AVI LIST'.pack('V', 1 << 29).'hdrl'];
        yield 'an AVI of nothing' => ['RIFF'.pack('V', 4).'AVI '];
    }

    #[DataProvider('lies')]
    public function test_what_lies_is_damaged_and_says_why(string $bytes): void
    {
        $began = microtime(true);
        $facts = Probe::standard()->read(new StringSource($bytes), ScanDepth::Full);

        self::assertNotNull($facts->damage());
        self::assertNotSame('', (string) $facts->wholeness->reason);
        self::assertLessThan(1.0, microtime(true) - $began);
    }
}
