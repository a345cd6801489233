<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use Tests\Core\Support\Workbench;

/** Single cells: what is found, and how it is marked, on either side. */
final class CellsTest extends TestCase
{
    /**
     * @return iterable<string, array{string, mixed, array<string, mixed>, string, string|null}> id, asked, settings,
     *   mark, found
     */
    public static function sceneCells(): iterable
    {
        yield 'resolution' => ['picture.resolution', '64x36', ['picture.resolution' => '64 x 36'], 'equal', '64x36'];
        yield 'one of several' => [
            'picture.resolution',
            ['64x36', '32x18'],
            ['picture.resolution' => '32x18'],
            'equal',
            '32x18',
        ];
        yield 'resolution at scale' => [
            'picture.resolution',
            '64x36',
            ['picture.resolution' => '64x36', 'picture.scale' => '25 %'],
            'unequal',
            '16x9',
        ];
        yield 'resolution untold' => ['picture.resolution', '64x36', [], 'unknown', null];
        yield 'pixel aspect as a decimal' => [
            'picture.pixel_aspect',
            '10/11',
            ['picture.pixel_aspect' => 0.9091],
            'equal',
            '9091/10000',
        ];
        yield 'pixel aspect, square in words' => [
            'picture.pixel_aspect',
            'square',
            ['picture.pixel_aspect' => 1.0],
            'equal',
            '1/1',
        ];
        yield 'shape by ratio' => [
            'picture.display_aspect',
            '16:9',
            ['picture.resolution' => '1920x1080'],
            'equal',
            '16:9',
        ];
        yield 'shape by decimal' => [
            'picture.display_aspect',
            2.39,
            ['picture.resolution' => '2048x858'],
            'equal',
            '2.387',
        ];
        yield 'shape, another' => [
            'picture.display_aspect',
            '16:9',
            ['picture.resolution' => '1920x1200'],
            'unequal',
            '8:5',
        ];
        yield 'region off' => ['picture.region', 'full', ['picture.region' => false], 'equal', 'full'];
        yield 'region on' => ['picture.region', 'full', ['picture.region' => true], 'unequal', 'on'];
        yield 'rate' => ['time.rate', 23.976, ['time.rate' => '24000/1001'], 'equal', '24000/1001'];
        yield 'one of two rates' => ['time.rate', '24 or 25', ['time.rate' => 25], 'equal', '25'];
        yield 'range' => ['time.range', '1-10', ['time.range' => '1-10'], 'equal', '1-10'];
        yield 'range by step' => [
            'time.range',
            '1-10',
            ['time.range' => '1-10', 'time.step' => 3],
            'unequal',
            '1-10x3',
        ];
        yield 'range, one frame' => [
            'time.range',
            '1-10',
            ['time.range' => '1-10', 'time.extent' => 'one'],
            'unequal',
            '1',
        ];
        yield 'range, one frame of an unknown range' => [
            'time.range',
            '1-10',
            ['time.extent' => 'one'],
            'unequal',
            'one frame',
        ];
        yield 'range, whole timeline' => [
            'time.range',
            '5-9',
            ['time.range' => '1-3', 'time.timeline' => '5-9', 'time.extent' => 'whole'],
            'equal',
            '5-9',
        ];
        yield 'the animation’s own' => [
            'time.range',
            'timeline',
            ['time.range' => '5-9', 'time.timeline' => '5-9'],
            'equal',
            '5-9',
        ];
        yield 'the animation’s own, untold' => ['time.range', 'timeline', ['time.range' => '5-9'], 'unknown', null];
        yield 'count within' => ['time.count', ['min' => 5, 'max' => 20], ['time.range' => '1-10'], 'equal', '10'];
        yield 'count in words' => ['time.count', '90 to 150', ['time.range' => '1-10'], 'unequal', '10'];
        yield 'camera' => ['camera.name', 'cam_?uay', ['camera.chosen' => ['cam_quay']], 'equal', 'cam_quay'];
        yield 'camera by its plain name' => [
            'camera.name',
            'cam_quay',
            ['camera.name' => 'cam_quay'],
            'equal',
            'cam_quay',
        ];
        yield 'cameras differ in case' => [
            'camera.name',
            'cam_quay',
            ['camera.name' => 'Cam_Quay'],
            'unequal',
            'Cam_Quay',
        ];
        yield 'one camera' => [
            'camera.single',
            true,
            ['camera.chosen' => ['a'], 'camera.all' => ['a', 'b']],
            'equal',
            'yes',
        ];
        yield 'a camera the scene does not have' => [
            'camera.single',
            'yes',
            ['camera.chosen' => ['z'], 'camera.all' => ['a', 'b']],
            'unequal',
            'no camera: z',
        ];
        yield 'links' => [
            'scene.links',
            'yes',
            ['scene.links' => [['path' => 'a', 'present' => true], ['path' => 'b', 'present' => false]]],
            'unequal',
            '1 missing',
        ];
        yield 'links untold' => ['scene.links', 'yes', ['scene.links' => [['path' => 'a']]], 'unknown', null];
        yield 'kind by another word' => ['format.kind', 'jpg', ['format.kind' => 'JPEG'], 'equal', 'jpeg'];
        yield 'kind nobody knows' => ['format.kind', 'png', ['format.kind' => 'xyz'], 'unknown', 'xyz'];
        yield 'kind nobody asks' => ['format.kind', 'png', ['format.kind' => 'gif'], 'unequal', 'gif'];
        yield 'channels in any order' => [
            'format.channels',
            'RGBA',
            ['format.channels' => ['A', 'B', 'G', 'R']],
            'equal',
            'RGBA',
        ];
        yield 'alpha of either kind' => [
            'format.alpha',
            'any',
            ['format.alpha' => 'premultiplied'],
            'equal',
            'premultiplied',
        ];
        yield 'alpha of the other kind' => [
            'format.alpha',
            'straight',
            ['format.alpha' => 'premultiplied'],
            'unequal',
            'premultiplied',
        ];
        yield 'lossless' => ['format.compression', 'lossless', ['format.compression' => 'piz'], 'equal', 'piz'];
        yield 'not lossless' => ['format.compression', 'lossless', ['format.compression' => 'dwab'], 'unequal', 'dwab'];
        yield 'samples' => ['render.samples', ['min' => 128], ['render.samples' => 128], 'equal', '128'];
        yield 'too few samples' => ['render.samples', '>= 128', ['render.samples' => 127], 'unequal', '127'];
        yield 'renderer, case aside' => ['render.renderer', 'Lumen', ['render.renderer' => 'lumen'], 'equal', 'lumen'];
        yield 'motion blur' => ['render.motion_blur', 'on', ['render.motion_blur' => true], 'equal', 'on'];
        yield 'a fact of their own' => ['other.fog', ['max' => 3], ['other.fog' => 2.5], 'equal', '2.5'];
        yield 'a fact of their own with a star' => [
            'other.cache',
            'v3_*',
            ['other.cache' => 'v3_final'],
            'equal',
            'v3_final',
        ];
        yield 'a switch of their own' => ['other.denoise', true, ['other.denoise' => 'on'], 'equal', 'on'];
        yield 'passes saved' => [
            'passes',
            ['a', 'b'],
            ['passes' => [['name' => 'A', 'saved' => true], ['name' => 'b', 'saved' => true]]],
            'equal',
            'A | b',
        ];
        yield 'a pass not said to be saved' => ['passes', ['a'], ['passes' => ['a']], 'unknown', 'a'];
        yield 'a pass switched off' => [
            'passes',
            ['a'],
            ['passes' => [['name' => 'a', 'saved' => false]]],
            'unequal',
            'a (not saved)',
        ];
        yield 'name without extension' => [
            'naming.pattern',
            'x_{frame:4}.{ext}',
            ['naming.pattern' => 'x_####', 'format.kind' => 'exr'],
            'equal',
            'x_{frame:4}',
        ];
        yield 'name with its folder' => [
            'naming.pattern',
            'x.{frame:4}.{ext}',
            ['naming.pattern' => 'out/x.%04d.exr', 'format.kind' => 'exr'],
            'equal',
            'out/x.{frame:4}.exr',
        ];
        yield 'folder' => [
            'naming.folder',
            'renders/x',
            ['output.folder' => '/anywhere/renders/x'],
            'equal',
            '/anywhere/renders/x',
        ];
        yield 'any folder is its own root' => [
            'naming.folder',
            '.',
            ['output.folder' => 'somewhere'],
            'equal',
            'somewhere',
        ];
        yield 'any camera of the scene' => [
            'camera.name',
            'any camera of the scene',
            ['camera.chosen' => ['cam_wide'], 'camera.all' => ['cam_quay', 'cam_wide']],
            'equal',
            'cam_wide',
        ];
        yield 'any camera, and a working view' => [
            'camera.name',
            'any camera',
            ['camera.chosen' => ['top'], 'camera.views' => ['top']],
            'unequal',
            'top',
        ];
        yield 'samples asked plainly are a least' => ['render.samples', 128, ['render.samples' => 256], 'equal', '256'];
        yield 'a keyframe interval asked plainly is a most' => [
            'format.keyframe_interval',
            48,
            ['format.keyframe_interval' => 24],
            'equal',
            '24',
        ];
        yield 'keyframes too far apart' => [
            'format.keyframe_interval',
            48,
            ['format.keyframe_interval' => 250],
            'unequal',
            '250',
        ];
        yield 'no B-frames within two' => ['format.b_frames', 2, ['format.b_frames' => 0], 'equal', 'none'];
        yield 'B-frames where none are asked' => ['format.b_frames', 'none', ['format.b_frames' => 3], 'unequal', '3'];
        yield 'bit rate in another unit' => [
            'format.bit_rate',
            ['max' => '8 Mbit/s'],
            ['format.bit_rate' => '7500k'],
            'equal',
            '7500000',
        ];
        yield 'codec by another word' => ['format.codec', 'H.264', ['format.codec' => 'avc'], 'equal', 'h264'];
        yield 'encoding by another word' => [
            'colour.encoding',
            'Rec. 709',
            ['colour.encoding' => 'bt709'],
            'equal',
            'rec709',
        ];
        yield 'another encoding' => ['colour.encoding', 'linear', ['colour.encoding' => 'sRGB'], 'unequal', 'srgb'];
        yield 'density' => ['picture.density', '300', ['picture.density' => 72], 'unequal', '72'];
        yield 'burn-in in another order' => [
            'burn_in',
            ['frame', 'shot'],
            ['burn_in' => ['Shot', 'frame']],
            'equal',
            'Shot | frame',
        ];
        yield 'burn-in short of one' => ['burn_in', 'frame, shot', ['burn_in' => 'frame'], 'unequal', 'frame'];
        yield 'burn-in where none is asked' => ['burn_in', 'none', ['burn_in' => ['frame']], 'unequal', 'frame'];
        yield 'no burn-in' => ['burn_in', 'none', ['burn_in' => []], 'equal', 'none'];
        yield 'lat-long' => [
            'picture.projection',
            'lat-long',
            ['picture.projection' => 'lat-long', 'picture.resolution' => '64x32'],
            'equal',
            'lat-long',
        ];
        yield 'lat-long that is not two to one' => [
            'picture.projection',
            'lat-long',
            ['picture.projection' => 'lat-long', 'picture.resolution' => '64x36'],
            'unequal',
            'lat-long at 64x36',
        ];
        yield 'flat for lat-long' => [
            'picture.projection',
            'lat-long',
            ['picture.projection' => 'flat', 'picture.resolution' => '64x32'],
            'unequal',
            'flat',
        ];
        yield 'sound' => ['audio.sample_rate', '48000', ['audio.sample_rate' => 44100], 'unequal', '44100'];
        yield 'exposure of the view' => ['colour.exposure', 0, ['colour.exposure' => 0.0], 'equal', '0'];
        yield 'speed' => ['time.speed', '1/1', ['time.speed' => '1.0'], 'equal', '1/1'];
        yield 'quality at least' => ['format.quality', 90, ['format.quality' => 95], 'equal', '95'];
        yield 'colour view' => ['colour.view', 'none', ['colour.view' => 'None'], 'equal', 'none'];
    }

    /** @param  array<string, mixed>  $settings */
    #[DataProvider('sceneCells')]
    public function test_in_the_scene(string $id, mixed $asked, array $settings, string $mark, ?string $found): void
    {
        $document = CheckReport::of(
            Workbench::specification([$id => $asked]),
            Workbench::scene($settings),
            null,
        )->toArray();

        self::assertSame(
            [$mark, $found],
            [$document['entries'][0]['scene']['mark'], $document['entries'][0]['scene']['found']],
        );
        self::assertArrayNotHasKey('files', $document['entries'][0]);
        self::assertSame($mark, $document['entries'][0]['mark']);
        self::assertSame($mark === 'unequal', $document['causes'] !== []);
    }

    /**
     * @return iterable<string, array{string, mixed, array<string, string>, string, string|null}> id, asked, files,
     *   mark, found
     */
    public static function fileCells(): iterable
    {
        $png = Workbench::png();
        yield 'resolution' => ['picture.resolution', '64x36', ['a1.png' => $png], 'equal', '64x36'];
        yield 'display window of an EXR' => [
            'picture.resolution',
            '64x36',
            ['a1.exr' => Workbench::exr(dataWindow: [3, 3, 40, 30])],
            'equal',
            '64x36',
        ];
        yield 'pixel aspect told' => [
            'picture.pixel_aspect',
            '11/10',
            ['a1.png' => Workbench::png(density: [10, 11])],
            'equal',
            '11/10',
        ];
        yield 'pixel aspect untold is square' => ['picture.pixel_aspect', '1/1', ['a1.png' => $png], 'equal', '1/1'];
        yield 'pixel aspect within a thousandth' => [
            'picture.pixel_aspect',
            '10/11',
            ['a1.exr' => Workbench::exr(pixelAspect: 0.9094)],
            'equal',
            null,
        ];
        yield 'shape' => ['picture.display_aspect', '16:9', ['a1.png' => $png], 'equal', '16:9'];
        yield 'region' => ['picture.region', 'full', ['a1.exr' => Workbench::exr()], 'equal', 'full'];
        yield 'rate of an EXR' => [
            'time.rate',
            '23.976',
            ['a1.exr' => Workbench::exr(rate: [24000, 1001])],
            'equal',
            '24000/1001',
        ];
        yield 'camera of an EXR' => [
            'camera.name',
            'cam_*',
            ['a1.exr' => Workbench::exr(texts: ['camera' => 'cam_quay'])],
            'equal',
            'cam_quay',
        ];
        yield 'camera of a PNG' => [
            'camera.name',
            'cam_quay',
            ['a1.png' => Workbench::png(texts: ['Camera' => 'cam_wide'])],
            'unequal',
            'cam_wide',
        ];
        yield 'kind' => ['format.kind', 'png | exr', ['a1.png' => $png], 'equal', 'png'];
        yield 'kind and extension' => ['format.kind', 'png', ['a1.tif' => $png], 'unequal', 'png named .tif'];
        yield 'depth' => ['format.bit_depth', 16, ['a1.png' => Workbench::png(bits: 16)], 'equal', '16'];
        yield 'float' => ['format.sample', 'float', ['a1.exr' => Workbench::exr()], 'equal', 'float'];
        yield 'channels' => ['format.channels', ['R', 'G', 'B'], ['a1.png' => $png], 'equal', 'RGB'];
        yield 'alpha of a kind the file does not say' => [
            'format.alpha',
            'premultiplied',
            ['a1.exr' => Workbench::exr()],
            'equal',
            'alpha',
        ];
        yield 'alpha where none is asked' => [
            'format.alpha',
            'none',
            ['a1.exr' => Workbench::exr()],
            'unequal',
            'alpha',
        ];
        yield 'compression of a PNG' => ['format.compression', 'deflate', ['a1.png' => $png], 'equal', 'deflate'];
        yield 'layers as passes' => [
            'passes',
            ['beauty', 'mist'],
            ['a1.exr' => Workbench::exr(channels: ['R', 'G', 'B', 'mist.Y'])],
            'equal',
            'beauty | mist',
        ];
        yield 'a layer short' => [
            'passes',
            ['beauty', 'mist'],
            ['a1.exr' => Workbench::exr(channels: ['R', 'G', 'B'])],
            'unequal',
            'beauty',
        ];
        yield 'whole' => ['content.whole', 'yes', ['a1.png' => $png], 'equal', 'yes'];
        yield 'uniform' => [
            'content.uniform',
            'yes',
            ['a1.png' => $png, 'a2.png' => Workbench::png(density: [2, 1])],
            'equal',
            'yes',
        ];
        yield 'not uniform' => [
            'content.uniform',
            'yes',
            ['a1.png' => $png, 'a2.png' => $png, 'a3.png' => Workbench::png(32, 18)],
            'unequal',
            '64x36',
        ];
        yield 'nothing left over' => ['delivery.extras', 'none', ['a1.png' => $png], 'equal', 'none'];
        yield 'size in all' => [
            'delivery.total_size',
            ['max' => '1 KB'],
            ['a1.png' => str_pad($png, 2000, "\0")],
            'unequal',
            '2000',
        ];
        $fixture = static fn (string $name): string => (string) file_get_contents(
            __DIR__."/../../fixtures/encoders/{$name}",
        );
        yield 'density of a PNG' => ['picture.density', 300, ['a1.png' => $fixture('density.png')], 'equal', '300'];
        yield 'density of a JPEG' => [
            'picture.density',
            72,
            ['a1.jpg' => $fixture('dpi-300-330.jpg')],
            'unequal',
            '300',
        ];
        yield 'density untold' => ['picture.density', 72, ['a1.png' => $png], 'unknown', null];
        yield 'quality of a JPEG' => ['format.quality', 90, ['a1.jpg' => $fixture('q90-420.jpg')], 'equal', '90'];
        yield 'quality too low' => ['format.quality', 90, ['a1.jpg' => $fixture('q75-444.jpg')], 'unequal', '75'];
        yield 'encoding told by a PNG' => [
            'colour.encoding',
            'srgb',
            ['a1.png' => $fixture('density.png')],
            'equal',
            'srgb',
        ];
        yield 'encoding untold' => ['colour.encoding', 'srgb', ['a1.png' => $png], 'unknown', null];
        yield 'encoding of a float file that says nothing' => [
            'colour.encoding',
            'linear',
            ['a1.exr' => Workbench::exr()],
            'equal',
            'linear, since it is float and says nothing else',
        ];
        yield 'encoding of a float file that says another' => [
            'colour.encoding',
            'linear',
            ['a1.exr' => Workbench::exr(texts: ['colorSpace' => 'Rec.709'])],
            'unequal',
            'rec709',
        ];
        yield 'lat-long by its shape' => [
            'picture.projection',
            'lat-long',
            ['a1.png' => Workbench::png(64, 32)],
            'equal',
            'lat-long by its shape',
        ];
        yield 'lat-long and not two to one' => [
            'picture.projection',
            'lat-long',
            ['a1.png' => Workbench::png(64, 36)],
            'unequal',
            '64x36',
        ];
        yield 'lat-long and not tagged' => [
            'picture.projection',
            'lat-long',
            ['a1.exr' => Workbench::exr(64, 32)],
            'unequal',
            'not tagged',
        ];
        yield 'flat' => ['picture.projection', 'flat', ['a1.png' => $png], 'equal', 'flat'];
        yield 'file size within' => [
            'format.file_size',
            '1 KB',
            ['a1.png' => str_pad($png, 999, "\0")],
            'equal',
            '999',
        ];
        yield 'file size, the largest of those above' => [
            'format.file_size',
            ['max' => '1 KB'],
            ['a1.png' => str_pad($png, 1500, "\0"), 'a2.png' => $png, 'a3.png' => str_pad($png, 1200, "\0")],
            'unequal',
            '1500',
        ];
        yield 'step' => ['time.step', 2, ['a1.png' => $png, 'a3.png' => $png, 'a5.png' => $png], 'equal', '2'];
    }

    /** @param  array<string, string>  $files */
    #[DataProvider('fileCells')]
    public function test_in_the_files(string $id, mixed $asked, array $files, string $mark, ?string $found): void
    {
        $bench = new Workbench;
        foreach ($files as $name => $bytes) {
            $bench->put($name, $bytes);
        }
        $entry = $bench->check(Workbench::specification([$id => $asked]))['entries'][0];

        self::assertSame($mark, $entry['files']['mark']);
        if ($found !== null) {
            self::assertSame($found, $entry['files']['found']);
        }
        self::assertArrayNotHasKey('scene', $entry);
    }

    public function test_what_files_cannot_hold_makes_no_cell(): void
    {
        $bench = (new Workbench)->frames('a%d.png', '1-3', Workbench::png());
        $asked = [
            'time.rate' => 24, 'camera.name' => 'x', 'picture.region' => 'full', 'render.samples' => 4,
            'time.extent' => 'listed', 'scene.saved' => 'yes', 'format.kind' => 'png',
        ];
        $document = $bench->check(Workbench::specification($asked));

        self::assertSame(['format.kind'], array_column($document['entries'], 'id'));
        self::assertSame(
            ['picture.region', 'time.rate', 'time.extent', 'camera.name', 'scene.saved', 'render.samples'],
            array_column($document['not_checked'], 'id'),
        );
        self::assertSame('balanced', $document['verdict']);
    }

    public function test_the_commonest_value_is_found_and_the_rest_are_runs(): void
    {
        $bench = (new Workbench)->frames('a%02d.png', '1-10', Workbench::png())->frames(
            'a%02d.png',
            '4-6',
            Workbench::png(32, 18),
        );
        $cell = $bench->check(Workbench::specification(['picture.resolution' => '64x36']))['entries'][0]['files'];

        self::assertSame('64x36', $cell['found']);
        self::assertSame([['frames' => '4-6', 'found' => '32x18']], $cell['runs']);
    }

    public function test_damaged_frames_say_nothing_of_their_picture(): void
    {
        $half = substr(Workbench::png(32, 18), 0, 60);
        $bench = (new Workbench)->frames('a%02d.png', '1-4', Workbench::png())->put('a03.png', $half);
        $document = $bench->check(
            Workbench::specification(
                ['picture.resolution' => '64x36', 'time.range' => '1-4', 'content.whole' => 'yes'],
            ),
        );

        self::assertSame(['equal', 'equal', 'unequal'], array_column($document['entries'], 'mark'));
        self::assertSame('3', $document['sequences'][0]['rerender']);
    }

    public function test_a_movie_that_is_cut_short_leaves_lines_open_that_a_scene_may_close(): void
    {
        $movie = (string) file_get_contents(__DIR__.'/../../fixtures/encoders/other.mov');
        $bench = (new Workbench)->put('a.mov', substr($movie, 0, -200));
        $specification = Workbench::specification(
            ['picture.resolution' => '66x38', 'format.kind' => 'mov', 'naming.pattern' => 'a.{ext}'],
            ['delivers' => 'movie'],
        );

        self::assertSame('open', $bench->check($specification)['verdict']);
        $both = $bench->check(
            $specification,
            Workbench::scene(['picture.resolution' => '66x38', 'format.kind' => 'mov']),
        );
        self::assertSame(['equal', 'unknown'], [$both['entries'][0]['mark'], $both['entries'][0]['files']['mark']]);
    }

    public function test_nothing_given_is_no_check(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        CheckReport::of(Workbench::specification(['time.rate' => 24]), null, null);
    }

    public function test_no_must_with_a_cell_is_open(): void
    {
        $document = CheckReport::of(
            Workbench::specification(['content.whole' => 'yes']),
            Workbench::scene([]),
            null,
        )->toArray();
        self::assertSame(['open', []], [$document['verdict'], $document['entries']]);

        $should = CheckReport::of(
            Workbench::specification(['time.rate' => ['value' => 24, 'level' => 'should']]),
            Workbench::scene(['time.rate' => 25]),
            null,
        )->toArray();
        self::assertSame('open', $should['verdict']);
    }

    public function test_a_pass_may_be_asked_otherwise_than_the_rest(): void
    {
        $bench = (new Workbench)->frames('a_beauty.%04d.png', '1-3', Workbench::png())->frames(
            'a_mist.%04d.png',
            '1-3',
            Workbench::png(channels: 'Y', bits: 16),
        );
        $asked = static fn (array $own): array => [
            'format.kind' => 'png',
            'format.channels' => 'RGB',
            'format.bit_depth' => 8,
            'time.range' => '1-3',
            'naming.pattern' => 'a_{pass}.{frame:4}.{ext}',
            'passes' => ['beauty', ['name' => 'mist', 'require' => $own]],
        ];
        $balanced = $bench->check(
            Workbench::specification($asked(['format.channels' => 'Y', 'format.bit_depth' => 16])),
        );
        self::assertSame(['balanced', []], [$balanced['verdict'], $balanced['causes']]);
        $own = array_values(array_filter($balanced['entries'], static fn (array $e): bool => isset($e['pass'])));
        self::assertSame(
            [['format.channels', 'mist', 'Y', 'Y'], ['format.bit_depth', 'mist', '16', '16']],
            array_map(
                static fn (array $e): array => [$e['id'], $e['pass'], $e['required'], $e['files']['found']],
                $own,
            ),
        );
        self::assertSame(
            'RGB',
            array_column(
                array_filter($balanced['entries'], static fn (array $e): bool => ! isset($e['pass'])),
                null,
                'id',
            )['format.channels']['files']['found'],
        );

        $wrong = $bench->check(Workbench::specification($asked(['format.channels' => 'Y', 'format.bit_depth' => 8])));
        self::assertSame('unbalanced', $wrong['verdict']);
        self::assertSame(
            [['value-differs', 'mist', ['format.bit_depth']]],
            array_map(static fn (array $c): array => [$c['id'], $c['pass'], $c['explains']], $wrong['causes']),
        );

        $rest = $bench->check(
            Workbench::specification(
                ['format.bit_depth' => 16] + $asked(['format.channels' => 'Y', 'format.bit_depth' => 16]),
            ),
        );
        self::assertSame(['1-3', ''], array_column($rest['sequences'], 'rerender'));
        self::assertSame('depth-dropped', $rest['causes'][0]['id']);
    }

    public function test_a_pass_may_have_a_name_and_a_range_of_its_own(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-3', Workbench::png())
            ->put('a_mask.png', Workbench::png())
            ->frames('matte/a_m.%02d.png', '1-2', Workbench::png());
        $bench->without('a_mask.png');
        $document = $bench->check(
            Workbench::specification(
                [
                    'time.range' => '1-3',
                    'format.kind' => 'png',
                    'naming.pattern' => 'a.{frame:4}.{ext}',
                    'delivery.extras' => 'none',
                    'passes' => [
                        'beauty',
                        [
                            'name' => 'mask',
                            'require' => [
                                'time.range' => '1-2',
                                'naming.pattern' => 'a_m.{frame:2}.{ext}',
                                'naming.folder' => 'matte',
                            ],
                        ],
                    ],
                ],
            ),
        );

        self::assertSame('balanced', $document['verdict'], (string) json_encode($document, JSON_PRETTY_PRINT));
        self::assertSame(
            [['beauty', '1-3'], ['mask', '1-2']],
            array_map(static fn (array $s): array => [$s['pass'], $s['present']], $document['sequences']),
        );
    }

    public function test_not_two_to_one_and_not_tagged_have_causes(): void
    {
        $first = static fn (string $bytes, string $name): string => (new Workbench)->put($name, $bytes)->check(
            Workbench::specification(['picture.projection' => 'lat-long', 'picture.resolution' => '64x32']),
        )['causes'][0]['id'];

        self::assertSame('not-two-to-one', $first(Workbench::png(64, 30), 'a1.png'));
        self::assertSame('spherical-not-tagged', $first(Workbench::exr(64, 32), 'a1.exr'));
    }
}
