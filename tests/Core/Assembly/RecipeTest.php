<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\RecipeLine;
use PlainLedger\Core\Assembly\RecipeLines;
use PlainLedger\Core\Assembly\RecipeNotes;
use PlainLedger\Core\Assembly\RecipeRefused;
use PlainLedger\Core\Assembly\Writers\RecipeCommands;
use PlainLedger\Core\Assembly\Writers\RecipeJson;
use PlainLedger\Core\Assembly\Writers\RecipeText;
use PlainLedger\Core\Assembly\Writers\RecipeTimeline;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

final class RecipeTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $frames  what is asked of them beside their range
     * @param  array<string, mixed>  $movie
     */
    private static function asked(array $frames, array $movie): Specification
    {
        return Specification::fromDocument(JsonDocument::parse((string) json_encode([
            'format' => Specification::FORMAT,
            'version' => 1,
            'values' => ['shot' => 'TC_010'],
            'parts' => [
                ['name' => 'frames', 'delivers' => 'frames', 'require' => $frames + [
                    'time.range' => '1001-1012', 'time.rate' => '24', 'picture.resolution' => '128x72',
                    'naming.pattern' => '{shot}.{frame:4}.{ext}', 'format.kind' => 'png',
                ]],
                ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => $movie],
            ],
        ]), 'recipe', Specification::FORMAT));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, 2?: string, 3?: string}> */
    public static function movies(): iterable
    {
        $mp4 = ['format.kind' => 'mp4', 'format.codec' => 'h264', 'naming.pattern' => '{shot}.{ext}'];
        yield 'below a size' => [[], $mp4 + [
            'format.file_size' => ['max' => '60 kB'], 'format.keyframe_interval' => '1/2 rate',
            'format.b_frames' => 'none', 'format.index' => 'first', 'colour.encoding' => 'rec709',
            'audio.presence' => 'none', 'format.chroma' => '4:2:0',
        ]];
        yield 'below a bit rate, smaller' => [[], $mp4 + [
            'format.bit_rate' => ['min' => '200k', 'max' => '1M'], 'picture.resolution' => '64x36',
        ]];
        yield 'with nothing asked of it but its kind' => [[], ['format.kind' => 'mkv']];
        yield 'of 1000/1001, not square, with a timecode' => [
            ['time.rate' => '24000/1001', 'picture.pixel_aspect' => '10/11'],
            ['format.kind' => 'mov', 'format.codec' => 'h264', 'time.start_timecode' => '01:00:00:00',
                'picture.pixel_aspect' => '10/11', 'time.rate' => '24000/1001', 'picture.resolution' => '128x72'],
        ];
        yield 'with alpha' => [['format.channels' => 'RGBA'], [
            'format.kind' => 'mov', 'format.codec' => 'prores 4444', 'format.alpha' => 'any',
        ], 'rgba'];
        yield 'lossless, with alpha' => [['format.channels' => 'RGBA'], [
            'format.kind' => 'mov', 'format.compression' => 'lossless', 'format.alpha' => 'any',
        ], 'rgba'];
        yield 'lossless in another way' => [[], ['format.kind' => 'mkv', 'format.compression' => 'lossless']];
        yield 'as JPEGs' => [[], ['format.kind' => 'avi', 'format.codec' => 'mjpeg', 'format.chroma' => '4:2:2']];
        yield 'as run lengths' => [[], ['format.kind' => 'mov', 'format.codec' => 'animation']];
        yield 'not packed at all' => [[], ['format.kind' => 'avi', 'format.codec' => 'raw']];
        yield 'for the web' => [[], ['format.kind' => 'webm', 'format.codec' => 'vp9']];
        yield 'of ten bits' => [[], ['format.kind' => 'mp4', 'format.codec' => 'hevc', 'format.bit_depth' => 10]];
        yield 'with sound' => [[], [
            'format.kind' => 'mov', 'format.codec' => 'prores 422hq', 'audio.presence' => 'required',
            'audio.sample_rate' => 48000, 'audio.channels' => 2, 'audio.bit_depth' => 24,
        ]];
        yield 'on twos, which do not follow each other' => [
            ['time.range' => '1001-1023', 'time.step' => 2], ['format.kind' => 'mov', 'format.codec' => 'png'],
        ];
        yield 'from below zero' => [['time.range' => '-2-4'], ['format.kind' => 'mov', 'format.codec' => 'png']];
        yield 'without the handles' => [['time.range' => '1003-1010', 'time.handles' => 2], [
            'format.kind' => 'mov', 'format.codec' => 'png', 'time.range' => '1003-1010',
        ]];
        yield 'of names that a shell would take for something else' => [
            ['naming.folder' => "it's 50% \$HOME", 'naming.pattern' => "a 'b' \"c\" %04d {frame}.{ext}"],
            ['format.kind' => 'mov', 'format.codec' => 'png', 'naming.pattern' => "-x \$y 'z'.{ext}"],
        ];
    }

    /**
     * @param  array<string, mixed>  $frames
     * @param  array<string, mixed>  $movie
     */
    #[DataProvider('movies')]
    public function test_what_an_encoder_makes_by_it_is_what_is_asked(
        array $frames,
        array $movie,
        string $pixels = 'rgb24',
    ): void {
        if (! is_executable('/usr/bin/ffmpeg')) {
            self::markTestSkipped('No encoder is installed here.');
        }
        $asked = self::asked($frames, $movie);
        $bench = self::rendered($asked, $pixels);
        $recipe = Recipe::of($asked, null, Matcher::match($asked, $bench->scan()));
        $bench->put('assemble.sh', RecipeCommands::write($recipe));
        exec('cd '.escapeshellarg($bench->folder).' && sh assemble.sh 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        unlink("{$bench->folder}/assemble.sh");
        self::assertFileExists("{$bench->folder}/{$recipe->name}");
        $bytes = md5_file("{$bench->folder}/{$recipe->name}");
        // a second time nothing is written over
        $bench->put('assemble.sh', RecipeCommands::write($recipe));
        exec('cd '.escapeshellarg($bench->folder).' && sh assemble.sh 2>&1', $said, $code);
        self::assertSame([true, $bytes], [$code !== 0, md5_file("{$bench->folder}/{$recipe->name}")]);
        array_map(unlink(...), glob("{$bench->folder}/{assemble.sh,*.pass*}", GLOB_BRACE) ?: []);

        $report = CheckReport::of($asked, null, $bench->scan());
        $wrong = [];
        foreach ($report->check->entries as $entry) {
            if ($entry->mark === Mark::Unequal) {
                $wrong[] = "{$entry->part} {$entry->id()} {$entry->requirement->required()}: {$entry->files?->found}";
            }
        }
        self::assertSame([], $wrong);
        $bytes = $recipe->bytes();
        if ($bytes !== null) {
            self::assertLessThanOrEqual($bytes, filesize("{$bench->folder}/{$recipe->name}"));
        }
    }

    private static function rendered(Specification $asked, string $pixels): Workbench
    {
        $bench = new Workbench;
        $recipe = Recipe::of($asked);
        $source = $recipe->source;
        $numbers = [...($source->range?->numbers() ?? [])];
        $size = (string) $source->picture->size;
        // this encoder writes the two densities of PNG the other way about
        $pixel = $source->picture->pixelAspect->reciprocal();
        $making = sys_get_temp_dir().'/pl-recipe-'.bin2hex(random_bytes(4));
        exec('ffmpeg -v error -f lavfi -i testsrc2=size='.$size.':rate=24 -frames:v '.count($numbers)
            ." -vf setsar={$pixel} -pix_fmt {$pixels} {$making}-%d.png");
        foreach ($numbers as $i => $number) {
            $made = "{$making}-".($i + 1).'.png';
            $bench->put($source->pathOf($number), (string) file_get_contents($made));
            unlink($made);
        }
        if ($recipe->bounds->sound !== null) {
            exec('ffmpeg -v error -f lavfi -i sine=duration=0.5 '.escapeshellarg("{$bench->folder}/sound.wav"));
        }

        return $bench;
    }

    /** @return array<string, string> values by label */
    private static function lines(Recipe $recipe): array
    {
        $lines = RecipeLines::of($recipe);

        return array_combine(
            array_map(static fn (RecipeLine $line): string => $line->label, $lines),
            array_map(static fn (RecipeLine $line): string => $line->value, $lines),
        );
    }

    public function test_it_says_every_setting_as_it_is_typed_in(): void
    {
        $recipe = Recipe::of(self::asked(
            ['picture.resolution' => '2048x858', 'format.kind' => 'exr', 'naming.folder' => 'out/beauty'],
            [
                'format.kind' => 'mp4', 'picture.resolution' => '1920x804', 'format.file_size' => ['max' => '2 MB'],
                'format.keyframe_interval' => ['max' => '1/2 s'], 'format.b_frames' => 'none',
                'audio.presence' => 'required', 'colour.view' => 'Standard', 'naming.pattern' => '{shot}_reel.{ext}',
            ],
        ));
        $lines = self::lines($recipe);
        self::assertSame('out/beauty/TC_010.####.exr', $lines['Frames']);
        self::assertSame('1001 to 1012', $lines['First and last']);
        self::assertSame('by number, each still one frame', $lines['Order']);
        self::assertSame('1920 × 804', $lines['Size']);
        self::assertSame(['Standard', 'none', 'off'], [$lines['View'], $lines['Look'], $lines['Post effects']]);
        self::assertSame(['H.264', '4:2:0, 8 bits a channel'], [$lines['Codec'], $lines['Pixels kept as']]);
        self::assertSame(['at least every 12 frames', 'none'], [$lines['Keyframe'], $lines['B-frames']]);
        self::assertSame('48,000 Hz, two channels, 192 kbit/s', $lines['Sound']);
        self::assertStringEndsWith('in two passes', $lines['Bit rate']);
        self::assertSame('TC_010_reel.mp4', $lines['File']);
        self::assertSame([], RecipeNotes::of($recipe));
        self::assertStringContainsString("First and last   1001 to 1012\n", RecipeText::write($recipe));
    }

    public function test_a_rate_that_is_asked_to_the_bit_is_told_so(): void
    {
        $rate = static fn (mixed $asked): string => self::lines(
            Recipe::of(self::asked([], ['format.kind' => 'mp4', 'format.bit_rate' => $asked])),
        )['Bit rate'];
        self::assertStringEndsWith('(8000000)', $rate('8M'));
        self::assertStringEndsWith('(7600000)', $rate(['max' => '8M']));
        self::assertStringEndsWith('(7950000)', $rate(['min' => '7.9M', 'max' => '8M']));
    }

    public function test_frames_that_carry_a_look_get_none(): void
    {
        $lines = self::lines(Recipe::of(self::asked([], ['format.kind' => 'mp4', 'colour.view' => 'Standard'])));
        self::assertSame(['none', 'none'], [$lines['View'], $lines['Look']]);
        self::assertSame('constant, high', $lines['Quality']);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string|null}> */
    public static function troubles(): iterable
    {
        $mp4 = ['format.kind' => 'mp4', 'format.codec' => 'h264'];
        yield 'none' => [[], $mp4, null];
        yield 'another shape' => [[], $mp4 + ['picture.resolution' => '1080x1920'], 'another shape'];
        yield 'a rounded side is none' => [
            ['picture.resolution' => '2048x858'], $mp4 + ['picture.resolution' => '1024x430'], null,
        ];
        yield 'an odd side' => [['picture.resolution' => '1024x429'], $mp4, 'odd side'];
        yield 'an odd side that is kept' => [
            ['picture.resolution' => '1024x429'], $mp4 + ['format.chroma' => '4:4:4'], null,
        ];
        yield 'alpha that has no place' => [[], $mp4 + ['format.alpha' => 'straight'], 'cannot hold the alpha'];
        yield 'alpha that is lost' => [['format.channels' => 'RGBA'], $mp4, 'becomes black'];
        yield 'a container for others' => [
            [], ['format.kind' => 'mp4', 'format.codec' => 'prores 422'], 'does not go into MP4',
        ];
        yield 'a size for nothing' => [[], $mp4 + ['format.file_size' => ['max' => 2000]], 'Nothing that is asked'];
        yield 'a size for little' => [
            ['picture.resolution' => '3840x2160', 'time.range' => '1-240'],
            $mp4 + ['format.file_size' => ['max' => '1 MB']],
            'little for so many pixels',
        ];
        yield 'steps' => [['time.step' => 2], $mp4, 'do not follow each other'];
    }

    /**
     * @param  array<string, mixed>  $frames
     * @param  array<string, mixed>  $movie
     */
    #[DataProvider('troubles')]
    public function test_what_stands_in_the_way_is_told(array $frames, array $movie, ?string $says): void
    {
        $notes = RecipeNotes::of(Recipe::of(self::asked($frames, $movie)));
        if ($says === null) {
            self::assertSame([], $notes);

            return;
        }
        self::assertCount(1, $notes, implode(' ', $notes));
        self::assertStringContainsString($says, $notes[0]);
    }

    public function test_frames_that_are_not_there_come_first(): void
    {
        $asked = self::asked([], ['format.kind' => 'mp4']);
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1001-1005,1008-1012', Workbench::png(128, 72));
        $bench->put('TC_010.1009.png', 'cut off');
        $recipe = Recipe::of($asked, 'reel', Matcher::match($asked, $bench->scan()));
        self::assertSame(['3 frames first: 1006-1007,1009 are missing or cannot be used.'], RecipeNotes::of($recipe));
        self::assertSame('1001-1012', (string) $recipe->timing->range);
        $document = RecipeJson::document($recipe);
        self::assertSame('1006-1007,1009', $document['made_from']['unusable'] ?? null);
        $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/recipe.schema.json');
        $result = (new Validator)->validate(json_decode(RecipeJson::write($recipe)), $schema);
        self::assertTrue($result->isValid(), (string) $result->error());
    }

    public function test_a_timeline_has_its_frames_as_media(): void
    {
        $recipe = Recipe::of(self::asked(['naming.folder' => 'out'], ['format.kind' => 'mp4']));
        $clip = json_decode(RecipeTimeline::write($recipe), true)['tracks']['children'][0]['children'][0];
        $media = $clip['media_references']['DEFAULT_MEDIA'];
        self::assertSame('ImageSequenceReference.1', $media['OTIO_SCHEMA']);
        self::assertSame(['out/', 'TC_010.', '.png', 1001, 4], [
            $media['target_url_base'], $media['name_prefix'], $media['name_suffix'], $media['start_frame'],
            $media['frame_zero_padding'],
        ]);
        self::assertEquals(12, $clip['source_range']['duration']['value']);
    }

    public function test_what_has_no_recipe_says_why(): void
    {
        $asked = self::asked([], ['format.kind' => 'mp4']);
        foreach ([['frames', 'is no movie'], ['nothing', 'no part']] as [$part, $says]) {
            try {
                Recipe::of($asked, $part);
                self::fail($part);
            } catch (RecipeRefused $refused) {
                self::assertStringContainsString($says, $refused->getMessage());
            }
        }
        $this->expectException(RecipeRefused::class);
        $this->expectExceptionMessage('line break');
        $bench = (new Workbench)->put("x\nEND\nrm y/TC_010.1001.png", Workbench::png(128, 72));
        RecipeCommands::write(Recipe::of($asked, null, Matcher::match($asked, $bench->scan())));
    }
}
