<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\FieldUnit;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneDocument;
use PlainLedger\Core\Scene\UnknownSetting;
use PlainLedger\Core\Specification\Catalogue;
use Tests\Core\Support\Workbench;

/** Other names for settings, their units and their words. */
final class FieldMapTest extends TestCase
{
    /**
     * @return iterable<string, array{FieldMeaning, string, string, string}> what the name means, its value, the id,
     *   and what it comes to
     */
    public static function meanings(): iterable
    {
        yield 'another name' => [new FieldMeaning('Bildrate', 'time.rate'), '23.976', 'time.rate', '24000/1001'];
        yield 'case, dashes and spaces aside' => [
            new FieldMeaning('bild-RATE pro  sekunde', 'time.rate'),
            '25',
            'time.rate',
            '25',
        ];
        yield 'a factor' => [
            new FieldMeaning('Massstab', 'picture.scale', FieldUnit::Factor),
            '0.5',
            'picture.scale',
            '50',
        ];
        yield 'a factor above one' => [
            new FieldMeaning('Massstab', 'picture.scale', FieldUnit::Factor),
            '2',
            'picture.scale',
            '200',
        ];
        yield 'percent that look like a factor' => [
            new FieldMeaning('Massstab', 'picture.scale', FieldUnit::Percent),
            '1',
            'picture.scale',
            '1',
        ];
        yield 'a third' => [
            new FieldMeaning('Massstab', 'picture.scale', FieldUnit::Factor),
            '1/3',
            'picture.scale',
            '33.333333',
        ];
        yield 'words' => [
            new FieldMeaning('Bewegung', 'render.motion_blur', null, ['Ja' => 'on', 'Nein' => 'off']),
            'ja',
            'render.motion_blur',
            'on',
        ];
        yield 'words that are not among them' => [
            new FieldMeaning('Bewegung', 'render.motion_blur', null, ['Ja' => 'on']),
            'off',
            'render.motion_blur',
            'off',
        ];
        yield 'a size by a word' => [
            new FieldMeaning('Preset', 'picture.resolution', null, ['House wide' => '2048x858']),
            'House wide',
            'picture.resolution',
            '2048x858',
        ];
        yield 'kilobits' => [
            new FieldMeaning('Rate', 'format.bit_rate', FieldUnit::KilobitsPerSecond),
            '8000',
            'format.bit_rate',
            '8000000',
        ];
        yield 'megabits' => [
            new FieldMeaning('Rate', 'format.bit_rate', FieldUnit::MegabitsPerSecond),
            '7.5',
            'format.bit_rate',
            '7500000',
        ];
        yield 'kilohertz' => [
            new FieldMeaning('Ton', 'audio.sample_rate', FieldUnit::Kilohertz),
            '44.1',
            'audio.sample_rate',
            '44100',
        ];
        yield 'dots a centimetre' => [
            new FieldMeaning('Druck', 'picture.density', FieldUnit::PerCentimetre),
            '118.11',
            'picture.density',
            '300',
        ];
        yield 'a speed in percent' => [
            new FieldMeaning('Tempo', 'time.speed', FieldUnit::Percent),
            '50',
            'time.speed',
            '1/2',
        ];
        yield 'a fact of the production' => [new FieldMeaning('Nebel', 'other.fog'), '0.3', 'other.fog', '0.3'];
        yield 'a known name that means another thing here' => [
            new FieldMeaning('scale', 'other.scale_of_the_set'),
            '7',
            'other.scale_of_the_set',
            '7',
        ];
    }

    #[DataProvider('meanings')]
    public function test_what_it_says_counts(FieldMeaning $meaning, string $value, string $id, string $expected): void
    {
        $map = FieldMap::none()->with($meaning);
        foreach ([
            "{$meaning->name} = {$value}\nfps = 24\n" => 'x.txt',
            "Setting;Value\n{$meaning->name};{$value}\nfps;24\nstep;1\n" => 'x.csv',
            (string) json_encode(['fps' => 24, 'deep' => [], $meaning->name => $value]) => 'x.json',
        ] as $text => $file) {
            if ($id === 'time.rate') {
                $text = str_replace(['fps = 24', 'fps;24', '"fps":24,'], ['step = 1', 'step;1', ''], (string) $text);
            }
            $scene = (new DetectingReader)->read((string) $text, $file, $map);
            self::assertSame($expected, $scene->get($id), $file);
            self::assertSame([], $scene->misread->unknown, $file);
        }
        $document = (string) json_encode(
            [
                'format' => 'plain-ledger/scene',
                'version' => 1,
                'settings' => [$meaning->name => is_numeric($value) ? $value + 0 : $value],
            ],
        );
        self::assertSame($expected, (new DetectingReader)->read($document, 'own.json', $map)->get($id));
    }

    public function test_two_fields_for_a_size_and_one_for_path_and_name(): void
    {
        $map = FieldMap::none()->with(new FieldMeaning('Breite', 'width'))
            ->with(new FieldMeaning('Höhe', 'height'))
            ->with(new FieldMeaning('Ziel', 'path'))
            ->with(new FieldMeaning('Von', 'first', FieldUnit::CountedFromZero))
            ->with(new FieldMeaning('Bis', 'last', FieldUnit::CountedFromZero));
        $scene = (new DetectingReader)->read(
            "Breite: 1280\nHöhe: 720\nZiel: out/TC_010/TC_010.####.exr\nVon: 0\nBis: 95\n",
            'x.txt',
            $map,
        );

        self::assertSame(
            ['1280x720', 'out/TC_010', 'TC_010.{frame:4}.exr', 'exr', '1-96'],
            [
                $scene->get('picture.resolution'),
                $scene->get('output.folder'),
                $scene->get('naming.pattern'),
                $scene->get('format.kind'),
                $scene->get('time.range'),
            ],
        );
    }

    public function test_what_is_not_understood_is_told_so_that_it_can_be_pointed_at(): void
    {
        $scene = (new DetectingReader)->read("fps = 24\nBreite = 1280\nmotion blur = Ja\n", 'x.txt');
        self::assertEquals(
            [
                new UnknownSetting('Breite', '1280', null),
                new UnknownSetting(
                    'motion blur',
                    'Ja',
                    'render.motion_blur',
                    '“Ja” is not yes or no; write it like on.',
                ),
            ],
            $scene->misread->unknown,
        );

        $map = FieldMap::none()->with(new FieldMeaning('Breite', null))->with(
            new FieldMeaning('motion blur', 'render.motion_blur', null, ['Ja' => 'on']),
        );
        $scene = (new DetectingReader)->read("fps = 24\nBreite = 1280\nmotion blur = Ja\n", 'x.txt', $map);
        self::assertSame(
            [[], [], 'on'],
            [$scene->misread->unknown, $scene->misread->sentences, $scene->get('render.motion_blur')],
        );
    }

    public function test_a_map_alone_can_make_a_file_readable(): void
    {
        $text = "Bildrate = 24\nBreite = 4\n";
        self::assertSame(
            '24',
            (new DetectingReader)->read(
                $text,
                'x.txt',
                FieldMap::none()->with(new FieldMeaning('Bildrate', 'time.rate')),
            )->get('time.rate'),
        );
        $this->expectException(JsonRefused::class);
        (new DetectingReader)->read($text, 'x.txt');
    }

    public function test_it_is_written_and_read_again_and_fits_its_schema(): void
    {
        $map = FieldMap::none();
        foreach (self::meanings() as [$meaning]) {
            $map = $map->with($meaning);
        }
        $document = $map->with(new FieldMeaning('Version of the program', null))->toArray('House names');
        $again = FieldMap::fromDocument(
            JsonDocument::parse((string) json_encode($document), 'map.json', FieldMap::FORMAT),
        );
        self::assertSame($document, $again->toArray('House names'));
        $validator = new Validator;
        self::assertTrue(
            $validator->validate(
                json_decode((string) json_encode($document)),
                (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/field-map.schema.json'),
            )->isValid(),
        );
    }

    public function test_one_map_over_another_and_a_name_taken_out(): void
    {
        $house = FieldMap::none()->with(new FieldMeaning('Rate', 'time.rate'))->with(
            new FieldMeaning('Ton', 'audio.sample_rate'),
        );
        $own = FieldMap::none()->with(new FieldMeaning('rate', 'format.bit_rate'));
        self::assertSame(
            ['format.bit_rate', 'audio.sample_rate'],
            [$house->under($own)->of('RATE')?->is, $house->under($own)->of('ton')?->is],
        );
        self::assertNull($house->without(' rate ')->of('Rate'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function broken(): iterable
    {
        yield 'no list' => [['fields' => ['a' => 1]], '"fields" is a list'];
        yield 'no name' => [['fields' => [['is' => 'width']]], 'field 1 has no "name"'];
        yield 'no setting' => [['fields' => [['name' => 'a', 'is' => 'content.whole']]], 'that is no setting'];
        yield 'no such unit' => [
            ['fields' => [['name' => 'a', 'is' => 'time.rate', 'unit' => 'kHz']]],
            'is no unit for it',
        ];
        yield 'words that are no texts' => [
            ['fields' => [['name' => 'a', 'is' => 'width', 'words' => ['x' => 5]]]],
            '"words" of field 1',
        ];
        yield 'far too many' => [['fields' => array_fill(0, 2001, ['name' => 'a', 'is' => null])], 'at most 2000'];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('broken')]
    public function test_a_map_that_is_none_is_refused(array $more, string $says): void
    {
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage($says);
        FieldMap::fromDocument(
            JsonDocument::parse(
                (string) json_encode(['format' => FieldMap::FORMAT, 'version' => 1] + $more),
                'map.json',
                FieldMap::FORMAT,
            ),
        );
    }

    public function test_everything_a_scene_tells_can_be_pointed_at(): void
    {
        $offered = FieldNames::offered();
        foreach (Catalogue::standard()->all() as $descriptor) {
            self::assertSame($descriptor->inScene(), isset($offered[$descriptor->id]), $descriptor->id);
        }
        foreach (array_keys($offered) as $field) {
            self::assertTrue(FieldNames::isField($field), $field);
            // by its id alone it is understood everywhere
            self::assertSame($field, FieldNames::of($field), $field);
        }
    }

    public function test_what_was_read_is_written_as_a_document_and_read_again(): void
    {
        foreach ([
            "scene = a\nsaved = no\nproject = p\nsize = 64x36\nscale = 33.333\nfps = 23.976\nframes = "
                ."1-10\ntimeline = -5-20\ncamera = a, b\ncameras = a, b, c\nviews = top\npasses = beauty=yes, "
                ."mist=no, shadow\nformat = exr\noutput = out/a.####.exr\nsamples = 64\nother.fog = thick\nfocal "
                ."length = 35\nburn in = shot",
            "#usda 1.0\n( framesPerSecond = 25 startTimeCode = 1 endTimeCode = 2 )\ndef Camera \"c\" { float "
                ."focalLength = 35 }\ndef RenderSettings \"r\" { rel camera = </c> uniform int2 resolution = "
                ."(20, 10) }\n",
            '{"format": "plain-ledger/scene", "version": 1, "scene": {}, "settings": {"camera.chosen": [], '
                .'"scene.links": [{"path": "a/b", "present": false}, {"path": "c", "present": null}], '
                .'"output.folder": "", "picture.region": "1,2,3,4", "format.channels": ["R", "G", "depth.Z"]}}',
        ] as $text) {
            $scene = (new DetectingReader)->read($text, 'x.txt');
            self::assertSame([], $scene->misread->sentences);
            self::assertEquals($scene, (new DetectingReader)->read(SceneDocument::write($scene), 'x.json'));
        }
    }

    public function test_camera_facts_are_kept_and_make_no_line(): void
    {
        $scene = (new DetectingReader)->read(
            "camera = cam_a\nfocal length = 35\ncamera.placement = 1, 2, 3\n",
            'x.txt',
        );
        self::assertSame(
            [['camera.lens' => '35', 'camera.placement' => '1, 2, 3'], []],
            [$scene->cameraSetup->facts, $scene->misread->sentences],
        );
        self::assertCount(
            1,
            CheckReport::of(Workbench::specification(['camera.name' => 'cam_a']), $scene, null)->check->entries,
        );
    }
}
