<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use Tests\Core\Support\Workbench;

/** Each wrong setting, read before the render: every cause with what it explains, and the one thing to set. */
final class CausesInScenesTest extends TestCase
{
    private const REQUIRE = [
        'picture.resolution' => '2048x858',
        'picture.scale' => 100,
        'picture.pixel_aspect' => '1/1',
        'picture.region' => 'full',
        'time.rate' => '24', 'time.range' => '1001-1096', 'time.step' => 1, 'time.extent' => 'listed',
        'camera.name' => 'cam_quay', 'camera.single' => 'yes', 'scene.saved' => 'yes',
        'format.kind' => 'exr',
        'format.bit_depth' => 16,
        'format.sample' => 'float',
        'format.channels' => 'RGBA',
        'format.compression' => ['zip', 'zips'],
        'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}', 'output.folder' => 'renders/{shot}',
    ];

    private const SCENE = [
        'picture.resolution' => '2048x858',
        'picture.scale' => 100,
        'picture.pixel_aspect' => 1,
        'picture.region' => 'full',
        'time.rate' => 24, 'time.extent' => 'listed', 'time.range' => '1001-1096', 'time.step' => 1,
        'time.timeline' => '990-1110',
        'camera.chosen' => ['cam_quay'], 'camera.all' => ['cam_quay', 'cam_wide'], 'camera.views' => ['top', 'working'],
        'format.kind' => 'exr', 'format.bit_depth' => 16, 'format.sample' => 'float', 'format.channels' => 'RGBA',
        'format.compression' => 'zip',
        'naming.pattern' => 'TC_010_light_v003.####.exr', 'output.folder' => 'renders/TC_010',
    ];

    /**
     * @param  array<string, mixed>  $settings  changes
     * @param  array<string, list<string>>  $causes  id to what it explains, in order
     * @param  list<string>  $set  ids to be set
     */
    #[DataProvider('scenes')]
    public function test_a_wrong_setting_is_named(
        array $settings,
        array $causes,
        array $set,
        array $require = [],
        array $more = [],
        array $scene = [],
    ): void {
        $specification = Workbench::specification(
            array_filter([...self::REQUIRE, ...$require], static fn (mixed $v): bool => $v !== null),
            $more,
        );
        $document = CheckReport::of(
            $specification,
            Workbench::scene(
                array_filter([...self::SCENE, ...$settings], static fn (mixed $v): bool => $v !== null),
                $scene + ['saved' => true, 'project_folder' => 'tide_clock'],
            ),
            null,
        )->toArray();

        $found = [];
        foreach ($document['causes'] as $cause) {
            $found[$cause['id']] = $cause['explains'];
            self::assertSame('scene', $cause['side']);
        }
        self::assertSame(
            $causes,
            $found,
            (string) json_encode($document['causes'], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE),
        );
        self::assertSame($causes === [] ? 'balanced' : 'unbalanced', $document['verdict']);
        self::assertSame(
            $set,
            array_values(
                array_unique(
                    array_column(
                        array_filter($document['fixes'], static fn (array $f): bool => $f['kind'] === 'set'),
                        'id',
                    ),
                ),
            ),
        );
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function scenes(): iterable
    {
        yield 'as asked' => [[], [], []];
        yield 'scale' => [
            ['picture.scale' => 50],
            ['scale-below-full' => ['picture.resolution', 'picture.scale']],
            ['picture.scale'],
        ];
        yield 'scale, not asked by itself' => [
            ['picture.scale' => 50],
            ['scale-below-full' => ['picture.resolution']],
            ['picture.scale'],
            ['picture.scale' => null],
        ];
        yield 'scale reaches the size asked' => [
            ['picture.resolution' => '4096x1716', 'picture.scale' => 50],
            [],
            [],
            ['picture.scale' => null],
        ];
        yield 'an odd half, rounded either way' => [
            ['picture.resolution' => '2047x857', 'picture.scale' => 50],
            [],
            [],
            ['picture.resolution' => '1023x429', 'picture.scale' => null],
        ];
        yield 'half as a size' => [
            ['picture.resolution' => '1024x429'],
            ['smaller-preset' => ['picture.resolution']],
            ['picture.resolution'],
        ];
        yield 'swapped' => [
            ['picture.resolution' => '858x2048'],
            ['sides-swapped' => ['picture.resolution']],
            ['picture.resolution'],
        ];
        yield 'starting size' => [
            ['picture.resolution' => '400x300'],
            ['starting-size' => ['picture.resolution']],
            ['picture.resolution'],
            [],
            ['starting_values' => ['picture.resolution' => ['400x300']]],
        ];
        yield 'shape' => [
            ['picture.resolution' => '2048x1152'],
            ['wrong-shape' => ['picture.resolution']],
            ['picture.resolution'],
        ];
        yield 'one pixel' => [
            ['picture.resolution' => '2048x857'],
            ['off-by-rounding' => ['picture.resolution']],
            ['picture.resolution'],
        ];
        yield 'region' => [
            ['picture.region' => '100,100,400,300'],
            ['region-left-on' => ['picture.region']],
            ['picture.region'],
        ];
        yield 'region as large as the picture' => [['picture.region' => '0,0,2048,858'], [], []];
        yield 'pixel aspect' => [
            ['picture.pixel_aspect' => '2/1'],
            ['pixel-aspect-differs' => ['picture.pixel_aspect']],
            ['picture.pixel_aspect'],
        ];
        yield 'rate' => [['time.rate' => 25], ['rate-of-another-standard' => ['time.rate']], ['time.rate']];
        yield 'rate, pulled down' => [
            ['time.rate' => 23.976],
            ['rate-of-another-standard' => ['time.rate']],
            ['time.rate'],
        ];
        yield 'rate of no standard' => [['time.rate' => 12], ['value-differs' => ['time.rate']], ['time.rate']];
        yield 'one frame' => [
            ['time.extent' => 'one'],
            ['single-frame-mode' => ['time.range', 'time.extent']],
            ['time.extent'],
        ];
        yield 'whole timeline, too long' => [
            ['time.extent' => 'whole'],
            ['range-set-otherwise' => ['time.range', 'time.extent']],
            ['time.extent'],
        ];
        yield 'whole timeline, just right' => [['time.extent' => 'whole', 'time.timeline' => '1001-1096'], [], []];
        yield 'starting range' => [
            ['time.range' => '1-60'],
            ['range-never-set' => ['time.range']],
            ['time.range'],
            [],
            ['starting_values' => ['time.range' => ['1-60']]],
        ];
        yield 'range otherwise' => [
            ['time.range' => '1001-1060'],
            ['range-set-otherwise' => ['time.range']],
            ['time.range'],
        ];
        yield 'short of its timeline' => [
            ['time.range' => '1001-1060', 'time.timeline' => '1001-1096'],
            ['range-short-of-timeline' => ['time.range']],
            ['time.range'],
        ];
        yield 'numbered from one' => [
            ['time.range' => '1-96'],
            ['numbered-from-elsewhere' => ['time.range']],
            ['time.range'],
        ];
        yield 'last frame' => [
            ['time.range' => '1001-1095'],
            ['last-frame-left-out' => ['time.range']],
            ['time.range'],
        ];
        yield 'step' => [['time.step' => 2], ['step-left-on' => ['time.range', 'time.step']], ['time.step']];
        yield 'handles left out' => [[], ['handles-left-out' => ['time.range']], ['time.range'], ['time.handles' => 8]];
        yield 'handles in' => [['time.range' => '993-1104'], [], [], ['time.handles' => 8]];
        yield 'the animation’s own range' => [['time.extent' => 'whole'], [], [], ['time.range' => 'timeline']];
        yield 'working view' => [
            ['camera.chosen' => ['working']],
            ['working-view-rendered' => ['camera.name', 'camera.single']],
            ['camera.chosen'],
        ];
        yield 'another camera' => [
            ['camera.chosen' => ['cam_wide']],
            ['another-camera' => ['camera.name']],
            ['camera.chosen'],
        ];
        yield 'no camera' => [
            ['camera.chosen' => []],
            ['no-camera' => ['camera.name', 'camera.single']],
            ['camera.chosen'],
        ];
        yield 'two cameras' => [
            ['camera.chosen' => ['cam_quay', 'cam_wide']],
            ['several-cameras' => ['camera.name', 'camera.single']],
            ['camera.chosen'],
        ];
        yield 'any camera of a family' => [['camera.chosen' => ['cam_wide']], [], [], ['camera.name' => 'cam_*']];
        yield 'not saved' => [[], ['scene-not-saved' => ['scene.saved']], ['scene.saved'], [], [], ['saved' => false]];
        yield 'a movie' => [['format.kind' => 'mp4'], ['movie-instead-of-frames' => ['format.kind']], ['format.kind']];
        yield 'lossy' => [
            ['format.compression' => 'dwaa'],
            ['lossy-instead-of-lossless' => ['format.compression']],
            ['format.compression'],
        ];
        yield 'JPEG for PNG' => [
            [
                'format.kind' => 'jpeg',
                'format.bit_depth' => 8,
                'format.sample' => 'uint',
                'format.channels' => 'RGB',
                'format.compression' => 'jpeg',
                'naming.pattern' => 'TC_010_light_v003.####.jpg',
            ],
            ['lossy-instead-of-lossless' => ['format.kind', 'format.channels', 'format.compression']],
            ['format.kind', 'format.channels', 'format.compression'],
            [
                'format.kind' => 'png',
                'format.bit_depth' => 8,
                'format.sample' => 'uint',
                'format.compression' => 'lossless',
            ],
        ];
        yield 'compression' => [
            ['format.compression' => 'piz'],
            ['compression-differs' => ['format.compression']],
            ['format.compression'],
        ];
        yield 'depth' => [
            ['format.bit_depth' => 8, 'format.sample' => 'uint'],
            ['depth-dropped' => ['format.bit_depth', 'format.sample']],
            ['format.bit_depth', 'format.sample'],
        ];
        yield 'alpha' => [
            ['format.channels' => 'RGB'],
            ['alpha-not-saved' => ['format.channels']],
            ['format.channels'],
        ];
        yield 'output name without a number' => [
            ['naming.pattern' => 'TC_010_light_v003.exr'],
            ['fixed-name-overwrites' => ['naming.pattern']],
            ['naming.pattern'],
        ];
        yield 'output name of another version' => [
            ['naming.pattern' => 'TC_010_light_v002.%04d.exr'],
            ['wrong-version' => ['naming.pattern']],
            ['naming.pattern'],
        ];
        yield 'output name counted to five' => [
            ['naming.pattern' => 'TC_010_light_v003.{frame:5}.exr'],
            ['too-many-digits' => ['naming.pattern']],
            ['naming.pattern'],
        ];
        yield 'no output folder' => [
            ['output.folder' => ''],
            ['saved-elsewhere' => ['output.folder']],
            ['output.folder'],
        ];
        yield 'a folder for what is thrown away' => [
            ['output.folder' => 'C:\\Temp\\out'],
            ['saved-elsewhere' => ['output.folder']],
            ['output.folder'],
        ];
        yield 'an output folder never set' => [
            ['output.folder' => 'out'],
            ['saved-elsewhere' => ['output.folder']],
            ['output.folder'],
            [],
            ['starting_values' => ['output.folder' => ['out', 'render']]],
        ];
        yield 'a folder that only begins like one never set' => [
            ['output.folder' => 'out2'],
            ['value-differs' => ['output.folder']],
            ['output.folder'],
            [],
            ['starting_values' => ['output.folder' => ['out']]],
        ];
        yield 'output folder outside' => [
            ['output.folder' => '/tmp/renders'],
            ['saved-elsewhere' => ['output.folder']],
            ['output.folder'],
        ];
        yield 'output folder climbs out' => [
            ['output.folder' => '../renders/TC_010'],
            ['saved-elsewhere' => ['output.folder']],
            ['output.folder'],
        ];
        yield 'output folder, another' => [
            ['output.folder' => 'out'],
            ['value-differs' => ['output.folder']],
            ['output.folder'],
        ];
        yield 'absolute and inside' => [['output.folder' => '/work/tide_clock/renders/TC_010'], [], []];
        yield 'scale and size, each wrong' => [
            ['picture.scale' => 50, 'picture.resolution' => '1024x429'],
            ['scale-below-full' => ['picture.resolution', 'picture.scale'], 'smaller-preset' => ['picture.resolution']],
            ['picture.scale', 'picture.resolution'],
        ];
        yield 'never set, and scaled' => [
            ['picture.scale' => 50, 'picture.resolution' => '400x300'],
            ['scale-below-full' => ['picture.resolution', 'picture.scale'], 'starting-size' => ['picture.resolution']],
            ['picture.scale', 'picture.resolution'],
            [],
            ['starting_values' => ['picture.resolution' => ['400x300']]],
        ];
        yield 'step and range, each wrong' => [
            ['time.step' => 2, 'time.range' => '1001-1050'],
            ['step-left-on' => ['time.range', 'time.step'], 'range-set-otherwise' => ['time.range']],
            ['time.step', 'time.range'],
        ];
        yield 'three at once' => [['picture.scale' => 50, 'camera.chosen' => ['working'], 'time.range' => '1001-1050'],
            [
                'scale-below-full' => ['picture.resolution', 'picture.scale'],
                'working-view-rendered' => ['camera.name', 'camera.single'],
                'range-set-otherwise' => ['time.range'],
            ],
            ['picture.scale', 'time.range', 'camera.chosen'],
        ];
    }

    /** @return iterable<string, array{string, list<array{string, string}>}> the format set, and what is to be set */
    public static function namedOtherwise(): iterable
    {
        yield 'the name alone' => ['png', [['naming.pattern', 'TC_010.####.png']]];
        yield 'both' => ['tiff', [['format.kind', 'png'], ['naming.pattern', 'TC_010.####.png']]];
    }

    /** @param  list<array{string, string}>  $sets */
    #[DataProvider('namedOtherwise')]
    public function test_a_name_that_says_another_format_is_told_and_what_is_set_then_balances(
        string $kind,
        array $sets,
    ): void {
        $asked = Workbench::specification(['format.kind' => 'png', 'naming.pattern' => '{shot}.{frame:4}.{ext}']);
        $settings = ['format.kind' => $kind, 'naming.pattern' => 'TC_010.####.jpg'];
        $document = CheckReport::of($asked, Workbench::scene($settings), null)->toArray();

        self::assertSame(['extension-lies'], array_column($document['causes'], 'id'));
        self::assertSame("The format is {$kind}, and the name says .jpg.", $document['causes'][0]['says']);
        $fixes = array_map(static fn (array $fix): array => [$fix['id'], $fix['to']], $document['fixes']);
        self::assertSame($sets, $fixes);
        $mended = CheckReport::of($asked, Workbench::scene(array_column($sets, 1, 0) + $settings), null)->toArray();
        self::assertSame(['balanced', []], [$mended['verdict'], $mended['causes']]);
    }

    public function test_what_a_scene_does_not_mention_is_open_and_no_mistake(): void
    {
        $document = CheckReport::of(
            Workbench::specification(['picture.resolution' => '64x36', 'time.rate' => 24]),
            Workbench::scene(['time.rate' => 24]),
            null,
        )->toArray();

        self::assertSame('open', $document['verdict']);
        self::assertSame(['unknown', 'equal'], array_column($document['entries'], 'mark'));
        self::assertNull($document['entries'][0]['scene']['found']);
        self::assertSame([], $document['causes']);
    }

    public function test_a_should_never_changes_the_verdict(): void
    {
        $require = ['time.rate' => 24, 'render.samples' => ['min' => 128, 'level' => 'should', 'why' => 'noise']];
        $document = CheckReport::of(
            Workbench::specification($require),
            Workbench::scene(['time.rate' => 24, 'render.samples' => 64]),
            null,
        )->toArray();

        self::assertSame('balanced', $document['verdict']);
        self::assertSame(['draft-quality'], array_column($document['causes'], 'id'));
        self::assertSame('>= 128', $document['entries'][1]['required']);
    }

    public function test_files_decide_over_a_scene_that_has_changed_since(): void
    {
        $bench = new Workbench;
        $bench->frames('a.%04d.png', '1-10', Workbench::png());
        $require = ['picture.resolution' => '64x36', 'time.range' => '1-10', 'naming.pattern' => 'a.{frame:4}.{ext}'];
        $document = $bench->check(
            Workbench::specification($require),
            Workbench::scene(
                ['picture.resolution' => '32x18', 'time.range' => '1-5', 'naming.pattern' => 'b.####.png'],
            ),
        );

        self::assertSame('balanced', $document['verdict']);
        self::assertSame([], $document['causes']);
        self::assertSame(
            [true, true, true],
            array_map(static fn (array $e): bool => $e['scene']['stale'] ?? false, $document['entries']),
        );
    }

    public function test_the_scene_tells_a_scale_from_a_size(): void
    {
        $bench = new Workbench;
        $bench->frames('a.%04d.png', '1-3', Workbench::png(640, 360));
        $specification = Workbench::specification(['picture.resolution' => '1280x720', 'time.range' => '1-3']);
        $first = fn (array $settings): string => $bench->check(
            $specification,
            Workbench::scene($settings + ['time.range' => '1-3']),
        )['causes'][0]['id'];

        self::assertSame('scale-below-full', $first(['picture.resolution' => '1280x720', 'picture.scale' => 50]));
        self::assertSame('smaller-preset', $first(['picture.resolution' => '640x360', 'picture.scale' => 100]));
    }

    public function test_files_that_are_what_the_scene_was_set_to(): void
    {
        $bench = new Workbench;
        $bench->frames('a.%04d.png', '1-6', Workbench::png());
        $specification = Workbench::specification(['time.range' => '1-10', 'naming.pattern' => 'a.{frame:4}.{ext}']);

        $set = $bench->check(
            $specification,
            Workbench::scene(['time.range' => '1-6', 'time.extent' => 'listed', 'naming.pattern' => 'a.####.png']),
        );
        self::assertSame(['range-set-otherwise'], array_column($set['causes'], 'id'));
        $stopped = $bench->check(
            $specification,
            Workbench::scene(['time.range' => '1-10', 'time.extent' => 'listed', 'naming.pattern' => 'a.####.png']),
        );
        self::assertSame(['render-stopped'], array_column($stopped['causes'], 'id'));
        self::assertSame('7-10', $stopped['sequences'][0]['rerender']);
    }
}
