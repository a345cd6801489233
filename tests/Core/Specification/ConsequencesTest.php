<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\ExampleNames;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** What follows from a specification, by figures worked out by hand. */
final class ConsequencesTest extends TestCase
{
    /** @return array<string, string> */
    private static function lines(Specification $specification, int $part = 0): array
    {
        return array_column(Consequences::of($specification, $specification->parts[$part])->lines, 'value', 'label');
    }

    /**
     * @return iterable<string, array{array<string, mixed>, array<string, string|null>, 2?: array<string, mixed>}>
     *   asked, lines that are there (null: not there)
     */
    public static function asked(): iterable
    {
        yield 'nothing' => [
            [],
            ['frames' => null, 'timecode' => null, 'shape on screen' => null, 'digits needed' => null],
        ];
        yield 'a range alone' => [
            ['time.range' => '1001-1096'],
            ['frames' => '96', 'running time' => null, 'of them in the cut' => null],
        ];
        yield 'a range at 24' => [
            ['time.range' => '1001-1096', 'time.rate' => 24],
            ['frames' => '96', 'running time' => '4 s', 'timecode' => '00:00:41:17 – 00:00:45:16'],
        ];
        yield 'handles' => [
            ['time.range' => '1001-1096', 'time.handles' => ['head' => 8, 'tail' => 4], 'time.rate' => 24],
            [
                'frames' => '108',
                'of them in the cut' => '96',
                'delivered range' => '993-1100',
                'running time' => '4 s 12 f',
            ],
        ];
        yield 'every second frame' => [['time.range' => '1-9', 'time.step' => 2], ['frames' => '5']];
        yield 'the animation’s own' => [
            ['time.range' => 'timeline', 'time.rate' => 24],
            ['frames' => null, 'timecode' => null],
        ];
        yield 'a count without a range' => [
            ['time.count' => ['min' => 90, 'max' => 150], 'time.rate' => 25],
            ['frames' => '90', 'running time' => '3 s 15 f', 'timecode' => null],
        ];
        yield 'a minute of 29.97' => [
            ['time.range' => '0-1799', 'time.rate' => '29.97'],
            [
                'frames' => '1800',
                'timecode, non-drop' => '00:00:00:00 – 00:00:59:29',
                'timecode, drop-frame' => '00:00:00;00 – 00:00:59;29',
            ],
        ];
        yield 'over the minute of 29.97' => [
            ['time.range' => '0-1800', 'time.rate' => '29.97'],
            [
                'timecode, non-drop' => '00:00:00:00 – 00:01:00:00',
                'timecode, drop-frame' => '00:00:00;00 – 00:01:00;02',
            ],
        ];
        yield 'ten minutes of 29.97' => [
            ['time.range' => '0-17982', 'time.rate' => '30000/1001'],
            [
                'timecode, drop-frame' => '00:00:00;00 – 00:10:00;00',
                'timecode, non-drop' => '00:00:00:00 – 00:09:59:12',
            ],
        ];
        yield 'from a start timecode' => [
            ['time.range' => '1001-1024', 'time.rate' => 24, 'time.start_timecode' => '01:00:00:00'],
            ['timecode' => '01:00:00:00 – 01:00:00:23'],
        ];
        yield 'from one that drops' => [
            ['time.range' => '1-3', 'time.rate' => '29.97', 'time.start_timecode' => '00:00:59;28'],
            ['timecode' => '00:00:59;28 – 00:01:00;02'],
        ];
        yield 'over midnight' => [
            ['time.range' => '1-49', 'time.rate' => 24, 'time.start_timecode' => '23:59:59:00'],
            ['timecode' => '23:59:59:00 – 00:00:01:00'],
        ];
        yield 'a timecode that cannot be' => [
            ['time.range' => '1-49', 'time.rate' => 24, 'time.start_timecode' => '01:00:00;00'],
            ['frames' => '49', 'timecode' => null],
        ];
        yield 'high definition' => [
            ['picture.resolution' => '1920x1080'],
            ['shape on screen' => '1.778 to 1, 16:9, high definition', 'in 1920 × 1080' => null],
        ];
        yield 'scope' => [
            ['picture.resolution' => '2048x858'],
            ['in 1920 × 1080' => 'letterboxed to 1920 × 804, bars of 138 above and below'],
        ];
        yield 'tall' => [
            ['picture.resolution' => '1080x1920'],
            ['in 1920 × 1080' => 'pillarboxed to 608 × 1080, bars of 656 at the sides'],
        ];
        yield 'bytes' => [
            [
                'picture.resolution' => '2048x858',
                'format.channels' => 'RGBA',
                'format.bit_depth' => 16,
                'time.range' => '1001-1096',
            ],
            ['one frame, uncompressed' => '14.1 MB', 'all frames, uncompressed' => '1.35 GB'],
        ];
        yield 'bytes of passes' => [
            [
                'picture.resolution' => '1920x1080',
                'format.channels' => 'RGB',
                'format.bit_depth' => 8,
                'time.range' => '1-100',
                'passes' => ['beauty', 'mist', 'shadow'],
            ],
            ['one frame, uncompressed' => '6.22 MB', 'all frames, uncompressed' => '1.87 GB in 3 passes'],
        ];
        yield 'bytes without a depth' => [
            ['picture.resolution' => '1920x1080', 'format.channels' => 'RGB'],
            ['one frame, uncompressed' => null],
        ];
        yield 'digits' => [
            ['time.range' => '1001-1096', 'naming.pattern' => 'a.{frame:4}.{ext}'],
            ['digits needed' => '4 of 4'],
        ];
        yield 'digits too few' => [
            ['time.range' => '1-12000', 'naming.pattern' => 'a.{frame:4}.{ext}'],
            ['digits needed' => '5 of 4'],
        ];
        yield 'digits of a negative frame' => [
            ['time.range' => '-100-10', 'naming.pattern' => 'a.{frame:4}.{ext}'],
            ['digits needed' => '3 of 4'],
        ];
        $movie = ['delivers' => 'movie'];
        yield 'a movie’s keyframes' => [
            ['time.rate' => '23.976', 'time.range' => '1-240'],
            ['keyframe every 2 s' => '48 frames'],
            $movie,
        ];
        yield 'a cap' => [
            ['time.rate' => 24, 'time.range' => '1-240', 'format.file_size' => '20 MB'],
            ['bit rate that fits 20 MB' => '15.8 Mbit/s'],
            $movie,
        ];
        yield 'a cap of unknown length' => [
            ['format.file_size' => '20 MB'],
            ['bit rate that fits 20 MB' => null],
            $movie,
        ];
        yield 'absurd and yet not fatal' => [
            [
                'time.range' => '1-100000000',
                'time.rate' => 1000,
                'picture.resolution' => '1000000x1',
                'format.channels' => 'RGBA',
                'format.bit_depth' => 32,
            ],
            ['frames' => '100000000', 'one frame, uncompressed' => '16 MB', 'all frames, uncompressed' => '1600 TB'],
        ];
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  array<string, string|null>  $expected
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('asked')]
    public function test_what_follows(array $require, array $expected, array $more = []): void
    {
        $lines = self::lines(Workbench::specification($require, $more));

        self::assertSame(
            $expected,
            array_map(
                static fn (string $label): ?string => $lines[$label] ?? null,
                array_combine(array_keys($expected), array_keys($expected)),
            ),
            (string) json_encode($lines, JSON_UNESCAPED_UNICODE),
        );
    }

    public function test_a_movie_is_as_long_as_the_frames_it_is_made_from(): void
    {
        $specification = Workbench::specification(['time.rate' => 24], ['parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => ['time.range' => '1-96', 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => ['format.file_size' => '10 MB'],
            ],
        ]]);

        self::assertSame('96', self::lines($specification, 1)['frames']);
        self::assertSame('4 s', self::lines($specification, 1)['running time']);
        self::assertSame('19.8 Mbit/s', self::lines($specification, 1)['bit rate that fits 10 MB']);
    }

    /**
     * @return iterable<string, array{array<string, mixed>, list<string>}> asked, examples as folder/first, middle,
     *   last
     */
    public static function names(): iterable
    {
        yield 'first, middle, last' => [
            [
                'time.range' => '1001-1096',
                'format.kind' => 'exr',
                'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
            ],
            ['TC_010_light_v003.1001.exr', 'TC_010_light_v003.1048.exr', 'TC_010_light_v003.1096.exr'],
        ];
        yield 'of each pass' => [
            [
                'time.range' => '1-3',
                'format.kind' => 'png',
                'passes' => ['beauty', 'mist'],
                'naming.pattern' => '{shot}_{pass}.{frame:2}.{ext}',
                'naming.folder' => '{pass}',
            ],
            [
                'TC_010_beauty.01.png', 'TC_010_beauty.02.png', 'TC_010_beauty.03.png', 'TC_010_mist.01.png',
                'TC_010_mist.02.png', 'TC_010_mist.03.png',
            ],
        ];
        yield 'one frame' => [
            ['time.range' => '7', 'format.kind' => 'jpeg', 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ['TC_010.0007.jpg'],
        ];
        yield 'two frames' => [
            ['time.range' => '7-8', 'format.kind' => 'tiff', 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ['TC_010.0007.tif', 'TC_010.0008.tif'],
        ];
        yield 'a negative frame' => [
            ['time.range' => '-5', 'format.kind' => 'png', 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ['TC_010.-0005.png'],
        ];
        yield 'size and rate in the name' => [
            [
                'time.range' => '1',
                'format.kind' => 'png',
                'picture.resolution' => '1280x720',
                'time.rate' => 24,
                'naming.pattern' => '{shot}_{resolution}_{resolution:lines}_{rate}fps.{frame:4}.{ext}',
            ],
            ['TC_010_1280x720_720p_24fps.0001.png'],
        ];
        yield 'a date not known before the day' => [
            ['time.range' => '1', 'format.kind' => 'png', 'naming.pattern' => '{shot}_{date:yymmdd}.{frame:2}.{ext}'],
            ['TC_010_{date:yymmdd}.01.png'],
        ];
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  list<string>  $expected
     */
    #[DataProvider('names')]
    public function test_example_names(array $require, array $expected): void
    {
        $specification = Workbench::specification($require);
        $names = Consequences::of($specification, $specification->parts[0])->names;

        self::assertSame($expected, self::flat($names));
    }

    /** @return list<string> */
    private static function flat(?ExampleNames $names): array
    {
        preg_match_all(
            '~[^\s/"]+\.(?:exr|png|jpg|tif)\b~',
            (string) json_encode($names, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE),
            $m,
        );

        return array_values(array_unique($m[0]));
    }

    public function test_outline_and_ruler(): void
    {
        $specification = Workbench::specification(
            [
                'picture.resolution' => '720x576',
                'picture.pixel_aspect' => '16/11',
                'time.range' => '1001-1096',
                'time.handles' => '8+4',
            ],
        );
        $consequences = Consequences::of($specification, $specification->parts[0]);

        // 720 × 16/11, pixels made square
        self::assertSame(
            ['width' => 1047, 'height' => 576, 'aspect' => '1.818', 'spoken' => '16:9'],
            $consequences->shape,
        );
        self::assertSame(
            ['cut' => [1001, 1096], 'delivered' => [993, 1100], 'head' => 8, 'tail' => 4],
            $consequences->ruler,
        );
    }
}
