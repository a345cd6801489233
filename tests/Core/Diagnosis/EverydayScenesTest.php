<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use Tests\Core\Support\Workbench;

/**
 * What goes wrong in scenes on any day, alone and with every mistake of another family: verdict, causes, the thing to
 * set.
 */
final class EverydayScenesTest extends TestCase
{
    private const REQUIRE = [
        'picture.resolution' => '1920x1080', 'picture.pixel_aspect' => '1/1', 'picture.region' => 'full',
        'time.rate' => '24', 'time.range' => '1001-1096', 'time.step' => 1, 'camera.name' => 'cam_quay',
        'camera.single' => 'yes',
        'scene.saved' => 'yes',
        'scene.links' => 'yes',
        'render.renderer' => 'Lumen',
        'render.quality' => 'final',
        'render.samples' => ['min' => 128],
        'render.motion_blur' => 'on',
        'render.post_effects' => 'off',
        'render.overlays' => 'off',
        'format.kind' => 'png', 'format.bit_depth' => 16, 'format.channels' => 'RGBA', 'colour.encoding' => 'srgb',
        'colour.view' => 'none', 'colour.look' => 'none', 'colour.exposure' => 0, 'colour.gamma' => 1,
        'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
        'output.folder' => 'renders/{shot}',
        'burn_in' => 'none',
        'passes' => ['beauty', 'mist'],
        'other.fog_density' => ['min' => 0.2, 'max' => 0.4],
    ];

    private const SETTINGS = [
        'picture.resolution' => '1920x1080',
        'picture.scale' => 100,
        'picture.pixel_aspect' => 1,
        'picture.region' => false,
        'time.rate' => 24, 'time.range' => '1001-1096', 'time.step' => 1, 'time.extent' => 'listed',
        'time.timeline' => '990-1110',
        'camera.chosen' => ['cam_quay'],
        'camera.all' => ['cam_quay', 'cam_wide'],
        'camera.views' => ['top'],
        'scene.links' => [['path' => 'tex/wall.png', 'present' => true]],
        'render.renderer' => 'Lumen', 'render.quality' => 'final', 'render.samples' => 256,
        'render.motion_blur' => true, 'render.post_effects' => false, 'render.overlays' => false,
        'format.kind' => 'png', 'format.bit_depth' => 16, 'format.channels' => 'RGBA', 'colour.encoding' => 'srgb',
        'colour.view' => 'none', 'colour.look' => 'none', 'colour.exposure' => 0, 'colour.gamma' => 1,
        'naming.pattern' => 'TC_010_light_v003.####.png',
        'output.folder' => 'renders/TC_010',
        'burn_in' => [],
        'passes' => [['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => true]],
        'other.fog_density' => 0.3,
    ];

    /** By family: what is changed in the scene, the cause, and the setting that the first fix names. */
    private const FAMILIES = [
        'size' => [
            'half scale' => [['picture.scale' => 50], 'scale-below-full', 'picture.scale'],
            'a quarter' => [['picture.scale' => 25], 'scale-below-full', 'picture.scale'],
            'nearly full' => [['picture.scale' => 99], 'scale-below-full', 'picture.scale'],
            'the smaller one' => [['picture.resolution' => '1280x720'], 'smaller-preset', 'picture.resolution'],
            'on its side' => [['picture.resolution' => '1080x1920'], 'sides-swapped', 'picture.resolution'],
            'of another shape' => [['picture.resolution' => '1920x1200'], 'wrong-shape', 'picture.resolution'],
            'one pixel short' => [['picture.resolution' => '1920x1079'], 'off-by-rounding', 'picture.resolution'],
            'as it came' => [['picture.resolution' => '400x300'], 'starting-size', 'picture.resolution'],
        ],
        'pixels' => [
            'wide' => [['picture.pixel_aspect' => 2], 'pixel-aspect-differs', 'picture.pixel_aspect'],
            'of old tape' => [['picture.pixel_aspect' => '16/15'], 'pixel-aspect-differs', 'picture.pixel_aspect'],
        ],
        'region' => [
            'on' => [['picture.region' => true], 'region-left-on', 'picture.region'],
            'in pixels' => [['picture.region' => '100,100,640,480'], 'region-left-on', 'picture.region'],
        ],
        'rate' => [
            'of television' => [['time.rate' => 25], 'rate-of-another-standard', 'time.rate'],
            'pulled down' => [['time.rate' => '24000/1001'], 'rate-of-another-standard', 'time.rate'],
            'thirty' => [['time.rate' => 30], 'rate-of-another-standard', 'time.rate'],
            'of no standard' => [['time.rate' => 18], 'value-differs', 'time.rate'],
        ],
        'frames' => [
            'from one' => [['time.range' => '1-96'], 'numbered-from-elsewhere', 'time.range'],
            'one short at the end' => [['time.range' => '1001-1095'], 'last-frame-left-out', 'time.range'],
            'one short at the start' => [['time.range' => '1002-1096'], 'last-frame-left-out', 'time.range'],
            'of an earlier cut' => [['time.range' => '1001-1080'], 'range-set-otherwise', 'time.range'],
            'as they came' => [['time.range' => '1-250'], 'range-never-set', 'time.range'],
            'a single one' => [['time.extent' => 'one'], 'single-frame-mode', 'time.extent'],
            'every second' => [['time.step' => 2], 'step-left-on', 'time.step'],
            'every tenth' => [['time.step' => 10], 'step-left-on', 'time.step'],
            'the whole timeline' => [['time.extent' => 'whole'], 'range-set-otherwise', 'time.extent'],
            'with handles' => [['time.range' => '993-1104'], 'handles-not-asked', 'time.range'],
        ],
        'camera' => [
            'another' => [['camera.chosen' => ['cam_wide']], 'another-camera', 'camera.chosen'],
            'a working view' => [['camera.chosen' => ['top']], 'working-view-rendered', 'camera.chosen'],
            'none' => [['camera.chosen' => []], 'no-camera', 'camera.chosen'],
            'two' => [['camera.chosen' => ['cam_quay', 'cam_wide']], 'several-cameras', 'camera.chosen'],
        ],
        'links' => [
            'one missing' => [
                ['scene.links' => [['path' => 'tex/wall.png', 'present' => false]]],
                'links-missing',
                'scene.links',
            ],
        ],
        'quality' => [
            'draft' => [['render.quality' => 'draft'], 'draft-quality', 'render.quality'],
            'too few samples' => [['render.samples' => 16], 'draft-quality', 'render.samples'],
            'draft in both' => [
                ['render.quality' => 'draft', 'render.samples' => 4],
                'draft-quality',
                'render.quality',
            ],
        ],
        'renderer' => [
            'another' => [['render.renderer' => 'Grain'], 'value-differs', 'render.renderer'],
        ],
        'blur' => [
            'off' => [['render.motion_blur' => 'off'], 'value-differs', 'render.motion_blur'],
        ],
        'effects' => [
            'on' => [['render.post_effects' => 'on'], 'value-differs', 'render.post_effects'],
        ],
        'overlays' => [
            'on' => [['render.overlays' => 1], 'value-differs', 'render.overlays'],
        ],
        'depth' => [
            'eight bits' => [['format.bit_depth' => 8], 'depth-dropped', 'format.bit_depth'],
        ],
        'alpha' => [
            'not saved' => [['format.channels' => 'RGB'], 'alpha-not-saved', 'format.channels'],
        ],
        'view' => [
            'one' => [['colour.view' => 'Soft curve'], 'value-differs', 'colour.view'],
        ],
        'look' => [
            'one' => [['colour.look' => 'Night'], 'value-differs', 'colour.look'],
        ],
        'exposure' => [
            'up' => [['colour.exposure' => 0.5], 'value-differs', 'colour.exposure'],
        ],
        'gamma' => [
            'another' => [['colour.gamma' => 2.2], 'value-differs', 'colour.gamma'],
        ],
        'encoding' => [
            'linear' => [['colour.encoding' => 'linear'], 'value-differs', 'colour.encoding'],
        ],
        'name' => [
            'of an earlier version' => [
                ['naming.pattern' => 'TC_010_light_v002.####.png'],
                'wrong-version',
                'naming.pattern',
            ],
            'without a number' => [
                ['naming.pattern' => 'TC_010_light_v003.png'],
                'fixed-name-overwrites',
                'naming.pattern',
            ],
            'with a space' => [['naming.pattern' => 'TC 010_light_v003.####.png'], 'spaces-inside', 'naming.pattern'],
            'number in front' => [
                ['naming.pattern' => '####_TC_010_light_v003.png'],
                'number-in-wrong-place',
                'naming.pattern',
            ],
            'counted by six' => [
                ['naming.pattern' => 'TC_010_light_v003.%06d.png'],
                'too-many-digits',
                'naming.pattern',
            ],
            'with a dash' => [
                ['naming.pattern' => 'TC_010_light-v003.####.png'],
                'separator-differs',
                'naming.pattern',
            ],
            'in small letters' => [
                ['naming.pattern' => 'tc_010_light_v003.####.png'],
                'case-differs',
                'naming.pattern',
            ],
            'misspelled' => [['naming.pattern' => 'TC_010_ligth_v003.####.png'], 'value-misspelled', 'naming.pattern'],
        ],
        'folder' => [
            'none' => [['output.folder' => ''], 'saved-elsewhere', 'output.folder'],
            'on the desk' => [['output.folder' => '/home/ansel/desk'], 'saved-elsewhere', 'output.folder'],
            'above the project' => [['output.folder' => '../out'], 'saved-elsewhere', 'output.folder'],
            'of another shot' => [['output.folder' => 'renders/TC_020'], 'value-differs', 'output.folder'],
        ],
        'burn-in' => [
            'left on' => [['burn_in' => ['shot', 'frame']], 'value-differs', 'burn_in'],
        ],
        'passes' => [
            'one off' => [
                ['passes' => [['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => false]]],
                'pass-not-saved',
                'passes',
            ],
            'one not there' => [['passes' => [['name' => 'beauty', 'saved' => true]]], 'pass-missing', 'passes'],
        ],
        'fog' => [
            'too thick' => [['other.fog_density' => 0.7], 'value-differs', 'other.fog_density'],
            'none' => [['other.fog_density' => 0], 'value-differs', 'other.fog_density'],
        ],
        'state' => [
            'not saved' => [['saved' => false], 'scene-not-saved', 'scene.saved'],
        ],
    ];

    /**
     * @return list<array{string, string, array<string, mixed>, string, string}> family, name, change, cause, setting
     */
    private static function all(): array
    {
        $all = [];
        foreach (self::FAMILIES as $family => $mistakes) {
            foreach ($mistakes as $name => [$change, $cause, $set]) {
                $all[] = [$family, $name, $change, $cause, $set];
            }
        }

        return $all;
    }

    /** @param  array<string, mixed>  $change */
    private static function document(array $change): array
    {
        $scene = ['file' => 'TC_010_light_v003', 'saved' => $change['saved'] ?? true, 'project_folder' => 'tide_clock'];
        unset($change['saved']);

        // read once for some two thousand scenes
        static $asked = null;
        $asked ??= Workbench::specification(
            self::REQUIRE,
            ['starting_values' => ['picture.resolution' => ['400x300'], 'time.range' => ['1-250']]],
        );

        return CheckReport::of(
            $asked,
            Workbench::scene($change + self::SETTINGS, $scene),
            null,
        )->toArray();
    }

    public function test_nothing_wrong_is_nothing_said(): void
    {
        $document = self::document([]);
        self::assertSame(['balanced', [], []], [$document['verdict'], $document['causes'], $document['fixes']]);
        self::assertSame(['equal'], array_values(array_unique(array_column($document['entries'], 'mark'))));
        self::assertGreaterThanOrEqual(60, count(self::all()));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function alone(): iterable
    {
        foreach (self::all() as [$family, $name, $change, $cause, $set]) {
            yield "{$family}: {$name}" => [$change, $cause, $set];
        }
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('alone')]
    public function test_alone(array $change, string $cause, string $set): void
    {
        $document = self::document($change);

        self::assertSame(
            ['unbalanced', [$cause]],
            [$document['verdict'], array_column($document['causes'], 'id')],
            (string) json_encode($document['causes'], JSON_UNESCAPED_UNICODE),
        );
        self::assertSame([['set', $set]], [[$document['fixes'][0]['kind'], $document['fixes'][0]['id'] ?? '']]);
        self::assertNotSame([], $document['causes'][0]['evidence']);
    }

    public function test_fewer_digits_than_every_frame_has_change_no_name(): void
    {
        self::assertSame('balanced', self::document(['naming.pattern' => 'TC_010_light_v003.###.png'])['verdict']);
    }

    /** Every two of different families: both causes, each explaining its own, nothing unequal left without one. */
    public function test_in_pairs(): void
    {
        $all = self::all();
        $wrong = [];
        $pairs = 0;
        foreach ($all as $i => [$familyA, $a, $changeA, $causeA]) {
            foreach (array_slice($all, $i + 1) as [$familyB, $b, $changeB, $causeB]) {
                if ($familyA === $familyB) {
                    continue;
                }
                $pairs++;
                $document = self::document($changeA + $changeB);
                $found = array_column($document['causes'], 'id');
                sort($found);
                $due = [$causeA, $causeB];
                sort($due);
                $unequal = array_column(
                    array_filter($document['entries'], static fn (array $e): bool => $e['mark'] === 'unequal'),
                    'id',
                );
                $explained = array_merge([], ...array_column($document['causes'], 'explains'));
                if (
                    $found !== $due
                    || array_diff($unequal, $explained) !== []
                    || $document['verdict'] !== 'unbalanced'
                ) {
                    $wrong[] = "{$familyA}: {$a} and {$familyB}: {$b}: ".implode(', ', $found);
                }
            }
        }
        self::assertSame([], array_slice($wrong, 0, 20));
        self::assertGreaterThan(1500, $pairs);
    }
}
