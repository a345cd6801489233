<?php

declare(strict_types=1);

namespace Tests\Core\Checksums;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\C4Id;
use PlainLedger\Core\Checksums\ListedSum;
use PlainLedger\Core\Checksums\Manifest;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Media\StringSource;

/** Lists of checksums in every form that people hand in. */
final class SumListsTest extends TestCase
{
    private const MD5 = '0cc175b9c0f1b6a831c399e269772661';

    private const XXH64 = 'd24ec4f1a98c6e5b';

    /** @return list<string> */
    private static function lines(string $text, string $name = 'checksums.txt'): array
    {
        return array_map(
            static fn (ListedSum $s): string => "{$s->algorithm->value} {$s->sum} {$s->path}",
            iterator_to_array(SumLines::read($text, $name), false),
        );
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function forms(): iterable
    {
        $sha = str_repeat('ab', 32);
        yield 'two spaces' => ['x.md5', self::MD5."  a/b c.png\n", ['md5 '.self::MD5.' a/b c.png']];
        yield 'marked binary, lines of Windows' => ['x.md5', self::MD5." *a.png\r\n".self::MD5." *b.png\r\n", [
            'md5 '.self::MD5.' a.png', 'md5 '.self::MD5.' b.png',
        ]];
        yield 'a tab' => ['x.sha256', "{$sha}\ta.png", ["sha256 {$sha} a.png"]];
        yield 'the algorithm before' => ['x.txt', "SHA2-256 (a (1).png) = {$sha}\nXXH128 (b.png) = ".self::MD5."\n", [
            "sha256 {$sha} a (1).png", 'xxh128 '.self::MD5.' b.png',
        ]];
        yield 'a name escaped by GNU' => [
            'x.md5', '\\'.self::MD5."  a\\\\b\\nc.png\n", ['md5 '.self::MD5." a\\b\nc.png"],
        ];
        yield 'folders of Windows' => ['x.md5', self::MD5."  shots\\a.png\n", ['md5 '.self::MD5.' shots/a.png']];
        yield 'xxHash by its length' => ['x.txt', self::XXH64."  a.png\n", ['xxh64 '.self::XXH64.' a.png']];
        yield 'xxHash 3 by its prefix' => ['x.txt', 'XXH3_'.self::XXH64."  a.png\n", ['xxh3 '.self::XXH64.' a.png']];
        yield 'xxHash 128 by the list’s name' => [
            'all.xxh128', self::MD5."  a.png\n", ['xxh128 '.self::MD5.' a.png'],
        ];
        yield 'capitals, remarks, the mark of UTF-8' => [
            'x.md5', "\u{FEFF}".strtoupper(self::MD5)."  a.png\n# made by hand\n; so\n\n",
            ['md5 '.self::MD5.' a.png'],
        ];
        yield 'a sum that is too short, a sum alone' => ['x.md5', substr(self::MD5, 1)."  a.png\n".self::MD5."\n", []];
        yield 'the length of another algorithm' => ['x.txt', 'MD5 (a.png) = '.self::XXH64."\n", []];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('forms')]
    public function test_lines(string $name, string $text, array $expected): void
    {
        self::assertSame($expected, self::lines($text, $name));
    }

    public function test_what_is_written_is_read_again(): void
    {
        $sums = array_fill_keys(["a\nb", 'c\\d', ' lead', 'plain', '7'], self::MD5);
        $text = implode('', iterator_to_array(SumLines::write($sums), false));
        $again = iterator_to_array(SumLines::read($text, 'x.md5'), false);

        self::assertSame("a\nb", $again[0]->path);
        self::assertSame('c\\d', $again[1]->path);
        self::assertSame(['plain', '7'], [$again[3]->path, $again[4]->path]);
    }

    public function test_names_of_algorithms(): void
    {
        $named = static fn (string $w): ?string => SumAlgorithm::named($w)?->value;

        self::assertSame(['sha256', 'sha256', 'sha1'], [$named('SHA-256'), $named('sha2_256'), $named('SHA1')]);
        self::assertSame(['xxh64', 'xxh3', 'xxh128'], [$named('XXHash64BE'), $named('xxh3_64'), $named('XXH3_128')]);
        self::assertNull($named('crc32'));
        foreach (SumAlgorithm::cases() as $each) {
            self::assertSame($each->digits(), strlen(hash($each->value, '')));
            self::assertSame($each, SumAlgorithm::named($each->label()));
        }
    }

    /** The identifier of no bytes at all, as the standard's authors publish it. */
    public function test_c4_identifiers(): void
    {
        $empty = 'c459dsjfscH38cYeXXYogktxf4Cd9ibshE3BHUo6a58hBXmRQdZrAkZzsWcbWtDg5oQstpDuni4Hirj75GEmTc1sFT';

        self::assertSame($empty, C4Id::ofText(''));
        self::assertSame(hash('sha512', ''), C4Id::toSha512($empty));
        self::assertSame('c4'.str_repeat('1', 88), C4Id::ofSha512(str_repeat('0', 128)));
        self::assertSame(str_repeat('0', 128), C4Id::toSha512('c4'.str_repeat('1', 88)));
        self::assertNull(C4Id::toSha512('c4'.str_repeat('0', 88)));
        self::assertNull(C4Id::toSha512('c4'.str_repeat('z', 88)));
    }

    private static function manifest(string $hashes): string
    {
        return '<?xml version="1.0" encoding="UTF-8"?><hashlist version="2.0" xmlns="urn:ASC:MHL:v2.0"><hashes>'
            .$hashes.'</hashes></hashlist>';
    }

    public function test_media_hash_lists(): void
    {
        $c4 = C4Id::ofText('a');
        $text = self::manifest(
            '<hash><path size="1">Clips/a &amp; b.mov</path><xxh64 action="original">'.self::XXH64.'</xxh64></hash>'
            .'<hash><path size="1">again.mov</path><md5 action="failed">'.self::MD5.'</md5><xxh128 action="verified">'
            .strtoupper(self::MD5).'</xxh128></hash>'
            .'<hash><path>only-failed.mov</path><md5 action="failed">'.self::MD5.'</md5></hash>'
            ."<hash><path>c4.mov</path><c4>{$c4}</c4></hash>"
            .'<directoryhash><path>Clips</path><content><xxh64>'.self::XXH64.'</xxh64></content></directoryhash>',
        );
        $found = array_map(
            static fn (ListedSum $s): array => [$s->path, $s->algorithm->value, $s->sum],
            iterator_to_array(Manifest::read($text), false),
        );

        self::assertSame([
            ['Clips/a & b.mov', 'xxh64', self::XXH64],
            ['again.mov', 'xxh128', self::MD5],
            ['c4.mov', 'sha512', hash('sha512', 'a')],
        ], $found);
        self::assertTrue(Manifest::isOne($text));
        self::assertSame([], iterator_to_array(Manifest::read('<hashlist><hash><path>a'), false));
        // version 1, as it was written on Windows
        $one = '<hashlist version="1.1"><hash><file>a\\b.mov</file><size>3</size><xxhash64be>'.self::XXH64
            .'</xxhash64be></hash></hashlist>';
        [$sum] = iterator_to_array(Manifest::read($one), false);
        self::assertSame(['a/b.mov', SumAlgorithm::Xxh64], [$sum->path, $sum->algorithm]);
    }

    public function test_a_document_that_would_read_other_files_reads_none(): void
    {
        $text = '<?xml version="1.0"?><!DOCTYPE h [<!ENTITY e SYSTEM "file:///etc/hostname">]><hashlist><hash><path>'
            .'x&e;</path><md5>'.self::MD5.'</md5></hash></hashlist>';
        foreach (Manifest::read($text) as $sum) {
            self::assertSame('x', $sum->path);
        }
        $bomb = '<!DOCTYPE h [<!ENTITY a0 "'.str_repeat('x', 1000).'">'
            .implode('', array_map(
                static fn (int $n): string => sprintf('<!ENTITY a%d "%s">', $n + 1, str_repeat("&a{$n};", 10)),
                range(0, 8),
            )).']><hashlist><hash><path>&a9;</path><md5>'.self::MD5.'</md5></hash></hashlist>';
        $began = memory_get_usage();
        iterator_count(Manifest::read($bomb));
        self::assertLessThan(50_000_000, memory_get_usage() - $began);
    }

    /** @return list<string> */
    private static function placed(string $text, string $folder, string $name = 'x.md5'): array
    {
        $sums = ChecksumList::read(new StringSource($text), $folder, $name)->sums;

        return array_map(strval(...), array_keys($sums));
    }

    public function test_where_the_paths_of_a_list_lead(): void
    {
        $of = static fn (string ...$paths): string => implode(
            '',
            array_map(static fn (string $p): string => self::MD5."  {$p}\n", $paths),
        );

        self::assertSame(['v1/a.png'], self::placed($of('./a.png'), 'v1'));
        self::assertSame(['frames/a.png'], self::placed($of('../frames/a.png'), 'sums'));
        // one that leads out of the delivery is none of its files
        self::assertSame(['../secret/a.png'], self::placed($of('../../secret/a.png'), 'sums'));
        // absolute ones are of the machine it was written on
        self::assertSame(['a/1.png', 'b/2.png'], self::placed($of('/mnt/r/a/1.png', '/mnt/r/b/2.png'), ''));
        self::assertSame(['v1/1.png'], self::placed($of('D:\\r\\1.png'), 'v1'));
        self::assertSame(['mnt/r/1.png', '2.png'], self::placed($of('/mnt/r/1.png', '2.png'), ''));
        $manifest = self::manifest('<hash><path>a/1.png</path><md5>'.self::MD5.'</md5></hash>');
        self::assertSame(['a/1.png'], self::placed($manifest, 'ascmhl', '0001_x.mhl'));
        self::assertSame(['v1/a/1.png'], self::placed($manifest, 'v1/ascmhl', '0001_x.mhl'));
        self::assertSame(['v1/a/1.png'], self::placed($manifest, 'v1', 'x.mhl'));
    }

    public function test_a_million_lines(): void
    {
        $text = '';
        for ($n = 0; $n < 1_000_000; $n++) {
            $text .= self::MD5.sprintf("  f.%07d.exr\n", $n);
        }
        $seen = 0;
        foreach (SumLines::read($text, 'x.md5') as $sum) {
            $seen += $sum->path === '' ? 0 : 1;
        }
        self::assertSame(1_000_000, $seen);
    }
}
