<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\Sheet\SheetUsda;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\Readers\UsdScene;
use Tests\Core\Support\Workbench;

/** Scenes and render settings in the text form of USD. */
final class UsdSceneTest extends TestCase
{
    private const SCENE = <<<'USD'
        #usda 1.0
        (
            "a quay at dawn"
            doc = """several
            lines with a " in them"""
            startTimeCode = 1001
            endTimeCode = 1096
            framesPerSecond = 24
            timeCodesPerSecond = 24
            metersPerUnit = 0.01
            upAxis = "Y"
            renderSettingsPrimPath = "/Render/final"
            subLayers = [
                @./light.usda@,
                @./layout (v2).usda@ (offset = 10; scale = 1)
            ]
            customLayerData = {
                dictionary "a" = { string "framesPerSecond" = "99" }
            }
        )

        def Xform "World" (
            prepend variantSets = "season"
            kind = "assembly"
        )
        {
            # a remark with a brace {
            double3 xformOp:translate = (0, 4.5, -2)
            float3 xformOp:rotateXYZ.timeSamples = {
                1001: (0, 0, 0),
                1002: (0, 1.5, 0),
            }
            uniform token[] xformOpOrder = ["xformOp:translate", "xformOp:rotateXYZ"]

            def Camera "cam_quay"
            {
                float focalLength = 35
                float focalLength.timeSamples = { 1001: 35, 1050: 50 }
                token projection = "perspective" (
                    allowedTokens = ["perspective", "orthographic"]
                )
            }
            def Camera "cam_wide" { float focalLength = 18 }
            variantSet "season" = {
                "fog" (doc = "thick } one") {
                    over "cam_quay" { float fStop = 2.8 }
                    def Mesh "bank" { int[] faceVertexCounts = [4, 4, 4] }
                }
                "clear" { }
            }
        }

        def Scope "Render"
        {
            def RenderSettings "draft" { uniform int2 resolution = (640, 268) }
            def RenderSettings "final"
            {
                uniform int2 resolution = (2048, 858)
                uniform float pixelAspectRatio = 1
                uniform token aspectRatioConformPolicy = "expandAperture"
                uniform float4 dataWindowNDC = (0, 0, 1, 1)
                uniform bool disableMotionBlur = 0
                uniform token[] includedPurposes = ["default", "render"]
                rel camera = </World/cam_quay>
                rel products = [</Render/final/beauty>, </Render/final/mist>]
                custom rel nothing
                def RenderProduct "beauty"
                {
                    token productName = "renders/TC_010/TC_010_beauty_v003.####.exr"
                    token productType = "raster"
                    rel orderedVars = </Render/final/Vars/beauty>
                }
                def RenderProduct "mist"
                {
                    token productName = "renders/TC_010/TC_010_mist_v003.####.exr"
                    rel orderedVars = [</Render/final/Vars/mist>]
                }
                def Scope "Vars"
                {
                    def RenderVar "beauty" { uniform token dataType = "color4h" uniform string sourceName = "beauty" }
                    def RenderVar "mist" { uniform token dataType = "half"; uniform string sourceName = "mist" }
                }
            }
        }
        USD;

    public function test_a_scene_is_read(): void
    {
        $scene = (new DetectingReader)->read(self::SCENE, 'scene.usda');

        self::assertSame([], $scene->misread->sentences);
        self::assertSame(
            [
                '24', '1001-1096', '2048x858', '1/1', 'full', 'on', 'off', 'float', '16', 'RGBA', 'exr',
                'renders/TC_010', 'TC_010_{pass}_v003.{frame:4}.exr',
            ],
            array_map(
                $scene->get(...),
                [
                    'time.rate', 'time.range', 'picture.resolution', 'picture.pixel_aspect', 'picture.region',
                    'render.motion_blur', 'render.overlays', 'format.sample', 'format.bit_depth', 'format.channels',
                    'format.kind', 'output.folder', 'naming.pattern',
                ],
            ),
        );
        self::assertSame('1001-1096', (string) $scene->timeline);
        self::assertSame(
            [['cam_quay'], ['cam_quay', 'cam_wide']],
            [$scene->cameraSetup->chosen, $scene->cameraSetup->all],
        );
        self::assertSame([['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => true]], $scene->passes);
    }

    public function test_the_camera_s_place_and_lens_are_facts_for_the_next_time(): void
    {
        $usd = static fn (string $more): string => "#usda 1.0\ndef Camera \"c\" { float focalLength = 35 float "
            ."horizontalAperture = 20 {$more} }\ndef RenderSettings \"r\" { rel camera = </c> uniform int2 "
            ."resolution = (20, 10) }\n";
        $scene = (new DetectingReader)->read(
            $usd(
                'double3 xformOp:translate = (4, 1.6, 12) uniform token[] xformOpOrder = ["xformOp:translate"] '
                    .'float3 xformOp:rotateXYZ.timeSamples = { 1: (0, 1, 0), 2: (0, 2, 0) }',
            ),
            'a.usda',
        );
        self::assertSame(
            ['camera.placement' => 'translate 4, 1.6, 12', 'camera.lens' => 'focalLength 35; horizontalAperture 20'],
            $scene->cameraSetup->facts,
        );
        self::assertSame(
            ['camera.lens' => 'focalLength 35; horizontalAperture 20'],
            (new DetectingReader)->read($usd(''), 'a.usda')->cameraSetup->facts,
        );
    }

    public function test_each_product_may_have_a_camera_of_its_own(): void
    {
        $usd = "#usda 1.0\ndef Camera \"left\" {}\ndef Camera \"right\" {}\ndef RenderSettings \"r\" {\n rel camera "
            ."= </left>\n rel products = [</r/a>, </r/b>]\n def RenderProduct \"a\" { token productName = "
            ."\"a.####.exr\" }\n def RenderProduct \"b\" { token productName = \"b.####.exr\" rel camera = "
            ."</right> }\n}\n";
        self::assertSame(['left', 'right'], (new DetectingReader)->read($usd, 'a.usda')->cameraSetup->chosen);
        self::assertSame(
            ['left'],
            (new DetectingReader)->read(str_replace('</right>', '</left>', $usd), 'a.usda')->cameraSetup->chosen,
        );
    }

    public function test_a_pixel_aspect_that_conforms_to_the_camera(): void
    {
        $usd = static fn (string $policy): string => "#usda 1.0\ndef Camera \"c\" { float horizontalAperture = 40 "
            ."float verticalAperture = 10 }\ndef RenderSettings \"r\" { rel camera = </c> uniform int2 resolution = "
            ."(200, 100) uniform float pixelAspectRatio = 1 uniform token aspectRatioConformPolicy = \"{$policy}\" }\n";
        self::assertSame(
            '2/1',
            (new DetectingReader)->read($usd('adjustPixelAspectRatio'), 'a.usda')->get('picture.pixel_aspect'),
        );
        foreach (['expandAperture', 'cropAperture', 'adjustApertureWidth'] as $policy) {
            self::assertSame(
                '1/1',
                (new DetectingReader)->read($usd($policy), 'a.usda')->get('picture.pixel_aspect'),
                $policy,
            );
        }
    }

    public function test_relations_in_a_circle_lead_nowhere(): void
    {
        $usd = "#usda 1.0\n( subLayers = [@./a.usda@, @../../etc/passwd@] renderSettingsPrimPath = \"/r\" )\ndef "
            ."RenderSettings \"r\" (references = </r>) {\n rel camera = </r>\n rel products = [</r>, </r/p>, "
            ."</nowhere>]\n uniform int2 resolution = (20, 10)\n def RenderProduct \"p\" { rel orderedVars = "
            .'[</r/p>, </r>, </r/p/v>] token productName = "a.####.exr" def RenderVar "v" { rel orderedVars = '
            ."</r/p/v> } }\n}\n";
        $scene = (new DetectingReader)->read($usd, 'a.usda');
        self::assertSame(
            ['20x10', 'a.{frame:4}.exr', ['r']],
            [$scene->get('picture.resolution'), $scene->get('naming.pattern'), $scene->cameraSetup->chosen],
        );
    }

    public function test_what_is_handed_out_balances_when_it_comes_back(): void
    {
        $specification = Workbench::specification([
            'picture.resolution' => '2048x858',
            'picture.pixel_aspect' => '1/1',
            'time.rate' => '23.976',
            'time.range' => '1001-1096',
            'time.handles' => 8,
            'camera.name' => 'cam_quay',
            'camera.single' => 'yes',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.sample' => 'float',
            'format.channels' => 'RGBA',
            'passes' => ['beauty', 'mist'],
            'naming.pattern' => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
            'output.folder' => 'renders/{shot}',
        ]);
        $scene = (new DetectingReader)->read((new SheetUsda)->write($specification), 'sheet.usda');
        $document = CheckReport::of($specification, $scene, null)->toArray();
        $open = array_filter($document['entries'], static fn (array $e): bool => $e['mark'] !== 'equal');

        self::assertSame(
            [],
            array_values(
                array_map(
                    static fn (array $e): string => "{$e['id']}: {$e['required']}, ".json_encode($e['scene']),
                    $open,
                ),
            ),
        );
    }

    /** @return iterable<string, array{string, string, string|null}> what stands in the file, id, value */
    public static function pieces(): iterable
    {
        $render = static fn (string $inside): string => "def RenderSettings \"r\" { {$inside} }";
        yield 'rate of 29.97' => ['(framesPerSecond = 29.97002997002997)', 'time.rate', '30000/1001'];
        yield 'only time codes' => ['(timeCodesPerSecond = 25)', 'time.rate', '25'];
        yield 'time codes that are not frames' => [
            '(startTimeCode = 0 endTimeCode = 240 timeCodesPerSecond = 120 framesPerSecond = 24)',
            'time.range',
            '0-48',
        ];
        yield 'negative' => ['(startTimeCode = -5 endTimeCode = 10)', 'time.range', '-5-10'];
        yield 'one frame' => ['(startTimeCode = 7 endTimeCode = 7)', 'time.range', '7'];
        yield 'half a frame' => ['(framesPerSecond = 24 startTimeCode = 0.5 endTimeCode = 10)', 'time.range', null];
        yield 'a window' => [
            $render('uniform int2 resolution = (200, 100) uniform float4 dataWindowNDC = (0.25, 0.1, 0.75, 0.6)'),
            'picture.region',
            '50,40,100,50',
        ];
        yield 'wide pixels' => [$render('uniform float pixelAspectRatio = 1.0909091'), 'picture.pixel_aspect', '12/11'];
        yield 'no blur' => [$render('uniform bool disableMotionBlur = true'), 'render.motion_blur', 'off'];
        yield 'guides' => [$render('uniform token[] includedPurposes = ["default", "guide"]'), 'render.overlays', 'on'];
        yield 'a product says otherwise' => [
            'def RenderSettings "r" { uniform int2 resolution = (100, 50) rel products = </r/p> def RenderProduct '
                .'"p" { uniform int2 resolution = (50, 25) token productName = "x.png" } }',
            'picture.resolution',
            '50x25',
        ];
        yield 'a name without a folder' => [
            'def RenderSettings "r" { rel products = </r/p> def RenderProduct "p" { token productName = '
                .'"beauty.%04d.png" } }',
            'naming.pattern',
            'beauty.{frame:4}.png',
        ];
        yield 'metres are no frames' => ['(metersPerUnit = 1 framesPerSecond = 24)', 'picture.resolution', null];
        yield 'one line without spaces' => ['(framesPerSecond=24)def Camera"c"{float f=3}', 'time.rate', '24'];
        yield 'an override adds' => [
            'def RenderSettings "r" { uniform int2 resolution = (4, 2) } over "r" { uniform float '
                .'pixelAspectRatio = 2 }',
            'picture.pixel_aspect',
            '2',
        ];
    }

    #[DataProvider('pieces')]
    public function test_a_piece(string $inside, string $id, ?string $value): void
    {
        $found = (new UsdScene)->read("#usda 1.0\n{$inside}\n", 's.usda')->get($id);
        self::assertSame(
            match (true) {
                $value === null => null,
                $id === 'picture.pixel_aspect' && ! str_contains($value, '/') => "{$value}/1",
                default => $value,
            },
            $found,
        );
    }

    public function test_several_settings_and_none_named(): void
    {
        $scene = (new UsdScene)->read(
            "#usda 1.0\ndef RenderSettings \"a\" { uniform int2 resolution = (4, 2) }\ndef RenderSettings \"b\" { "
                ."uniform int2 resolution = (8, 4) }\n",
            's.usda',
        );
        self::assertNull($scene->get('picture.resolution'));
        self::assertStringContainsString('/a, /b', $scene->misread->sentences[0]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function hostile(): iterable
    {
        yield 'nothing of use' => ["#usda 1.0\ndef Mesh \"m\" { int[] a = [1] }", 'neither a frame rate'];
        yield 'binary' => ["PXR-USDC\0\0\0", 'binary form'];
        yield 'an archive' => ["PK\x03\x04rest", 'binary form'];
        yield 'an open brace' => ["#usda 1.0\ndef Camera \"c\" {", 'ends'];
        yield 'an open string' => ["#usda 1.0\n(doc = \"never", 'inside a string'];
        yield 'an open bracket' => ["#usda 1.0\ndef Xform \"x\" { int[] a = [1, 2", 'inside a bracket'];
        yield 'an open list' => ["#usda 1.0\ndef Camera \"x\" { int[] a = [1, 2", 'ends'];
        yield 'too many closed' => ["#usda 1.0\n}}}", 'stands'];
        yield 'nested for ever' => ["#usda 1.0\n".str_repeat('def "x" {', 5000), 'nested deeper'];
        yield 'brackets for ever' => ["#usda 1.0\n(a = ".str_repeat('[', 50_000), 'ends inside'];
        yield 'a path that is not closed' => ["#usda 1.0\ndef RenderSettings \"r\" { rel camera = </x", 'ends'];
        yield 'variants that are not closed' => ["#usda 1.0\ndef \"x\" { variantSet \"v\" = { \"a\" { ", 'ends'];
    }

    #[DataProvider('hostile')]
    public function test_what_is_broken_or_hostile_ends_in_a_sentence(string $text, string $says): void
    {
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage($says);
        (new DetectingReader)->read($text, 's.usda');
    }

    public function test_any_damage_ends_in_settings_or_a_sentence(): void
    {
        mt_srand(9);
        $ended = 0;
        for ($n = 0; $n < 400; $n++) {
            $text = self::SCENE;
            for ($k = 0; $k < 4; $k++) {
                $at = mt_rand(10, strlen($text) - 1);
                $text = $n % 3 === 0
                    ? substr($text, 0, $at)
                    : substr_replace(
                        $text,
                        ['{', '}', '"', '(', ')', '[', ']', '<', '@', '#', '=', '\\', '', ' '][mt_rand(0, 13)],
                        $at,
                        mt_rand(0, 3),
                    );
                if (strlen($text) < 40) {
                    break;
                }
            }
            try {
                (new UsdScene)->read($text, 's.usda');
            } catch (JsonRefused $sentence) {
                self::assertNotSame('', $sentence->getMessage());
                $ended++;
            }
        }
        self::assertGreaterThan(100, $ended);
    }

    public function test_a_large_scene_is_read_in_little_memory(): void
    {
        // forty megabytes of points, made as they are asked for
        $source = new class implements ByteSource
        {
            private const HEAD = "#usda 1.0\n(framesPerSecond = 25)\ndef Mesh \"points\" { point3f[] points = [";

            private const POINT = '(1.25, -3.5, 0.125), ';

            private const TAIL = "] }\ndef Camera \"cam_quay\" { float f = 1 }\n";

            private const MANY = 2_000_000;

            public function size(): int
            {
                return strlen(self::HEAD) + self::MANY * strlen(self::POINT) + strlen(self::TAIL);
            }

            public function read(int $offset, int $length): string
            {
                $out = '';
                while ($length > 0 && $offset < $this->size()) {
                    if ($offset < strlen(self::HEAD)) {
                        $piece = substr(self::HEAD, $offset, $length);
                    } elseif ($offset < strlen(self::HEAD) + self::MANY * strlen(self::POINT)) {
                        $into = ($offset - strlen(self::HEAD)) % strlen(self::POINT);
                        $left = strlen(self::HEAD) + self::MANY * strlen(self::POINT) - $offset;
                        $piece = substr(
                            str_repeat(self::POINT, intdiv(min($length, $left), strlen(self::POINT)) + 2),
                            $into,
                            min($length, $left),
                        );
                    } else {
                        $piece = substr(
                            self::TAIL,
                            $offset - strlen(self::HEAD) - self::MANY * strlen(self::POINT),
                            $length,
                        );
                    }
                    $out .= $piece;
                    $offset += strlen($piece);
                    $length -= strlen($piece);
                }

                return $out;
            }
        };
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $scene = UsdScene::from($source, 'large.usda');

        self::assertSame(['25', ['cam_quay']], [$scene->get('time.rate'), $scene->cameraSetup->all]);
        self::assertLessThan(8_000_000, memory_get_peak_usage() - $before);
    }

    /** One product at half the size of the others is no scene at full size. */
    public function test_what_differs_from_product_to_product_stays_open(): void
    {
        $stage = static fn (string $other): string => "#usda 1.0\n(\n    framesPerSecond = 24\n)\ndef "
            ."RenderSettings \"s\"\n{\n    uniform int2 resolution = (2048, 858)\n    rel products = [</beauty>, "
            ."</mist>]\n}\ndef RenderProduct \"beauty\" { token productName = \"r/a_beauty.####.exr\" rel "
            ."orderedVars = </v> }\ndef RenderProduct \"mist\" { token productName = \"r/a_mist.####.exr\" rel "
            ."orderedVars = </w> {$other} }\ndef RenderVar \"v\" { string sourceName = \"beauty\" }\ndef RenderVar "
            ."\"w\" { string sourceName = \"mist\" }\n";
        $same = (new DetectingReader)->read($stage('int2 resolution = (2048, 858)'), 'a.usda');
        self::assertSame(['2048x858', []], [$same->get('picture.resolution'), $same->misread->sentences]);
        $half = (new DetectingReader)->read($stage('int2 resolution = (1024, 429)'), 'a.usda');
        self::assertNull($half->get('picture.resolution'));
        self::assertSame(
            ['resolution differ from product to product, so they are not compared: beauty, mist'],
            $half->misread->sentences,
        );
        self::assertSame('24', $half->get('time.rate'));
        $blurred = (new DetectingReader)->read($stage('bool disableMotionBlur = 1'), 'a.usda');
        self::assertSame(
            ['2048x858', null],
            [$blurred->get('picture.resolution'), $blurred->get('render.motion_blur')],
        );
    }
}
