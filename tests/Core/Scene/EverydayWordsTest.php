<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** What people and programs write for a value: known on both sides; and what cannot be placed is open, never wrong. */
final class EverydayWordsTest extends TestCase
{
    /** By requirement: what is asked, and everything a scene may write for it. */
    private const SAME = [
        'picture.resolution' => [
            '1920x1080' => [
                '1920x1080', '1920 x 1080', '1920×1080', '1920*1080', '1080p', 'HD 1080', 'HD1080', 'Full HD', 'FullHD',
                'FHD', '1920 x 1080 px', '1080p25', 'HDTV 1080', 'Full HD (1920 x 1080)', '1920x1080 pixels',
            ],
            '1280x720' => ['720p', 'HD 720', 'HD Ready', '1280 × 720'],
            '3840x2160' => ['UHD', 'UHD 4K', '4K UHD', '2160p', 'Ultra HD', 'UHD-1'],
            '2048x1080' => ['DCI 2K', '2K DCI'],
            '4096x2160' => ['DCI 4K'],
        ],
        'picture.scale' => [
            '100' => ['100', '100 %', '100%', 'full', 'Full size', 'full resolution', '1/1', 100, '100 percent'],
            '50' => ['half', 'Half size', '1/2', '50 %', '50.0'],
        ],
        'picture.pixel_aspect' => ['1/1' => ['1', '1.0', '1:1', 'square', 'Square pixels', '1/1', 1]],
        'picture.region' => [
            'full' => [
                'full', 'off', 'no', 'false', false, 0, '0', 'none', 'unchecked', 'not checked', 'Whole picture',
                'full frame', 'disabled', 'No crop', 'inactive', 'unticked', 'not used',
            ],
        ],
        'picture.projection' => [
            'lat-long' => [
                'lat-long', 'LatLong', 'lat/long', 'equirectangular', 'Spherical', '360°', '360', 'VR 360', 'panorama',
                'Latitude-longitude',
            ],
            'flat' => ['flat', 'perspective', 'Perspective', 'standard', 'none', 'off', false, 'planar'],
            'lat-long stereo' => ['stereo 360', 'lat-long stereo', 'equirectangular stereo'],
        ],
        'picture.scan' => [
            'progressive' => [
                'progressive', 'Progressive scan', 'none', 'no', 'off', false, 0, 'No fields', 'unchecked', 'p',
                'frames',
            ],
            'interlaced' => ['interlaced', 'upper field first', 'Lower', 'fields', 'on', 'TFF'],
        ],
        'picture.density' => ['72' => ['72', '72 dpi', '72 ppi', '72 pixels/inch', '72 pixels per inch', 72]],
        'time.rate' => [
            '24' => ['24', '24.0', '24 fps', '24fps', '24 frames per second', 'Film', '24p', '24/1', 24],
            '25' => ['PAL', '25 fps', '25p', '25.00'],
            '24000/1001' => ['23.976', '23.98', '23,976', '24000/1001', '23.976 fps', '23.976p', 23.976],
            '30000/1001' => ['29.97', 'NTSC', '29.97 DF', '29.97 drop frame', '29.97 NDF', '30000/1001'],
        ],
        'time.extent' => [
            'one' => [
                'one', 'single', 'Single frame', 'current frame', 'Current', 'still', 'single image', 'this frame',
                'one frame',
            ],
            'listed' => [
                'listed', 'range', 'Frame range', 'custom range', 'specified', 'from-to', 'manual', 'Start/End',
                'selected frames',
            ],
            'whole' => [
                'whole', 'all', 'All frames', 'animation', 'timeline', 'whole animation', 'entire animation',
                'everything', 'full range', 'active range', 'complete',
            ],
        ],
        'time.step' => [
            '1' => ['1', 1, 'every frame', 'none', 'off', 'each frame', '1 frame'],
            '2' => ['2', 'every second', 'every other frame', '2nd'],
        ],
        'time.speed' => ['1/1' => ['1', '1.0', '100 %', '100%', '1/1', 'normal', 'none', 'off', 'unchanged']],
        'camera.exposure' => [
            'manual' => ['manual', 'off', 'fixed', 'no', false, 'locked', 'unchecked'],
            'auto' => ['auto', 'automatic', 'on', true, 'Auto exposure'],
        ],
        'render.quality' => [
            'final' => [
                'final', 'Production', 'best', 'high', 'Highest', 'full', 'maximum', 'Final quality', 'Final frame',
                'master',
            ],
            'draft' => ['draft', 'preview', 'low', 'fast', 'test', 'Proxy', 'interactive', 'rough', 'quick'],
        ],
        'render.motion_blur' => [
            'on' => [
                'on',
                'yes',
                true,
                1,
                'full',
                '2D',
                '3D',
                'vector',
                'enabled',
                'checked',
                'deformation',
                '180°',
                'used',
            ],
            'off' => ['off', 'no', false, 0, '0', 'none', 'unchecked', 'disabled', 'unticked', 'inactive', 'False'],
        ],
        'render.post_effects' => [
            'off' => ['off', 'bypassed', 'none', 'no', false, '0', 'unchecked', 'not applied'],
            'on' => ['on', 'applied', 'yes', 'active'],
        ],
        'render.overlays' => [
            'off' => ['off', 'hidden', 'none', 'not shown', false, 'unchecked'],
            'on' => ['shown', 'visible', true],
        ],
        'output.overwrites' => ['no' => ['no', 'skip existing', 'keep', 'never', false, 'unchecked']],
        'format.kind' => [
            'png' => [
                'png', 'PNG', '.png', 'PNG sequence', 'png files', 'image/png', 'Portable Network Graphics',
                'PNG image sequence', '*.png',
            ],
            'exr' => ['exr', 'OpenEXR', 'Open EXR', 'EXR (multilayer)', 'OpenEXR sequence', 'EXR multilayer'],
            'jpeg' => ['jpg', 'JPEG', 'JPEG image', 'jpeg sequence', '.jpg', 'JPEG/JPG'],
            'tiff' => ['tif', 'TIFF', 'TIFF sequence', 'Tagged Image File'],
            'tga' => ['Targa', 'TGA', 'targa sequence'],
            'bmp' => ['Windows bitmap', 'bmp'],
            'dpx' => ['DPX', 'DPX sequence'],
            'mov' => ['QT', 'QT movie', 'mov', '.mov', 'qt file', 'MOV container', 'video/mov', 'MOV/QT'],
            'mp4' => ['MPEG-4', 'mp4', 'MPEG4', 'MPEG-4 video', 'mp4 (h.264)', 'video/mp4'],
            'mkv' => ['Matroska', 'mkv'],
            'avi' => ['AVI', 'AVI file'],
            'webm' => ['WebM'],
            'mxf' => ['MXF', 'MXF OP1a'],
            'wav' => ['WAVE', 'wav'],
        ],
        'format.codec' => [
            'h264' => [
                'h264', 'H.264', 'AVC', 'avc1', 'x264', 'libx264', 'H.264/AVC', 'MPEG-4 AVC', 'h264_nvenc',
                'h264_videotoolbox', 'NVENC H.264', 'H.264 (High)',
            ],
            'hevc' => ['HEVC', 'H.265', 'x265', 'libx265', 'hevc_nvenc', 'hvc1', 'H.265/HEVC'],
            'prores' => ['ProRes', 'prores_ks'],
            'prores 4444' => ['ProRes 4444', 'ap4h', 'prores4444'],
            'prores 422hq' => ['ProRes 422 HQ', 'ProRes HQ', 'apch'],
            'mjpeg' => ['mjpeg', 'Motion JPEG', 'MJPG', 'Photo-JPEG'],
            'raw' => ['raw', 'none', 'None', 'uncompressed', 'no compression', 'rawvideo'],
            'animation' => ['Animation', 'qtrle', 'rle'],
            'av1' => ['AV1', 'libaom-av1', 'libsvtav1', 'SVT-AV1'],
            'vp9' => ['VP9', 'libvpx-vp9'],
            'png' => ['PNG'],
            'ffv1' => ['FFV1'],
        ],
        'format.bit_depth' => [
            '8' => ['8', '8 bit', '8-bit', '8 bits', '8 bits/channel', '8 bpc', 8, 'uint8', '8 bits per channel'],
            '16' => ['16', 'half', 'Half (16 bit)', '16-bit', '16 bit float', 'float16'],
            '32' => ['32 bit float', '32-bit float', 'fp32', 'float32', '32 bpc'],
        ],
        'format.sample' => [
            'float' => ['float', 'half', 'Half float', 'floating point', 'float32', '32-bit float', 'FP16'],
            'uint' => ['uint', 'integer', 'unsigned', 'int', 'uint8', '16-bit integer'],
        ],
        'format.channels' => [
            'RGBA' => [
                'RGBA',
                'rgba',
                'RGB + Alpha',
                'RGB+A',
                'rgb & alpha',
                'RGB with alpha',
                'R,G,B,A',
                'Color + alpha',
            ],
            'RGB' => ['RGB', 'rgb', 'colour', 'RGB color', 'true color', 'Truecolour', 'R G B'],
            'Y' => ['Y', 'grey', 'grayscale', 'BW', 'luminance', 'black and white', 'greyscale'],
        ],
        'format.alpha' => [
            'none' => [
                'none', 'no', 'off', false, 0, '0', 'unchecked', 'opaque', 'ignore', 'RGB only', 'No alpha', 'without',
                'disabled',
            ],
            'straight' => [
                'straight', 'unmatted', 'Straight (unmatted)', 'unassociated', 'unpremultiplied', 'non-premultiplied',
                'yes', 'RGBA',
            ],
            'premultiplied' => ['premultiplied', 'premult', 'matted', 'associated', 'Premultiplied (matted)', 'premul'],
            'any' => ['straight', 'premultiplied', 'yes', true, 'with alpha', 'transparent', 'included'],
        ],
        'format.compression' => [
            'none' => ['none', 'None', 'uncompressed', 'no compression', 'off', false, 'raw', 'unchecked'],
            'zip' => ['zip', 'ZIP', 'ZIP (16 scanlines)', 'zip16', 'ZIP blocks', 'zip (lossless)'],
            'zips' => ['zips', 'ZIPS', 'ZIP (1 scanline)', 'zip single scanline', 'ZIPS (1 line)'],
            'piz' => ['piz', 'PIZ wavelet', 'PIZ (lossless)', 'wavelet'],
            'rle' => ['RLE', 'run length', 'Run-length encoding'],
            'lzw' => ['LZW', 'lzw'],
            'deflate' => ['deflate', 'zlib'],
            'lossless' => ['lossless', 'zip', 'PIZ', 'lzw', 'Lossless compression'],
            'dwaa' => ['DWAA', 'dwaa (lossy)'],
        ],
        'format.quality' => ['90' => ['90', '90 %', '90%', 90, 95, '90/100', '92']],
        'format.chroma' => [
            '4:2:0' => ['4:2:0', '420', 'yuv420p', 'YUV 4:2:0', '4:2:0 (8-bit)', 'yuv420p10le', 'nv12'],
            '4:4:4' => ['4:4:4', '444', 'yuv444p', 'no subsampling'],
            '4:2:2' => ['4:2:2', 'yuv422p10le', '422'],
        ],
        'format.bit_rate' => [
            '8000000' => ['8 Mbit/s', '8 Mbps', '8M', '8000 kbit/s', '8000k', 8000000, '8000 kbps', '8 Mb/s'],
        ],
        'format.keyframe_interval' => [
            '12' => [
                '12', 12, '12 frames', '0.5 s', 'half the rate', '1/2 rate', '50 % of the frame rate',
                'every 12 frames', '0.5 seconds',
            ],
        ],
        'format.b_frames' => ['none' => ['none', 'no', 'off', 0, '0', false, 'unchecked', 'no B-frames', 'disabled']],
        'colour.encoding' => [
            'srgb' => ['sRGB', 'srgb', 'sRGB IEC61966-2.1', 'IEC 61966-2-1'],
            'rec709' => ['Rec. 709', 'Rec.709', 'BT.709', 'HD 709', 'ITU-R BT.709', 'rec709'],
            'linear' => ['linear', 'Scene linear', 'lin', 'Linear Rec.709', 'linear sRGB', 'scene-referred'],
        ],
        'colour.view' => ['none' => ['none', 'None', 'off', 'no', false, 'not set', 'unchecked']],
        'colour.look' => ['none' => ['none', 'None', 'no look', 'off', false, 'No LUT']],
        'burn_in' => ['none' => ['none', 'no', 'off', false, 'nothing', 'No burn-in', 'unchecked']],
        'audio.presence' => [
            'none' => [
                'none',
                'no',
                'off',
                false,
                0,
                'muted',
                'silent',
                'No sound',
                'no audio',
                'unchecked',
                'disabled',
            ],
            'required' => ['required', 'yes', 'on', true, 'included', 'stereo', 'with sound', 'AAC'],
        ],
        'audio.sample_rate' => ['48000' => ['48000', '48 kHz', '48k', '48000 Hz', '48,000', 48000, '48.0 kHz']],
        'audio.bit_depth' => ['24' => ['24', '24 bit', '24-bit', 24]],
        'audio.channels' => [
            '2' => ['2', 'stereo', 'Stereo', '2 (stereo)', '2.0', 2, '2 channels'],
            '1' => ['mono', '1', 'Mono'],
            '6' => ['5.1', '5.1 surround', '6'],
        ],
        'time.duration' => [
            '00:00:04' => [
                '4 s',
                '4',
                '00:00:04',
                '0:04',
                '4 seconds',
                '4.0 s',
                '96 frames',
                '3 s 24 f',
                '00:00:04:00',
            ],
        ],
    ];

    /** What cannot be placed, or not without more: open. */
    private const OPEN = [
        'picture.projection' => ['flat', ['mode 3', 'custom']],
        'picture.scan' => ['progressive', ['auto', 'default']],
        'time.extent' => ['listed', ['default', 'job']],
        'render.quality' => ['final', ['medium', 'custom', 'profile 2', 'default']],
        'render.motion_blur' => ['on', ['default', 'maybe', 'inherit']],
        'format.kind' => ['png', ['image sequence', 'default', 'same as source', 'Lumatype']],
        'format.codec' => ['h264', ['default', 'studio preset', 'Lumacodec']],
        'format.bit_depth' => ['8', ['24', '32', '48', '64', 24]],
        'format.alpha' => ['straight', ['auto', 'default', 'mode 2']],
        'format.compression' => ['zip', ['default', 'level 6', 'best']],
        'format.chroma' => ['4:2:0', ['auto', 'default']],
        'colour.encoding' => ['srgb', ['default', 'auto', 'house space']],
        'audio.presence' => ['none', ['auto', 'default']],
        'picture.resolution' => ['1920x1080', ['large', 'project default', '1080i50?']],
        'time.rate' => ['24', ['default', 'project']],
        'camera.exposure' => ['manual', ['default']],
    ];

    /** @return iterable<string, array{string, string, mixed}> */
    public static function same(): iterable
    {
        foreach (self::SAME as $id => $values) {
            foreach ($values as $asked => $spellings) {
                foreach ($spellings as $told) {
                    yield "{$id} {$asked}: "
                        .get_debug_type($told)
                        .json_encode($told, JSON_UNESCAPED_UNICODE) => [$id, (string) $asked, $told];
                }
            }
        }
    }

    /** @return array<string, mixed> */
    private static function entry(string $id, mixed $asked, SceneSettings $scene): array
    {
        $delivers = [
            'delivers' => in_array($id, ['time.duration', 'format.keyframe_interval'], true) ? 'movie' : 'frames',
            'values' => [],
        ];
        $require = [$id => $asked]
            + ($id === 'format.keyframe_interval' || $id === 'time.duration' ? ['time.rate' => 24] : [])
            + ($id === 'time.extent' ? ['time.range' => '1-10'] : []);
        $entries = CheckReport::of(Workbench::specification($require, $delivers), $scene, null)->toArray()['entries'];

        return array_column($entries, null, 'id')[$id];
    }

    #[DataProvider('same')]
    public function test_a_scene_may_write_it_so(string $id, string $asked, mixed $told): void
    {
        $entry = self::entry($id, $id === 'format.quality' ? ['min' => 90] : $asked, Workbench::scene([$id => $told]));
        self::assertSame('equal', $entry['mark'], (string) json_encode($entry, JSON_UNESCAPED_UNICODE));
    }

    /** The same words can be asked. */
    #[DataProvider('same')]
    public function test_it_may_be_asked_so(string $id, string $asked, mixed $told): void
    {
        if (
            $id === 'format.quality'
            || ($id === 'format.alpha' && ($told === 'yes' || $told === true || $asked === 'any' || $told === 'RGBA'))
            || ($asked === 'lossless' && $told !== 'lossless')
        ) {
            // asked so, it means something wider
            $asked = (string) self::required($id, $told);
        }
        $plain = in_array($id, ['format.keyframe_interval', 'format.quality', 'time.duration'], true)
            ? self::required($id, $asked)
            : $asked;
        $required = self::required($id, $told);
        self::assertSame($id === 'format.keyframe_interval' || $id === 'time.duration' ? $required : $plain, $required);
    }

    private static function required(string $id, mixed $value): string
    {
        return Workbench::specification(
            [$id => $value],
            ['delivers' => 'still', 'values' => []],
        )->parts[0]->requirements[$id]->required();
    }

    public function test_there_are_more_than_three_hundred(): void
    {
        self::assertGreaterThan(400, count(iterator_to_array(self::same())));
    }

    /** @return iterable<string, array{string, string, mixed}> */
    public static function open(): iterable
    {
        foreach (self::OPEN as $id => [$asked, $words]) {
            foreach ($words as $word) {
                yield "{$id}: ".get_debug_type($word).json_encode($word) => [$id, $asked, $word];
            }
        }
    }

    #[DataProvider('open')]
    public function test_what_cannot_be_placed_is_open_and_can_be_pointed_at(
        string $id,
        string $asked,
        mixed $told,
    ): void {
        $scene = Workbench::scene([$id => $told]);
        self::assertSame('unknown', self::entry($id, $asked, $scene)['mark']);
        self::assertSame([$id], array_map(static fn ($u): ?string => $u->field, $scene->misread->unknown));
        self::assertNotSame([], $scene->misread->sentences);
    }

    public function test_bits_of_a_pixel_are_not_bits_of_a_channel(): void
    {
        $depth = static fn (array $settings): ?string => Workbench::scene($settings)->get('format.bit_depth');
        self::assertSame(['8', '8', '16', '16', '8'], [
            $depth(['format.bit_depth' => 24, 'format.channels' => 'RGB']),
            $depth(['format.bit_depth' => '32 bit', 'format.channels' => 'RGBA']),
            $depth(['format.bit_depth' => 48, 'format.channels' => 'RGB']),
            $depth(['format.bit_depth' => 64, 'format.channels' => 'RGBA']),
            $depth(['format.bit_depth' => 24, 'format.alpha' => 'none']),
        ]);
        self::assertSame(
            ['32', '32', null],
            [
                $depth(['format.bit_depth' => 32, 'format.sample' => 'float']),
                $depth(['format.bit_depth' => 32, 'format.kind' => 'exr', 'format.channels' => 'RGBA']),
                $depth(['format.bit_depth' => 32, 'format.channels' => 'RGB']),
            ],
        );
        self::assertSame(
            ['16', '8'],
            [
                (new DetectingReader)->read("bits per channel = 16\nfps = 24\n", 'x')->get('format.bit_depth'),
                (new DetectingReader)->read("bpp = 24\nchannels = RGB\n", 'x')->get('format.bit_depth'),
            ],
        );
    }

    public function test_nothing_is_overwritten_by_a_weaker_word(): void
    {
        $read = static fn (string $text): SceneSettings => (new DetectingReader)->read($text, 'x.txt');
        $size = $read("width = 1920\nheight = 1080\nresolution = 72\n");
        self::assertSame(['1920x1080', '72'], [$size->get('picture.resolution'), $size->get('picture.density')]);
        self::assertSame(
            '1920x1080',
            $read("resolution = 1280x720\nwidth = 1920\nheight = 1080\n")->get('picture.resolution'),
        );
        $path = $read("output path = renders/TC_010\nfps = 24\n");
        self::assertSame(['renders/TC_010', null], [$path->get('output.folder'), $path->get('naming.pattern')]);
        $prefix = $read("output path = renders/TC_010/TC_010_\nfps = 24\n");
        self::assertSame(
            ['renders/TC_010', 'TC_010_'],
            [$prefix->get('output.folder'), $prefix->get('naming.pattern')],
        );
        $kept = $read("start = 1001\nend = 1096\nrender what = all frames\n");
        self::assertSame(
            ['1001-1096', 'whole', '1001-1096'],
            [$kept->get('time.range'), $kept->get('time.extent'), (string) $kept->frames()],
        );
        self::assertSame('1-10', (string) $read("start = 1001\nend = 1096\nextent = all\ntimeline = 1-10\n")->frames());
        self::assertSame(
            ['whole', null],
            [
                $read("frames = all\nfps = 24\n")->get('time.extent'),
                $read("frames = all\nfps = 24\n")->get('time.range'),
            ],
        );
    }

    public function test_regions_in_every_form(): void
    {
        $region = static fn (string $text): ?string => (new DetectingReader)->read(
            "width = 200\nheight = 100\n{$text}\n",
            'x.txt',
        )->get('picture.region');
        self::assertSame(['full', 'full', '40,10,120,80', '40,10,120,80', 'full', 'on', '10,20,50,60', 'full'], [
            $region('use region = no'),
            $region("use region = unchecked\nregion left = 10\nregion right = 90\nregion top = 5\nregion bottom = 60"),
            $region("crop min x = 0.2\ncrop max x = 0.8\ncrop min y = 0.1\ncrop max y = 0.9"),
            $region("region left = 40\nregion right = 160\nregion top = 10\nregion bottom = 90"),
            $region("crop min x = 0\ncrop max x = 1\ncrop min y = 0\ncrop max y = 1"),
            $region('crop to region = yes'),
            $region("crop x = 10\ncrop y = 20\ncrop width = 50\ncrop height = 60"),
            $region("region x = 0\nregion y = 0\nregion width = 200\nregion height = 100"),
        ]);
    }

    public function test_names_in_pieces(): void
    {
        $name = static fn (array $settings): ?string => Workbench::scene($settings)->get('naming.pattern');
        self::assertSame(
            [
                'TC_010_light_v003.{frame:4}.exr', 'TC_010_{frame:4}.png', 'TC_010{frame:4}.png',
                '{frame:5}.TC_010.png', 'TC_010{frame:4}.exr', 'TC_010.exr', 'TC_010',
            ],
            [
                $name(
                    [
                        'naming.prefix' => 'TC_010_light_v003',
                        'naming.order' => 'name.#.ext',
                        'naming.digits' => 4,
                        'format.kind' => 'exr',
                    ],
                ),
                $name(
                    [
                        'naming.prefix' => 'TC_010',
                        'naming.order' => 'name_#.ext',
                        'naming.digits' => '4',
                        'format.kind' => 'png',
                    ],
                ),
                $name(
                    [
                        'naming.prefix' => 'TC_010',
                        'naming.order' => 'name#.ext',
                        'naming.digits' => '####',
                        'format.kind' => 'png',
                    ],
                ),
                $name(
                    [
                        'naming.prefix' => 'TC_010',
                        'naming.order' => '#.name.ext',
                        'naming.digits' => 5,
                        'format.kind' => 'png',
                    ],
                ),
                $name(['naming.pattern' => 'TC_010.exr', 'naming.adds_digits' => 4]),
                $name(['naming.pattern' => 'TC_010.exr', 'naming.adds_digits' => 'no']),
                $name(['naming.pattern' => 'TC_010']),
            ],
        );
        $asked = Workbench::specification(
            ['naming.pattern' => '{shot}{frame:4}.{ext}', 'format.kind' => 'exr', 'time.range' => '1-10'],
            ['values' => ['shot' => 'TC_010_']],
        );
        $mark = static fn (array $settings): string => array_column(
            CheckReport::of($asked, Workbench::scene($settings + ['format.kind' => 'exr']), null)->toArray()['entries'],
            'mark',
            'id',
        )['naming.pattern'];
        self::assertSame(['equal', 'unknown', 'unequal', 'unequal'], [
            $mark(['naming.pattern' => 'TC_010_.exr', 'naming.adds_digits' => 4]),
            $mark(['naming.pattern' => 'TC_010_']),
            $mark(['naming.pattern' => 'TC_010_.exr']),
            $mark(['naming.pattern' => 'TC_010_', 'naming.adds_digits' => 0]),
        ]);
    }

    public function test_sections_and_members_say_whose_a_name_is(): void
    {
        $lines = (new DetectingReader)->read(
            "[camera]\nname = cam_quay\n[audio]\nrate = 48000\n[render]\nsamples = 128\n[frame]\nstart = 1\nend = 9\n",
            'x.ini',
        );
        self::assertSame(
            ['cam_quay', '48000', '128', '1-9'],
            [
                $lines->get('camera.name'),
                $lines->get('audio.sample_rate'),
                $lines->get('render.samples'),
                $lines->get('time.range'),
            ],
        );
        $flat = (new DetectingReader)->read(
            '{"format": "png", "width": 64, "height": 36, "camera": {"name": "cam_a"}, "fps": 24, '
                .'"motion_blur": false}',
            'x.json',
        );
        self::assertSame(
            ['png', '64x36', 'cam_a', '24', 'off'],
            [
                $flat->get('format.kind'),
                $flat->get('picture.resolution'),
                $flat->get('camera.name') ?? $flat->cameraSetup->chosen[0] ?? null,
                $flat->get('time.rate'),
                $flat->get('render.motion_blur'),
            ],
        );
        $bare = (new DetectingReader)->read(
            '{"picture.resolution": "64x36", "format.kind": "exr", "time.rate": 24}',
            'x.json',
        );
        self::assertSame(
            ['64x36', 'exr', '24'],
            [$bare->get('picture.resolution'), $bare->get('format.kind'), $bare->get('time.rate')],
        );
    }

    public function test_a_stretch_by_two_lengths_and_an_animation_made_at_another_rate(): void
    {
        self::assertSame(
            ['9/1', '1/1'],
            [
                (new DetectingReader)->read("old length = 100\nnew length = 900\nfps = 24\n", 'x')->get('time.speed'),
                (new DetectingReader)->read(
                    "old length = 100 frames\nnew length = 100 frames\nfps = 24\n",
                    'x',
                )->get('time.speed'),
            ],
        );
        $asked = Workbench::specification(['time.rate' => 25]);
        $check = static fn (array $settings): array => CheckReport::of(
            $asked,
            Workbench::scene($settings),
            null,
        )->toArray();
        self::assertSame(
            ['equal', []],
            [
                $check(['time.rate' => 25, 'time.animation_rate' => '25 fps'])['entries'][0]['mark'],
                $check(['time.rate' => 25, 'time.animation_rate' => 25])['causes'],
            ],
        );
        $other = $check(['time.rate' => 25, 'time.animation_rate' => 24]);
        self::assertSame(
            ['unequal', 'speed-changed', ['time.animation_rate', '25']],
            [
                $other['entries'][0]['mark'],
                $other['causes'][0]['id'],
                [$other['fixes'][0]['id'], $other['fixes'][0]['to']],
            ],
        );
    }

    public function test_a_written_specification_takes_what_people_write(): void
    {
        $data = [
            'format' => Specification::FORMAT,
            'version' => 1,
            'delivers' => 'frames',
            'values' => ['shot' => 'TC_010'],
            'require' => [
                'picture.resolution' => 'HD 1080',
                'format.alpha' => false,
                'render.motion_blur' => 0,
                'picture.region' => 'unchecked',
                'format.kind' => 'PNG sequence',
                'naming.pattern' => '{shot}.####.png',
                'time.duration' => '9 s 28 f',
            ],
        ];
        $part = Specification::fromDocument(
            JsonDocument::parse((string) json_encode($data), 'spec.json', Specification::FORMAT),
        )->parts[0];
        self::assertSame(
            ['1920x1080', 'none', 'off', 'full', 'png', '{shot}.{frame:4}.png', '00:00:09:28'],
            array_map(
                static fn (string $id): ?string => $part->single($id),
                [
                    'picture.resolution', 'format.alpha', 'render.motion_blur', 'picture.region', 'format.kind',
                    'naming.pattern', 'time.duration',
                ],
            ),
        );
    }
}
