<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\Archive\ZipListing;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** Archives, read in place as if they had been unpacked. */
final class ZipListingTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/';

    private const NOW = 1_700_000_000;

    /**
     * @param  array<string, string>  $files  contents by name
     * @param  int  $method  of packing
     */
    private static function zip(array $files, int $method = \ZipArchive::CM_DEFLATE): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'pl-zip');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
            $zip->setCompressionName($name, $method);
            $zip->setMtimeName($name, self::NOW);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @return list<ListedFile> */
    private static function listed(string $zip): array
    {
        return [...ZipListing::of(new StringSource($zip), 'a.zip', 'in/a')->files()];
    }

    private static function delivery(string $zip): Delivery
    {
        return (new Scan(ZipListing::of(new StringSource($zip), 'a.zip', 'in/a'), Probe::standard()))->run(self::NOW);
    }

    /** @return array<string, mixed> without when and where */
    private static function checked(Specification $specification, Delivery $delivery): array
    {
        $text = (new JsonReport)->write(CheckReport::of($specification, null, $delivery));

        return (array) json_decode($text, true);
    }

    public function test_a_delivery_is_judged_the_same_in_a_folder_and_in_every_kind_of_archive(): void
    {
        $pictures = [];
        foreach (['rgb8.png', 'rgb16.png', 'rgba8.png', 'q90-420.jpg', 'half-zip16.exr', 'other.tif'] as $i => $name) {
            $pictures[] = (string) file_get_contents(self::FIXTURES."encoders/{$name}");
        }
        mt_srand(7);
        for ($case = 0; $case < 60; $case++) {
            $bench = new Workbench;
            $files = self::frames($pictures);
            foreach ($files as $name => $bytes) {
                $bench->put($name, $bytes);
            }
            $specification = Workbench::specification([
                'picture.resolution' => '66x38', 'time.range' => '1-8', 'format.kind' => 'png',
                'format.bit_depth' => 8, 'naming.pattern' => 'vane_{frame:4}.{ext}', 'delivery.extras' => 'none',
                'content.whole' => 'yes', 'content.uniform' => 'yes', 'content.black' => 'none',
            ]);
            // long after the files came, so that nothing is waited for
            $scan = new Scan(PlaceListing::of($bench->folder), Probe::standard());
            $folder = self::checked($specification, $scan->run(time() + 7000));
            $names = array_map(static fn (string $name): string => "handed in/{$name}", array_keys($files));
            foreach ([\ZipArchive::CM_DEFLATE, \ZipArchive::CM_STORE] as $method) {
                foreach ([$files, array_combine($names, $files)] as $packed) {
                    $zip = self::delivery(self::zip($packed, $method));
                    self::assertSame($folder, self::checked($specification, $zip));
                }
            }
        }
    }

    /**
     * Eight frames of which some are cut short, of another kind, or not there.
     *
     * @param  list<string>  $pictures
     * @return array<string, string>
     */
    private static function frames(array $pictures): array
    {
        $files = ['notes.txt' => 'as it is'];
        $folder = ['', 'frames/', 'ada/frames/'][mt_rand(0, 2)];
        foreach (range(1, 8) as $frame) {
            $bytes = $pictures[mt_rand(0, 9) > 7 ? mt_rand(0, 5) : 0];
            $bytes = mt_rand(0, 9) === 0 ? substr($bytes, 0, intdiv(strlen($bytes), 2)) : $bytes;
            $name = sprintf('%svane_%04d.%s', $folder, $frame, mt_rand(0, 20) === 0 ? 'jpg' : 'png');
            $files += mt_rand(0, 9) > 0 ? [$name => $bytes] : [];
        }

        return $files;
    }

    public function test_the_one_folder_that_holds_all_is_its_root(): void
    {
        $zip = ZipListing::of(
            new StringSource(self::zip(['vane/a.png' => 'a', '__MACOSX/._a.png' => 'x', 'vane/sub/b.png' => 'b'])),
            'ada.zip',
            'in/ada',
        );
        $files = [...$zip->files()];
        self::assertSame(['', 'sub'], array_map(static fn (ListedFile $f): string => $f->folder, $files));
        self::assertSame('in/ada/vane', $zip->root());
        self::assertSame(self::NOW, $files[0]->modified);
        self::assertFalse($zip->mayGrow());
    }

    public function test_frames_of_a_minute_ago_in_an_archive_are_not_waited_for(): void
    {
        $png = Workbench::png();
        $files = array_combine(
            array_map(static fn (int $n): string => sprintf('a_%04d.png', $n), range(1, 30)),
            array_fill(0, 30, $png),
        );
        $check = CheckReport::of(
            Workbench::specification(['time.range' => '1-60', 'naming.pattern' => 'a_{frame:4}.{ext}']),
            null,
            self::delivery(self::zip($files)),
        );
        $document = (array) json_decode((new JsonReport)->write($check), true);
        self::assertSame(['render-stopped'], array_column((array) $document['causes'], 'id'));
    }

    public function test_names_that_lead_out_or_come_twice_are_told_and_not_opened(): void
    {
        $zip = self::zip([
            '../../etc/a.png' => 'x', '/abs.png' => 'x', 'C:\\w\\q.png' => 'x', 'good/b.png' => 'x',
            'good/nul.png' => 'x',
        ]);
        $zip = str_replace('good/nul.png', "good/nu\0.png", $zip);
        $refused = [];
        foreach (self::listed($zip) as $file) {
            self::assertStringNotContainsString('..', $file->path());
            $refused[$file->name] = $file->refused;
        }
        self::assertNull($refused['b.png']);
        unset($refused['b.png']);
        self::assertSame(['its name leads out of the archive'], array_values(array_unique($refused)));
        $twice = str_replace('a2.png', 'a1.png', self::zip(['a1.png' => 'x', 'a2.png' => 'y']));
        self::assertSame([null, 'another entry has the same name'], array_column(self::listed($twice), 'refused'));
    }

    public function test_names_of_other_systems_are_read(): void
    {
        // as the first of these systems wrote: 81 is a small u with two dots, and a backslash parts folders
        $zip = str_replace('k_che\\a', "k\x81che\\a", self::zip(['k_che\\a.png' => 'x', 'b.png' => 'y']));
        self::assertSame(['küche', 'a.png'], [self::listed($zip)[0]->folder, self::listed($zip)[0]->name]);
        self::assertSame('schön.png', self::listed(self::zip(['schön.png' => 'x']))[0]->name);
    }

    public function test_what_claims_too_much_is_not_unpacked(): void
    {
        $bomb = self::zip(['bomb.png' => str_repeat("\0", 80 << 20)]);
        self::assertStringContainsString('200 times', (string) self::listed($bomb)[0]->refused);
        // one that claims less than it holds ends where it claims to
        $liar = self::zip(['a.png' => str_repeat("\0", 1 << 20)]);
        $liar = str_replace(pack('V', 1 << 20), pack('V', 5000), $liar);
        $listing = ZipListing::of(new StringSource($liar), 'a.zip');
        $this->expectException(SourceUnreadable::class);
        $this->expectExceptionMessage('it is damaged in the archive');
        $listing->open([...$listing->files()][0])->read(0, 10);
    }

    public function test_entries_over_one_another_refuse_the_archive(): void
    {
        $zip = self::zip(['a.png' => str_repeat('abc', 500), 'b.png' => str_repeat('abd', 500)], \ZipArchive::CM_STORE);
        // the second entry of the directory is told to lie where the first does
        $second = (int) strrpos($zip, "PK\x01\x02");
        $this->expectException(ArchiveRefused::class);
        $this->expectExceptionMessage('The archive “a.zip” has entries that lie over one another');
        self::listed(substr_replace($zip, pack('V', 10), $second + 42, 4));
    }

    public function test_a_torn_or_locked_archive_is_told_in_a_sentence(): void
    {
        $zip = self::zip(['a.png' => random_bytes(5000), 'b.png' => random_bytes(5000)]);
        foreach ([100, 5000, strlen($zip) - 30] as $length) {
            try {
                self::listed(substr($zip, 0, $length));
                self::fail('It was read.');
            } catch (ArchiveRefused $refused) {
                self::assertStringContainsString('is not whole', $refused->getMessage());
            }
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'pl-zip');
        $locked = new \ZipArchive;
        $locked->open($path, \ZipArchive::OVERWRITE);
        $locked->addFromString('a.png', 'secret');
        $locked->setEncryptionName('a.png', \ZipArchive::EM_AES_256, 'word');
        $locked->close();
        self::assertSame('it is locked by a password', self::listed((string) file_get_contents($path))[0]->refused);
        unlink($path);
    }

    public function test_damage_inside_is_that_files_and_no_others(): void
    {
        $png = Workbench::png(64, 64);
        $zip = self::zip(['a_1.png' => $png, 'a_2.png' => $png]);
        $zip[60] = chr(ord($zip[60]) ^ 0xFF);
        $check = CheckReport::of(
            Workbench::specification(
                ['time.range' => '1-2', 'naming.pattern' => 'a_{frame}.{ext}', 'content.whole' => 'yes'],
            ),
            null,
            self::delivery($zip),
        );
        $document = (array) json_decode((new JsonReport)->write($check), true);
        self::assertSame('1', $document['sequences'][0]['damaged'] ?? null);
    }

    public function test_a_large_packed_entry_is_read_at_its_ends_and_between(): void
    {
        mt_srand(5);
        $block = '';
        for ($i = 0; $i < 1 << 16; $i++) {
            $block .= chr(mt_rand(0, 40));
        }
        $content = '';
        for ($i = 0; $i < 540; $i++) {
            $content .= pack('V', $i).substr($block, 4);
        }
        $listing = ZipListing::of(new StringSource(self::zip(['a.tif' => $content])), 'a.zip');
        $source = $listing->open([...$listing->files()][0]);
        self::assertSame(strlen($content), $source->size());
        foreach ([0, 500, strlen($content) - 100, 5 << 20, 30 << 20, (20 << 20) + 7, 3] as $at) {
            self::assertTrue(substr($content, $at, 70_000) === $source->read($at, 70_000), "at {$at}");
        }
        self::assertSame('', $source->read(strlen($content), 5));
        $this->expectException(SourceUnreadable::class);
        for ($i = 0; $i < 60; $i++) {
            $source->read((30 << 20) - $i * 100_000, 10);
        }
    }

    public function test_something_before_the_archive_and_its_long_form_are_read(): void
    {
        $before = str_repeat('#!/bin/sh', 40).self::zip(['a.png' => Workbench::png()]);
        self::assertSame(1, self::delivery($before)->fileCount());
        $listing = ZipListing::of(new StringSource($before), 'a.zip');
        self::assertStringStartsWith("\x89PNG", $listing->open([...$listing->files()][0])->read(0, 8));
        self::assertSame(['long.png'], array_column(self::listed(self::longForm('long.png', 'abc')), 'name'));
        $long = ZipListing::of(new StringSource(self::longForm('long.png', 'abc')), 'a.zip');
        self::assertSame('abc', $long->open([...$long->files()][0])->read(0, 9));
    }

    /** As it is written where numbers need eight bytes. */
    private static function longForm(string $name, string $content): string
    {
        $sum = crc32($content);
        $local = "PK\x03\x04".pack('vvvvvVVVvv', 45, 0, 0, 0, 33, $sum, 3, 3, strlen($name), 0).$name.$content;
        $extra = pack('vvPPP', 1, 24, 3, 3, 0);
        $entry = "PK\x01\x02".pack('vvvvvvVVVvvvvvVV', 45, 45, 0, 0, 0, 33, crc32($content), 0xFFFFFFFF, 0xFFFFFFFF,
            strlen($name), strlen($extra), 0, 0, 0, 0, 0xFFFFFFFF).$name.$extra;
        $end = "PK\x06\x06".pack('PvvVVPPPP', 44, 45, 45, 0, 0, 1, 1, strlen($entry), strlen($local));
        $locator = "PK\x06\x07".pack('VPV', 0, strlen($local.$entry), 1);

        return $local.$entry.$end.$locator
            ."PK\x05\x06".pack('vvvvVVv', 0, 0, 0xFFFF, 0xFFFF, 0xFFFFFFFF, 0xFFFFFFFF, 0);
    }

    public function test_changed_bytes_anywhere_end_in_files_or_a_sentence(): void
    {
        $pictures = ['v/a_1.png' => Workbench::png(), 'v/a_2.png' => Workbench::png(20, 20)];
        $whole = self::zip([...$pictures, 'v/n.txt' => 'note']);
        mt_srand(9);
        $refused = 0;
        for ($try = 0; $try < 400; $try++) {
            $bytes = $whole;
            for ($i = mt_rand(1, 6); $i > 0; $i--) {
                $bytes[mt_rand(0, strlen($bytes) - 1)] = chr(mt_rand(0, 255));
            }
            try {
                self::assertLessThanOrEqual(3, self::delivery($bytes)->fileCount());
            } catch (ArchiveRefused) {
                $refused++;
            }
        }
        self::assertGreaterThan(10, $refused);
    }

    public function test_a_path_leads_to_a_folder_an_archive_or_one_file(): void
    {
        $zip = self::zip(['a_1.png' => 'x', 'c.png' => 'y']);
        $bench = (new Workbench)->put('a_1.png', Workbench::png())->put('b.zip', $zip);
        foreach (['' => 2, '/a_1.png' => 1, '/b.zip' => 2] as $below => $files) {
            self::assertCount($files, [...PlaceListing::of($bench->folder.$below)->files()]);
            self::assertCount($files, [...PlaceListing::at($bench->folder.$below)->files()]);
        }
        $listing = PlaceListing::of("{$bench->folder}/b.zip");
        $file = [...$listing->files()][0];
        file_put_contents("{$bench->folder}/b.zip", self::zip(['a_1.png' => 'xyz', 'c.png' => 'y']));
        $this->expectException(SourceUnreadable::class);
        PlaceListing::of("{$bench->folder}/b.zip")->open($file);
    }
}
