<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Core\Specification\SpecificationRefused;

/**
 * What people type for every requirement: the one text it becomes, the sentence it is read out as, and what is refused.
 */
final class AsksTest extends TestCase
{
    private static function read(string $id, mixed $typed): Requirement
    {
        return Requirement::read(
            Catalogue::standard()->find($id) ?? self::fail($id),
            $typed,
            SetBy::Specification,
            'Here',
        );
    }

    /** @return iterable<string, array{string, string, string, string}> id, typed, required, sentence */
    public static function typed(): iterable
    {
        foreach (self::TYPED as $id => $rows) {
            foreach ($rows as [$typed, $required, $sentence]) {
                yield "{$id}: {$typed}" => [$id, $typed, $required, $sentence];
            }
        }
    }

    private const TYPED = [
        'picture.resolution' => [
            ['1920x1080', '1920x1080', 'Each picture is 1920 × 1080 pixels.'],
            ['1920 x 1080', '1920x1080', 'Each picture is 1920 × 1080 pixels.'],
            ['1920 × 1080', '1920x1080', 'Each picture is 1920 × 1080 pixels.'],
            ['1920 by 1080', '1920x1080', 'Each picture is 1920 × 1080 pixels.'],
            ['1920*1080', '1920x1080', 'Each picture is 1920 × 1080 pixels.'],
            ['uhd', '3840x2160', 'Each picture is 3840 × 2160 pixels.'],
            ['720p', '1280x720', 'Each picture is 1280 × 720 pixels.'],
            ['1920x1080 | 1280x720', '1920x1080 | 1280x720', 'Each picture is 1920 × 1080 or 1280 × 720 pixels.'],
        ],
        'picture.scale' => [
            ['100', '100', 'The scene renders at its full size.'],
            ['100%', '100', 'The scene renders at its full size.'],
            ['50 %', '50', 'The scene renders at 50 percent of that.'],
            ['1/2', '50', 'The scene renders at 50 percent of that.'],
            ['33.3', '33.3', 'The scene renders at 33.3 percent of that.'],
        ],
        'picture.pixel_aspect' => [
            ['1', '1/1', 'Pixels are square.'],
            ['1/1', '1/1', 'Pixels are square.'],
            ['1:1', '1/1', 'Pixels are square.'],
            ['square', '1/1', 'Pixels are square.'],
            ['10/11', '10/11', 'Pixels are 10/11 wide to high.'],
            ['10:11', '10/11', 'Pixels are 10/11 wide to high.'],
            ['1.0667', '10667/10000', 'Pixels are 10667/10000 wide to high.'],
        ],
        'picture.display_aspect' => [
            ['16:9', '16:9', 'Shown on a screen the picture is 16:9.'],
            ['16/9', '16:9', 'Shown on a screen the picture is 16:9.'],
            ['1.85', '1.85', 'Shown on a screen the picture is 1.85.'],
            ['2.39:1', '2.39', 'Shown on a screen the picture is 2.39.'],
            ['2.39', '2.39', 'Shown on a screen the picture is 2.39.'],
            ['1.7778', '1.7778', 'Shown on a screen the picture is 1.7778.'],
        ],
        'picture.region' => [
            ['full', 'full', 'The whole picture is rendered, without a region.'],
            ['none', 'full', 'The whole picture is rendered, without a region.'],
            ['FULL', 'full', 'The whole picture is rendered, without a region.'],
            [
                '10,10,100,100',
                '10,10,100,100',
                'Only the region 10,10,100,100 is rendered: left, top, width and height.',
            ],
        ],
        'picture.projection' => [
            ['lat-long', 'lat-long', 'The projection is lat-long.'],
            ['latlong', 'lat-long', 'The projection is lat-long.'],
            ['equirectangular', 'lat-long', 'The projection is lat-long.'],
            ['flat', 'flat', 'The projection is flat.'],
            ['lat-long stereo', 'lat-long stereo', 'The projection is lat-long stereo.'],
            ['360', 'lat-long', 'The projection is lat-long.'],
        ],
        'picture.scan' => [
            ['progressive', 'progressive', 'The picture is progressive.'],
            ['interlaced', 'interlaced', 'The picture is interlaced.'],
            ['p', 'progressive', 'The picture is progressive.'],
            ['i', 'interlaced', 'The picture is interlaced.'],
            ['Progressive', 'progressive', 'The picture is progressive.'],
        ],
        'picture.density' => [
            ['300', '300', 'It says 300 pixels an inch.'],
            ['300 dpi', '300', 'It says 300 pixels an inch.'],
            ['300ppi', '300', 'It says 300 pixels an inch.'],
        ],
        'time.rate' => [
            ['24', '24', 'It runs at 24 frames a second.'],
            ['23.976', '24000/1001', 'It runs at 23.976 (24000/1001) frames a second.'],
            ['23.98', '24000/1001', 'It runs at 23.976 (24000/1001) frames a second.'],
            ['29.97', '30000/1001', 'It runs at 29.97 (30000/1001) frames a second.'],
            ['59.94', '60000/1001', 'It runs at 59.94 (60000/1001) frames a second.'],
            ['30000/1001', '30000/1001', 'It runs at 29.97 (30000/1001) frames a second.'],
            ['25 fps', '25', 'It runs at 25 frames a second.'],
            ['24p', '24', 'It runs at 24 frames a second.'],
        ],
        'time.range' => [
            ['1001-1096', '1001-1096', 'The frames are 1001 to 1096.'],
            ['1001 - 1096', '1001-1096', 'The frames are 1001 to 1096.'],
            ['1001..1096', '1001-1096', 'The frames are 1001 to 1096.'],
            ['1001 to 1096', '1001-1096', 'The frames are 1001 to 1096.'],
            ['1-100x2', '1-99x2', 'The frames are 1-99x2.'],
            ['1-10,20-30', '1-10,20-30', 'The frames are 1-10,20-30.'],
            ['5', '5', 'The frames are 5.'],
            ['-5-10', '-5-10', 'The frames are -5 to 10.'],
            ['timeline', 'timeline', 'The frames are those of the animation’s own range.'],
            ['the animation’s own range', 'timeline', 'The frames are those of the animation’s own range.'],
        ],
        'time.step' => [
            ['1', '1', 'Every frame is rendered, none skipped.'],
            ['2', '2', 'One frame in 2 is rendered.'],
        ],
        'time.handles' => [
            ['8', '8+8', 'Handles of 8 and 8 frames are added at head and tail.'],
            ['8+8', '8+8', 'Handles of 8 and 8 frames are added at head and tail.'],
            ['8/4', '8+4', 'Handles of 8 and 4 frames are added at head and tail.'],
            ['8, 4', '8+4', 'Handles of 8 and 4 frames are added at head and tail.'],
            ['head 8 tail 4', '8+4', 'Handles of 8 and 4 frames are added at head and tail.'],
            ['none', '0+0', 'Handles of 0 and 0 frames are added at head and tail.'],
            ['0', '0+0', 'Handles of 0 and 0 frames are added at head and tail.'],
        ],
        'time.count' => [
            ['96', '96', 'There are 96 frames.'],
            ['90 to 150', '90..150', 'There are 90 to 150 frames.'],
            ['90-150', '90..150', 'There are 90 to 150 frames.'],
            ['90..150', '90..150', 'There are 90 to 150 frames.'],
            ['at least 90', '>= 90', 'There are at least 90 frames.'],
            ['at most 150', '<= 150', 'There are at most 150 frames.'],
            ['>= 90', '>= 90', 'There are at least 90 frames.'],
            ['<= 150', '<= 150', 'There are at most 150 frames.'],
            ['> 90', '>= 91', 'There are at least 91 frames.'],
            ['under 150', '<= 149', 'There are at most 149 frames.'],
            ['90+', '>= 90', 'There are at least 90 frames.'],
        ],
        'time.duration' => [
            ['4 s', '00:00:04', 'It lasts 00:00:04.'],
            ['00:00:04', '00:00:04', 'It lasts 00:00:04.'],
            ['1 min 30 s', '00:01:30', 'It lasts 00:01:30.'],
            ['90', '00:01:30', 'It lasts 00:01:30.'],
            ['1:30', '00:01:30', 'It lasts 00:01:30.'],
            ['2 minutes', '00:02:00', 'It lasts 00:02:00.'],
            ['90 to 120 s', '00:01:30..00:02:00', 'It lasts 00:01:30 to 00:02:00.'],
            ['at most 2 min', '<= 00:02:00', 'It lasts at most 00:02:00.'],
        ],
        'time.start_timecode' => [
            ['01:00:00:00', '01:00:00:00', 'Its timecode starts at 01:00:00:00.'],
            ['01:00:00;00', '01:00:00;00', 'Its timecode starts at 01:00:00;00.'],
            ['01:00:00:99', '01:00:00:99', 'Its timecode starts at 01:00:00:99.'],
        ],
        'time.speed' => [
            ['1/1', '1/1', 'The animation plays at 1/1 of its speed.'],
            ['1', '1/1', 'The animation plays at 1/1 of its speed.'],
            ['100%', '1/1', 'The animation plays at 1/1 of its speed.'],
            ['50%', '1/2', 'The animation plays at 1/2 of its speed.'],
            ['2', '2/1', 'The animation plays at 2/1 of its speed.'],
        ],
        'time.extent' => [
            ['listed', 'listed', 'The scene is told to render its listed range.'],
            ['one', 'one', 'The scene is told to render one frame.'],
            ['whole', 'whole', 'The scene is told to render its whole timeline.'],
            ['single', 'one', 'The scene is told to render one frame.'],
            ['range', 'listed', 'The scene is told to render its listed range.'],
        ],
        'camera.name' => [
            ['cam_quay', 'cam_quay', 'It is seen through cam_quay.'],
            ['cam_*', 'cam_*', 'It is seen through cam_*.'],
            ['any camera of the scene', '*', 'It is seen through a camera of the scene, whichever.'],
            ['any', '*', 'It is seen through a camera of the scene, whichever.'],
            ['cam_a | cam_b', 'cam_a | cam_b', 'It is seen through cam_a or cam_b.'],
            ['*', '*', 'It is seen through a camera of the scene, whichever.'],
        ],
        'camera.single' => [
            ['yes', 'yes', 'Exactly one camera of the scene is chosen.'],
            ['no', 'no', 'Exactly one camera of the scene is chosen: no.'],
            ['true', 'yes', 'Exactly one camera of the scene is chosen.'],
            ['on', 'yes', 'Exactly one camera of the scene is chosen.'],
            ['1', 'yes', 'Exactly one camera of the scene is chosen.'],
        ],
        'camera.exposure' => [
            ['manual', 'manual', 'The camera’s exposure is manual.'],
            ['auto', 'auto', 'The camera’s exposure is auto.'],
            ['automatic', 'auto', 'The camera’s exposure is auto.'],
        ],
        'render.samples' => [
            ['128', '>= 128', 'Samples are at least 128.'],
            ['at least 128', '>= 128', 'Samples are at least 128.'],
            ['>= 128', '>= 128', 'Samples are at least 128.'],
            ['64 to 256', '64..256', 'Samples are 64 to 256.'],
            ['0', '>= 0', 'Samples are at least 0.'],
        ],
        'render.motion_blur' => [
            ['on', 'on', 'Motion blur is on.'],
            ['off', 'off', 'Motion blur is off.'],
            ['yes', 'on', 'Motion blur is on.'],
            ['true', 'on', 'Motion blur is on.'],
            ['0', 'off', 'Motion blur is off.'],
        ],
        'format.kind' => [
            ['png', 'png', 'Each file is PNG.'],
            ['PNG', 'png', 'Each file is PNG.'],
            ['.png', 'png', 'Each file is PNG.'],
            ['jpg', 'jpeg', 'Each file is JPEG.'],
            ['jpeg', 'jpeg', 'Each file is JPEG.'],
            ['tif', 'tiff', 'Each file is TIFF.'],
            ['exr', 'exr', 'Each file is OpenEXR.'],
            ['OpenEXR', 'exr', 'Each file is OpenEXR.'],
            ['png | exr', 'png | exr', 'Each file is PNG or OpenEXR.'],
            ['png, exr', 'png | exr', 'Each file is PNG or OpenEXR.'],
            ['png or exr', 'png | exr', 'Each file is PNG or OpenEXR.'],
            ['mp4', 'mp4', 'Each file is MP4.'],
            ['mov', 'mov', 'Each file is MOV.'],
            ['wav', 'wav', 'Each file is WAV.'],
        ],
        'format.codec' => [
            ['h264', 'h264', 'The codec is h264.'],
            ['H.264', 'h264', 'The codec is h264.'],
            ['avc', 'h264', 'The codec is h264.'],
            ['hevc', 'hevc', 'The codec is hevc.'],
            ['h265', 'hevc', 'The codec is hevc.'],
            ['prores', 'prores', 'The codec is prores.'],
            ['mjpeg', 'mjpeg', 'The codec is mjpeg.'],
            ['av1', 'av1', 'The codec is av1.'],
            ['x', 'x', 'The codec is x.'],
        ],
        'format.bit_depth' => [
            ['16', '16', 'A channel has 16 bits.'],
            ['8 bit', '8', 'A channel has 8 bits.'],
            ['16-bit', '16', 'A channel has 16 bits.'],
            ['8 | 16', '8 | 16', 'A channel has 8 or 16 bits.'],
            ['half', '16', 'A channel has 16 bits.'],
        ],
        'format.sample' => [
            ['float', 'float', 'Samples are stored as float.'],
            ['uint', 'uint', 'Samples are stored as uint.'],
            ['half', 'float', 'Samples are stored as float.'],
            ['integer', 'uint', 'Samples are stored as uint.'],
            ['int', 'uint', 'Samples are stored as uint.'],
        ],
        'format.channels' => [
            ['RGBA', 'RGBA', 'The channels are RGBA.'],
            ['rgb', 'RGB', 'The channels are RGB.'],
            ['RGB A', 'RGBA', 'The channels are RGBA.'],
            ['R,G,B', 'RGB', 'The channels are RGB.'],
            ['Y', 'Y', 'The channels are Y.'],
            ['grey', 'Y', 'The channels are Y.'],
            ['R G B diffuse.R', 'R,G,B,diffuse.R', 'The channels are R,G,B,diffuse.R.'],
        ],
        'format.alpha' => [
            ['straight', 'straight', 'Alpha: straight.'],
            ['premultiplied', 'premultiplied', 'Alpha: premultiplied.'],
            ['none', 'none', 'There is no alpha.'],
            ['any', 'any', 'There is alpha, of either kind.'],
            ['premult', 'premultiplied', 'Alpha: premultiplied.'],
            ['unassociated', 'straight', 'Alpha: straight.'],
            ['associated', 'premultiplied', 'Alpha: premultiplied.'],
        ],
        'format.compression' => [
            ['zip', 'zip', 'Compressed by zip.'],
            ['ZIP', 'zip', 'Compressed by zip.'],
            ['zip | zips', 'zip | zips', 'Compressed by zip or zips.'],
            ['lossless', 'lossless', 'Compression loses nothing.'],
            ['none', 'none', 'Compressed by none.'],
            ['piz, zip', 'piz | zip', 'Compressed by piz or zip.'],
        ],
        'format.quality' => [
            ['90', '>= 90', 'Quality is at least 90.'],
            ['at least 90', '>= 90', 'Quality is at least 90.'],
            ['90%', '>= 90', 'Quality is at least 90.'],
        ],
        'format.chroma' => [
            ['4:2:0', '4:2:0', 'Chroma is sampled 4:2:0.'],
            ['420', '4:2:0', 'Chroma is sampled 4:2:0.'],
            ['4:4:4', '4:4:4', 'Chroma is sampled 4:4:4.'],
            ['4:2:2', '4:2:2', 'Chroma is sampled 4:2:2.'],
        ],
        'format.bit_rate' => [
            ['8 Mbit/s', '8000000', 'The bit rate is 8 Mbit/s.'],
            ['8 Mbps', '8000000', 'The bit rate is 8 Mbit/s.'],
            ['8000 kbit/s', '8000000', 'The bit rate is 8 Mbit/s.'],
            ['8000000', '8000000', 'The bit rate is 8 Mbit/s.'],
            ['5 to 10 Mbit/s', '5000000..10000000', 'The bit rate is 5 Mbit/s to 10 Mbit/s.'],
            ['at most 10 Mbit/s', '<= 10000000', 'The bit rate is at most 10 Mbit/s.'],
            ['8 MB/s', '64000000', 'The bit rate is 64 Mbit/s.'],
        ],
        'format.keyframe_interval' => [
            ['48', '<= 48', 'Keyframes are at most 48 frames apart.'],
            ['at most 48', '<= 48', 'Keyframes are at most 48 frames apart.'],
            ['<= 48', '<= 48', 'Keyframes are at most 48 frames apart.'],
        ],
        'format.b_frames' => [
            ['none', 'none', 'There are no B-frames.'],
            ['0', 'none', 'There are no B-frames.'],
            ['2', '<= 2', 'B-frames in a row: at most 2.'],
            ['at most 2', '<= 2', 'B-frames in a row: at most 2.'],
            ['no', 'none', 'There are no B-frames.'],
        ],
        'format.file_size' => [
            ['25 MB', '<= 25000000', 'A file has at most 25 MB.'],
            ['25 MiB', '<= 26214400', 'A file has at most 26.2 MB.'],
            ['25000000', '<= 25000000', 'A file has at most 25 MB.'],
            ['at most 25 MB', '<= 25000000', 'A file has at most 25 MB.'],
            ['25 mb', '<= 25000000', 'A file has at most 25 MB.'],
            ['1.5 GB', '<= 1500000000', 'A file has at most 1.5 GB.'],
        ],
        'format.index' => [
            ['first', 'first', 'The index stands first.'],
            ['front', 'first', 'The index stands first.'],
        ],
        'colour.encoding' => [
            ['srgb', 'srgb', 'Colour is encoded as srgb.'],
            ['sRGB', 'srgb', 'Colour is encoded as srgb.'],
            ['rec709', 'rec709', 'Colour is encoded as rec709.'],
            ['Rec.709', 'rec709', 'Colour is encoded as rec709.'],
            ['linear', 'linear', 'Colour is encoded as linear.'],
            ['bt709', 'rec709', 'Colour is encoded as rec709.'],
            ['ACEScg', 'acescg', 'Colour is encoded as acescg.'],
            ['rec2020', 'rec2020', 'Colour is encoded as rec2020.'],
            ['pq', 'pq', 'Colour is encoded as pq.'],
        ],
        'colour.exposure' => [
            ['0', '0', 'The view’s exposure is 0.'],
            ['0.5', '0.5', 'The view’s exposure is 0.5.'],
            ['-1', '-1', 'The view’s exposure is -1.'],
            ['+1', '1', 'The view’s exposure is 1.'],
        ],
        'audio.presence' => [
            ['none', 'none', 'There is no sound.'],
            ['required', 'required', 'There is sound.'],
            ['yes', 'required', 'There is sound.'],
            ['no', 'none', 'There is no sound.'],
        ],
        'audio.sample_rate' => [
            ['48000', '48000', 'Sound has 48000 samples a second.'],
            ['48 kHz', '48000', 'Sound has 48000 samples a second.'],
            ['44.1 kHz', '44100', 'Sound has 44100 samples a second.'],
        ],
        'audio.bit_depth' => [
            ['24', '24', 'Sound has 24 bits.'],
            ['24 bit', '24', 'Sound has 24 bits.'],
        ],
        'audio.channels' => [
            ['2', '2', 'Sound has 2 channels.'],
            ['stereo', '2', 'Sound has 2 channels.'],
            ['mono', '1', 'Sound has 1 channels.'],
            ['5.1', '6', 'Sound has 6 channels.'],
        ],
        'naming.pattern' => [
            ['{shot}.{frame:4}.{ext}', '{shot}.{frame:4}.{ext}', 'Files are named {shot}.{frame:4}.{ext}.'],
            ['plain.png', 'plain.png', 'Files are named plain.png.'],
            ['{{a}}.{frame:4}.png', '{{a}}.{frame:4}.png', 'Files are named {{a}}.{frame:4}.png.'],
        ],
        'naming.folder' => [
            ['renders/{shot}', 'renders/{shot}', 'They lie in the folder renders/{shot}.'],
            ['.', '.', 'They lie at the root of the delivery.'],
            ['./a', './a', 'They lie in the folder ./a.'],
            ['../a', '../a', 'They lie in the folder ../a.'],
            ['/abs', '/abs', 'They lie in the folder /abs.'],
            ['a//b', 'a//b', 'They lie in the folder a//b.'],
        ],
        'passes' => [
            ['beauty, mist', 'beauty | mist', 'The passes are beauty and mist.'],
            ['beauty | mist', 'beauty | mist', 'The passes are beauty and mist.'],
            ['beauty', 'beauty', 'The pass is beauty.'],
            ['beauty, beauty', 'beauty', 'The pass is beauty.'],
        ],
        'burn_in' => [
            ['none', 'none', 'Nothing is burnt into the picture.'],
            ['shot, version, frame', 'shot | version | frame', 'Burnt in: shot, version and frame.'],
            ['shot | frame', 'shot | frame', 'Burnt in: shot and frame.'],
            ['smell', 'smell', 'Burnt in: smell.'],
        ],
        'content.black' => [
            ['none', 'none', 'No frame is black.'],
            ['1-5', '1-5', 'Black frames: 1-5.'],
            [
                '1-5, threshold 2%',
                '1-5, threshold 1/50',
                'Black frames: 1-5, where black is a mean of at most 1/50 of white.',
            ],
            ['1001-1008', '1001-1008', 'Black frames: 1001-1008.'],
        ],
        'content.frozen' => [
            ['none', 'none', 'No two frames in a row are the same picture.'],
            ['at most 3', '<= 3', 'Frames that stand still: at most 3.'],
            ['3', '<= 3', 'Frames that stand still: at most 3.'],
            ['1-5', '1-5', 'Frames that stand still: 1-5.'],
        ],
        'content.hold' => [
            ['8+8', '8+8', 'Held at head and tail: 8 and 8 frames.'],
            ['8', '8+8', 'Held at head and tail: 8 and 8 frames.'],
        ],
        'content.loop' => [
            ['yes', 'yes', 'The last frame leads into the first.'],
            ['no', 'no', 'The last frame leads into the first: no.'],
        ],
        'delivery.extras' => [
            ['none', 'none', 'Nothing is delivered that is not asked.'],
            ['no', 'none', 'Nothing is delivered that is not asked.'],
        ],
        'delivery.total_size' => [
            ['4 GB', '<= 4000000000', 'All of it has at most 4 GB.'],
            ['at most 4 GB', '<= 4000000000', 'All of it has at most 4 GB.'],
        ],
        'delivery.checksums' => [
            ['present', 'present', 'A checksum list lies beside the files and agrees with them.'],
            ['yes', 'present', 'A checksum list lies beside the files and agrees with them.'],
        ],
        'other.fog' => [
            ['thick', 'thick', 'Fog: thick.'],
            ['12', '12', 'Fog: 12.'],
            ['at least 3', '>= 3', 'Fog: at least 3.'],
            ['3 to 5', '3..5', 'Fog: 3 to 5.'],
            ['yes', 'yes', 'Fog: yes.'],
        ],
    ];

    #[DataProvider('typed')]
    public function test_what_is_typed_becomes_one_text_and_a_sentence(
        string $id,
        string $typed,
        string $required,
        string $sentence,
    ): void {
        $requirement = self::read($id, $typed);

        self::assertSame([$required, $sentence], [$requirement->required(), $requirement->sentence()]);
        // what is shown can be typed again, and what is written can be read again
        self::assertSame($required, self::read($id, $required)->required());
        self::assertSame(
            $required,
            (string) RequirementValue::read($requirement->descriptor, SpecificationDocument::ask($requirement)),
        );
    }

    /** @return iterable<string, array{string, string, string}> id, typed, why it is refused */
    public static function refused(): iterable
    {
        foreach (self::REFUSED as $id => $rows) {
            foreach ($rows as [$typed, $why]) {
                yield "{$id}: {$typed}" => [$id, $typed, $why];
            }
        }
    }

    private const REFUSED = [
        'picture.resolution' => [
            ['HD', '“HD” is not a size in pixels; write it like 1920x1080.'],
            ['4k', '“4k” is not a size in pixels; write it like 1920x1080.'],
            ['0x1080', 'A picture of 0 by 1080 pixels is not possible: each side is from 1 to 1,000,000.'],
            ['1920x', '“1920x” is not a size in pixels; write it like 1920x1080.'],
            ['-1920x1080', '“-1920x1080” is not a size in pixels; write it like 1920x1080.'],
            ['1920.5x1080', '“1920.5x1080” is not a size in pixels; write it like 1920x1080.'],
            ['2000000x10', 'A picture of 2000000 by 10 pixels is not possible: each side is from 1 to 1,000,000.'],
        ],
        'picture.scale' => [
            ['0', '“0” is not a percentage; write it like 100.'],
            ['-5', '“-5” is not a percentage; write it like 100.'],
        ],
        'picture.pixel_aspect' => [
            ['0', '“0” is not a number above zero; write it like 1/1 or 10/11.'],
            ['1/0', '“1/0” is not a fraction; write it like 10/11 or 1.5.'],
        ],
        'picture.display_aspect' => [
            ['scope', '“scope” is not a shape; write it like 16:9 or 2.39.'],
            ['0:9', '“0:9” is not a shape; write it like 16:9 or 2.39.'],
            ['a', '“a” is not a shape; write it like 16:9 or 2.39.'],
        ],
        'picture.region' => [
            ['crop', '“crop” is not a region; write it like full, or x,y,width,height.'],
        ],
        'picture.projection' => [
            ['cube', '“cube” is not one of flat, lat-long, lat-long stereo.'],
        ],
        'picture.density' => [
            ['72.5', '“72.5” is not a whole number; write it like 300.'],
            ['0', '0 is not possible: it is from 1 to 100000.'],
        ],
        'time.rate' => [
            ['0', '“0” is not a frame rate; write it like 24, 23.976 or 24000/1001.'],
            ['-24', '“-24” is not a frame rate; write it like 24, 23.976 or 24000/1001.'],
            ['1/0', '“1/0” is not a frame rate; write it like 24, 23.976 or 24000/1001.'],
            ['fast', '“fast” is not a frame rate; write it like 24, 23.976 or 24000/1001.'],
            ['1000000000', '“1000000000” is not a frame rate; write it like 24, 23.976 or 24000/1001.'],
        ],
        'time.range' => [
            ['10-1', 'The range 10 to 1 ends before it starts.'],
            ['1-1000000000000', '“1-1000000000000” is not a frame range; write it like 1-100, 1-100x2 or 1-10,15.'],
            ['', 'the value is empty.'],
            [' ', 'the value is empty.'],
        ],
        'time.step' => [
            ['0', '0 is not possible: it is from 1 to 1000000.'],
            ['-1', '“-1” is not a whole number; write it like 1.'],
            ['1.5', '“1.5” is not a whole number; write it like 1.'],
            ['every 2nd', '“every 2nd” is not a whole number; write it like 1.'],
        ],
        'time.handles' => [
            ['-8', '“-8” is not handles; write it like 8 or 8+8.'],
            ['8+', '“8+” is not handles; write it like 8 or 8+8.'],
        ],
        'time.count' => [
            ['0', '0 is not possible: it is from 1 to 100000000.'],
            ['1e12', '“1e12” is not a whole number; write it like 96.'],
        ],
        'time.duration' => [
            ['-4 s', '“-4 s” is not a length of time; write it like 90 s, 1:30 or 00:01:30:12.'],
        ],
        'time.start_timecode' => [
            ['1:0:0:0', '“1:0:0:0” is not a timecode; write it like 01:00:00:00, or 01:00:00;00 for drop-frame.'],
            [
                '25:00:00:00',
                '“25:00:00:00” is not a timecode; write it like 01:00:00:00, or 01:00:00;00 for drop-frame.',
            ],
            ['01:00:00', '“01:00:00” is not a timecode; write it like 01:00:00:00, or 01:00:00;00 for drop-frame.'],
        ],
        'camera.single' => [
            ['maybe', '“maybe” is not yes or no; write it like yes.'],
        ],
        'render.samples' => [
            ['-1', '“-1” is not a whole number; write it like 128.'],
        ],
        'format.kind' => [
            ['psd', '“psd” is not a format known here; write it like png, jpeg, exr or mp4.'],
        ],
        'format.bit_depth' => [
            ['0', '0 is not possible: it is from 1 to 128.'],
            ['200', '200 is not possible: it is from 1 to 128.'],
        ],
        'format.channels' => [
            ['', 'the value is empty.'],
        ],
        'format.compression' => [
            [
                'brotli',
                '“brotli” is not one of none, rle, zip, zips, piz, pxr24, b44, b44a, dwaa, dwab, htj2k256, htj2k32, '
                    .'lzw, deflate, packbits, jpeg, ccitt, ccitt-g3, ccitt-g4, jbig, jpeg2000, jpeg-xl, lerc, lzma, '
                    .'zstd, webp, lossy, lossless.',
            ],
        ],
        'format.quality' => [
            ['0', '0 is not possible: it is from 1 to 100.'],
            ['101', '101 is not possible: it is from 1 to 100.'],
        ],
        'format.chroma' => [
            ['411', '“411” is not one of 4:4:4, 4:2:2, 4:2:0.'],
        ],
        'format.bit_rate' => [
            ['-1', '“-1” is not a bit rate; write it like 8 Mbit/s or 8000000.'],
        ],
        'format.keyframe_interval' => [
            ['0', '0 is not possible: it is from 1 to 1000000.'],
        ],
        'format.file_size' => [
            ['-1', '“-1” is not a size; write it like 25 MB or 1.5 GiB.'],
            ['big', '“big” is not a size; write it like 25 MB or 1.5 GiB.'],
        ],
        'format.index' => [
            ['last', '“last” is not one of first.'],
        ],
        'colour.exposure' => [
            ['zero', '“zero” is not a number; write it like 0.'],
        ],
        'audio.sample_rate' => [
            ['0', '0 is not possible: it is from 1 to 10000000.'],
        ],
        'naming.pattern' => [
            ['{shot', 'The name pattern “{shot” cannot be used: a brace is not closed or not opened.'],
            ['shot}', 'The name pattern “shot}” cannot be used: a brace is not closed or not opened.'],
            [
                '{frame}{frame}',
                'The name pattern “{frame}{frame}” cannot be used: the frame number stands in it more than once.',
            ],
            ['{ext}.{shot}', 'The name pattern “{ext}.{shot}” cannot be used: {ext} is always last.'],
            [
                '{shot}\\{frame}',
                'The name pattern “{shot}\\{frame}” cannot be used: it holds a backslash or a control character; '
                    .'folders are separated by “/”.',
            ],
            [
                '{}',
                'The name pattern “{}” cannot be used: {} is no piece; a piece is a name, with a count of digits if '
                    .'it is a number, like {version:3}.',
            ],
            ['{shot:99}', 'The name pattern “{shot:99}” cannot be used: {shot} may have 1 to 18 digits.'],
            [
                '{frame:x}',
                'The name pattern “{frame:x}” cannot be used: after {frame: stands a count of digits, like {frame:4}.',
            ],
        ],
        'naming.folder' => [
            [
                'a\\b',
                'The name pattern “a\\b” cannot be used: it holds a backslash or a control character; folders are '
                    .'separated by “/”.',
            ],
        ],
        'passes' => [
            ['', 'the list of passes is empty.'],
        ],
        'content.black' => [
            ['none above 0.01', '“none above 0.01” is not a frame range; write it like 1-100, 1-100x2 or 1-10,15.'],
        ],
        'delivery.extras' => [
            ['some', '“some” is not one of none.'],
        ],
        'other.fog' => [
            ['', 'the value is empty.'],
        ],
    ];

    #[DataProvider('refused')]
    public function test_what_cannot_be_asked_is_refused_in_words(string $id, string $typed, string $why): void
    {
        $this->expectException(SpecificationRefused::class);
        $this->expectExceptionMessage($why);
        self::read($id, $typed);
    }

    /** @return iterable<string, array{string, mixed, string}> id, as a document has it, required */
    public static function documents(): iterable
    {
        yield 'a number' => ['time.rate', 23.976, '24000/1001'];
        yield 'a whole number' => ['format.bit_depth', 16, '16'];
        yield 'true' => ['scene.saved', true, 'yes'];
        yield 'false' => ['render.motion_blur', false, 'off'];
        yield 'a list' => ['format.kind', ['png', 'exr'], 'png | exr'];
        yield 'a list with one twice' => ['format.kind', ['png', 'PNG'], 'png'];
        yield 'channels as a list' => ['format.channels', ['R', 'G', 'B', 'mist.Y'], 'R,G,B,mist.Y'];
        yield 'bounds' => ['time.count', ['min' => 90, 'max' => 150], '90..150'];
        yield 'one bound' => ['render.samples', ['min' => 128], '>= 128'];
        yield 'a value with a level' => ['time.rate', ['value' => '25', 'level' => 'should'], '25'];
        yield 'handles by name' => ['time.handles', ['head' => 8, 'tail' => 4], '8+4'];
        yield 'only a head' => ['time.handles', ['head' => 8], '8+0'];
        yield 'passes with requirements of their own' => [
            'passes',
            ['beauty', ['name' => 'mist', 'require' => ['format.channels' => 'Y']]],
            'beauty | mist',
        ];
        yield 'times' => ['time.duration', ['min' => '90 s', 'max' => '2 min'], '00:01:30..00:02:00'];
        yield 'black with a threshold' => [
            'content.black',
            ['value' => 'none', 'threshold' => '1/255'],
            'none, threshold 1/255',
        ];
        yield 'black frames that are allowed' => ['content.black', ['allowed' => '1-5'], '1-5'];
        yield 'a fact of the production’s own' => ['other.fog', ['min' => 0.5], '>= 0.5'];
        yield 'what is burnt in' => ['burn_in', ['shot', 'frame'], 'shot | frame'];
        yield 'no B-frames' => ['format.b_frames', ['max' => 0], '<= 0'];
    }

    #[DataProvider('documents')]
    public function test_what_a_document_has(string $id, mixed $json, string $required): void
    {
        self::assertSame($required, self::read($id, $json)->required());
    }

    /** @return iterable<string, array{string, mixed}> */
    public static function strange(): iterable
    {
        yield 'nothing' => ['time.rate', null];
        yield 'an empty list' => ['format.kind', []];
        yield 'an object without a value' => ['time.rate', ['rate' => 24]];
        yield 'bounds where there are none' => ['time.rate', ['min' => 24]];
        yield 'bounds the wrong way round' => ['time.count', ['min' => 9, 'max' => 3]];
        yield 'a list in a list' => ['format.kind', [['png']]];
        yield 'a pass without a name' => ['passes', [['require' => []]]];
        yield 'a pass whose own requirements are a list' => ['passes', [['name' => 'mist', 'require' => ['Y']]]];
        yield 'a threshold above white' => ['content.black', ['value' => 'none', 'threshold' => 2]];
        yield 'times the wrong way round' => ['time.duration', ['min' => '2 min', 'max' => '1 min']];
        yield 'a text of 5,000 characters for a pattern' => ['naming.pattern', str_repeat('a', 5000)];
        yield 'control characters in a pattern' => ['naming.pattern', "{shot}\n.{ext}"];
        yield 'a level that is none' => ['time.rate', ['value' => '24', 'level' => 'perhaps']];
    }

    #[DataProvider('strange')]
    public function test_strange_values_are_refused_and_never_a_crash(string $id, mixed $json): void
    {
        try {
            self::read($id, $json);
            self::fail('It was read.');
        } catch (SpecificationRefused $refused) {
            self::assertMatchesRegularExpression('~[.]$~', $refused->getMessage());
            self::assertStringNotContainsString("\n", $refused->getMessage());
        }
    }
}
