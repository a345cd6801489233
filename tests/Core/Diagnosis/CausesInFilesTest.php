<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Support\Workbench;

/**
 * Each everyday mistake in delivered frames: the verdict, every cause with what it explains, and what to render again.
 */
final class CausesInFilesTest extends TestCase
{
    private const REQUIRE = [
        'picture.resolution' => '64x36', 'picture.pixel_aspect' => '1/1', 'time.range' => '1001-1010', 'time.step' => 1,
        'format.kind' => 'png', 'format.bit_depth' => 8, 'format.channels' => 'RGB', 'format.compression' => 'lossless',
        'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
        'content.whole' => 'yes',
        'content.uniform' => 'yes',
        'delivery.extras' => 'none',
    ];

    private const NAME = 'TC_010_light_v003.%04d.png';

    /**
     * @param  \Closure(Workbench): mixed  $fill
     * @param  array<string, list<string>>  $causes  id to what it explains, in order
     * @param  array<string, mixed>  $require  changes
     */
    #[DataProvider('deliveries')]
    public function test_a_mistake_is_named(
        \Closure $fill,
        array $causes,
        string $rerender,
        array $require = [],
        array $more = [],
        ?array $scene = null,
    ): void {
        $bench = new Workbench;
        $fill($bench);
        $specification = Workbench::specification(
            array_filter([...self::REQUIRE, ...$require], static fn (mixed $v): bool => $v !== null),
            $more,
        );
        $document = $bench->check($specification, $scene === null ? null : Workbench::scene($scene));

        $found = [];
        foreach ($document['causes'] as $cause) {
            $found[$cause['id']] = $cause['explains'];
        }
        self::assertSame($causes, $found, json_encode($document['causes'], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE));
        self::assertSame($causes === [] ? 'balanced' : 'unbalanced', $document['verdict']);
        self::assertSame($rerender, $document['sequences'][0]['rerender']);
    }

    /**
     * @return iterable<string, array{0: \Closure, 1: array<string, list<string>>, 2: string, 3?: array, 4?: array,
     *   5?: array|null}>
     */
    public static function deliveries(): iterable
    {
        $png = Workbench::png();
        $all = static fn (Workbench $b): Workbench => $b->frames(self::NAME, '1001-1010', Workbench::png());
        $cut = substr($png, 0, intdiv(strlen($png), 2));

        yield 'clean' => [$all, [], ''];
        yield 'nothing delivered' => [
            static fn (Workbench $b) => null,
            ['nothing-delivered' => ['time.range']],
            '1001-1010',
        ];
        yield 'render stopped' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1006', $png),
            ['render-stopped' => ['time.range']],
            '1007-1010',
        ];
        yield 'stopped, last cut short' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1006', $png)->put(
                'TC_010_light_v003.1007.png',
                $cut,
            ),
            ['render-stopped' => ['time.range', 'content.whole']],
            '1007-1010',
        ];
        yield 'stopped, last empty' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1006', $png)->put(
                'TC_010_light_v003.1007.png',
                '',
            ),
            ['render-stopped' => ['time.range', 'content.whole']],
            '1007-1010',
        ];
        yield 'still arriving' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1006', $png, 20),
            ['still-arriving' => ['time.range']],
            '1007-1010',
        ];
        yield 'slow but still arriving' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1006', $png, 290),
            ['still-arriving' => ['time.range']],
            '1007-1010',
        ];
        yield 'frames dropped' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1003,1005,1008-1010', $png),
            ['frames-dropped' => ['time.range']],
            '1004,1006-1007',
        ];
        yield 'last left out' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1009', $png),
            ['last-frame-left-out' => ['time.range']],
            '1010',
        ];
        yield 'first left out' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1002-1010', $png),
            ['last-frame-left-out' => ['time.range']],
            '1001',
        ];
        yield 'single frame' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001', $png),
            ['single-frame-mode' => ['time.range']],
            '1002-1010',
        ];
        yield 'one frame, the scene was told the range' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001', $png),
            ['render-stopped' => ['time.range']],
            '1002-1010',
            [],
            [],
            [
                'time.extent' => 'listed',
                'time.range' => '1001-1010',
                'time.step' => 1,
                'picture.resolution' => '64x36',
                'picture.pixel_aspect' => 1,
                'format.kind' => 'png',
                'format.bit_depth' => 8,
                'format.channels' => 'RGB',
                'format.compression' => 'deflate',
                'naming.pattern' => 'TC_010_light_v003.####.png',
            ],
        ];
        yield 'step left on' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1009x2', $png),
            ['step-left-on' => ['time.range', 'time.step']],
            '1002-1010x2',
        ];
        yield 'starting range' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1-60', $png),
            ['range-never-set' => ['time.range']],
            '1001-1010',
            [],
            ['starting_values' => ['time.range' => ['1-60']]],
        ];
        yield 'starting range of the right count' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1-10', $png),
            ['range-never-set' => ['time.range']],
            '1001-1010',
            [],
            ['starting_values' => ['time.range' => '1-10']],
        ];
        yield 'numbered from elsewhere' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1-10', $png),
            ['numbered-from-elsewhere' => ['time.range']],
            '',
        ];
        yield 'numbered from zero, one damaged' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '0-9', $png)->put('TC_010_light_v003.0004.png', ''),
            ['numbered-from-elsewhere' => ['time.range'], 'empty-file' => ['content.whole']],
            '5',
            ['time.range' => '1-10'],
        ];
        yield 'handles left out' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', $png),
            ['handles-left-out' => ['time.range']],
            '997-1000,1011-1014',
            ['time.handles' => ['head' => 4, 'tail' => 4]],
        ];
        yield 'handles there' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '997-1014', $png),
            [],
            '',
            ['time.handles' => 4],
        ];
        yield 'handles not asked' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '993-1018', $png),
            ['handles-not-asked' => ['time.range']],
            '',
        ];
        yield 'scale' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(32, 18)),
            ['scale-below-full' => ['picture.resolution']],
            '1001-1010',
        ];
        yield 'scale and stopped: neither hides the other' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1004', Workbench::png(32, 18)),
            ['scale-below-full' => ['picture.resolution'], 'render-stopped' => ['time.range']],
            '1001-1010',
        ];
        yield 'swapped' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(36, 64)),
            ['sides-swapped' => ['picture.resolution']],
            '1001-1010',
        ];
        yield 'smaller preset' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(854, 480)),
            ['smaller-preset' => ['picture.resolution']],
            '1001-1010',
            ['picture.resolution' => '1920x1080'],
        ];
        yield 'a third of it, a usual size too' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(640, 360)),
            ['scale-below-full' => ['picture.resolution']],
            '1001-1010',
            ['picture.resolution' => '1920x1080'],
        ];
        yield 'half of it, a usual size too' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(640, 360)),
            ['scale-below-full' => ['picture.resolution']],
            '1001-1010',
            ['picture.resolution' => '1280x720'],
        ];
        yield 'starting size' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(40, 30)),
            ['starting-size' => ['picture.resolution']],
            '1001-1010',
            [],
            ['starting_values' => ['picture.resolution' => ['40x30']]],
        ];
        yield 'wrong shape' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(64, 48)),
            ['wrong-shape' => ['picture.resolution']],
            '1001-1010',
        ];
        yield 'one pixel off' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(64, 37)),
            ['off-by-rounding' => ['picture.resolution']],
            '1001-1010',
        ];
        yield 'changed midway' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1004', $png)->frames(
                self::NAME,
                '1005-1010',
                Workbench::png(32, 18),
            ),
            ['settings-changed-midway' => ['picture.resolution', 'content.uniform']],
            '1005-1010',
        ];
        yield 'two takes mixed' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', $png)->frames(
                self::NAME,
                '1003,1006',
                Workbench::png(32, 18),
            ),
            ['two-takes-mixed' => ['picture.resolution', 'content.uniform']],
            '1003,1006',
        ];
        yield 'pixel aspect' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(density: [1000, 1100])),
            ['pixel-aspect-differs' => ['picture.pixel_aspect']],
            '',
        ];
        yield 'depth' => [$all, ['depth-dropped' => ['format.bit_depth']], '1001-1010', ['format.bit_depth' => 16]];
        yield 'alpha not saved' => [
            $all,
            ['alpha-not-saved' => ['format.channels', 'format.alpha']],
            '1001-1010',
            ['format.channels' => 'RGBA', 'format.alpha' => 'straight'],
        ];
        yield 'alpha not asked' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1010', Workbench::png(channels: 'RGBA')),
            ['alpha-not-asked' => ['format.channels', 'format.alpha']],
            '',
            ['format.alpha' => 'none'],
        ];
        yield 'compression' => [
            static fn (Workbench $b) => $b->frames(
                'TC_010_light_v003.%04d.exr',
                '1001-1010',
                Workbench::exr(compression: 'none'),
            ),
            ['compression-differs' => ['format.compression']],
            '',
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.channels' => 'RGBA',
                'format.compression' => ['zip', 'zips'],
            ],
        ];
        yield 'region' => [
            static fn (Workbench $b) => $b->frames(
                'TC_010_light_v003.%04d.exr',
                '1001-1010',
                Workbench::exr(dataWindow: [8, 4, 40, 30]),
            ),
            ['region-left-on' => ['picture.region']],
            '1001-1010',
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.channels' => 'RGBA',
                'format.compression' => null,
                'picture.region' => 'full',
            ],
        ];
        yield 'trimmed frames are no region' => [
            static fn (Workbench $b) => $b->frames(
                'TC_010_light_v003.%04d.exr',
                '1001-1009x2',
                Workbench::exr(dataWindow: [8, 4, 40, 30]),
            )->frames('TC_010_light_v003.%04d.exr', '1002-1010x2', Workbench::exr(dataWindow: [9, 4, 41, 30])),
            [],
            '',
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.channels' => 'RGBA',
                'format.compression' => null,
                'picture.region' => 'full',
            ],
        ];
        yield 'camera in the header' => [
            static fn (Workbench $b) => $b->frames(
                'TC_010_light_v003.%04d.exr',
                '1001-1010',
                Workbench::exr(texts: ['camera' => 'cam_wide']),
            ),
            ['another-camera' => ['camera.name']],
            '1001-1010',
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.channels' => 'RGBA',
                'format.compression' => 'zip',
                'camera.name' => 'cam_quay',
            ],
        ];
        yield 'rate in the header' => [
            static fn (Workbench $b) => $b->frames(
                'TC_010_light_v003.%04d.exr',
                '1001-1010',
                Workbench::exr(rate: [25, 1]),
            ),
            ['rate-of-another-standard' => ['time.rate']],
            '',
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.channels' => 'RGBA',
                'format.compression' => 'zip',
                'time.rate' => 24,
            ],
        ];
        yield 'extension lies, content right' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003.%04d.jpg', '1001-1010', $png),
            ['extension-lies' => ['format.kind', 'naming.pattern']],
            '',
        ];
        yield 'a movie instead' => [
            static fn (Workbench $b) => $b->put(
                'TC_010_light_v003.mp4',
                "\0\0\0\x20ftypisom\0\0\2\0isomiso2avc1mp41".str_repeat("\0", 64),
            ),
            ['movie-instead-of-frames' => ['time.range', 'format.kind']],
            '1001-1010',
        ];
        yield 'another format altogether: what was lost stands first' => [
            $all,
            [
                'depth-dropped' => ['format.bit_depth', 'format.sample'],
                'value-differs' => ['format.kind', 'format.compression'],
            ],
            '1001-1010',
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.sample' => 'float',
                'format.compression' => 'zip',
            ],
        ];
        yield 'three digits' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003.%03d.png', '1-10', $png),
            ['too-few-digits' => ['naming.pattern']],
            '',
            ['time.range' => '1-10'],
        ];
        yield 'five digits' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003.%05d.png', '1001-1010', $png),
            ['too-many-digits' => ['naming.pattern']],
            '',
        ];
        yield 'no zeros at all' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003.%d.png', '1-12', $png),
            ['too-few-digits' => ['naming.pattern']],
            '',
            ['time.range' => '1-12'],
        ];
        yield 'a dash for the dot' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003-%04d.png', '1001-1010', $png),
            ['separator-differs' => ['naming.pattern']],
            '',
        ];
        yield 'dash inside the shot and three digits' => [
            static fn (Workbench $b) => $b->frames('TC-010_light_v003.%03d.png', '1-10', $png),
            ['too-few-digits' => ['naming.pattern'], 'separator-differs' => ['naming.pattern']],
            '',
            ['time.range' => '1-10'],
        ];
        yield 'case' => [
            static fn (Workbench $b) => $b->frames('tc_010_Light_v003.%04d.png', '1001-1010', $png),
            ['case-differs' => ['naming.pattern']],
            '',
        ];
        yield 'another version' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v002.%04d.png', '1001-1010', $png),
            ['wrong-version' => ['naming.pattern']],
            '',
        ];
        yield 'misspelled' => [
            static fn (Workbench $b) => $b->frames('TC_010_lihgt_v003.%04d.png', '1001-1010', $png),
            ['value-misspelled' => ['naming.pattern']],
            '',
        ];
        yield 'a space inside' => [
            static fn (Workbench $b) => $b->frames('TC 010_light_v003.%04d.png', '1001-1010', $png),
            ['spaces-inside' => ['naming.pattern']],
            '',
        ];
        yield 'a dot inside' => [
            static fn (Workbench $b) => $b->frames('TC.010_light_v003.%04d.png', '1001-1010', $png),
            ['dots-inside' => ['naming.pattern']],
            '',
        ];
        yield 'number in front' => [
            static fn (Workbench $b) => $b->frames('%04d_TC_010_light_v003.png', '1001-1010', $png),
            ['number-in-wrong-place' => ['naming.pattern']],
            '',
        ];
        yield 'number behind the extension' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003.png.%04d', '1001-1010', $png),
            ['number-in-wrong-place' => ['naming.pattern']],
            '',
        ];
        yield 'upper-case extension' => [
            static fn (Workbench $b) => $b->frames('TC_010_light_v003.%04d.PNG', '1001-1010', $png),
            ['extension-spelled-otherwise' => ['naming.pattern']],
            '',
        ];
        yield 'a copy beside' => [
            static fn (Workbench $b) => $all($b)->put('TC_010_light_v003.1004 (1).png', $png),
            ['copy-suffix' => ['delivery.extras']],
            '',
        ];
        yield 'a copy instead' => [
            static fn (Workbench $b) => $all($b)->without('TC_010_light_v003.1004.png')->put(
                'TC_010_light_v003.1004 copy.png',
                $png,
            ),
            ['copy-suffix' => ['naming.pattern']],
            '',
        ];
        yield 'leftovers' => [
            static fn (Workbench $b) => $all($b)->put('notes.txt', 'hello')->put(
                'preview.mp4',
                "\0\0\0\x20ftypisom".str_repeat("\0", 40),
            ),
            ['leftovers' => ['delivery.extras']],
            '',
        ];
        yield 'system files are nobody’s business' => [
            static fn (Workbench $b) => $all($b)->put('.DS_Store', 'x')
                ->put('Thumbs.db', 'x')
                ->put('._TC_010_light_v003.1001.png', 'x'),
            [],
            '',
        ];
        yield 'an earlier version left beside' => [
            static fn (Workbench $b) => $all($b)->frames('TC_010_light_v002.%04d.png', '1001-1010', $png),
            ['leftovers' => ['delivery.extras']],
            '',
        ];
        yield 'elsewhere' => [
            static fn (Workbench $b) => $b->frames('tmp/'.self::NAME, '1001-1010', $png),
            ['saved-elsewhere' => ['naming.folder']],
            '',
            ['naming.folder' => '{shot}'],
        ];
        yield 'empty in the middle' => [
            static fn (Workbench $b) => $all($b)->put('TC_010_light_v003.1004.png', ''),
            ['empty-file' => ['content.whole']],
            '1004',
        ];
        yield 'cut short in the middle' => [
            static fn (Workbench $b) => $all($b)->put('TC_010_light_v003.1004.png', $cut),
            ['cut-short' => ['content.whole']],
            '1004',
        ];
        yield 'header sum fails' => [
            static fn (Workbench $b) => $all($b)->put('TC_010_light_v003.1004.png', substr_replace($png, 'X', 18, 1)),
            ['checksum-fails' => ['content.whole']],
            '1004',
        ];
        yield 'stopped, and one cut short earlier' => [
            static fn (Workbench $b) => $b->frames(self::NAME, '1001-1006', $png)
                ->put('TC_010_light_v003.1003.png', $cut)
                ->put('TC_010_light_v003.1006.png', $cut),
            ['render-stopped' => ['time.range', 'content.whole'], 'cut-short' => ['content.whole']],
            '1003,1006-1010',
        ];
        yield 'three mistakes at once' => [
            static fn (Workbench $b) => $b->frames(
                'TC_010_light_v003.%05d.png',
                '1001-1004',
                Workbench::png(32, 18),
            )->put('notes.txt', 'x'),
            [
                'scale-below-full' => ['picture.resolution'],
                'render-stopped' => ['time.range'],
                'too-many-digits' => ['naming.pattern'],
                'leftovers' => ['delivery.extras'],
            ],
            '1001-1010',
        ];
        yield 'a name of another program' => [
            static fn (Workbench $b) => $b->frames('untitled%04d.png', '1001-1010', $png),
            ['value-differs' => ['naming.pattern']],
            '',
        ];
    }
}
