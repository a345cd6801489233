<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Specification\Prose;
use Tests\Core\Support\Workbench;

/** A part read out: all that is asked of its picture and its time, and nothing that is not. */
final class ProseTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string, 2?: string}> */
    public static function parts(): iterable
    {
        yield 'nothing' => [[], 'Frames.'];
        yield 'a movie of nothing' => [[], 'A movie.', 'movie'];
        yield 'a still' => [
            ['picture.resolution' => '2480x3508', 'format.kind' => 'tiff', 'format.bit_depth' => 16],
            'A single picture. It is 2480 × 3508, 16-bit TIFF.',
            'still',
        ];
        yield 'lit frames' => [
            [
                'picture.resolution' => '2048x858',
                'picture.pixel_aspect' => 1,
                'time.rate' => 24,
                'time.range' => '1001-1096',
                'camera.name' => 'cam_quay',
                'format.kind' => 'exr',
                'format.bit_depth' => 16,
                'format.sample' => 'float',
                'format.channels' => 'RGBA',
                'format.compression' => ['zip', 'zips'],
            ],
            '96 frames, 1001 to 1096, at 24 a second: exactly 4 s. Each is 2048 × 858 with square pixels, seen '
                .'through cam_quay, OpenEXR of 16-bit float RGBA, zip or zips.',
        ];
        yield 'handles are counted' => [
            ['time.range' => '1001-1096', 'time.handles' => 8, 'time.rate' => 24],
            '112 frames, 993 to 1104, at 24 a second: 4 s 16 f.',
        ];
        yield 'a rate that is not whole is never exactly' => [
            ['time.range' => '1-240', 'time.rate' => '23.976'],
            '240 frames, 1 to 240, at 23.976 a second: 10 s, 10.01 s by the clock.',
        ];
        yield 'scattered frames' => [
            ['time.range' => '1-5,9', 'time.rate' => 24],
            '6 frames, 1-5,9, at 24 a second: 6 f.',
        ];
        yield 'one frame' => [['time.range' => '7'], '1 frame, 7 to 7.'];
        yield 'the animation’s own range' => [
            ['time.range' => 'timeline', 'time.rate' => 25],
            'Frames, the animation’s own range at 25 a second.',
        ];
        yield 'one of several of each' => [
            [
                'picture.resolution' => ['1920x1080', '1280x720'],
                'time.rate' => ['24', '25'],
                'time.range' => '1-96',
                'camera.name' => ['cam_a', 'cam_b'],
                'format.kind' => ['png', 'exr'],
                'format.bit_depth' => [8, 16, 32],
                'format.sample' => ['uint', 'float'],
            ],
            '96 frames, 1 to 96, at 24 or 25 a second. Each is 1920 × 1080 or 1280 × 720, seen through cam_a or '
                .'cam_b, 8-, 16- or 32-bit PNG or OpenEXR.',
        ];
        yield 'any camera' => [
            ['camera.name' => 'any camera of the scene'],
            'Frames. Each is seen through any camera of the scene.',
        ];
        yield 'pixels that are not square' => [
            ['picture.resolution' => '720x576', 'picture.pixel_aspect' => '16/11'],
            'Frames. Each is 720 × 576 with pixels 16/11.',
        ];
        yield 'pixels not asked' => [['picture.resolution' => '720x576'], 'Frames. Each is 720 × 576.'];
        yield 'depth alone' => [
            ['format.bit_depth' => 16, 'format.sample' => 'float'],
            'Frames. Each is 16-bit float.',
        ];
        yield 'a codec' => [
            ['format.kind' => 'mp4', 'format.codec' => 'H.264', 'picture.resolution' => '1280x720'],
            'A movie. It is 1280 × 720, MP4, coded as h264.',
            'movie',
        ];
        yield 'a codec alone' => [
            ['format.codec' => ['prores', 'ffv1']],
            'A movie. It is coded as prores or ffv1.',
            'movie',
        ];
    }

    /** @param  array<string, mixed>  $require */
    #[DataProvider('parts')]
    public function test_it_is_read_out(array $require, string $says, string $delivers = 'frames'): void
    {
        self::assertSame($says, Prose::of(Workbench::specification($require, ['delivers' => $delivers])->parts[0]));
    }
}
