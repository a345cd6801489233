<?php

declare(strict_types=1);

namespace Tests\Core\Report;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Letterbox;
use PlainLedger\Core\Measure\NamedShape;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Report\Sheet\Drawing;
use PlainLedger\Core\Report\Sheet\RequirementsCsv;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Report\Sheet\SheetMarkdown;
use PlainLedger\Core\Report\Sheet\SheetText;
use PlainLedger\Core\Report\Sheet\SheetUsda;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Core\Tabular\Csv;
use Tests\Core\Support\Workbench;

/** What is handed out says what is asked, whole and to every reader. */
final class SheetsTest extends TestCase
{
    private static function lit(): Specification
    {
        return Workbench::specification([
            'picture.resolution' => '2048x858',
            'picture.pixel_aspect' => 1,
            'time.rate' => '23.976',
            'time.range' => '1001-1096',
            'time.handles' => 8,
            'camera.name' => 'cam_quay',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.sample' => 'float',
            'format.channels' => 'RGBA',
            'format.compression' => ['zip', 'zips'],
            'render.samples' => ['min' => 128, 'level' => 'should', 'why' => 'noise in the fog'],
            'passes' => ['beauty', ['name' => 'mist', 'require' => ['format.channels' => 'Y']]],
            'naming.pattern' => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
            'naming.folder' => '{shot}/{pass}',
        ], ['title' => 'Lit frames']);
    }

    public function test_plain_text(): void
    {
        $text = (new SheetText)->write(self::lit());
        foreach ([
            'It runs at 23.976 (24000/1001) frames a second.',
            'Each file is OpenEXR.',
            'The passes are beauty and mist.',
            'mist alone: The channels are Y.',
            'Samples are at least 128. (should) Why: noise in the fog.',
            "  TC_010/\n    beauty/\n      TC_010_beauty_v003.0993.exr\n      …\n      TC_010_beauty_v003.1104.exr\n",
            'running time: 4 s 16 f',
        ] as $says) {
            self::assertStringContainsString($says, $text);
        }
    }

    public function test_markdown_keeps_its_table_whatever_is_asked(): void
    {
        $text = (new SheetMarkdown)->write(
            Workbench::specification(
                ['camera.name' => 'a|b`c', 'other.note' => '<b>*x*</b> | y', 'format.compression' => 'zip or piz'],
                ['title' => '# <i>tide</i>_clock'],
            ),
        );
        self::assertStringStartsWith("# \\# \\<i\\>tide\\</i\\>\\_clock\n", $text);
        foreach (array_filter(explode("\n", $text), static fn (string $l): bool => str_starts_with($l, '|')) as $line) {
            self::assertSame(4, preg_match_all('~(?<!\\\\)\|~', $line), $line);
        }
        self::assertStringContainsString('`zip \\| piz`', $text);
    }

    public function test_html_is_one_well_formed_page(): void
    {
        $html = (new SheetHtml('made today'))->write(self::lit());
        self::assertSame(2, substr_count($html, 'src="data:image/svg+xml;base64,'));
        self::assertStringContainsString('<code>&gt;= 128</code>', $html);
        self::assertStringNotContainsString('http://', (string) preg_replace('~base64,[^"]*~', '', $html));
        $page = new \DOMDocument;
        self::assertTrue($page->loadHTML($html, LIBXML_NOERROR));
        self::assertSame(
            ['Lit frames'],
            array_map(
                static fn (\DOMNode $n): string => $n->textContent,
                iterator_to_array($page->getElementsByTagName('h1')),
            ),
        );
    }

    public function test_html_lets_no_markup_in(): void
    {
        $html = (new SheetHtml)->write(
            Workbench::specification(
                [
                    'camera.name' => '<script>x</script>',
                    'other.a' => '"><img src=x onerror=y>',
                    'naming.pattern' => '<b>.{frame:4}.{ext}',
                ],
                ['title' => '</title><script>z</script>', 'values' => ['shot' => '<i>']],
            ),
        );
        self::assertStringNotContainsString('<script', $html);
        self::assertStringNotContainsString('<img src=x', $html);
        self::assertStringNotContainsString('<b>', $html);
    }

    /** Every drawing is well-formed XML, whatever is drawn. */
    public function test_drawings(): void
    {
        foreach ([
            ['1x1000000', '1/1'],
            ['1000000x1', '1/1'],
            ['2048x858', '1/1'],
            ['720x576', '16/11'],
        ] as [$size, $pixels]) {
            $consequences = Consequences::of(
                $own = Workbench::specification(
                    [
                        'picture.resolution' => $size,
                        'picture.pixel_aspect' => $pixels,
                        'time.range' => '-5-1000000',
                        'time.handles' => '3+9',
                    ],
                ),
                $own->parts[0],
            );
            foreach ([
                Drawing::shape($consequences->shape ?? throw new \LogicException),
                Drawing::ruler($consequences->ruler ?? throw new \LogicException),
            ] as $svg) {
                self::assertNotFalse(simplexml_load_string($svg));
                self::assertStringContainsString('<title>', $svg);
            }
        }
    }

    public function test_usd_carries_rate_range_camera_size_products_and_passes(): void
    {
        $usda = (new SheetUsda)->write(self::lit());
        foreach ([
            "#usda 1.0\n(",
            'startTimeCode = 993',
            'endTimeCode = 1104',
            'framesPerSecond = 23.976023976023976',
            'timeCodesPerSecond = 23.976023976023976',
            'renderSettingsPrimPath = "/Render/frames"',
            'def Camera "cam_quay"',
            'float verticalAperture = 15.082031',
            'uniform int2 resolution = (2048, 858)',
            'uniform float pixelAspectRatio = 1',
            'rel camera = </Cameras/cam_quay>',
            'token productName = "TC_010/beauty/TC_010_beauty_v003.####.exr"',
            'token productName = "TC_010/mist/TC_010_mist_v003.####.exr"',
            'uniform token dataType = "color4h"',
            'uniform token dataType = "half"',
            'uniform string sourceName = "mist"',
            'rel orderedVars = </Render/frames/Vars/mist>',
            'string "render.samples" = ">= 128"',
        ] as $says) {
            self::assertStringContainsString($says, $usda);
        }
        self::assertNestingCloses($usda);
    }

    public function test_usd_holds_together_with_hostile_names(): void
    {
        $usda = (new SheetUsda)->write(
            Workbench::specification(
                [
                    'camera.name' => "9 lens\"}\ndef",
                    'passes' => ['a b', 'a.b', 'Vars', 'ä'],
                    'naming.pattern' => 'x"{pass}.{frame:4}.{ext}',
                    'other.note' => 'a\\"b',
                ],
                ['title' => "a \"b\"\n)\\", 'parts' => [
                    ['name' => 'left eye', 'delivers' => 'frames'],
                    ['name' => 'left_eye', 'delivers' => 'frames'],
                    ['name' => 'preview', 'delivers' => 'movie', 'require' => ['naming.pattern' => 'p.{ext}']],
                ]],
            ),
        );
        self::assertNestingCloses($usda);
        preg_match_all('~def \w+ "([^"]*)"~', $usda, $m);
        foreach ($m[1] as $prim) {
            self::assertMatchesRegularExpression('~^[A-Za-z_][A-Za-z0-9_]*$~', $prim);
        }
        self::assertContains('left_eye_2', $m[1]);
        self::assertContains('a_b_2', $m[1]);
    }

    public function test_usd_leaves_out_what_is_not_known(): void
    {
        $usda = (new SheetUsda)->write(
            Workbench::specification(
                ['time.range' => 'timeline', 'camera.name' => 'cam_*', 'time.rate' => ['24', '25']],
            ),
        );
        foreach (['startTimeCode', 'framesPerSecond', 'rel camera', 'resolution ='] as $not) {
            self::assertStringNotContainsString($not, $usda);
        }
        self::assertNestingCloses($usda);
    }

    /** Outside of strings every bracket closes in order. */
    private static function assertNestingCloses(string $usda): void
    {
        $plain = (string) preg_replace('~"(?:\\\\.|[^"\\\\\n])*"~', '""', $usda);
        self::assertSame(0, preg_match_all('~""[^\s)\],;(]~', $plain), 'a string ends where it should');
        $open = [];
        foreach (str_split($plain) as $char) {
            if (str_contains('({[<', $char)) {
                $open[] = $char;
            } elseif (str_contains(')}]>', $char)) {
                self::assertSame(strtr($char, ')}]>', '({[<'), array_pop($open));
            }
        }
        self::assertSame([], $open);
    }

    public function test_csv_of_the_requirements(): void
    {
        $csv = (new RequirementsCsv)->write(
            Workbench::specification(
                [
                    'camera.name' => '=HYPERLINK("x")',
                    'time.range' => '-5-10',
                    'passes' => ['beauty', ['name' => 'mist', 'require' => ['format.bit_depth' => 32]]],
                ],
            ),
        );
        $rows = array_map(
            static fn (string $line): array => str_getcsv($line, ',', '"', ''),
            explode("\r\n", trim($csv)),
        );

        self::assertSame(RequirementsCsv::HEAD, $rows[0]);
        self::assertSame(['frames', '', 'time.range', 'Frame range', '-5-10', 'must'], array_slice($rows[1], 0, 6));
        self::assertSame("'=HYPERLINK(\"x\")", $rows[2][4]);
        self::assertSame(['frames', 'mist', 'format.bit_depth'], array_slice($rows[4], 0, 3));
    }

    public function test_what_a_spreadsheet_would_run_comes_back_as_it_was(): void
    {
        foreach ([
            '=1+1',
            '+cmd',
            '-cmd|x',
            '@a',
            "\tx",
            "'=x",
            "''=x",
            'plain',
            "it's",
            '-5-10',
            '-1',
            '',
            "'",
        ] as $value) {
            $row = str_getcsv(rtrim(Csv::of([[$value, 'end']]), "\r\n"), ',', '"', '');
            self::assertSame($value, Csv::plain((string) $row[0]), $value);
            self::assertDoesNotMatchRegularExpression('~^(?:[=@\t\r]|[+-](?!\d))~', (string) $row[0]);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> */
    public static function documents(): iterable
    {
        yield 'lit frames' => [
            [
                'picture.resolution' => '2048x858',
                'time.rate' => '29.97',
                'time.range' => '1-9x2,20',
                'time.handles' => ['head' => 1, 'tail' => 0],
                'format.compression' => ['zip', 'zips'],
                'render.samples' => ['min' => 128, 'level' => 'should', 'why' => 'fog'],
            ],
            [],
        ];
        yield 'bounds and lists' => [
            [
                'time.count' => ['min' => 90, 'max' => 150],
                'format.file_size' => '25 MB',
                'format.bit_rate' => ['value' => '8M', 'level' => 'should'],
                'format.bit_depth' => [8, 16],
                'content.black' => ['value' => '1-3', 'threshold' => 0.01],
                'content.frozen' => 3,
                'time.duration' => ['min' => '0:10', 'max' => '90 s'],
                'format.b_frames' => 'none',
                'camera.name' => 'any camera of the scene',
            ],
            [],
        ];
        yield 'passes of their own' => [
            [
                'passes' => [
                    'beauty',
                    ['name' => 'mist', 'require' => ['format.bit_depth' => 32, 'format.channels' => 'Y']],
                ],
                'other.unit' => ['min' => 2],
                'other.fog' => 'yes',
            ],
            [],
        ];
        yield 'parts' => [
            ['time.rate' => 25],
            [
                'starting_values' => ['picture.resolution' => ['400x300', '640x480']],
                'parts' => [
                    ['name' => 'frames', 'delivers' => 'frames', 'require' => ['format.kind' => 'png']],
                    [
                        'name' => 'preview',
                        'delivers' => 'movie',
                        'made_from' => 'frames',
                        'require' => ['format.kind' => 'mp4', 'format.codec' => 'H.264'],
                    ],
                ],
            ],
        ];
        yield 'nothing' => [[], ['title' => '', 'values' => []]];
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('documents')]
    public function test_a_document_written_and_read_again_is_the_same(array $require, array $more): void
    {
        $first = Workbench::specification($require, $more);
        $text = (string) json_encode(SpecificationDocument::of($first));
        $again = Specification::fromDocument(JsonDocument::parse($text, 'again.json', Specification::FORMAT));

        self::assertEquals($first->parts, $again->parts);
        self::assertEquals(
            [$first->title, $first->values, $first->startingValues, []],
            [$again->title, $again->values, $again->startingValues, $again->notUnderstood],
        );
        self::assertSame($text, (string) json_encode(SpecificationDocument::of($again)));
    }

    public function test_every_requirement_has_a_sentence_that_says_its_value_or_means_it(): void
    {
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($descriptor->accepts->example === '') {
                continue;
            }
            $requirement = Workbench::specification(
                [$descriptor->id => $descriptor->accepts->example],
                ['delivers' => str_contains($descriptor->accepts->example, '{frame') ? 'frames' : 'file'],
            )->parts[0]->find($descriptor->id);
            self::assertNotNull($requirement);
            self::assertMatchesRegularExpression('~^[A-Z].*\.$~u', $requirement->sentence(), $descriptor->id);
            self::assertStringNotContainsString('%s', $requirement->sentence());
            self::assertNotSame('', $descriptor->wording->also, $descriptor->id);
        }
    }

    public function test_letterbox_and_named_shapes(): void
    {
        $hd = Resolution::of(1920, 1080);
        foreach ([
            ['2048x858', '1/1', 'letterboxed to 1920 × 804, bars of 138 above and below', '2.39'],
            ['1440x1080', '1/1', 'pillarboxed to 1440 × 1080, bars of 240 at the sides', '4:3'],
            ['1280x720', '1/1', 'fills it', '16:9'],
            ['1080x1920', '1/1', 'pillarboxed to 608 × 1080, bars of 656 at the sides', '9:16'],
            ['720x576', '12/11', 'pillarboxed to 1472 × 1080, bars of 224 at the sides', '4:3'],
        ] as [$size, $pixels, $says, $named]) {
            $resolution = Resolution::parse($size);
            self::assertSame($says, Letterbox::of($resolution->displayAspect(Fraction::parse($pixels)), $hd)->spoken());
            self::assertSame($named, NamedShape::nearest($resolution, Fraction::parse($pixels))->value);
        }
    }
}
