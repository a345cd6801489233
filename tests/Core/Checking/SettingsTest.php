<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Catalogue;
use Tests\Core\Support\Workbench;

/** Every requirement a scene can show: told as people and programs tell it, equal, unequal and not told at all. */
final class SettingsTest extends TestCase
{
    /** By id, what is asked and each setting that is equal to it. */
    private const EQUAL = [
        'picture.resolution' => [
            ['1920x1080', ['1920x1080', '1920 x 1080', '1920 × 1080', '1920X1080', '1920*1080', '1080p', [1920, 1080]]],
            [['1920x1080', '3840x2160'], ['3840x2160', '1920x1080']],
            ['2048x858', ['2048x858']],
            ['1080x1920', ['1080 x 1920']],
        ],
        'picture.scale' => [
            ['100', [100, '100', '100 %', '100%', 100.0, 'full']],
            ['50 %', [50, 'half', '50']],
            ['100/3', ['1/3']],
        ],
        'picture.pixel_aspect' => [
            ['1/1', [1, 1.0, '1', '1.0', 'square', '1:1', '1/1']],
            ['10/11', ['10/11', '10:11', 0.9091, 0.90909, '0.909']],
            ['16/15', [1.0667, 1.06667, '16/15']],
            ['2', [2, '2.0', '2:1']],
        ],
        'picture.region' => [['full', ['full', false, 'no', 'off', 'Full', 0]]],
        'picture.scan' => [
            ['progressive', ['progressive', 'Progressive', 'p']],
            ['interlaced', ['interlaced', 'fields']],
        ],
        'picture.projection' => [['flat', ['flat', 'perspective']]],
        'picture.density' => [['300', [300, '300', '300 dpi', '300 ppi', 300.0]], ['72 ppi', [72]]],
        'time.rate' => [
            ['24', [24, '24', 24.0, '24/1', '24 fps', '24.00']],
            ['23.976', ['24000/1001', 23.976, '23.98', 23.9760239]],
            ['29.97', ['30000/1001', 29.97]],
            ['59.94', ['60000/1001', 59.94]],
            [['24', '25'], [25, '24']],
            ['12.5', ['25/2', 12.5]],
        ],
        'time.range' => [
            ['1001-1096', ['1001-1096', '1001 - 1096', '1001–1096', '1001..1096', [1001, 1096]]],
            ['1-9x2', ['1-9x2', '1,3,5,7,9']],
            ['-5-5', ['-5-5']],
            ['7', ['7', 7]],
        ],
        'time.step' => [['1', [1, '1', 1.0]], ['2', [2]]],
        'time.extent' => [
            ['listed', ['listed', 'frame range', 'range']],
            ['whole', ['whole', 'timeline', 'all']],
            ['one', ['one', 'single frame', 'still']],
        ],
        'time.speed' => [['1/1', [1, '1', '100 %', '1/1', 1.0]], ['1/2', ['50%', 0.5, '0.5']]],
        'camera.name' => [
            ['cam_quay', ['cam_quay']],
            ['cam_*', ['cam_quay', 'cam_wide_02', 'cam_']],
            ['cam_0?', ['cam_01', 'cam_09']],
            [['cam_a', 'cam_b'], ['cam_b']],
        ],
        'camera.exposure' => [['manual', ['manual', 'Manual', 'fixed']], ['auto', ['auto', 'automatic']]],
        'render.renderer' => [['Lumen', ['Lumen', 'lumen', 'LUMEN', ' lumen ']], [['Lumen', 'Grain'], ['grain']]],
        'render.quality' => [['final', ['final', 'Final']], ['draft', ['draft']]],
        'render.samples' => [['>= 128', [128, 256, '512']], ['128', [128, 129]], ['at least 64', [64]]],
        'render.motion_blur' => [
            ['on', [true, 'on', 'yes', 1, 'true', 'On', 'enabled']],
            ['off', [false, 'off', 'no', 0, 'False', 'disabled']],
        ],
        'render.post_effects' => [['off', [false, 'off', '0']], ['on', ['1', true]]],
        'render.overlays' => [['off', [false, 'Off', 'no']]],
        'format.kind' => [
            ['png', ['png', 'PNG', '.png', 'Png']],
            ['jpeg', ['jpg', 'JPEG', '.jpg', 'jpe']],
            ['tiff', ['tif', 'TIFF']],
            ['exr', ['exr', 'OpenEXR', '.EXR']],
            [['png', 'exr'], ['exr']],
            ['mov', ['mov', '.MOV']],
        ],
        'format.codec' => [
            ['h264', ['h264', 'H.264', 'avc', 'x264']],
            ['hevc', ['h265', 'H.265', 'HEVC']],
            ['prores', ['ProRes', 'prores']],
            [['h264', 'hevc'], ['avc']],
        ],
        'format.bit_depth' => [
            ['16', [16, '16', '16 bit', '16-bit', 'half']],
            ['8', [8, '8 bits']],
            [['16', '8'], [8]],
        ],
        'format.sample' => [
            ['float', ['float', 'half', 'Float', 'floating point']],
            ['uint', ['uint', 'integer', 'int']],
        ],
        'format.channels' => [
            ['RGB', ['RGB', 'rgb', ['R', 'G', 'B'], 'R, G, B']],
            ['RGBA', ['RGBA', 'rgba', ['A', 'B', 'G', 'R']]],
            ['Y', ['Y', 'grey', 'gray', 'greyscale']],
        ],
        'format.alpha' => [
            ['straight', ['straight', 'unassociated', 'Straight']],
            ['premultiplied', ['premultiplied', 'premult', 'associated']],
            ['none', ['none', false, 'no', 'off']],
            ['any', ['straight', 'premultiplied', true, 'yes']],
        ],
        'format.compression' => [
            ['zip', ['zip', 'ZIP']],
            [['zip', 'zips'], ['zips']],
            ['lossless', ['zip', 'piz', 'none', 'rle', 'lzw', 'deflate', 'packbits']],
            ['none', ['none', 'uncompressed', false]],
        ],
        'format.quality' => [['90', [90, 91, '100', '95 %']], ['80..95', [80, 95]]],
        'format.chroma' => [['4:2:0', ['4:2:0', '420', 'yuv420p']], [['4:2:2', '4:4:4'], ['422', '4:4:4']]],
        'format.bit_rate' => [
            ['<= 8 Mbit/s', [8_000_000, '8 Mbit/s', '7.5 Mbps', '8000 kbit/s', '8000k']],
            ['4 Mbit/s to 8 Mbit/s', ['6M']],
        ],
        'format.keyframe_interval' => [['48', [48, 1, '24']]],
        'format.b_frames' => [['none', [0, 'none', '0', false]], ['2', [0, 2]]],
        'colour.encoding' => [
            ['srgb', ['sRGB', 'srgb', 'SRGB', 's-rgb']],
            ['rec709', ['Rec.709', 'rec 709', 'BT.709', 'bt709']],
            ['linear', ['linear', 'Linear']],
            [['srgb', 'rec709'], ['Rec.709']],
        ],
        'colour.view' => [['none', ['none', 'None']], ['Standard', ['Standard', 'standard']]],
        'colour.look' => [['none', ['none']], ['Soft', ['Soft']]],
        'colour.exposure' => [['0', [0, 0.0, '0', '0.0', '-0']], ['0.5', [0.5, '1/2']]],
        'colour.gamma' => [['1', [1, 1.0, '1.00']], ['2.2', [2.2, '2.20']]],
        'audio.presence' => [['none', ['none', false, 'no', 'mute']], ['required', ['required', true, 'yes', 'on']]],
        'audio.sample_rate' => [['48000', [48000, '48 kHz', '48000 Hz', '48k']], ['44.1 kHz', [44100]]],
        'audio.bit_depth' => [['24', [24, '24 bit']]],
        'audio.channels' => [['2', [2, 'stereo', '2']], ['1', ['mono']], ['6', ['5.1']]],
        'burn_in' => [
            ['none', ['none', false, [], 'off']],
            ['shot, frame', [['frame', 'shot'], 'shot, frame', 'Shot | Frame', 'frame,shot']],
        ],
        'other.fog_density' => [
            ['0.3', [0.3]],
            [0.3, [0.3, '0.30', '3/10']],
            [2, [2.0, '2']],
            ['>= 2', [2, 3.5]],
            ['thick*', ['thick and low', 'thick']],
            ['yes', [true, 'on', 1]],
            [['low', 'high'], ['high']],
        ],
    ];

    /** By id: asked, setting, what the ledger says was found. */
    private const UNEQUAL = [
        'picture.resolution' => [
            ['1920x1080', '1920x1081', '1920x1081'],
            ['1920x1080', '1080x1920', '1080x1920'],
            ['1920x1080', '1280x720', '1280x720'],
            ['3840x2160', 'fullhd', '1920x1080'],
            ['1920x1080', '0x0', null],
        ],
        'picture.scale' => [['100', 50, '50'], ['100', '99.9 %', '99.9'], ['50', 'full', '100']],
        'picture.pixel_aspect' => [
            ['1/1', 1.0667, '10667/10000'],
            ['10/11', '11/10', '11/10'],
            ['1/1', 1.002, '501/500'],
        ],
        'picture.region' => [['full', true, 'on'], ['full', '10,10,100,50', '10,10,100,50'], ['full', 'on', 'on']],
        'picture.scan' => [['progressive', 'interlaced', 'interlaced']],
        'picture.projection' => [['flat', 'lat-long', 'lat-long']],
        'picture.density' => [['300', 299, '299'], ['300', '72 dpi', '72']],
        'time.rate' => [
            ['24', '24000/1001', '24000/1001'],
            ['23.976', 24, '24'],
            ['30', 29.97, '30000/1001'],
            ['24', 25, '25'],
            ['25', '50', '50'],
        ],
        'time.range' => [
            ['1001-1096', '1001-1095', '1001-1095'],
            ['1001-1096', '1-96', '1-96'],
            ['1001-1096', '1000-1096', '1000-1096'],
            ['1-9x2', '1-9', '1-9'],
        ],
        'time.step' => [['1', 2, '2']],
        'time.extent' => [['listed', 'one', 'one'], ['whole', 'listed', 'listed']],
        'time.speed' => [['1/1', '50 %', '1/2'], ['1/1', 0.999, '999/1000']],
        'camera.name' => [
            ['cam_quay', 'persp', 'persp'],
            ['cam_quay', 'CAM_QUAY', 'CAM_QUAY'],
            ['cam_0?', 'cam_010', 'cam_010'],
            ['cam_*', 'my_cam_1', 'my_cam_1'],
        ],
        'camera.exposure' => [['manual', 'auto', 'auto']],
        'render.renderer' => [['Lumen', 'Lumen 2', 'Lumen 2']],
        'render.quality' => [['final', 'draft', 'draft'], ['final', 'preview', 'draft']],
        'render.samples' => [['>= 128', 127, '127'], ['128', 64, '64'], ['128', '0', '0']],
        'render.motion_blur' => [['on', 'off', 'off'], ['off', 1, 'on']],
        'render.post_effects' => [['off', true, 'on']],
        'render.overlays' => [['off', 'yes', 'on']],
        'format.kind' => [['png', 'jpg', 'jpeg'], ['exr', 'PNG', 'png'], [['mp4', 'mov'], 'avi', 'avi']],
        'format.codec' => [['h264', 'H.265', 'hevc'], ['prores', 'mjpeg', 'mjpeg']],
        'format.bit_depth' => [['16', 8, '8'], ['8', '16-bit', '16']],
        'format.sample' => [['float', 'integer', 'uint']],
        'format.channels' => [['RGBA', 'RGB', 'RGB'], ['RGB', 'RGBA', 'RGBA'], ['RGB', 'grey', 'Y']],
        'format.alpha' => [
            ['straight', 'none', 'none'],
            ['none', 'straight', 'straight'],
            ['premultiplied', 'unassociated', 'straight'],
            ['any', false, 'none'],
            ['none', true, 'alpha'],
        ],
        'format.compression' => [
            ['zip', 'zips', 'zips'],
            ['lossless', 'dwaa', 'dwaa'],
            ['lossless', 'jpeg', 'jpeg'],
            ['none', 'rle', 'rle'],
        ],
        'format.quality' => [['90', 89, '89'], ['80..95', 96, '96']],
        'format.chroma' => [['4:4:4', 'yuv420p', '4:2:0']],
        'format.bit_rate' => [['<= 8 Mbit/s', 8_000_001, '8000001'], ['>= 4 Mbit/s', '3.9M', '3900000']],
        'format.keyframe_interval' => [['48', 49, '49']],
        'format.b_frames' => [['none', 1, '1'], ['2', 3, '3']],
        'colour.encoding' => [['srgb', 'linear', 'linear'], ['rec709', 'sRGB', 'srgb']],
        'colour.view' => [['none', 'Soft curve', 'Soft curve']],
        'colour.look' => [['none', 'High contrast', 'High contrast']],
        'colour.exposure' => [['0', 0.5, '0.5'], ['0', '-1', '-1']],
        'colour.gamma' => [['1', 2.2, '2.2']],
        'audio.presence' => [['none', true, 'required'], ['required', 'mute', 'none']],
        'audio.sample_rate' => [['48000', '44.1 kHz', '44100']],
        'audio.bit_depth' => [['24', 16, '16']],
        'audio.channels' => [['2', 'mono', '1']],
        'burn_in' => [
            ['none', 'shot', 'shot'],
            ['shot, frame', ['shot'], 'shot'],
            ['shot', ['shot', 'date'], 'shot | date'],
        ],
        'other.fog_density' => [
            ['0.3', 0.31, '0.31'],
            ['>= 2', 1.99, '1.99'],
            ['yes', 'off', 'off'],
            ['thick', 'thin', 'thin'],
            ['1.1', '1.10', '1.10'],
        ],
    ];

    /** @return iterable<string, array{string, mixed, mixed}> */
    public static function equal(): iterable
    {
        foreach (self::EQUAL as $id => $rows) {
            foreach ($rows as [$asked, $settings]) {
                foreach ($settings as $setting) {
                    yield $id
                        .' '
                        .json_encode([$asked, $setting], JSON_PRESERVE_ZERO_FRACTION) => [$id, $asked, $setting];
                }
            }
        }
    }

    #[DataProvider('equal')]
    public function test_told_otherwise_and_the_same(string $id, mixed $asked, mixed $setting): void
    {
        $entry = self::entry($id, $asked, [$id => $setting]);

        self::assertSame('equal', $entry['scene']['mark'], (string) json_encode($entry));
    }

    /** @return iterable<string, array{string, mixed, mixed, string|null}> */
    public static function unequal(): iterable
    {
        foreach (self::UNEQUAL as $id => $rows) {
            foreach ($rows as [$asked, $setting, $found]) {
                yield $id.' '.json_encode([$asked, $setting]) => [$id, $asked, $setting, $found];
            }
        }
    }

    #[DataProvider('unequal')]
    public function test_told_and_another(string $id, mixed $asked, mixed $setting, ?string $found): void
    {
        $document = self::document($id, $asked, [$id => $setting]);
        $entry = $document['entries'][0];

        self::assertSame(
            $found === null ? 'unknown' : 'unequal',
            $entry['scene']['mark'],
            (string) json_encode($entry),
        );
        self::assertSame($found, $entry['scene']['found']);
        // something is named as its cause, and it explains this line
        if ($found !== null) {
            self::assertSame(
                [$id],
                $document['causes'][0]['explains'] ?? null,
                (string) json_encode($document['causes']),
            );
        }
    }

    /** @return iterable<string, array{string}> */
    public static function shownByScenes(): iterable
    {
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($descriptor->inScene()) {
                yield $descriptor->id => [$descriptor->id];
            }
        }
    }

    #[DataProvider('shownByScenes')]
    public function test_not_told_is_open_and_never_passed(string $id): void
    {
        $asked = self::EQUAL[$id][0][0]
            ?? [
                'picture.display_aspect' => '16:9',
                'time.count' => 10,
                'camera.single' => 'yes',
                'scene.saved' => 'yes',
                'scene.links' => 'yes',
                'output.folder' => 'renders',
                'naming.folder' => 'renders',
                'output.overwrites' => 'no',
                'naming.pattern' => 'x.{frame:4}.{ext}',
                'passes' => ['beauty'],
                'time.duration' => '4 s',
                'format.file_size' => '1 MB',
            ][$id];
        $document = self::document($id, $asked, [], ['file' => 'TC_010']);

        self::assertSame('open', $document['verdict']);
        // what no setting can show is not checked at all
        if ($document['entries'] !== []) {
            self::assertSame(
                ['unknown', null],
                [$document['entries'][0]['scene']['mark'], $document['entries'][0]['scene']['found']],
            );
        } else {
            self::assertSame([$id], array_column($document['not_checked'], 'id'));
        }
    }

    public function test_every_requirement_of_a_scene_has_rows_here_or_beside(): void
    {
        $beside = [
            'picture.display_aspect', 'time.count', 'camera.single', 'scene.saved', 'scene.links', 'output.folder',
            'output.overwrites', 'naming.pattern', 'naming.folder', 'passes', 'time.duration', 'format.file_size',
        ];
        $shown = array_keys(iterator_to_array(self::shownByScenes()));
        self::assertSame([], array_values(array_diff($shown, array_keys(self::EQUAL), $beside)));
        self::assertSame([], array_values(array_diff($shown, array_keys(self::UNEQUAL), $beside)));
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, mixed>  $scene
     * @return array<string, mixed>
     */
    private static function document(
        string $id,
        mixed $asked,
        array $settings,
        array $scene = ['file' => 'TC_010_light_v003', 'saved' => true, 'project_folder' => 'tide_clock'],
    ): array {
        return CheckReport::of(
            Workbench::specification([$id => $asked]),
            Workbench::scene($settings, $scene),
            null,
        )->toArray();
    }

    /**
     * @param  array<string, mixed>  $settings
     * @return array<string, mixed>
     */
    private static function entry(string $id, mixed $asked, array $settings): array
    {
        return self::document($id, $asked, $settings)['entries'][0];
    }
}
