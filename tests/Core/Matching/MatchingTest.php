<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Media\Kind;
use Tests\Core\Support\Workbench;

/** Which file answers what. */
final class MatchingTest extends TestCase
{
    private const REQUIRE = [
        'time.range' => '1-6',
        'format.kind' => 'png',
        'naming.pattern' => '{shot}.{frame:4}.{ext}',
        'delivery.extras' => 'none',
    ];

    public function test_a_frame_is_a_frame_in_whatever_folder(): void
    {
        $bench = (new Workbench)->frames('a/TC_010.%04d.png', '1-3', Workbench::png())->frames(
            'b/c/TC_010.%04d.png',
            '4-6',
            Workbench::png(),
        );
        $document = $bench->check(Workbench::specification(self::REQUIRE));

        self::assertSame('balanced', $document['verdict']);
        self::assertSame('1-6', $document['sequences'][0]['present']);
    }

    public function test_a_second_file_for_a_frame_that_is_there_is_left_over(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-6', Workbench::png())
            ->frames('old/TC_010.%04d.png', '2-3', Workbench::png())
            ->frames('TC_010.%03d.png', '5-6', Workbench::png());
        $document = $bench->check(Workbench::specification(self::REQUIRE));

        self::assertSame(['leftovers'], array_column($document['causes'], 'id'));
        self::assertSame(['1-6', '5-6', '2-3'], array_column($document['sequences'], 'present'));
        self::assertSame([null, null], array_slice(array_column($document['sequences'], 'part'), 1));
    }

    public function test_the_asked_folder_is_preferred_among_equals(): void
    {
        $bench = (new Workbench)->frames('a/TC_010.%04d.png', '1-6', Workbench::png())->frames(
            'TC_010/TC_010.%04d.png',
            '1-6',
            Workbench::png(32, 18),
        );
        $document = $bench->check(
            Workbench::specification(['naming.folder' => '{shot}', 'picture.resolution' => '32x18'] + self::REQUIRE),
        );

        self::assertSame(['leftovers'], array_column($document['causes'], 'id'));
        self::assertSame('TC_010', $document['sequences'][0]['folder']);
    }

    public function test_out_of_range_frames_are_no_leftovers(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-9', Workbench::png());
        $document = $bench->check(Workbench::specification(self::REQUIRE));

        self::assertSame('7-9', $document['sequences'][0]['extra']);
        self::assertSame(['unequal', 'equal', 'equal', 'equal'], array_column($document['entries'], 'mark'));
    }

    public function test_content_ignores_frames_nobody_asked_for(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-6', Workbench::png())
            ->put('TC_010.0007.png', '')
            ->put('TC_010.0008.png', Workbench::png(8, 8));
        $document = $bench->check(
            Workbench::specification(
                ['content.whole' => 'yes', 'picture.resolution' => '64x36', 'content.uniform' => 'yes'] + self::REQUIRE,
            ),
        );
        $marks = array_column($document['entries'], 'mark', 'id');

        self::assertSame(
            ['equal', 'equal', 'equal', 'unequal'],
            [$marks['content.whole'], $marks['picture.resolution'], $marks['content.uniform'], $marks['time.range']],
        );
        self::assertSame('', $document['sequences'][0]['rerender']);
    }

    public function test_without_a_pattern_the_sequence_that_does_best_is_taken(): void
    {
        $bench = (new Workbench)->frames(
            'thumbs/%d.jpg',
            '1-60',
            (string) file_get_contents(__DIR__.'/../../fixtures/encoders/grey.jpg'),
        )
            ->frames('main_%d.png', '1-6', Workbench::png())
            ->put('readme.txt', 'x');
        $document = $bench->check(Workbench::specification(['time.range' => '1-6', 'format.kind' => 'png']));

        self::assertSame('balanced', $document['verdict']);
        self::assertSame('main_#.png', $document['sequences'][0]['pattern']);
        self::assertSame(['readme.txt'], $document['strays']);
    }

    public function test_a_wrong_name_never_hides_what_is_in_the_files(): void
    {
        $bench = (new Workbench)->frames('untitled_%d.png', '1-4', Workbench::png(32, 18));
        $document = $bench->check(Workbench::specification(['picture.resolution' => '64x36'] + self::REQUIRE));

        self::assertSame(
            ['scale-below-full', 'render-stopped', 'value-differs'],
            array_column($document['causes'], 'id'),
        );
    }

    public function test_each_part_takes_its_own(): void
    {
        $mp4 = (string) file_get_contents(__DIR__.'/../../fixtures/encoders/other.mp4');
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-6', Workbench::png())
            ->put('TC_010_preview.mp4', $mp4)
            ->put('TC_010_poster.png', Workbench::png())
            ->put('TC_010.json', '{}');
        $parts = [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => self::REQUIRE],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => [
                    'format.kind' => 'mp4', 'naming.pattern' => '{shot}_preview.{ext}',
                    'picture.resolution' => '66x38', 'time.count' => 12,
                ],
            ],
            [
                'name' => 'poster',
                'delivers' => 'still',
                'require' => ['format.kind' => 'png', 'naming.pattern' => '{shot}_poster.{ext}'],
            ],
            ['name' => 'settings', 'delivers' => 'file', 'require' => ['naming.pattern' => '{shot}.json']],
        ];
        $document = $bench->check(Workbench::specification([], ['parts' => $parts]));

        self::assertSame('balanced', $document['verdict'], (string) json_encode($document['causes']));
        self::assertSame(
            ['frames', 'preview', 'poster', 'settings'],
            array_values(array_unique(array_column($document['entries'], 'part'))),
        );
        self::assertCount(1, $document['movies']);
        self::assertSame(
            ['preview', 'TC_010_preview.mp4', 'mp4', 12],
            array_map(static fn (string $k): mixed => $document['movies'][0][$k], ['part', 'path', 'kind', 'count']),
        );

        $bench->without('TC_010_preview.mp4', 'TC_010_poster.png', 'TC_010.json');
        $without = $bench->check(Workbench::specification([], ['parts' => $parts]));
        self::assertSame(
            ['nothing-delivered', 'nothing-delivered', 'nothing-delivered'],
            array_column($without['causes'], 'id'),
        );
        self::assertSame(['preview', 'poster', 'settings'], array_column($without['causes'], 'part'));
    }

    public function test_passes_in_names_make_a_sequence_each(): void
    {
        $require = [
            'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
            'passes' => ['beauty', 'mist'],
        ] + self::REQUIRE;
        $bench = (new Workbench)->frames(
            'TC_010_beauty.%04d.png',
            '1-6',
            Workbench::png(),
        )->frames('TC_010_mist.%04d.png', '1-4', Workbench::png());
        $document = $bench->check(Workbench::specification($require));

        self::assertSame(['beauty', 'mist'], array_column($document['sequences'], 'pass'));
        self::assertSame(['', '5-6'], array_column($document['sequences'], 'rerender'));
        self::assertSame(
            ['render-stopped', 'mist', ['time.range', 'passes']],
            [$document['causes'][0]['id'], $document['causes'][0]['pass'], $document['causes'][0]['explains']],
        );
        self::assertSame(
            [['kind' => 'render', 'part' => 'frames', 'pass' => 'mist', 'frames' => '5-6', 'count' => 2]],
            array_map(static fn (array $f): array => array_diff_key($f, ['says' => 1]), $document['fixes']),
        );
    }

    public function test_a_checksum_list_is_owed_where_one_is_asked(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-6', Workbench::png())->put('files.sha256', 'x');

        self::assertSame(
            ['leftovers'],
            array_column($bench->check(Workbench::specification(self::REQUIRE))['causes'], 'id'),
        );
        $asked = Workbench::specification(['delivery.checksums' => 'present'] + self::REQUIRE);
        self::assertSame(
            [['value-differs', ['delivery.checksums']]],
            array_map(static fn (array $c): array => [$c['id'], $c['explains']], $bench->check($asked)['causes']),
        );
        $lines = '';
        foreach (range(1, 6) as $frame) {
            $lines .= hash('sha256', Workbench::png())."  TC_010.000{$frame}.png\n";
        }
        self::assertSame([], $bench->put('files.sha256', $lines)->check($asked)['causes']);
        $wrong = $bench->put('files.sha256', str_replace('0003', '0009', $lines))->check($asked)['entries'];
        self::assertSame(
            '1 file is not listed, 1 listed file is not there',
            array_column($wrong, 'files', 'id')['delivery.checksums']['found'],
        );
        $bench->put('TC_010.0002.png', Workbench::png(32, 18))->put('files.sha256', $lines);
        self::assertSame(
            '1 file does not agree',
            array_column($bench->check($asked)['entries'], 'files', 'id')['delivery.checksums']['found'],
        );
    }

    public function test_a_flood_of_odd_names_never_hides_the_frames(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-6', Workbench::png());
        for ($i = 0; $i < 900; $i++) {
            $bench->put('a'.md5((string) $i).'.png', 'x');
        }
        $document = $bench->check(Workbench::specification(self::REQUIRE));

        self::assertSame('1-6', $document['sequences'][0]['present']);
        self::assertSame(['leftovers'], array_column($document['causes'], 'id'));
    }

    public function test_extensions(): void
    {
        foreach ([
            'a.png' => 'png', 'a.b.EXR' => 'EXR', 'a' => '', '.png' => '', 'a.png.0001' => 'png', 'a (2).png' => 'png',
            'a.png~' => 'png', 'a.png.bak' => 'png', 'a.png (1)' => 'png', 'a.0001' => '',
        ] as $name => $extension) {
            self::assertSame($extension, Extension::of((string) $name), (string) $name);
        }
        self::assertNull(Extension::agrees('a.png', null));
        self::assertTrue(Extension::agrees('a.JPEG', Kind::Jpeg));
        self::assertFalse(Extension::agrees('a.png', Kind::Exr));
    }
}
