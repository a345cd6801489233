<?php

declare(strict_types=1);

namespace Tests\Core\Recognition;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\SliceSource;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Recognition\Brought;
use PlainLedger\Core\Recognition\Recogniser;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Scene\FieldMap;

/** What a file is that somebody brings. */
final class RecogniserTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures';

    private static function recogniser(): Recogniser
    {
        return new Recogniser(FieldMap::none(), LogShape::standard());
    }

    private static function of(string $name, string $content): Brought
    {
        return self::recogniser()->of($name, new StringSource($content));
    }

    /** @return iterable<string, array{string, string, string, string}> name, content, kind, and what is said */
    public static function texts(): iterable
    {
        yield 'settings as lines' => [
            'TC_010.txt', "resolution = 2048x858\nfps = 24\nframes = 1-96\n", 'settings', 'the settings of a scene',
        ];
        yield 'settings with colons, and a title' => [
            'look.txt', "Render settings of the lamp room\nResolution: 2048 x 858\nFrame rate: 24\n", 'settings',
            'the settings of a scene',
        ];
        yield 'settings as a document' => [
            'scene.json',
            '{"format": "plain-ledger/scene", "settings": {"picture.resolution": "2048x858", "time.rate": "24"}}',
            'settings', 'the settings of a scene',
        ];
        yield 'settings as a flat document' => [
            'export.json', '{"resolution": "2048x858", "fps": 24, "samples": 128}', 'settings',
            'the settings of a scene',
        ];
        yield 'a sheet of settings' => [
            'scenes.csv', "shot,resolution,fps,samples\nTC_010,2048x858,24,128\nTC_020,2048x858,24,64\n", 'settings',
            'the settings of 2 scenes',
        ];
        yield 'a sheet of settings with owners' => [
            'scenes.csv', "shot,owner,resolution,fps,samples,range\nTC_010,brida,2048x858,24,128,1-5\n", 'settings',
            'the settings of a scene',
        ];
        yield 'a scene in USD' => [
            'shot.usda',
            "#usda 1.0\n(\n    startTimeCode = 1001\n    endTimeCode = 1096\n    framesPerSecond = 24\n)\n"
                ."def RenderSettings \"r\"\n{\n    int2 resolution = (2048, 858)\n}\n",
            'settings', 'the settings of a scene',
        ];
        yield 'a list of shots' => [
            'shots.csv', "shot,range,handles,owner,due\nTC_050,1001-1048,8,brida,2026-12-01\n", 'list',
            'a list of 1 deliverable',
        ];
        yield 'a list by semicolons, below a title' => [
            'liste.csv', "Shots of the third week;;\n;;\nShot;First;Last\nTC_050;1001;1048\nTC_060;1001;1020\n", 'list',
            'a list of 2 deliverables',
        ];
        yield 'a list that is pasted' => ['x.txt', "code\ttitle\nTC_050\tthe door\nTC_060\tthe key\n", 'list',
            'a list of 2 deliverables'];
        yield 'a roster' => [
            'roster.csv', "name,e-mail\nWren Oake,wren@practice.example\nCorvin Ash,corvin@practice.example\n",
            'people', 'a list of 2 people',
        ];
        yield 'a roster with roles' => [
            'people.csv', "Email;Name;Role\nwren@practice.example;Wren;learner\n", 'people', 'a list of 1 person',
        ];
        yield 'a log' => [
            'render.log', "[12:00] frame 1001 begins\n[12:01] frame 1001 done in 61.5 s\nframe 1002 done in 60 s\n",
            'log', 'a render log that tells of 2 frames',
        ];
        yield 'names' => [
            'names.json', '{"format": "plain-ledger/field-map", "fields": []}', 'names',
            'names of settings, and what they mean',
        ];
        yield 'a specification' => [
            'spec.json', '{"format": "plain-ledger/specification", "delivers": "frames", "require": {}}', 'document',
            'a specification',
        ];
        yield 'a result' => [
            'check.json', '{"format": "plain-ledger/check", "entries": []}', 'document',
            'a document that was written here (check)',
        ];
        yield 'checksums' => [
            'sha256sums.txt', str_repeat('ab', 32)."  a.png\n".str_repeat('cd', 32)."  b.png\n", 'checksums',
            'checksums of 2 files',
        ];
        yield 'no checksums' => [
            'checksums.txt', "they come later\n", 'unknown', 'called a list of checksums, and none is in it',
        ];
        yield 'a letter' => [
            'letter.txt', "Dear all,\nthe frames come on Friday: promised.\n", 'unknown',
            'a text in which nothing is known here',
        ];
        yield 'a table of something else' => [
            'hours.csv', "day,hours\nMonday,8\n", 'unknown', 'a text in which nothing is known here',
        ];
        yield 'nothing' => ['a.exr', '', 'unknown', 'an empty file'];
        yield 'a picture that is none' => [
            'a.exr', "\0\1\2\3 no picture", 'unknown', 'called a EXR file, and it is none, or damaged',
        ];
        yield 'a program' => ['a.exe', "MZ\0\0\0", 'unknown', 'nothing that is read here'];
        yield 'damaged JSON' => ['a.json', '{"format": ', 'unknown', 'a JSON document that is damaged'];
        yield 'of the system' => ['__MACOSX/a.png', 'x', 'of-system', 'a file of the system, which is left out'];
        yield 'half a zip' => [
            'a.zip', "PK\x03\x04 and no more", 'unknown',
            'The archive “a.zip” is not whole: its directory is missing. Pack or send it once more',
        ];
    }

    #[DataProvider('texts')]
    public function test_texts_are_known_by_what_they_say(string $name, string $text, string $kind, string $says): void
    {
        $found = self::of($name, $text);
        self::assertSame([$kind, $says], [$found->kind->value, $found->says]);
    }

    #[DataProvider('texts')]
    public function test_in_wide_letters_they_are_the_same(string $name, string $text, string $kind): void
    {
        if (in_array($kind, ['settings', 'list', 'people', 'log', 'names'], true)) {
            $wide = "\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8');
            self::assertSame($kind, self::of($name, $wide)->kind->value);
        }
        self::assertSame($kind, self::of($name, "{$text}")->kind->value);
    }

    public function test_files_of_encoders_are_known_by_their_ends(): void
    {
        $kinds = [];
        foreach (glob(self::FIXTURES.'/encoders/*.*') ?: [] as $file) {
            if (str_ends_with($file, '.sh')) {
                continue;
            }
            $bytes = (string) file_get_contents($file);
            // called by another name, and of what is longer only the ends
            $ends = new SliceSource(strlen($bytes), [
                0 => substr($bytes, 0, 4096), max(0, strlen($bytes) - 1024) => substr($bytes, -1024),
            ]);
            $kinds[self::recogniser()->of('brought.bin', $ends)->kind->value][] = basename($file);
        }
        self::assertSame(['movie', 'pictures', 'sound'], array_keys(self::sorted($kinds)));
        $movies = ['other.avi', 'other.mkv', 'other.mov', 'other.mp4', 'other.mxf', 'other.webm'];
        self::assertSame($movies, $kinds['movie']);
        self::assertSame(['other.wav'], $kinds['sound']);
    }

    /**
     * @param  array<string, list<string>>  $kinds
     * @return array<string, list<string>>
     */
    private static function sorted(array $kinds): array
    {
        ksort($kinds);

        return $kinds;
    }

    public function test_archives_are_known_by_the_names_in_them(): void
    {
        $made = static function (array $files): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'zip');
            $zip = new \ZipArchive;
            $zip->open($path, \ZipArchive::OVERWRITE);
            foreach ($files as $name => $content) {
                $zip->addFromString($name, $content);
            }
            $zip->close();
            $bytes = (string) file_get_contents($path);
            unlink($path);

            return $bytes;
        };
        $frames = $made(['TC_010/TC_010.1001.png' => 'x', 'TC_010/TC_010.1002.png' => 'y', '__MACOSX/a.png' => '']);
        $found = self::of('of friday.zip', $frames);
        self::assertSame('delivery-archive', $found->kind->value);
        self::assertSame('an archive with 2 pictures, movies or sounds', $found->says);
        self::assertContains('TC_010/TC_010.1001.png', $found->whose);

        $scenes = self::of('scenes.zip', $made(['a.json' => '{}', 'b.txt' => 'x', 'read.me' => '']));
        self::assertSame(['settings-archive', 'an archive with 2 files of settings'], [
            $scenes->kind->value, $scenes->says,
        ]);
        self::assertSame('unknown', self::of('a.zip', $made(['a.exe' => 'x']))->kind->value);
        self::assertSame('unknown', self::of('a.xlsx', $made(['xl/workbook.xml' => 'x', 'a.json' => '']))->kind->value);

        // the directory of a large one lies behind what was sent
        $large = $made(array_fill_keys(array_map(static fn (int $n): string => "f/{$n}.exr", range(1, 3000)), 'x'));
        $ends = new SliceSource(strlen($large), [
            0 => substr($large, 0, 4096), strlen($large) - 70_000 => substr($large, -70_000),
        ]);
        $cut = self::recogniser()->of('large.zip', $ends);
        self::assertSame(['delivery-archive', 'an archive with a great many files'], [$cut->kind->value, $cut->says]);
    }

    public function test_a_long_text_is_known_by_its_beginning(): void
    {
        $log = implode('', array_map(static fn (int $n): string => "frame {$n} done in 12.5 s\n", range(1, 30_000)));
        $ends = new SliceSource(strlen($log), [0 => substr($log, 0, Recogniser::HEAD)]);
        self::assertSame('log', self::recogniser()->of('render.log', $ends)->kind->value);

        $list = "shot,owner,due\n".str_repeat("TC_010,brida,2026-12-01\n", 20_000);
        $ends = new SliceSource(strlen($list), [0 => substr($list, 0, Recogniser::HEAD)]);
        self::assertSame('list', self::recogniser()->of('list.csv', $ends)->kind->value);
    }

    public function test_people_are_read_whichever_way_a_roster_names_them(): void
    {
        $names = static fn (string $text): array => array_map(
            static fn (array $p): string => "{$p['name']} <{$p['email']}>",
            self::of('roster.csv', $text)->people,
        );
        $wren = ['Wren Oake <wren@practice.example>'];
        self::assertSame($wren, $names("name,e-mail\nWren Oake,wren@practice.example\n"));
        self::assertSame(
            $wren,
            $names("Course of autumn\n\nName;Mail\n\"Oake, Wren\";wren@practice.example\nnobody;\n"),
        );
        self::assertSame(
            $wren,
            $names("Username\tFirst name\tLast name\tEmail address\nw01\tWren\tOake\twren@practice.example\n"),
        );
        self::assertSame([' <wren@practice.example>'], $names("id,email\n1,wren@practice.example\n"));
    }

    public function test_whose_it_may_be(): void
    {
        $log = self::of('friday.log', "frame 1 done in 2 s\nwrote /r/TC_030/TC_030.0001.exr\nframe 2 done in 2 s\n");
        self::assertSame('TC_030.0001.exr', $log->whose[0]);
        $picture = self::recogniser()->of(
            '..\\Friday\\TC_030\\beauty.1001.png',
            FileSource::open(self::FIXTURES.'/encoders/rgb8.png'),
        );
        self::assertSame(['beauty', 'TC_030', 'Friday'], $picture->whose);
    }
}
