<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Submission\Package;
use PlainLedger\Core\Submission\PackageRefused;
use PlainLedger\Core\Submission\PictureChoice;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;
use Tests\Core\Support\Workbench;

/** What is handed over, and which pictures stand for it. */
final class PackageTest extends TestCase
{
    private static function record(string $code, array $files): SubmissionRecord
    {
        return SubmissionRecord::signed([
            'number' => 3,
            'deliverable' => ['code' => $code],
            'files' => array_map(static fn (string $path, string $bytes): array => [
                'path' => $path, 'bytes' => strlen($bytes), 'sums' => ['md5' => md5($bytes)],
            ], array_keys($files), $files),
        ], RecordKey::of(str_repeat('k', 32)));
    }

    public function test_the_signed_files_their_sums_the_record_and_the_sheet(): void
    {
        $bench = (new Workbench)->put('a.1.exr', 'one')->put('7', 'seven');
        $package = Package::of(
            self::record('TC/010', ['a.1.exr' => 'one', '7' => 'seven']),
            FolderListing::of($bench->folder),
            'the sheet',
            'Withdrawn.',
        );
        $files = [];
        foreach ($package->files(1_700_000_000) as [$path, $time, $source]) {
            $files[$path] = $source->read(0, $source->size());
        }
        self::assertSame(
            [
                'TC_010-record.json', 'TC_010-record.html', 'TC_010-sheet.html', 'TC_010/checksums.md5', 'TC_010/7',
                'TC_010/a.1.exr',
            ],
            array_keys($files),
        );
        self::assertSame('the sheet', $files['TC_010-sheet.html']);
        self::assertStringContainsString('Withdrawn.', $files['TC_010-record.html']);
        self::assertSame(md5('one')."  a.1.exr\n".md5('seven')."  7\n", $files['TC_010/checksums.md5']);
        self::assertSame(
            array_map(strlen(...), $files),
            array_column(iterator_to_array($package->sizes(), false), 1, 0),
        );
    }

    public function test_other_files_are_not_packed(): void
    {
        $bench = (new Workbench)->put('a.1.exr', 'one');
        $this->expectException(PackageRefused::class);
        Package::of(self::record('..', ['a.1.exr' => 'other']), FolderListing::of($bench->folder), '');
    }

    public function test_a_code_that_is_no_name_of_a_file(): void
    {
        $bench = (new Workbench)->put('a', 'one');
        $package = Package::of(self::record('..', ['a' => 'one']), FolderListing::of($bench->folder), '');
        self::assertContains('delivery/a', array_column(iterator_to_array($package->sizes(), false), 0));
    }

    /** @return list<array{string, int|null, string}> part, frame or picture, path */
    private static function chosen(Workbench $bench, array $more): array
    {
        $asked = Workbench::specification([], $more);

        return array_map(
            static fn (PictureChoice $c): array => [$c->part, $c->frame ?? $c->picture, $c->file->path()],
            PictureChoice::of(Matcher::match($asked, $bench->scan(looksFor: $asked), null)->parts),
        );
    }

    public function test_first_middle_and_last_whole_frame_stand_for_it(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-9', Workbench::png())->put('a.0009.png', '');
        $frames = [
            'delivers' => 'frames', 'require' => ['time.range' => '1-9', 'naming.pattern' => 'a.{frame:4}.{ext}'],
        ];
        self::assertSame(
            [['frames', 1, 'a.0001.png'], ['frames', 4, 'a.0004.png'], ['frames', 8, 'a.0008.png']],
            self::chosen($bench, $frames),
        );
        self::assertSame([], self::chosen(new Workbench, $frames));
        $still = (new Workbench)->put('poster.png', Workbench::png());
        self::assertSame(
            [['still', null, 'poster.png']],
            self::chosen($still, ['delivers' => 'still', 'require' => ['format.kind' => 'png']]),
        );
    }

    public function test_of_a_movie_its_pictures(): void
    {
        $movie = (string) file_get_contents(dirname(__DIR__, 2).'/fixtures/movies/sound.mp4');
        $bench = (new Workbench)->put('reel.mp4', $movie);
        $chosen = self::chosen($bench, ['delivers' => 'movie', 'require' => ['naming.pattern' => 'reel.{ext}']]);
        self::assertCount(3, $chosen);
        self::assertSame(['movie', 0, 'reel.mp4'], $chosen[0]);
    }
}
