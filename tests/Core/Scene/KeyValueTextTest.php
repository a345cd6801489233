<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\Readers\KeyValueText;
use PlainLedger\Core\Scene\SceneSettings;
use Tests\Core\Support\Workbench;

/** Settings a line each, under the names that people and programs give them. */
final class KeyValueTextTest extends TestCase
{
    private static function read(string $text): SceneSettings
    {
        return (new DetectingReader)->read($text, 'settings.txt');
    }

    public function test_a_whole_scene(): void
    {
        $scene = self::read(<<<'TXT'
            ; written by the night shift
            [render]
            Width = 2048
            Height = 858
            Resolution Percentage: 50
            pixel aspect = 1.0
            FPS = 23.976
            Frame Start = 1001
            Frame End = 1096.0
            Step = 1
            Renderer = "Lumen"
            Samples = 128   # enough for fog
            Motion Blur = Yes
            [output]
            path = renders/TC_010/TC_010_light_v003.####.exr
            Bit Depth = 16
            Color Space = Linear
            Compression = ZIP
            [scene]
            Camera = cam_quay
            cameras = [cam_quay, "cam_wide"]
            passes = beauty, mist=off, shadow: on
            Unsaved Changes = no
            Project = /shows/tide_clock
            mood = gloomy
            TXT);

        self::assertSame(
            [
                '2048x858', '50', '1/1', '24000/1001', '1001-1096', '1', 'Lumen', '128', 'on', 'renders/TC_010',
                'TC_010_light_v003.{frame:4}.exr', 'exr', '16', 'linear', 'zip',
            ],
            array_map(
                $scene->get(...),
                [
                    'picture.resolution', 'picture.scale', 'picture.pixel_aspect', 'time.rate', 'time.range',
                    'time.step', 'render.renderer', 'render.samples', 'render.motion_blur', 'output.folder',
                    'naming.pattern', 'format.kind', 'format.bit_depth', 'colour.encoding', 'format.compression',
                ],
            ),
        );
        self::assertSame(
            [true, '/shows/tide_clock', ['cam_quay'], ['cam_quay', 'cam_wide']],
            [
                $scene->source->saved,
                $scene->source->projectFolder,
                $scene->cameraSetup->chosen,
                $scene->cameraSetup->all,
            ],
        );
        self::assertSame(
            [
                ['name' => 'beauty', 'saved' => null],
                ['name' => 'mist', 'saved' => false],
                ['name' => 'shadow', 'saved' => true],
            ],
            $scene->passes,
        );
        self::assertSame(['scene.mood'], $scene->misread->sentences);
    }

    /** @return iterable<string, array{string, string, string|null}> lines, id, value */
    public static function lines(): iterable
    {
        yield 'an id' => ['picture.resolution = 1920x1080', 'picture.resolution', '1920x1080'];
        yield 'with a colon' => ['resolution: 1920 x 1080', 'picture.resolution', '1920x1080'];
        yield 'with a tab' => ["resolution\t1920x1080", 'picture.resolution', '1920x1080'];
        yield 'quoted on both sides' => ['"resolution": "1920x1080",', 'picture.resolution', '1920x1080'];
        yield 'in small steps' => ["res_x=1920\nres_y=1080", 'picture.resolution', '1920x1080'];
        yield 'width alone' => ['width = 1920', 'picture.resolution', null];
        yield 'a piece of a longer name' => [
            "render.image.width = 64\nrender.image.height = 36",
            'picture.resolution',
            '64x36',
        ];
        yield 'a factor' => ['scale = 0.5', 'picture.scale', '50'];
        yield 'a whole factor' => ['scale = 1', 'picture.scale', '100'];
        yield 'one percent is one percent' => ['scale percentage = 1', 'picture.scale', null];
        yield 'percent by its name' => ['resolution percentage = 1', 'picture.scale', '1'];
        yield 'percent by its sign' => ['scale = 75 %', 'picture.scale', '75'];
        yield 'in and out' => ["in = 1001\nout = 1096", 'time.range', '1001-1096'];
        yield 'one frame' => ["start = 7\nend = 7", 'time.range', '7'];
        yield 'backwards' => ["start = 9\nend = 1", 'time.range', null];
        yield 'quality in words' => ['quality = Final', 'render.quality', 'final'];
        yield 'quality in numbers' => ['quality = 95', 'format.quality', '95'];
        yield 'a drive' => ['output = C:\\renders\\shot\\beauty_%04d.png', 'output.folder', 'C:/renders/shot'];
        yield 'a name alone' => ['file name = beauty_####', 'naming.pattern', 'beauty_{frame:4}'];
        yield 'a name alone tells no folder' => ['output = beauty_####.png', 'output.folder', null];
        yield 'from the root' => ['output = /beauty_####.png', 'output.folder', '/'];
        yield 'no folder set' => ['output = ', 'output.folder', ''];
        yield 'told twice' => ["fps = 24\nfps = 25", 'time.rate', '25'];
        yield 'the last line without an end' => ["# remark\n\nfps=30", 'time.rate', '30'];
        yield 'old line ends' => ["fps=30\rstep=2\r", 'time.step', '2'];
        yield 'a value with an equals sign' => ['view = a=b', 'colour.view', 'a=b'];
        yield 'a hash that is no remark' => ['name = a#b_####.png', 'naming.pattern', 'a#b_{frame:4}.png'];
        yield 'a value that means nothing' => ['fps = fast', 'time.rate', null];
    }

    #[DataProvider('lines')]
    public function test_a_line(string $lines, string $id, ?string $value): void
    {
        // beside something that is understood in any case
        self::assertSame($value, self::read("overlays = off\n{$lines}")->get($id));
    }

    public function test_what_is_not_understood_is_listed(): void
    {
        $scene = self::read("fps = 24\nfog density = 3\nresolution = big\njust words\n[weather]\nwind = 4\n");
        self::assertSame(
            ['line 4: just words', 'fog density', 'weather.wind'],
            array_slice($scene->misread->sentences, 0, 3),
        );
        self::assertStringStartsWith('picture.resolution: “big”', $scene->misread->sentences[3]);
    }

    public function test_whatever_the_encoding(): void
    {
        $text = "camera = cam_mühle\nfps = 25\n";
        foreach ([
            $text,
            "\xEF\xBB\xBF{$text}",
            "\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8'),
            "\xFE\xFF".mb_convert_encoding($text, 'UTF-16BE', 'UTF-8'),
            mb_convert_encoding($text, 'Windows-1252', 'UTF-8'),
        ] as $bytes) {
            self::assertSame(
                [['cam_mühle'], '25'],
                [self::read($bytes)->cameraSetup->chosen, self::read($bytes)->get('time.rate')],
            );
        }
    }

    public function test_a_check_is_the_same_as_of_a_document(): void
    {
        $specification = Workbench::specification(
            [
                'picture.resolution' => '1920x1080',
                'time.rate' => 24,
                'time.range' => '1-96',
                'camera.name' => 'cam_quay',
                'format.kind' => 'png',
                'render.motion_blur' => 'on',
            ],
        );
        $text = self::read(
            "size = 1920 x 1080\nscale = 0.5\nfps = 25\nframes = 1-96\ncamera = cam_quay\nformat = PNG\nmotion blur "
                ."= off\nproject = x",
        );
        $json = Workbench::scene(
            [
                'picture.resolution' => '1920x1080',
                'picture.scale' => 50,
                'time.rate' => 25,
                'time.range' => '1-96',
                'camera.chosen' => ['cam_quay'],
                'format.kind' => 'png',
                'render.motion_blur' => false,
            ],
            ['project_folder' => 'x'],
        );
        $of = static fn (SceneSettings $s): array => array_diff_key(
            CheckReport::of($specification, $s, null)->toArray(),
            ['scene' => 1],
        );

        self::assertSame($of($json)['causes'], $of($text)['causes']);
        self::assertSame(
            ['scale-below-full', 'rate-of-another-standard', 'value-differs'],
            array_column($of($text)['causes'], 'id'),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'prose' => ['Dear all, please find attached the frames.', 'no setting in it is known'];
        yield 'names nobody knows' => ["a = 1\nb = 2", 'no setting in it is known'];
        yield 'bytes' => ["\x01\x00\x02".str_repeat("\0", 90), 'no text'];
        yield 'a million lines' => [str_repeat("fps = 24\n", 60_000), 'far more lines'];
        yield 'nothing' => ['', 'empty'];
        yield 'spaces' => ["  \n ", 'empty'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_settings_file_is_refused(string $text, string $says): void
    {
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage($says);
        self::read($text);
    }

    public function test_usual_names_stand_for_one_field_each(): void
    {
        foreach ([
            ['Frame Rate', 'time.rate'],
            ['FRAMES_PER_SECOND', 'time.rate'],
            ['renderSettings/pixelAspectRatio', 'picture.pixel_aspect'],
            ['image-format', 'format.kind'],
            ['time.rate', 'time.rate'],
            ['other.fog', 'other.fog'],
            ['Total Weight', null],
            ['', null],
        ] as [$name, $field]) {
            self::assertSame($field, FieldNames::of($name), $name);
        }
    }

    public function test_passes_of_a_section_are_switched_by_their_names(): void
    {
        foreach ([
            "[passes]\nbeauty = yes\ndepth = on\nmist = unchecked\n",
            "[Render Layers]\nbeauty: true\ndepth: 1\nmist: 0\n",
            "passes.beauty = x\npasses.depth = yes\npasses.mist = no\n",
            "[output/passes]\nbeauty = yes\ndepth = yes\nmist = off\n",
        ] as $text) {
            $scene = (new KeyValueText)->read("color depth = 16\n{$text}", 'a.ini');
            self::assertSame(
                [
                    ['name' => 'beauty', 'saved' => true],
                    ['name' => 'depth', 'saved' => true],
                    ['name' => 'mist', 'saved' => false],
                ],
                $scene->passes,
                $text,
            );
            // a pass called depth is no depth of colour
            self::assertSame('16', $scene->get('format.bit_depth'), $text);
        }
        $json = (new DetectingReader)->read(
            (string) json_encode(['fps' => 24, 'passes' => ['beauty' => true, 'depth' => false]]),
            'a.json',
        );
        self::assertSame([['name' => 'beauty', 'saved' => true], ['name' => 'depth', 'saved' => false]], $json->passes);
    }

    public function test_a_size_with_its_scale_behind_it(): void
    {
        foreach ([
            '1280 x 720 @ 50%',
            '1280x720 at 50 %',
            '1280 × 720 px (50 %)',
            '1280x720, 50 % scale',
            '1280x720@50%',
        ] as $text) {
            $scene = (new KeyValueText)->read("resolution = {$text}\n", 'a.txt');
            self::assertSame(
                ['1280x720', '50'],
                [$scene->get('picture.resolution'), $scene->get('picture.scale')],
                $text,
            );
        }
        $told = (new KeyValueText)->read("resolution = 1280x720 @ 50%\nscale = 100\n", 'a.txt');
        self::assertSame('100', $told->get('picture.scale'));
        self::assertNull((new KeyValueText)->read("resolution = 1280x720 (HD)\n", 'a.txt')->get('picture.scale'));
    }

    /** @return iterable<string, array{string, array<string, string|null>}> */
    public static function remarks(): iterable
    {
        yield 'compression' => ['format = EXR (DWAA)', ['format.kind' => 'exr', 'format.compression' => 'dwaa']];
        yield 'depth' => ['format = TIFF 16 Bit', ['format.kind' => 'tiff', 'format.bit_depth' => '16']];
        yield 'depth in brackets' => ['format = PNG (8-bit)', ['format.kind' => 'png', 'format.bit_depth' => '8']];
        yield 'depth and sample' => [
            'format = OpenEXR 32 bit float',
            ['format.kind' => 'exr', 'format.bit_depth' => '32', 'format.sample' => 'float'],
        ];
        yield 'codec' => ['format = MP4 (H.264)', ['format.kind' => 'mp4', 'format.codec' => 'h264']];
        yield 'a depth told by itself stands' => [
            "format = EXR (32 bit)\nbit depth = 16",
            ['format.bit_depth' => '16'],
        ];
        yield 'a remark that says nothing' => [
            'format = EXR (multilayer)',
            ['format.kind' => 'exr', 'format.compression' => null],
        ];
        yield 'sound with its rate' => [
            'audio = AAC 48 kHz, stereo',
            ['audio.presence' => 'required', 'audio.sample_rate' => '48000', 'audio.channels' => '2'],
        ];
        yield 'sound alone' => ['audio = AAC', ['audio.presence' => 'required', 'audio.sample_rate' => null]];
        yield 'in and out at once' => ['In/Out: 1001 / 1096', ['time.range' => '1001-1096']];
        yield 'in and out with a dash' => ['start = 1001 - 1096', ['time.range' => '1001-1096']];
        yield 'a rate over its base' => ["fps = 24\nfps base = 1.001", ['time.rate' => '24000/1001']];
        yield 'small numbers are factors' => ['scale = 2', ['picture.scale' => '200']];
        yield 'a factor with its sign' => ['scale = 1.5x', ['picture.scale' => '150']];
        yield 'a half' => ['scale = .5', ['picture.scale' => '50']];
        yield 'a share is no factor' => ['scale = 2 %', ['picture.scale' => '2']];
        yield 'larger ones are percent' => ['scale = 33.333', ['picture.scale' => '33.333']];
        yield 'a view that shows what there is' => ['view transform = Raw', ['colour.view' => 'none']];
        yield 'overwriting' => ['overwrite existing files = no', ['output.overwrites' => 'no']];
        yield 'a base of one' => ["fps = 25\nfps base = 1.0", ['time.rate' => '25']];
    }

    /** @param  array<string, string|null>  $settings */
    #[DataProvider('remarks')]
    public function test_two_things_in_one_line(string $text, array $settings): void
    {
        $scene = self::read("{$text}\n");
        foreach ($settings as $id => $value) {
            self::assertSame($value, $scene->get($id), $id);
        }
        self::assertSame([], $scene->misread->sentences);
    }

    public function test_one_end_of_a_range_is_not_passed_over(): void
    {
        $scene = self::read("fps = 24\nstart frame = 1001\n");
        self::assertNull($scene->get('time.range'));
        self::assertSame(['start frame: the other end of the range is not told.'], $scene->misread->sentences);
        self::assertSame(
            ['start frame', '1001', 'time.range'],
            [$scene->misread->unknown[0]->name, $scene->misread->unknown[0]->value, $scene->misread->unknown[0]->field],
        );
        self::assertSame([], self::read("fps = 24\nstart frame = 1001\nend frame = 1096\n")->misread->sentences);
    }

    /** What only the program that renders can fill in is not judged. */
    public function test_names_with_expressions_are_open(): void
    {
        $asked = Workbench::specification(
            [
                'time.range' => '1001-1096',
                'naming.pattern' => '{shot}_{task}.{frame:4}.{ext}',
                'output.overwrites' => 'no',
            ],
        );
        foreach ([
            'TC_010_light.$F4.exr', 'TC_010_light.<frame>.exr', '<shot>_light.####.exr', 'TC_010_light.[frame].exr',
            '${SHOT}_light.####.exr', 'TC_010_light.@@@@.exr', '%V_light.%04d.exr',
        ] as $name) {
            $lines = array_column(
                CheckReport::of(
                    $asked,
                    self::read("frames = 1001-1096\noutput = r/{$name}\n"),
                    null,
                )->toArray()['entries'],
                'mark',
                'id',
            );
            self::assertSame(['unknown', 'unknown'], [$lines['naming.pattern'], $lines['output.overwrites']], $name);
        }
        foreach (['TC_010_light.exr' => 'unequal', 'TC_010_light.####.exr' => 'equal'] as $name => $mark) {
            $lines = array_column(
                CheckReport::of(
                    $asked,
                    self::read("frames = 1001-1096\noutput = r/{$name}\n"),
                    null,
                )->toArray()['entries'],
                'mark',
                'id',
            );
            self::assertSame($mark, $lines['naming.pattern'], $name);
        }
    }
}
