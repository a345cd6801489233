<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneSettings;

/** Sheets of settings, and objects of JSON, however they are laid out. */
final class SettingsTableTest extends TestCase
{
    /** @return array<string, mixed> the few facts these sheets tell */
    private static function facts(SceneSettings $scene): array
    {
        return array_filter(
            [
                'size' => $scene->get('picture.resolution'),
                'rate' => $scene->get('time.rate'),
                'range' => $scene->get('time.range'),
                'camera' => $scene->cameraSetup->chosen[0] ?? null,
                'name' => $scene->get('naming.pattern'),
            ],
            is_string(...),
        );
    }

    /**
     * @return iterable<string, array{string, string, array<string, array<string, string>>}> file name, text, facts by
     *   whose they are
     */
    public static function sheets(): iterable
    {
        $quay = ['size' => '2048x858', 'rate' => '24', 'range' => '1001-1096', 'camera' => 'cam_quay'];
        $slip = ['size' => '1024x429', 'rate' => '25', 'range' => '1001-1048', 'camera' => 'cam_slip'];
        $two = ['TC_010' => $quay, 'TC_030' => $slip];
        yield 'one scene a row, semicolons' => [
            'a.csv',
            "shot;width;height;fps;start;end;camera\r\nTC_010;2048;858;24;1001;1096;cam_quay\r\n"
                ."TC_030;1024;429;25;1001;1048;cam_slip\r\n",
            $two,
        ];
        yield 'one scene a row, pasted with tabs' => [
            'pasted',
            "Shot\tResolution\tFPS\tFrame range\tCamera\nTC_010\t2048 x 858\t24\t1001-1096\tcam_quay\nTC_030\t1024 "
                ."x 429\t25\t1001-1048\tcam_slip",
            $two,
        ];
        yield 'below a title and an empty line' => [
            'a.csv',
            "Settings of Monday,,,,\n,,,,\nscene,size,frame rate,frames,render "
                ."camera\nTC_010,2048x858,24,1001-1096,cam_quay\n\nTC_030,1024x429,25,1001-1048,cam_slip\n",
            $two,
        ];
        yield 'the scene in a column called name' => [
            'a.csv',
            "name,size,fps,frames,camera\nTC_010,2048x858,24,1001-1096,cam_quay\n"
                ."TC_030,1024x429,25,1001-1048,cam_slip\n",
            $two,
        ];
        yield 'one setting a row, scenes beside each other' => [
            'a.csv',
            "Setting,TC_010,TC_030,Remark\nResolution,2048x858,1024x429,half\nfps,24,25,\n"
                ."Frames,1001-1096,1001-1048,\nCamera,cam_quay,cam_slip,\n",
            $two,
        ];
        yield 'one setting a row, whose it is before it' => [
            'a.tsv',
            "shot\tsetting\tvalue\nTC_010\tsize\t2048x858\nTC_010\tfps\t24\nTC_010\tframes\t1001-1096\n"
                ."TC_010\tcamera\tcam_quay\nTC_030\tsize\t1024x429\nTC_030\tfps\t25\nTC_030\tframes\t1001-1048\n"
                ."TC_030\tcamera\tcam_slip\n",
            $two,
        ];
        yield 'one scene, one setting a row, without a head' => [
            'TC_010.csv',
            "Resolution,2048x858\nfps,24\nFrames,1001-1096\nCamera,cam_quay\n",
            ['' => $quay],
        ];
        yield 'one scene, with value and remark' => [
            'x.csv',
            "Setting,Value,Unit\nResolution,2048x858,px\nfps,24,1/s\nFrames,1001-1096,\nCamera,cam_quay,\n",
            ['' => $quay],
        ];
        yield 'an office’s own encoding' => [
            'x.csv',
            mb_convert_encoding(
                "Setting;Value\nResolution;2048×858\nfps;24\nFrames;1001–1096\nCamera;cam_quay\n",
                'UTF-16LE',
                'UTF-8',
            ),
            ['' => $quay],
        ];
        yield 'a single row' => ['x.csv', "size,fps,frames,camera\n2048x858,24,1001-1096,cam_quay\n", ['' => $quay]];
        yield 'numbers that are no names' => [
            'x.csv',
            "fps,24\nstep,2\nwidth,640\nheight,360\n",
            ['' => ['size' => '640x360', 'rate' => '24']],
        ];
        yield 'an object of JSON' => [
            'x.json',
            '{"output": {"width": 2048, "height": 858}, "time": {"fps": 24, "frame_range": [1001, 1096]}, "camera": '
                .'"cam_quay", "plugins": ["a", "b"]}',
            ['' => $quay],
        ];
        yield 'a flat object of JSON' => [
            'x.txt',
            '{"Resolution": [2048, 858], "FPS": "24", "Start Frame": 1001, "End Frame": 1096.0, "Render Camera": '
                .'"cam_quay"}',
            ['' => $quay],
        ];
    }

    /** @param  array<string, array<string, string>>  $expected */
    #[DataProvider('sheets')]
    public function test_each_layout_comes_to_the_same(string $name, string $text, array $expected): void
    {
        $text = $name === 'x.csv' && ! mb_check_encoding($text, 'ASCII') && str_contains($text, "\0")
            ? "\xFF\xFE{$text}"
            : $text;
        $scenes = (new DetectingReader)->scenes($text, $name);

        self::assertSame(
            array_values($expected),
            array_map(static fn (RawScene $s): array => self::facts($s->settings), $scenes),
        );
        foreach (array_keys($expected) as $at => $whose) {
            self::assertContains($whose === '' ? $scenes[$at]->whose[0] ?? '' : $whose, [...$scenes[$at]->whose, '']);
            // what is kept of it is read as the same scene again
            self::assertEquals($scenes[$at]->settings, (new DetectingReader)->read($scenes[$at]->content, 'kept'));
        }
    }

    public function test_several_scenes_where_one_is_expected_are_refused_by_name(): void
    {
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage('it tells of 4 scenes (a, b and c …), and one is expected here.');
        (new DetectingReader)->read("shot,fps,size\na,24,1x1\nb,24,1x1\nc,24,1x1\nd,24,1x1\n", 'many.csv');
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function refused(): iterable
    {
        yield 'a workbook' => [
            'x.xlsx',
            (string) file_get_contents(dirname(__DIR__, 2).'/fixtures/scenes/settings.xlsx'),
            'it is a workbook. Save the sheet as CSV',
        ];
        yield 'an archive' => ['x.zip', "PK\x03\x04rest", 'archives are read where many scenes are brought at once'];
        yield 'nothing known' => ['x.csv', "apples,pears\n1,2\n", 'no setting in it is known'];
        yield 'a head alone' => ['x.csv', "shot,fps,size\n", 'there are no values'];
        yield 'a picture with the name of a sheet' => ['x.csv', "\x89PNG\r\n\x1a\n\0\0\0\rIHDR", 'no text'];
        yield 'an object of other things' => ['x.json', '{"apples": 3}', 'no member of it is a setting'];
        yield 'another of our documents' => [
            'x.json',
            '{"format": "plain-ledger/specification", "version": 1, "require": {}}',
            '“plain-ledger/scene” is needed',
        ];
        yield 'a scene document without its name' => [
            'x.json',
            '{"settings": {"time.rate": 24}}',
            '"format": "plain-ledger/scene" is missing',
        ];
        yield 'a list' => ['x.json', '[1, 2]', 'it is not a JSON object'];
        yield 'too many scenes' => [
            'x.csv',
            "shot,fps,size\n".str_repeat("a,24,1x1\n", 2001),
            'more than 2,000 scenes',
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_sheet_of_settings_is_refused(string $name, string $text, string $says): void
    {
        try {
            $scenes = (new DetectingReader)->scenes($text, $name);
            self::fail('read as '.count($scenes));
        } catch (JsonRefused $refused) {
            self::assertStringContainsString($says, $refused->getMessage());
            self::assertStringStartsWith("{$name}: ", $refused->getMessage());
        }
    }

    public function test_lines_of_settings_are_not_taken_for_a_sheet(): void
    {
        $scene = (new DetectingReader)->read("fps\t24\nsize\t2048x858\nframes\t1001-1096\n", 'x.txt');
        self::assertSame(['size' => '2048x858', 'rate' => '24', 'range' => '1001-1096'], self::facts($scene));
        $lists = (new DetectingReader)->read(
            "passes: beauty, depth, alpha\ncameras = cam_a, cam_b, cam_c\nfps: 24\n",
            'x.txt',
        );
        self::assertSame(
            [['beauty', 'depth', 'alpha'], ['cam_a', 'cam_b', 'cam_c'], '24'],
            [array_column($lists->passes ?? [], 'name'), $lists->cameraSetup->all, $lists->get('time.rate')],
        );
    }
}
