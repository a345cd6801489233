<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDraft;

/** What contradicts itself is found, by its requirements; what is sensible is left in peace. */
final class ProofreaderTest extends TestCase
{
    /** @param  array<string, mixed>  $data */
    private static function draft(array $data): SpecificationDraft
    {
        return Specification::draft(new Layer(SetBy::Specification, $data + ['delivers' => 'frames'], 'spec.json'));
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  array<string, mixed>  $more
     * @return list<Conflict>
     */
    private static function conflicts(array $require, array $more = []): array
    {
        return Proofreader::standard()->read(self::draft($more + ['require' => $require]));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: list<string>, 2?: array<string, mixed>}> */
    public static function contradictions(): iterable
    {
        $movie = ['delivers' => 'movie'];
        yield 'alpha in a JPEG' => [
            ['format.kind' => 'jpeg', 'format.alpha' => 'straight'],
            ['format.alpha', 'format.kind'],
        ];
        yield 'alpha among the channels of a JPEG' => [
            ['format.kind' => 'jpg', 'format.channels' => 'RGBA'],
            ['format.channels', 'format.kind'],
        ];
        yield 'alpha in use in a JPEG' => [
            ['format.kind' => 'jpeg', 'content.alpha_used' => 'yes'],
            ['content.alpha_used', 'format.kind'],
        ];
        yield 'alpha in MP4' => [
            ['format.kind' => 'mp4', 'format.alpha' => 'any'],
            ['format.alpha', 'format.kind'],
            $movie,
        ];
        yield 'alpha in H.264' => [
            ['format.kind' => 'mov', 'format.codec' => 'H.264', 'format.alpha' => 'premultiplied'],
            ['format.alpha', 'format.codec'],
            $movie,
        ];
        yield 'alpha in ProRes 422' => [
            ['format.kind' => 'mov', 'format.codec' => 'ProRes 422', 'format.channels' => 'RGBA'],
            ['format.channels', 'format.codec'],
            $movie,
        ];
        yield 'alpha asked and no channel for it' => [
            ['format.kind' => 'png', 'format.alpha' => 'straight', 'format.channels' => 'RGB'],
            ['format.alpha', 'format.channels'],
        ];
        yield 'no alpha asked and a channel for it' => [
            ['format.kind' => 'png', 'format.alpha' => 'none', 'format.channels' => 'RGBA'],
            ['format.alpha', 'format.channels'],
        ];
        yield 'alpha in use and none asked' => [
            ['format.kind' => 'png', 'format.alpha' => 'none', 'content.alpha_used' => true],
            ['content.alpha_used', 'format.alpha'],
        ];
        yield 'an odd width with 4:2:0' => [
            ['format.kind' => 'mp4', 'picture.resolution' => '1921x1080', 'format.chroma' => '4:2:0'],
            ['format.chroma', 'picture.resolution'],
            $movie,
        ];
        yield 'an odd height with 4:2:0' => [
            ['picture.resolution' => '1920x817', 'format.chroma' => '4:2:0'],
            ['format.chroma', 'picture.resolution'],
            $movie,
        ];
        yield 'an odd width with 4:2:2' => [
            ['picture.resolution' => '853x480', 'format.chroma' => '4:2:2'],
            ['format.chroma', 'picture.resolution'],
            $movie,
        ];
        yield 'shared chroma in PNG' => [
            ['format.kind' => 'png', 'format.chroma' => '4:2:0'],
            ['format.chroma', 'format.kind'],
        ];
        yield 'three digits for frame 1096' => [
            ['time.range' => '1001-1096', 'naming.pattern' => 'a.{frame:3}.{ext}'],
            ['naming.pattern', 'time.range'],
        ];
        yield 'handles need a digit more' => [
            ['time.range' => '10-99', 'time.handles' => 4, 'naming.pattern' => 'a.{frame:2}.{ext}'],
            ['naming.pattern', 'time.handles', 'time.range'],
        ];
        yield 'a negative frame needs them too' => [
            ['time.range' => '-1000-10', 'naming.pattern' => 'a.{frame:3}.{ext}'],
            ['naming.pattern', 'time.range'],
        ];
        yield 'lat-long that is 16:9' => [
            ['picture.projection' => 'lat-long', 'picture.resolution' => '1920x1080'],
            ['picture.projection', 'picture.resolution'],
        ];
        yield 'stereo lat-long that is 2:1' => [
            ['picture.projection' => 'lat-long stereo', 'picture.resolution' => '4096x2048'],
            ['picture.projection', 'picture.resolution'],
        ];
        yield 'lat-long shown as 16:9' => [
            ['picture.projection' => 'lat-long', 'picture.display_aspect' => '16:9'],
            ['picture.display_aspect', 'picture.projection'],
        ];
        yield 'a shape that does not follow' => [
            ['picture.resolution' => '1920x1080', 'picture.pixel_aspect' => '1/1', 'picture.display_aspect' => '4:3'],
            ['picture.display_aspect', 'picture.pixel_aspect', 'picture.resolution'],
        ];
        yield 'a shape that does not follow from square pixels' => [
            ['picture.resolution' => '1920x1080', 'picture.display_aspect' => '2.39'],
            ['picture.display_aspect', 'picture.resolution'],
        ];
        yield 'SD pixels that give the other shape' => [
            ['picture.resolution' => '720x576', 'picture.pixel_aspect' => '12/11', 'picture.display_aspect' => '16:9'],
            ['picture.display_aspect', 'picture.pixel_aspect', 'picture.resolution'],
        ];
        yield 'drop-frame at 24' => [
            ['time.rate' => 24, 'time.start_timecode' => '01:00:00;00'],
            ['time.rate', 'time.start_timecode'],
        ];
        yield 'drop-frame at 23.976' => [
            ['time.rate' => '23.976', 'time.start_timecode' => '01:00:00;00'],
            ['time.rate', 'time.start_timecode'],
        ];
        yield 'drop-frame at 30' => [
            ['time.rate' => 30, 'time.start_timecode' => '00:59:59;10'],
            ['time.rate', 'time.start_timecode'],
        ];
        yield 'a number that drop-frame leaves out' => [
            ['time.rate' => '29.97', 'time.start_timecode' => '00:01:00;00'],
            ['time.rate', 'time.start_timecode'],
        ];
        yield 'frame 24 of a second of 24' => [
            ['time.rate' => 24, 'time.start_timecode' => '01:00:00:24'],
            ['time.rate', 'time.start_timecode'],
        ];
        yield 'lossless JPEG' => [
            ['format.kind' => 'jpeg', 'format.compression' => 'lossless'],
            ['format.compression', 'format.kind'],
        ];
        yield 'a JPEG by zip' => [
            ['format.kind' => 'jpeg', 'format.compression' => ['zip', 'piz']],
            ['format.compression', 'format.kind'],
        ];
        yield 'lossless H.264' => [
            ['format.kind' => 'mp4', 'format.codec' => 'h264', 'format.compression' => 'lossless'],
            ['format.codec', 'format.compression'],
            $movie,
        ];
        yield 'lossless ProRes' => [
            ['format.kind' => 'mov', 'format.codec' => 'prores 4444', 'format.compression' => 'lossless'],
            ['format.codec', 'format.compression'],
            $movie,
        ];
        yield 'lossless MP4' => [
            ['format.kind' => 'mp4', 'format.compression' => 'lossless'],
            ['format.compression', 'format.kind'],
            $movie,
        ];
        yield 'a PNG by piz' => [
            ['format.kind' => 'png', 'format.compression' => 'piz'],
            ['format.compression', 'format.kind'],
        ];
        yield 'an EXR by lzw' => [
            ['format.kind' => 'exr', 'format.compression' => 'lzw'],
            ['format.compression', 'format.kind'],
        ];
        yield 'float PNG' => [['format.kind' => 'png', 'format.sample' => 'float'], ['format.kind', 'format.sample']];
        yield 'float JPEG or PNG' => [
            ['format.kind' => ['jpeg', 'png'], 'format.sample' => 'float'],
            ['format.kind', 'format.sample'],
        ];
        yield 'a float of 8 bits' => [
            ['format.kind' => 'exr', 'format.sample' => 'float', 'format.bit_depth' => 8],
            ['format.bit_depth', 'format.sample'],
        ];
        yield 'an EXR of 8 bits' => [
            ['format.kind' => 'exr', 'format.bit_depth' => 8],
            ['format.bit_depth', 'format.kind'],
        ];
        yield 'an EXR of 16-bit whole numbers' => [
            ['format.kind' => 'exr', 'format.bit_depth' => 16, 'format.sample' => 'uint'],
            ['format.bit_depth', 'format.kind', 'format.sample'],
        ];
        yield 'a PNG of 32 bits' => [
            ['format.kind' => 'png', 'format.bit_depth' => 32],
            ['format.bit_depth', 'format.kind'],
        ];
        yield 'a JPEG of 16 bits' => [
            ['format.kind' => 'jpeg', 'format.bit_depth' => 16],
            ['format.bit_depth', 'format.kind'],
        ];
        yield 'H.264 of 16 bits' => [
            ['format.kind' => 'mp4', 'format.codec' => 'h264', 'format.bit_depth' => 16],
            ['format.bit_depth', 'format.codec'],
            $movie,
        ];
        yield 'depth among the channels of a PNG' => [
            ['format.kind' => 'png', 'format.channels' => ['R', 'G', 'B', 'Z']],
            ['format.channels', 'format.kind'],
        ];
        yield 'several passes of one name' => [
            ['format.kind' => 'png', 'passes' => ['beauty', 'mist'], 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ['naming.pattern', 'passes'],
        ];
        yield 'several passes of one name in several folders that name none' => [
            ['passes' => ['beauty', 'mist'], 'naming.pattern' => '{shot}.{frame:4}.tif', 'naming.folder' => '{shot}'],
            ['naming.pattern', 'passes'],
        ];
        yield 'a cap that the rate breaks' => [
            [
                'time.range' => '1-240',
                'time.rate' => 24,
                'format.bit_rate' => '20 Mbit/s',
                'format.file_size' => ['max' => '20 MB'],
                'format.kind' => 'mp4',
            ],
            ['format.bit_rate', 'format.file_size', 'time.range', 'time.rate'],
            $movie,
        ];
        yield 'a cap that the least rate breaks' => [
            ['time.duration' => '00:01:00', 'format.bit_rate' => ['min' => '8M'], 'format.file_size' => '25 MB'],
            ['format.bit_rate', 'format.file_size', 'time.duration'],
            $movie,
        ];
        yield 'keyframes further apart than the movie is long' => [
            ['time.count' => 96, 'format.keyframe_interval' => ['max' => 250]],
            ['format.keyframe_interval', 'time.count'],
            $movie,
        ];
        yield 'keyframes further apart than the range' => [
            ['time.range' => '1-48', 'format.keyframe_interval' => 60],
            ['format.keyframe_interval', 'time.range'],
            $movie,
        ];
        yield 'frames without a number' => [['naming.pattern' => '{shot}_beauty.{ext}'], ['naming.pattern']];
        yield 'a movie with a number' => [['naming.pattern' => '{shot}.{frame:4}.{ext}'], ['naming.pattern'], $movie];
        yield 'a range that ends before it starts' => [['time.range' => '1096-1001'], ['time.range']];
        yield 'a count that the range contradicts' => [
            ['time.range' => '1001-1096', 'time.count' => 100],
            ['time.count', 'time.range'],
        ];
        yield 'a count without the handles' => [
            ['time.range' => '1001-1096', 'time.handles' => 8, 'time.count' => 96],
            ['time.count', 'time.handles', 'time.range'],
        ];
        yield 'a duration that the range contradicts' => [
            ['time.range' => '1-240', 'time.rate' => 24, 'time.duration' => '12 s'],
            ['time.duration', 'time.range', 'time.rate'],
        ];
        yield 'a duration that the count contradicts' => [
            ['time.count' => ['min' => 100, 'max' => 110], 'time.rate' => 24, 'time.duration' => '5 s'],
            ['time.count', 'time.duration', 'time.rate'],
            $movie,
        ];
        yield 'a duration shorter than the least count' => [
            ['time.count' => ['min' => 100], 'time.rate' => 25, 'time.duration' => ['max' => '3 s']],
            ['time.count', 'time.duration', 'time.rate'],
            $movie,
        ];
        yield 'a whole delivery that the rate breaks' => [
            [
                'time.range' => '1-2400',
                'time.rate' => 24,
                'format.bit_rate' => '50 Mbit/s',
                'delivery.total_size' => '10 MB',
            ],
            ['delivery.total_size', 'format.bit_rate', 'time.range', 'time.rate'],
            $movie,
        ];
        yield 'one frame of many' => [['time.range' => '1-96', 'time.extent' => 'one'], ['time.extent', 'time.range']];
        yield 'more held than there is' => [
            ['time.range' => '1-10', 'content.hold' => '8+8'],
            ['content.hold', 'time.range'],
        ];
        yield 'frames as a movie' => [['format.kind' => 'mp4'], ['format.kind']];
        yield 'a movie as a picture' => [['format.kind' => 'png'], ['format.kind'], $movie];
        yield 'a still as a movie' => [['format.kind' => 'mov'], ['format.kind'], ['delivers' => 'still']];
        yield 'ProRes in MP4' => [
            ['format.kind' => 'mp4', 'format.codec' => 'prores'],
            ['format.codec', 'format.kind'],
            $movie,
        ];
        yield 'H.264 in WebM' => [
            ['format.kind' => 'webm', 'format.codec' => 'h264'],
            ['format.codec', 'format.kind'],
            $movie,
        ];
        yield 'an extension of another format' => [
            ['format.kind' => 'exr', 'naming.pattern' => '{shot}.{frame:4}.png'],
            ['format.kind', 'naming.pattern'],
        ];
        yield 'a piece that nothing fills' => [['naming.pattern' => '{shoot}.{frame:4}.{ext}'], ['naming.pattern']];
        yield 'a folder that leads out' => [['naming.folder' => '../{shot}'], ['naming.folder']];
        yield 'a project folder that is absolute' => [['output.folder' => '/renders/{shot}'], ['output.folder']];
        yield 'a name with a folder' => [['naming.pattern' => '{shot}/a.{frame:4}.{ext}'], ['naming.pattern']];
        yield 'sound of none' => [
            ['audio.presence' => 'none', 'audio.sample_rate' => 48000],
            ['audio.presence', 'audio.sample_rate'],
            $movie,
        ];
        yield 'a size of nothing' => [['picture.resolution' => '0x0'], ['picture.resolution']];
        yield 'a rate of nothing' => [['time.rate' => 0], ['time.rate']];
        yield 'a million million frames' => [['time.range' => '1-1000000000000'], ['time.range']];
        yield 'negative digits' => [['naming.pattern' => '{shot}.{frame:-4}.{ext}'], ['naming.pattern']];
        yield 'a brace that is not closed' => [['naming.pattern' => '{shot.{frame:4}.{ext}'], ['naming.pattern']];
        yield 'a step of nothing' => [['time.step' => 0], ['time.step']];
        yield 'a quality of 120' => [['format.quality' => 120], ['format.quality']];
        yield 'what one pass is asked' => [
            [
                'format.kind' => 'png',
                'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
                'passes' => ['beauty', ['name' => 'mist', 'require' => ['format.sample' => 'float']]],
            ],
            ['format.kind', 'format.sample'],
        ];
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  list<string>  $expected
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('contradictions')]
    public function test_a_contradiction_is_told_once_with_its_requirements(
        array $require,
        array $expected,
        array $more = [],
    ): void {
        $conflicts = self::conflicts($require, $more);
        self::assertCount(
            1,
            $conflicts,
            (string) json_encode(array_map(static fn (Conflict $q): array => $q->toArray(), $conflicts)),
        );
        self::assertEqualsCanonicalizing($expected, $conflicts[0]->requirements);
        self::assertMatchesRegularExpression('~^.{10,}[.]$~u', $conflicts[0]->says);
    }

    /**
     * Every offer ends the conflict that it was made for, and begins none between the same requirements.
     *
     * @param  array<string, mixed>  $require
     * @param  list<string>  $expected
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('contradictions')]
    public function test_each_offer_ends_the_conflict(array $require, array $expected, array $more = []): void
    {
        $conflict = self::conflicts($require, $more)[0];
        foreach ($conflict->resolutions as $resolution) {
            $changed = $require;
            if (isset($changed['passes'][1]['require'][$resolution->requirement])) {
                $changed['passes'][1]['require'][$resolution->requirement] = $resolution->value;
            } else {
                $changed[$resolution->requirement] = $resolution->value;
            }
            $left = array_filter(
                self::conflicts($changed, $more),
                static fn (Conflict $q): bool => $q->says === $conflict->says
                    || array_diff($q->requirements, $conflict->requirements) === [],
            );
            self::assertSame(
                [],
                array_map(static fn (Conflict $q): string => $q->says, array_values($left)),
                "after: {$resolution->says} ({$resolution->requirement} = {$resolution->value})",
            );
        }
        // a value that cannot be understood has no change that could be guessed
        self::assertTrue($conflict->resolutions !== [] || count($expected) === 1 || $expected === ['format.bit_depth']);
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1?: array<string, mixed>}> */
    public static function sensible(): iterable
    {
        $movie = ['delivers' => 'movie'];
        yield 'nothing at all' => [[]];
        yield 'lit frames of a film' => [
            [
                'picture.resolution' => '2048x858',
                'picture.display_aspect' => '2.39',
                'time.rate' => '24',
                'time.range' => '1001-1096',
                'camera.name' => 'cam_quay',
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.sample' => 'float',
                'format.channels' => 'RGBA',
                'format.alpha' => 'premultiplied',
                'format.compression' => ['zip', 'zips'],
                'render.samples' => ['min' => 128, 'level' => 'should', 'why' => 'fog'],
                'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
            ],
        ];
        yield 'passes as layers of one EXR' => [
            [
                'format.kind' => 'exr',
                'passes' => ['beauty', 'mist', 'shadow'],
                'naming.pattern' => '{shot}.{frame:4}.{ext}',
            ],
        ];
        yield 'passes by name' => [
            [
                'format.kind' => 'png',
                'passes' => ['beauty', 'mist'],
                'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
            ],
        ];
        yield 'passes by folder' => [
            [
                'format.kind' => 'png',
                'passes' => ['beauty', 'mist'],
                'naming.pattern' => '{shot}.{frame:4}.{ext}',
                'naming.folder' => '{shot}/{pass}',
            ],
        ];
        yield 'one pass' => [
            ['format.kind' => 'png', 'passes' => ['beauty'], 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
        ];
        yield 'a pass with a name of its own' => [
            [
                'format.kind' => 'png',
                'passes' => [
                    'beauty',
                    ['name' => 'mist', 'require' => ['naming.pattern' => '{shot}_m.{frame:4}.{ext}']],
                ],
                'naming.pattern' => '{shot}.{frame:4}.{ext}',
            ],
        ];
        yield 'a pass deeper than the others' => [
            [
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'passes' => [
                    'beauty',
                    ['name' => 'depth', 'require' => ['format.bit_depth' => 32, 'format.channels' => 'Z']],
                ],
                'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
                'format.channels' => 'RGB',
            ],
        ];
        yield 'titles with alpha' => [
            [
                'format.kind' => 'png',
                'format.alpha' => 'straight',
                'format.channels' => 'RGBA',
                'content.alpha_used' => 'yes',
                'time.range' => '1-72',
                'naming.pattern' => 'titles_{frame:4}.{ext}',
            ],
        ];
        yield 'alpha wherever it can be' => [['format.kind' => ['jpeg', 'png'], 'format.alpha' => 'straight']];
        yield 'alpha in ProRes 4444' => [
            [
                'format.kind' => 'mov',
                'format.codec' => 'ProRes 4444',
                'format.alpha' => 'straight',
                'format.channels' => 'RGBA',
            ],
            $movie,
        ];
        yield 'alpha in whatever kind of ProRes' => [
            ['format.kind' => 'mov', 'format.codec' => 'prores', 'format.alpha' => 'any'],
            $movie,
        ];
        yield 'alpha in WebM' => [
            ['format.kind' => 'webm', 'format.codec' => 'vp9', 'format.alpha' => 'straight'],
            $movie,
        ];
        yield 'no alpha in a JPEG' => [
            ['format.kind' => 'jpeg', 'format.alpha' => 'none', 'format.channels' => 'RGB', 'format.quality' => 90],
        ];
        yield 'an odd picture as JPEG' => [
            ['format.kind' => 'jpeg', 'picture.resolution' => '853x480', 'format.chroma' => '4:2:0'],
        ];
        yield 'an odd size with whole chroma' => [
            ['format.kind' => 'mov', 'picture.resolution' => '853x480', 'format.chroma' => '4:4:4'],
            $movie,
        ];
        yield 'an odd height with 4:2:2' => [['picture.resolution' => '1920x817', 'format.chroma' => '4:2:2'], $movie];
        yield 'one of two sizes is even' => [
            ['picture.resolution' => ['853x480', '854x480'], 'format.chroma' => '4:2:0'],
            $movie,
        ];
        yield 'just enough digits' => [['time.range' => '1-9999', 'naming.pattern' => 'a.{frame:4}.{ext}']];
        yield 'handles that fit' => [
            [
                'time.range' => '1001-1096',
                'time.handles' => ['head' => 8, 'tail' => 8],
                'naming.pattern' => 'a.{frame:4}.{ext}',
            ],
        ];
        yield 'a negative frame, sign apart' => [['time.range' => '-5-990', 'naming.pattern' => 'a.{frame:3}.{ext}']];
        yield 'digits of frames not yet known' => [
            ['time.range' => 'timeline', 'naming.pattern' => 'a.{frame:2}.{ext}'],
        ];
        yield 'a number without filling' => [['time.range' => '1-100', 'naming.pattern' => 'a.{frame}.{ext}']];
        yield 'lat-long' => [
            [
                'picture.projection' => 'lat-long',
                'picture.resolution' => '4096x2048',
                'picture.display_aspect' => '2:1',
                'format.kind' => 'png',
            ],
        ];
        yield 'stereo, eyes above each other' => [
            ['picture.projection' => 'lat-long stereo', 'picture.resolution' => '4096x4096'],
        ];
        yield 'stereo, eyes beside each other' => [
            ['picture.projection' => 'lat-long stereo', 'picture.resolution' => '8192x2048'],
        ];
        yield 'flat, of any shape' => [['picture.projection' => 'flat', 'picture.resolution' => '1999x777']];
        yield 'SD 625 lines, 4:3' => [
            [
                'picture.resolution' => '720x576',
                'picture.pixel_aspect' => '12/11',
                'picture.display_aspect' => '4:3',
                'time.rate' => 25,
            ],
        ];
        yield 'SD 625 lines, 16:9' => [
            [
                'picture.resolution' => '720x576',
                'picture.pixel_aspect' => '16/11',
                'picture.display_aspect' => '16:9',
                'time.rate' => 25,
            ],
        ];
        yield 'SD 625 lines by its whole width' => [
            ['picture.resolution' => '720x576', 'picture.pixel_aspect' => '16/15', 'picture.display_aspect' => '4:3'],
        ];
        yield 'SD 525 lines, 4:3' => [
            [
                'picture.resolution' => '720x480',
                'picture.pixel_aspect' => '10/11',
                'picture.display_aspect' => '4:3',
                'time.rate' => '29.97',
            ],
        ];
        yield 'SD 525 lines, 16:9' => [
            ['picture.resolution' => '720x486', 'picture.pixel_aspect' => '40/33', 'picture.display_aspect' => '16:9'],
        ];
        yield 'SD without its pixels' => [['picture.resolution' => '720x576', 'picture.display_aspect' => '16:9']];
        yield 'thinned HD' => [
            ['picture.resolution' => '1440x1080', 'picture.pixel_aspect' => '4/3', 'picture.display_aspect' => '16:9'],
        ];
        yield 'pixels as a decimal' => [
            [
                'picture.resolution' => '1440x1080',
                'picture.pixel_aspect' => '1.333',
                'picture.display_aspect' => '16:9',
            ],
        ];
        yield 'HD' => [
            ['picture.resolution' => '1920x1080', 'picture.pixel_aspect' => 1, 'picture.display_aspect' => '16:9'],
        ];
        yield 'scope of even height' => [['picture.resolution' => '1920x804', 'picture.display_aspect' => '2.39']];
        yield 'cinema flat' => [['picture.resolution' => '1998x1080', 'picture.display_aspect' => '1.85']];
        yield 'cinema scope 4K' => [['picture.resolution' => '4096x1716', 'picture.display_aspect' => '2.39']];
        yield 'tall' => [['picture.resolution' => '1080x1920', 'picture.display_aspect' => '9:16']];
        yield 'square' => [['picture.resolution' => '1080x1080', 'picture.display_aspect' => '1:1']];
        yield 'a width rounded to even' => [['picture.resolution' => '854x480', 'picture.display_aspect' => '16:9']];
        yield 'drop-frame at 29.97' => [['time.rate' => '29.97', 'time.start_timecode' => '01:00:00;00']];
        yield 'drop-frame at 59.94' => [['time.rate' => '59.94', 'time.start_timecode' => '10:00:00;00']];
        yield 'non-drop at 29.97' => [['time.rate' => '30000/1001', 'time.start_timecode' => '01:00:00:00']];
        yield 'one of two rates drops' => [['time.rate' => ['24', '29.97'], 'time.start_timecode' => '01:00:00;00']];
        yield 'drop-frame at a rate not said' => [['time.start_timecode' => '01:00:00;00']];
        yield 'lossless PNG' => [['format.kind' => 'png', 'format.compression' => 'lossless']];
        yield 'PNG by deflate' => [['format.kind' => 'png', 'format.compression' => 'deflate']];
        yield 'lossless TIFF' => [
            ['format.kind' => 'tiff', 'format.compression' => ['lzw', 'zip', 'none'], 'format.bit_depth' => 16],
        ];
        yield 'lossless EXR' => [['format.kind' => 'exr', 'format.compression' => 'lossless']];
        yield 'lossy EXR' => [['format.kind' => 'exr', 'format.compression' => ['dwaa', 'dwab']]];
        yield 'lossless movie' => [
            ['format.kind' => 'mkv', 'format.codec' => 'ffv1', 'format.compression' => 'lossless'],
            $movie,
        ];
        yield 'a lossless animation' => [
            [
                'format.kind' => 'mov',
                'format.codec' => 'animation',
                'format.compression' => 'lossless',
                'format.bit_depth' => 8,
            ],
            $movie,
        ];
        yield 'JPEG as JPEG' => [['format.kind' => 'jpeg', 'format.compression' => 'jpeg', 'format.bit_depth' => 8]];
        yield 'float TIFF' => [['format.kind' => 'tiff', 'format.sample' => 'float', 'format.bit_depth' => 32]];
        yield 'float EXR' => [['format.kind' => 'exr', 'format.sample' => 'float', 'format.bit_depth' => [16, 32]]];
        yield 'PNG of 16 bits' => [
            ['format.kind' => 'png', 'format.bit_depth' => 16, 'format.sample' => 'uint', 'format.channels' => 'RGB'],
        ];
        yield 'a ten-bit movie' => [
            ['format.kind' => 'mov', 'format.codec' => 'prores 422', 'format.bit_depth' => 10],
            $movie,
        ];
        yield 'EXR with depth beside it' => [['format.kind' => 'exr', 'format.channels' => ['R', 'G', 'B', 'A', 'Z']]];
        yield 'a cap that fits' => [
            [
                'time.range' => '1-240',
                'time.rate' => 24,
                'format.bit_rate' => '8 Mbit/s',
                'format.file_size' => '25 MB',
                'format.kind' => 'mp4',
                'format.codec' => 'h264',
                'format.keyframe_interval' => 48,
                'format.b_frames' => 'none',
                'format.index' => 'first',
                'format.chroma' => '4:2:0',
                'picture.resolution' => '1080x1920',
            ],
            $movie,
        ];
        yield 'a largest rate above the cap' => [
            ['time.duration' => '60 s', 'format.bit_rate' => ['max' => '80M'], 'format.file_size' => '25 MB'],
            $movie,
        ];
        yield 'a cap of unknown length' => [['format.bit_rate' => '80M', 'format.file_size' => '25 MB'], $movie];
        yield 'keyframes as long as the movie' => [['time.range' => '1-48', 'format.keyframe_interval' => 48], $movie];
        yield 'keyframes within the longest' => [
            ['time.count' => ['min' => 90, 'max' => 300], 'format.keyframe_interval' => 250],
            $movie,
        ];
        yield 'a movie without a number' => [
            ['naming.pattern' => '{shot}_preview.{ext}', 'format.kind' => 'mp4'],
            $movie,
        ];
        yield 'a still without a number' => [
            [
                'naming.pattern' => 'poster_v{version:3}.{ext}',
                'format.kind' => 'tiff',
                'picture.density' => 300,
                'picture.resolution' => '3508x4961',
            ],
            ['delivers' => 'still'],
        ];
        yield 'a companion file' => [['naming.pattern' => '{shot}_notes.txt'], ['delivers' => 'file']];
        yield 'a count that agrees' => [['time.range' => '1001-1096', 'time.handles' => 8, 'time.count' => 112]];
        yield 'a count within' => [['time.range' => '1-100', 'time.count' => 'between 90 and 150']];
        yield 'a count of the animation’s own' => [
            ['time.range' => 'timeline', 'time.count' => ['min' => 90, 'max' => 150]],
        ];
        yield 'a duration that agrees' => [['time.range' => '1-240', 'time.rate' => 24, 'time.duration' => '10 s']];
        yield 'a duration within the count' => [
            ['time.count' => ['min' => 100, 'max' => 120], 'time.rate' => 24, 'time.duration' => '5 s'],
            $movie,
        ];
        yield 'a duration beside a least count' => [
            ['time.count' => ['min' => 100], 'time.rate' => 24, 'time.duration' => ['min' => '3 s', 'max' => '10 s']],
            $movie,
        ];
        yield 'a duration and a count at a rate not said' => [['time.count' => 10, 'time.duration' => '5 s'], $movie];
        yield 'a whole delivery with room' => [
            [
                'time.range' => '1-240',
                'time.rate' => 24,
                'format.bit_rate' => '8 Mbit/s',
                'delivery.total_size' => '12 MB',
            ],
            $movie,
        ];
        yield 'frames beside a whole size' => [
            ['time.range' => '1-240', 'delivery.total_size' => '1 MB', 'picture.resolution' => '3840x2160'],
        ];
        yield 'a duration at 29.97' => [
            ['time.range' => '1-300', 'time.rate' => '29.97', 'time.duration' => ['min' => '9 s', 'max' => '00:00:11']],
        ];
        yield 'the last second to the frame' => [
            ['time.range' => '1-250', 'time.rate' => 25, 'time.duration' => '00:00:10:00'],
        ];
        yield 'a listed extent' => [['time.range' => '1-96', 'time.extent' => 'listed', 'time.step' => 2]];
        yield 'held at both ends' => [['time.range' => '1-96', 'content.hold' => '8+8']];
        yield 'silent' => [['audio.presence' => 'none'], $movie];
        yield 'with sound' => [
            [
                'audio.presence' => 'required',
                'audio.sample_rate' => 48000,
                'audio.bit_depth' => 24,
                'audio.channels' => 2,
            ],
            $movie,
        ];
        yield 'an extension written out' => [['format.kind' => 'jpeg', 'naming.pattern' => '{shot}.{frame:4}.jpeg']];
        yield 'a piece of the production’s own' => [
            ['naming.pattern' => '{unit}_{shot}.{frame:4}.{ext}'],
            ['values' => ['unit' => 'B']],
        ];
        yield 'a folder in folders' => [
            ['naming.folder' => '{shot}/v{version:3}/', 'output.folder' => 'renders/{shot}'],
        ];
        yield 'this folder' => [['naming.folder' => '.']];
        yield 'facts of the production’s own' => [
            ['other.fog_density' => ['min' => 1, 'max' => 2], 'other.unit' => 'B*'],
        ];
        yield 'any camera' => [['camera.name' => 'any camera of the scene', 'camera.single' => 'yes']];
        yield 'everything of a scene' => [
            [
                'scene.saved' => 'yes', 'scene.links' => 'yes', 'render.quality' => 'final',
                'render.motion_blur' => 'on', 'render.post_effects' => 'off', 'render.overlays' => 'off',
                'picture.scale' => 100, 'picture.region' => 'full', 'output.overwrites' => 'no',
                'colour.view' => 'none', 'colour.look' => 'none', 'colour.exposure' => 0, 'colour.gamma' => 1,
                'burn_in' => 'none', 'camera.exposure' => 'manual',
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('sensible')]
    public function test_nothing_sensible_is_complained_of(array $require, array $more = []): void
    {
        self::assertSame([], array_map(static fn (Conflict $q): string => $q->says, self::conflicts($require, $more)));
    }

    public function test_frames_and_their_preview(): void
    {
        $parts = [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => ['format.kind' => 'png', 'naming.pattern' => '{learner}_vane_{frame:4}.png'],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => [
                    'format.kind' => 'mp4',
                    'format.codec' => 'h264',
                    'format.chroma' => '4:2:0',
                    'naming.pattern' => '{learner}_vane.mp4',
                    'format.keyframe_interval' => 48,
                    'format.file_size' => '20 MB',
                    'format.bit_rate' => '8M',
                ],
            ],
        ];
        $data = [
            'require' => [
                'picture.resolution' => '1280x720',
                'time.rate' => 24,
                'time.range' => '1-96',
                'delivery.extras' => 'none',
            ],
            'values' => ['learner' => 'ada'],
        ];
        self::assertSame([], Proofreader::standard()->read(self::draft($data + ['parts' => $parts])));

        // the movie's own length follows from the frames it is made from
        $parts[0]['require']['time.range'] = '1-96';
        $data['require'] = ['time.rate' => 24];
        $parts[1]['require']['format.keyframe_interval'] = 100;
        $parts[1]['require']['format.file_size'] = '3 MB';
        $conflicts = Proofreader::standard()->read(self::draft($data + ['parts' => $parts]));
        self::assertEqualsCanonicalizing(
            [
                ['format.file_size', 'format.bit_rate', 'time.range', 'time.rate'],
                ['format.keyframe_interval', 'time.range'],
            ],
            array_map(static fn (Conflict $q): array => $q->requirements, $conflicts),
        );
        self::assertSame(['preview', 'preview'], array_map(static fn (Conflict $q): string => $q->part, $conflicts));
    }

    public function test_a_movie_lasts_as_long_as_its_frames(): void
    {
        $parts = static fn (string $duration): array => ['require' => ['time.rate' => 24], 'parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => ['time.range' => '1-96']],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => ['time.duration' => $duration],
            ],
        ]];
        self::assertSame([], Proofreader::standard()->read(self::draft($parts('4 s'))));
        self::assertSame(
            [['preview', '96 frames at 24 a second last 4 s, and 00:00:05 is asked.']],
            array_map(
                static fn (Conflict $q): array => [$q->part, $q->says],
                Proofreader::standard()->read(self::draft($parts('5 s'))),
            ),
        );
    }

    public function test_two_parts_of_one_path(): void
    {
        $part = static fn (string $name, string $pattern): array => [
            'name' => $name,
            'delivers' => 'frames',
            'require' => ['format.kind' => 'png', 'naming.pattern' => $pattern],
        ];
        $read = static fn (array ...$parts): array => array_map(
            static fn (Conflict $q): string => $q->says,
            Proofreader::standard()->read(self::draft(['parts' => $parts, 'values' => ['shot' => 'A']])),
        );

        self::assertSame(
            ['The parts “left” and “right” would write the same path, A.####.png.'],
            $read($part('left', '{shot}.{frame:4}.{ext}'), $part('right', '{shot}.{frame:4}.png')),
        );
        self::assertSame(
            [],
            $read($part('left', '{shot}_{part}.{frame:4}.{ext}'), $part('right', '{shot}_{part}.{frame:4}.{ext}')),
        );
    }

    public function test_deliverables_that_would_write_the_same_path(): void
    {
        $draft = static fn (
            array $values,
            string $pattern,
            string $range = '1-10',
            string $folder = '.',
        ): SpecificationDraft => self::draft(
            [
                'values' => $values,
                'require' => [
                    'format.kind' => 'png',
                    'time.range' => $range,
                    'naming.pattern' => $pattern,
                    'naming.folder' => $folder,
                ],
            ],
        );
        $read = static fn (array $drafts): array => array_map(
            static fn (array $conflicts): array => array_map(static fn (Conflict $q): string => $q->says, $conflicts),
            Proofreader::standard()->readAll($drafts),
        );

        self::assertSame(
            [],
            $read(
                [
                    'A' => $draft(['shot' => 'A'], '{shot}.{frame:4}.{ext}'),
                    'B' => $draft(['shot' => 'B'], '{shot}.{frame:4}.{ext}'),
                ],
            ),
        );
        $says = 'A and B would write the same path, sky.####.png.';
        self::assertSame(
            ['B' => [$says], 'A' => [$says]],
            $read(
                [
                    'A' => $draft(['shot' => 'A'], 'sky.{frame:4}.{ext}'),
                    'B' => $draft(['shot' => 'B'], 'sky.{frame:4}.{ext}'),
                ],
            ),
        );
        self::assertSame(
            [],
            $read(['A' => $draft([], 'sky.{frame:4}.{ext}'), 'B' => $draft([], 'sky.{frame:4}.{ext}', '11-20')]),
        );
        self::assertSame(
            [],
            $read(
                [
                    'A' => $draft(['shot' => 'A'], 'sky.{frame:4}.{ext}', '1-10', '{shot}'),
                    'B' => $draft(['shot' => 'B'], 'sky.{frame:4}.{ext}', '1-10', '{shot}'),
                ],
            ),
        );
    }

    public function test_what_is_no_specification_is_still_refused(): void
    {
        $this->expectExceptionMessage('"parts" must be a list');
        self::draft(['parts' => 'none']);
    }
}
