<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneSettings;
use Tests\Core\Support\Workbench;

/** Values as programs show them and people copy them: with units, remarks and words around. */
final class AsProgramsShowItTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> a line, the id, and what it comes to */
    public static function lines(): iterable
    {
        $lines = [
            'Resolution = 1920 x 1080 px' => ['picture.resolution', '1920x1080'],
            'Resolution: 1920×1080 (16:9)' => ['picture.resolution', '1920x1080'],
            'Size = 2048 * 858' => ['picture.resolution', '2048x858'],
            'Image Size: 1280 by 720' => ['picture.resolution', '1280x720'],
            "Width: 1920 px\nHeight: 1080px" => ['picture.resolution', '1920x1080'],
            "Resolution X = 1920\nResolution Y = 1080\nResolution % = 50" => ['picture.scale', '50'],
            'Scale: 100 percent' => ['picture.scale', '100'],
            'Percentage = 50%' => ['picture.scale', '50'],
            'Pixel Aspect Ratio: 1.0 (square)' => ['picture.pixel_aspect', '1/1'],
            'Pixel aspect = 10:11' => ['picture.pixel_aspect', '10/11'],
            'DPI: 300 dpi' => ['picture.density', '300'],
            'Border: off' => ['picture.region', 'full'],
            'Frame Rate: 24 fps' => ['time.rate', '24'],
            'FPS = 23.976 fps' => ['time.rate', '24000/1001'],
            'Frames per second: 29.97' => ['time.rate', '30000/1001'],
            'Rate: 25 frames per second' => ['time.rate', '25'],
            'fps: 24.000' => ['time.rate', '24'],
            'Frame Range: 1001-1096 (96 frames)' => ['time.range', '1001-1096'],
            'Frames: 1001 to 1096' => ['time.range', '1001-1096'],
            'Range: 1001 - 1096 by 2' => ['time.range', '1001-1095x2'],
            'Range: 1001–1096' => ['time.range', '1001-1096'],
            'Range = frames 1-96' => ['time.range', '1-96'],
            "Start Frame: 1001.0\nEnd Frame: 1096.0" => ['time.range', '1001-1096'],
            'Frames: 96' => ['time.count', '96'],
            'Frame count = 96' => ['time.count', '96'],
            'Frames = 1-96' => ['time.range', '1-96'],
            'Frame range = 7' => ['time.range', '7'],
            'Step: 2nd' => ['time.step', '2'],
            'Every nth frame: 1' => ['time.step', '1'],
            'Speed: 100 %' => ['time.speed', '1/1'],
            'Time output: Single Frame' => ['time.extent', 'one'],
            'Extent: All (timeline)' => ['time.extent', 'whole'],
            'Samples: 256 spp' => ['render.samples', '256'],
            'AA Samples = 128 samples/pixel' => ['render.samples', '128'],
            'Samples: 64 (draft)' => ['render.samples', '64'],
            'Motion Blur: Enabled' => ['render.motion_blur', 'on'],
            'Motion blur = True' => ['render.motion_blur', 'on'],
            'Use motion blur: 0' => ['render.motion_blur', 'off'],
            'File Format: OpenEXR' => ['format.kind', 'exr'],
            'Format: OpenEXR (multi-layer)' => ['format.kind', 'exr'],
            'Image format = .PNG' => ['format.kind', 'png'],
            'Format: TIFF' => ['format.kind', 'tiff'],
            'Format: JPEG (.jpg)' => ['format.kind', 'jpeg'],
            'Bit Depth: 16 bit' => ['format.bit_depth', '16'],
            'Depth: 16-bit' => ['format.bit_depth', '16'],
            'Colour depth: 8 bits/channel' => ['format.bit_depth', '8'],
            'Color Depth: Half (16 bit)' => ['format.bit_depth', '16'],
            'Color depth: Float (32-bit)' => ['format.bit_depth', '32'],
            'Depth = half' => ['format.bit_depth', '16'],
            'Depth: 32 bit float' => ['format.sample', 'float'],
            'Compression: ZIP (lossless)' => ['format.compression', 'zip'],
            'Compression = Zip' => ['format.compression', 'zip'],
            'Compression: DWAA (lossy)' => ['format.compression', 'dwaa'],
            'Compression: None' => ['format.compression', 'none'],
            'Color: RGBA' => ['format.channels', 'RGBA'],
            'Channels: RGB' => ['format.channels', 'RGB'],
            'JPEG quality: 90 %' => ['format.quality', '90'],
            'Alpha: Premultiplied' => ['format.alpha', 'premultiplied'],
            'Color Space: sRGB' => ['colour.encoding', 'srgb'],
            'Colour space: Linear' => ['colour.encoding', 'linear'],
            'Exposure: 0 EV' => ['colour.exposure', '0'],
            'Gamma: 1.00' => ['colour.gamma', '1'],
            'Sample Rate: 48000 Hz' => ['audio.sample_rate', '48000'],
            'Audio channels: stereo' => ['audio.channels', '2'],
            'Audio bits: 24 bit' => ['audio.bit_depth', '24'],
            'Bit rate: 8 Mbit/s' => ['format.bit_rate', '8000000'],
        ];
        foreach ($lines as $line => [$id, $expected]) {
            yield str_replace("\n", ' / ', $line) => [$line, $id, $expected];
        }
    }

    #[DataProvider('lines')]
    public function test_it_is_read_as_it_is_meant(string $line, string $id, string $expected): void
    {
        $scene = (new DetectingReader)->read("{$line}\nscene = x\n", 'settings.txt');
        self::assertSame($expected, $scene->get($id), implode('; ', $scene->misread->sentences));
        self::assertSame([], $scene->misread->sentences);
    }

    /** @return iterable<string, array{string}> */
    public static function noValues(): iterable
    {
        foreach ([
            'Resolution = large', 'Resolution = 1920', 'fps = fast', 'fps = 24 hours', 'Frames = all of them',
            'Step = a', 'Samples = many', 'Depth = deep', 'Compression = 15 %', 'Compression: 90', 'Width: 1920 metres',
            'Motion blur = sometimes', 'Color: blue',
        ] as $line) {
            yield $line => [$line];
        }
    }

    #[DataProvider('noValues')]
    public function test_what_is_no_value_is_told_and_never_guessed(string $line): void
    {
        $text = str_starts_with($line, 'Width') ? "{$line}\nHeight = 1080\nscene = x\n" : "{$line}\nscene = x\n";
        $scene = (new DetectingReader)->read($text, 'settings.txt');
        self::assertSame([], $scene->all());
        self::assertCount(1, $scene->misread->sentences);
        self::assertCount(1, $scene->misread->unknown);
    }

    public function test_words_that_other_things_are_called_by_too(): void
    {
        $scene = $this->read(
            (string) json_encode(
                [
                    'object' => ['transform' => ['scale' => 2, 'size' => 3, 'name' => 'cube']],
                    'lights' => ['key' => ['samples' => 4, 'exposure' => 2]],
                    'viewport' => ['width' => 10, 'height' => 20, 'grid' => true],
                    'render' => ['scale' => 50, 'size' => '64x36', 'samples' => 128],
                    'fps' => 24,
                ],
            ),
        );
        self::assertSame(
            ['picture.scale' => '50', 'picture.resolution' => '64x36', 'render.samples' => '128', 'time.rate' => '24'],
            array_replace(
                array_flip(['picture.scale', 'picture.resolution', 'render.samples', 'time.rate']),
                $scene->all(),
            ),
        );
        self::assertCount(8, $scene->misread->unknown);
        $lines = $this->read("[transform]\nscale = 2\n[TC_010]\nscale = 50\nfps = 24\n[Viewport]\nsamples = 4\n");
        self::assertSame(
            [['picture.scale' => '50', 'time.rate' => '24'], ['transform.scale', 'Viewport.samples']],
            [$lines->all(), $lines->misread->sentences],
        );
        // what is pointed at counts wherever it stands
        $map = FieldMap::none()->with(
            new FieldMeaning('transform.scale', 'picture.scale'),
        )->with(new FieldMeaning('samples', 'render.samples'));
        self::assertSame(
            ['picture.scale' => '30', 'render.samples' => '4'],
            (new DetectingReader)->read("[transform]\nscale = 30\n[Viewport]\nsamples = 4\n", 'x.ini', $map)->all(),
        );
    }

    public function test_a_name_alone_is_the_scene_s(): void
    {
        foreach ([
            "name = TC_010 light\nfps = 24\n",
            "[scene]\nname: TC_010 light\nfps: 24\n",
            '{"name": "TC_010 light", "fps": 24}',
        ] as $text) {
            $scene = $this->read($text);
            self::assertSame(
                ['TC_010 light', null, '24'],
                [$scene->source->file, $scene->get('naming.pattern'), $scene->get('time.rate')],
            );
        }
        foreach ([
            'TC_010.####.exr' => 'TC_010.{frame:4}.exr',
            'TC_010_%04d' => 'TC_010_{frame:4}',
            'TC_010.exr' => 'TC_010.exr',
        ] as $name => $expected) {
            self::assertSame($expected, $this->read("name = {$name}\nfps = 24\n")->get('naming.pattern'));
        }
        self::assertSame('TC_010', $this->read("output name = TC_010\nfps = 24\n")->get('naming.pattern'));
    }

    public function test_how_many_frames_does_not_say_which(): void
    {
        $asked = Workbench::specification(['time.range' => '1001-1096', 'time.count' => 96]);
        $marks = fn (string $text): array => array_column(
            array_map(
                static fn (array $e): array => [$e['id'], $e['mark']],
                CheckReport::of($asked, $this->read($text), null)->toArray()['entries'],
            ),
            1,
            0,
        );
        self::assertSame(['time.range' => 'unknown', 'time.count' => 'equal'], $marks("frames = 96\nscene = x\n"));
        self::assertSame(['time.range' => 'unknown', 'time.count' => 'unequal'], $marks("frames = 95\nscene = x\n"));
        // what is told of the range itself goes before
        self::assertSame(
            ['time.range' => 'equal', 'time.count' => 'equal'],
            $marks("frames = 95\nrange = 1001-1096\n"),
        );
    }

    public function test_a_whole_dialog_copied_as_it_stands(): void
    {
        $copied = <<<'TEXT'
            Render Settings
            ===============
            Scene: TC_010_light_v003
            Project: tide_clock
            Unsaved changes: no
            Resolution X: 2048 px
            Resolution Y: 858 px
            Resolution %: 100 %
            Pixel Aspect: 1.000
            Frame Rate: 24 fps
            Start Frame: 1001
            End Frame: 1096
            Frame Step: 1
            Camera: cam_quay
            Cameras: cam_quay, cam_wide
            File Format: OpenEXR
            Color Depth: Half (16 bit)
            Compression: ZIP (lossless)
            Color: RGBA
            Output Path: renders/TC_010/TC_010_light_v003.####.exr
            Samples: 256 spp
            Motion Blur: Enabled
            Color Space: Linear
            TEXT;
        $asked = Workbench::specification([
            'picture.resolution' => '2048x858',
            'picture.scale' => 100,
            'picture.pixel_aspect' => '1/1',
            'time.rate' => 24,
            'time.range' => '1001-1096',
            'time.step' => 1,
            'camera.name' => 'cam_quay',
            'camera.single' => 'yes',
            'scene.saved' => 'yes',
            'render.samples' => ['min' => 128],
            'render.motion_blur' => 'on',
            'output.folder' => 'renders/{shot}',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.sample' => 'float',
            'format.channels' => 'RGBA',
            'format.compression' => ['zip', 'zips'],
            'colour.encoding' => 'linear',
            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
        ]);
        $account = fn (string $text): CheckReport => CheckReport::of($asked, $this->read($text), null);
        self::assertSame(['balanced', []], [$account($copied)->check->verdict->value, $account($copied)->causes]);
        // each line of it changed alone is the one cause
        foreach ([
            ['2048 px', '1024 px', 'wrong-shape'],
            ['100 %', '50 %', 'scale-below-full'],
            ['Aspect: 1.000', 'Aspect: 2.000', 'pixel-aspect-differs'],
            ['24 fps', '25 fps', 'rate-of-another-standard'],
            ['1096', '1090', 'range-set-otherwise'],
            ['Step: 1', 'Step: 2', 'step-left-on'],
            ['Camera: cam_quay', 'Camera: cam_wide', 'another-camera'],
            ['changes: no', 'changes: yes', 'scene-not-saved'],
            ['OpenEXR', 'PNG', 'value-differs'],
            ['Half (16 bit)', 'Float (32 bit)', 'value-differs'],
            ['ZIP (lossless)', 'DWAA (lossy)', 'lossy-instead-of-lossless'],
            ['ZIP (lossless)', 'PIZ (lossless)', 'compression-differs'],
            ['RGBA', 'RGB', 'alpha-not-saved'],
            ['####', '#####', 'too-many-digits'],
            ['renders/TC_010/', 'elsewhere/', 'value-differs'],
            ['256 spp', '64 spp', 'draft-quality'],
            ['Enabled', 'Disabled', 'value-differs'],
            ['Linear', 'sRGB', 'value-differs'],
        ] as [$from, $to, $cause]) {
            $changed = $account(str_replace($from, $to, $copied));
            self::assertSame(
                $cause,
                array_map(static fn (Cause $c): string => $c->finding->id->value, $changed->causes)[0] ?? null,
                "{$from} → {$to}",
            );
            self::assertCount(1, $changed->causes, "{$from} → {$to}");
        }
    }

    private function read(string $text): SceneSettings
    {
        return (new DetectingReader)->read($text, 'copied');
    }
}
