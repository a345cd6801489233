<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationRefused;
use Tests\Core\Support\Workbench;

final class LayersTest extends TestCase
{
    public function test_later_layers_replace_earlier_and_each_value_knows_its_layer(): void
    {
        $resolved = Specification::resolve(
            new Layer(
                SetBy::House,
                [
                    'require' => ['time.rate' => 24, 'picture.pixel_aspect' => 1, 'scene.saved' => 'yes'],
                    'values' => ['task' => 'light'],
                    'starting_values' => ['time.range' => '1-60'],
                ],
                'house',
            ),
            new Layer(
                SetBy::Specification,
                [
                    'title' => 'Lit',
                    'require' => ['time.rate' => 25, 'format.kind' => 'exr'],
                    'starting_values' => ['time.range' => ['1-250']],
                ],
                'spec',
            ),
            new Layer(
                SetBy::Deliverable,
                [
                    'require' => ['time.range' => '1-9', 'scene.saved' => null],
                    'values' => ['task' => 'comp', 'shot' => 'X'],
                ],
                'own',
            ),
        );
        $set = array_map(
            static fn ($r): string => "{$r->setBy->value}: {$r->required()}",
            $resolved->parts[0]->requirements,
        );

        self::assertSame(
            [
                'picture.pixel_aspect' => 'house: 1/1',
                'time.rate' => 'specification: 25',
                'time.range' => 'deliverable: 1-9',
                'format.kind' => 'specification: exr',
            ],
            $set,
        );
        self::assertSame(['task' => 'comp', 'shot' => 'X'], $resolved->values);
        self::assertSame(['time.range' => ['1-60', '1-250']], $resolved->startingValues);
        self::assertSame('Lit', $resolved->title);
    }

    public function test_what_stands_outside_the_parts_holds_for_all_and_a_part_may_differ(): void
    {
        $resolved = Workbench::specification(['time.rate' => 24, 'picture.resolution' => '64x36'], ['parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => ['format.kind' => 'png']],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => ['picture.resolution' => '32x18'],
            ],
        ]]);

        self::assertSame(['frames', 'preview'], array_column($resolved->parts, 'name'));
        self::assertSame(
            ['64x36', '32x18'],
            array_map(static fn ($p): ?string => $p->single('picture.resolution'), $resolved->parts),
        );
        self::assertSame('frames', $resolved->parts[1]->madeFrom);
        self::assertNull($resolved->parts[1]->find('format.kind'));
    }

    public function test_unknown_keys_are_kept_and_told(): void
    {
        $resolved = Workbench::specification(
            [
                'time.rate' => 24,
                'weather.fog' => 2,
                'passes' => [
                    ['name' => 'mist', 'require' => ['format.bit_depth' => 32, 'render.samples' => 4, 'no.such' => 1]],
                ],
            ],
            ['mood' => 'grey', 'delivers' => 'frames'],
        );

        self::assertSame(
            ['mood', 'weather.fog', 'passes: mist, render.samples', 'passes: mist, no.such'],
            $resolved->notUnderstood,
        );
    }

    public function test_what_cannot_be_resolved_is_refused_with_the_place(): void
    {
        foreach ([
            [['require' => ['time.range' => '9-1']], '“time.range”'],
            [['require' => ['time.rate' => ['level' => 'maybe', 'value' => 24]]], 'the level is “must” or “should”'],
            [['require' => ['render.samples' => ['min' => 9, 'max' => 3]]], 'is above the largest'],
            [['require' => ['format.kind' => []]], 'the list of values is empty'],
            [['require' => ['naming.pattern' => '{shot}.{ext}']], 'has no {frame}'],
            [['delivers' => 'movie', 'require' => ['naming.pattern' => '{shot}.{frame}.{ext}']], 'is a movie'],
            [['values' => ['shot' => ['a']]], '“shot” must be a text or a number'],
            [
                ['parts' => [['name' => 'a', 'delivers' => 'frames'], ['name' => 'a', 'delivers' => 'movie']]],
                'a name of its own',
            ],
            [['parts' => [['name' => 'a', 'delivers' => 'smoke']]], 'is frames, still, movie or file'],
            [['parts' => [['name' => 'a', 'delivers' => 'movie', 'made_from' => 'b']]], 'there is no such part'],
            [['title' => 7], '"title" must be a text'],
        ] as [$data, $says]) {
            try {
                Specification::resolve(new Layer(SetBy::Specification, $data + ['delivers' => 'frames'], 'spec.json'));
                self::fail("Not refused: {$says}");
            } catch (SpecificationRefused|JsonRefused $refused) {
                self::assertStringContainsString($says, $refused->getMessage());
                self::assertStringStartsWith('spec.json: ', $refused->getMessage());
            }
        }
    }

    public function test_asks_as_people_write_them(): void
    {
        foreach ([
            ['time.count', '90 to 150', '90..150'],
            ['time.count', '90..150', '90..150'],
            ['time.count', ['min' => 90], '>= 90'],
            ['time.count', '<= 4', '<= 4'],
            ['time.count', 96, '96'],
            ['format.compression', 'zip or zips', 'zip | zips'],
            ['format.compression', ['zip', 'zip'], 'zip'],
            ['format.bit_depth', '16 bit', '16'],
            ['format.kind', '.jpg, tif', 'jpeg | tiff'],
            ['time.handles', ['head' => 8, 'tail' => 4], '8+4'],
            ['time.handles', 8, '8+8'],
            ['time.range', '1,2,3', '1-3'],
            ['time.range', 'Timeline', 'timeline'],
            ['picture.scale', '100 %', '100'],
            ['camera.single', true, 'yes'],
            ['picture.region', 'off', 'full'],
            ['camera.name', 'a | b', 'a | b'],
            ['format.file_size', '25 MB', '<= 25000000'],
            ['format.file_size', 'up to 25 MB', '<= 25000000'],
            ['render.samples', 128, '>= 128'],
            ['format.keyframe_interval', 48, '<= 48'],
            ['format.b_frames', 0, 'none'],
            ['format.b_frames', 2, '<= 2'],
            ['format.bit_rate', '8 Mbit/s', '8000000'],
            ['format.bit_rate', '5 to 8 Mbps', '5000000..8000000'],
            ['format.file_size', '10-25 MB', '10000000..25000000'],
            ['time.count', 'between 90 and 150 frames', '90..150'],
            ['time.duration', '1 min 30 s', '00:01:30'],
            ['time.duration', ['min' => 3, 'max' => '0:05'], '00:00:03..00:00:05'],
            ['time.duration', 'at most 90 s', '<= 00:01:30'],
            ['time.start_timecode', '1:00:00.02', '01:00:00;02'],
            ['format.codec', 'AVC', 'h264'],
            ['colour.encoding', 'Rec. 709', 'rec709'],
            ['camera.name', 'any camera of the scene', '*'],
            ['time.range', 'the animation’s own range', 'timeline'],
            ['content.black', ['value' => '1-3', 'threshold' => '0.02'], '1-3, threshold 1/50'],
            ['content.frozen', '3 frames', '<= 3'],
            ['content.frozen', '10-12', '10-12'],
            ['passes', ['mist', ['name' => 'beauty']], 'mist | beauty'], ['passes', 'mist, beauty', 'mist | beauty'],
        ] as [$id, $written, $required]) {
            self::assertSame(
                $required,
                Workbench::specification([$id => $written])->parts[0]->find($id)?->required(),
                $id,
            );
        }
    }

    public function test_the_sheet_in_plain_sentences(): void
    {
        $part = Workbench::specification([
            'picture.resolution' => '2048x858',
            'picture.pixel_aspect' => 1,
            'time.rate' => 24,
            'time.range' => '1001-1096',
            'camera.name' => 'cam_*',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.sample' => 'float',
            'format.channels' => 'RGBA',
            'format.compression' => ['zip', 'zips'],
            'scene.saved' => 'yes',
            'render.samples' => ['min' => 128],
        ])->parts[0];

        self::assertSame(
            '96 frames, 1001 to 1096, at 24 a second: exactly 4 s. Each is 2048 × 858 with square pixels, seen '
                .'through cam_*, OpenEXR of 16-bit float RGBA, zip or zips.',
            Prose::of($part),
        );
        self::assertSame('Each picture is 2048 × 858 pixels.', $part->find('picture.resolution')?->sentence());
        self::assertSame('Samples are at least 128.', $part->find('render.samples')?->sentence());
        self::assertSame('The scene is saved.', $part->find('scene.saved')?->sentence());
        self::assertSame('The frames are 1001 to 1096.', $part->find('time.range')?->sentence());
        self::assertSame('Frames.', Prose::of(Workbench::specification([])->parts[0]));
    }

    public function test_consequences(): void
    {
        $specification = Workbench::specification([
            'picture.resolution' => '1280x720',
            'time.rate' => '29.97',
            'time.range' => '1-250',
            'time.start_timecode' => '01:00:00;00',
            'format.bit_depth' => 8,
            'format.channels' => 'RGB',
            'naming.pattern' => '{shot}_{frame:2}.{ext}',
            'format.kind' => 'png',
        ]);
        $lines = array_column(Consequences::of($specification, $specification->parts[0])->lines, 'value', 'label');

        self::assertSame([
            'frames' => '250',
            'running time' => '8 s 10 f, 8.342 s by the clock',
            'timecode' => '01:00:00;00 – 01:00:08;09',
            'shape on screen' => '1.778 to 1, 16:9, high definition',
            'one frame, uncompressed' => '2.76 MB',
            'all frames, uncompressed' => '691 MB', 'digits needed' => '3 of 2',
        ], $lines);
        self::assertSame(
            ['TC_010_01.png', 'TC_010_125.png', 'TC_010_250.png'],
            Consequences::of($specification, $specification->parts[0])->names?->sets[0]['names'],
        );
    }

    public function test_json_faults_say_line_and_column(): void
    {
        foreach ([
            ['{"a": 1,}', 'line 1, column 9'],
            ["{\n  \"a\": [1, 2\n}", 'line 3, column 1'],
            ['{"a" 1}', 'line 1, column 6'],
            ["{'a': 1}", 'line 1, column 2'],
            ['{"a": 01}', 'line 1, column 7'],
            ['{"a": "x', 'line 1, column 9'],
            ['{"ü": tru}', 'line 1, column 7'],
            ['{"a": 1} x', 'line 1, column 10'],
            ['{"a": "\\q"}', 'line 1, column 8'],
            ["{\"a\": \"x\ny\"}", 'line 1, column 9'],
            ['// no', 'line 1, column 1'],
        ] as [$text, $where]) {
            try {
                JsonDocument::parse($text, 'x.json', Specification::FORMAT);
                self::fail($text);
            } catch (JsonRefused $refused) {
                self::assertStringContainsString("x.json: {$where}", $refused->getMessage());
            }
        }
    }
}
