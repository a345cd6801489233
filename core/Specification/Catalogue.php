<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Group as G;
use PlainLedger\Core\Specification\ValueType as T;

/** Every requirement there is, in the ledger's order. */
final class Catalogue
{
    private const COMPRESSIONS = ['none', 'rle', 'zip', 'zips', 'piz', 'pxr24', 'b44', 'b44a', 'dwaa', 'dwab', 'htj2k256', 'htj2k32', 'lzw', 'deflate', 'packbits', 'jpeg', 'lossless'];

    private static ?self $standard = null;

    /** @var array<string, int> where each id stands */
    private readonly array $places;

    /** @param  array<string, Descriptor>  $descriptors */
    private function __construct(private readonly array $descriptors)
    {
        $this->places = array_flip(array_keys($descriptors));
    }

    public static function standard(): self
    {
        // some seventy values that never change, asked for within comparisons
        return self::$standard ??= self::made();
    }

    private static function made(): self
    {
        $list = [
            new Descriptor('picture.resolution', G::Picture, 'Resolution', T::Resolution, 'SFM', 'Each picture is %s pixels.', example: '1920x1080', several: true, also: 'size, dimensions, width, height, pixels, hd, uhd, 2k, 4k'),
            new Descriptor('picture.scale', G::Picture, 'Render scale', T::Percent, 'S', 'The scene renders at %s percent of that.', example: '100', also: 'percentage, proxy, half size, preview size'),
            new Descriptor('picture.pixel_aspect', G::Picture, 'Pixel aspect', T::Fraction, 'SFM', 'Pixels are %s wide to high.', example: '1/1', also: 'par, square pixels, anamorphic, sample aspect'),
            new Descriptor('picture.display_aspect', G::Picture, 'Shape on screen', T::Aspect, 'SFM', 'Shown on a screen the picture is %s.', example: '16:9', several: true, also: 'aspect ratio, dar, shape, 16:9, scope, widescreen, letterbox'),
            new Descriptor('picture.region', G::Picture, 'Render region', T::Region, 'SFM', 'The whole picture is rendered, region %s.', example: 'full', also: 'crop, border, window, region of interest, data window'),
            new Descriptor('picture.projection', G::Picture, 'Projection', T::Word, 'SFM', 'The projection is %s.', ['flat', 'lat-long', 'lat-long stereo'], 'flat', also: 'lat-long, equirectangular, panorama, 360, vr, dome, spherical, stereo'),
            new Descriptor('picture.scan', G::Picture, 'Scan', T::Word, 'SM', 'The picture is %s.', ['progressive', 'interlaced'], 'progressive', also: 'interlaced, progressive, fields'),
            new Descriptor('picture.density', G::Picture, 'Density', T::Whole, 'SF', 'It says %s pixels an inch.', example: '300', least: 1, most: 100000, also: 'ppi, dpi, print, pixels per inch'),
            new Descriptor('time.rate', G::Time, 'Frame rate', T::Rate, 'SMF', 'It runs at %s frames a second.', example: '24', several: true, also: 'fps, frames per second, speed, 23.976, 25, ntsc, pal'),
            new Descriptor('time.range', G::Time, 'Frame range', T::Range, 'SFD', 'The frames are %s.', example: '1001-1096', also: 'frames, start, end, first, last, in, out, timeline'),
            new Descriptor('time.step', G::Time, 'Frame step', T::Whole, 'SF', 'One frame in %s is rendered.', example: '1', least: 1, most: 1000000, also: 'every nth frame, stride, by, increment'),
            new Descriptor('time.handles', G::Time, 'Handles', T::Handles, '', 'Handles of %s frames are added at head and tail.', example: '8+8', also: 'head, tail, pre-roll, post-roll'),
            new Descriptor('time.count', G::Time, 'Frame count', T::Whole, 'SFM', 'There are %s frames.', example: '96', bounds: true, least: 1, most: 100000000, also: 'number of frames, length, how many'),
            new Descriptor('time.duration', G::Time, 'Duration', T::Duration, 'SFM', 'It lasts %s.', example: '00:00:04', bounds: true, also: 'length, running time, seconds, minutes'),
            new Descriptor('time.start_timecode', G::Time, 'Start timecode', T::Timecode, 'MF', 'Its timecode starts at %s.', example: '01:00:00:00', also: 'tc, smpte, drop-frame, start time'),
            new Descriptor('time.speed', G::Time, 'Speed', T::Fraction, 'S', 'The animation plays at %s of its speed.', example: '1/1', also: 'time stretch, remap, slow motion'),
            new Descriptor('time.extent', G::Time, 'What is rendered', T::Word, 'S', 'The scene is told to render %s.', ['one', 'listed', 'whole'], 'listed', also: 'single frame, animation, what to render'),
            new Descriptor('camera.name', G::Camera, 'Camera', T::Camera, 'SF', 'It is seen through %s.', example: 'cam_*', several: true, also: 'view, lens, shot camera'),
            new Descriptor('camera.single', G::Camera, 'One camera of the scene', T::YesNo, 'S', 'Exactly one camera of the scene is chosen: %s.', example: 'yes', also: 'one camera, camera that renders, working view'),
            new Descriptor('camera.exposure', G::Camera, 'Camera exposure', T::Word, 'S', 'The camera’s exposure is %s.', ['manual', 'auto'], 'manual', also: 'auto exposure, aperture, brightness'),
            new Descriptor('scene.saved', G::Scene, 'Scene saved', T::YesNo, 'S', 'The scene is saved: %s.', example: 'yes', also: 'unsaved changes, save'),
            new Descriptor('scene.links', G::Scene, 'Linked files present', T::YesNo, 'S', 'Every linked file is present: %s.', example: 'yes', also: 'textures, references, missing files, caches, assets'),
            new Descriptor('render.renderer', G::Render, 'Renderer', T::Text, 'S', 'It is rendered with %s.', several: true, also: 'engine, renderer'),
            new Descriptor('render.quality', G::Render, 'Quality', T::Word, 'S', 'The quality is %s.', ['final', 'draft'], 'final', also: 'draft, preview, final'),
            new Descriptor('render.samples', G::Render, 'Samples', T::Whole, 'S', 'Samples are %s.', example: '128', bounds: true, plain: 'min', also: 'noise, anti-aliasing, sampling'),
            new Descriptor('render.motion_blur', G::Render, 'Motion blur', T::OnOff, 'S', 'Motion blur is %s.', example: 'on', also: 'shutter, blur'),
            new Descriptor('render.post_effects', G::Render, 'Post effects', T::OnOff, 'S', 'Post effects are %s.', example: 'off', also: 'glow, compositing, filters'),
            new Descriptor('render.overlays', G::Render, 'Overlays', T::OnOff, 'S', 'Overlays are %s.', example: 'off', also: 'grid, guides, helpers, gizmos, safe areas'),
            new Descriptor('output.folder', G::Output, 'Output folder', T::Pattern, 'S', 'The scene writes into %s, inside its project.', example: 'renders/{shot}', also: 'path, directory, render folder, where it is saved'),
            new Descriptor('output.overwrites', G::Output, 'Overwrites earlier files', T::YesNo, 'SD', 'Earlier files are overwritten: %s.', example: 'no', also: 'overwrite, replace, existing files'),
            new Descriptor('format.kind', G::Format, 'Format', T::Kind, 'SFM', 'Each file is %s.', example: 'png', several: true, also: 'file type, extension, png, exr, jpeg, tiff, mp4, mov, image format'),
            new Descriptor('format.codec', G::Format, 'Codec', T::Codec, 'SM', 'The codec is %s.', example: 'h264', several: true, also: 'h264, hevc, prores, encoder, compression'),
            new Descriptor('format.bit_depth', G::Format, 'Bit depth', T::Whole, 'SFM', 'A channel has %s bits.', example: '16', several: true, least: 1, most: 128, also: 'bits, 8 bit, 16 bit, half, colour depth'),
            new Descriptor('format.sample', G::Format, 'Sample type', T::Word, 'SF', 'Samples are stored as %s.', ['uint', 'float'], 'float', several: true, also: 'float, half float, integer, data type'),
            new Descriptor('format.channels', G::Format, 'Channels', T::Channels, 'SFM', 'The channels are %s.', example: 'RGBA', also: 'rgb, rgba, grey, greyscale, colour mode'),
            new Descriptor('format.alpha', G::Format, 'Alpha', T::Word, 'SFM', 'Alpha: %s.', ['none', 'straight', 'premultiplied', 'any'], 'straight', also: 'transparency, matte, premultiplied, straight, background'),
            new Descriptor('format.compression', G::Format, 'Compression', T::Word, 'SFM', 'Compressed by %s.', self::COMPRESSIONS, 'zip', several: true, also: 'zip, piz, lossless, lzw'),
            new Descriptor('format.quality', G::Format, 'Compression quality', T::Whole, 'SF', 'Quality is %s.', example: '90', bounds: true, least: 1, most: 100, plain: 'min', also: 'jpeg quality, lossy'),
            new Descriptor('format.chroma', G::Format, 'Chroma', T::Word, 'SFM', 'Chroma is sampled %s.', ['4:4:4', '4:2:2', '4:2:0'], '4:2:0', several: true, also: 'subsampling, 4:2:0, 4:2:2, 4:4:4, yuv'),
            new Descriptor('format.bit_rate', G::Format, 'Bit rate', T::BitRate, 'SM', 'The bit rate is %s.', example: '8 Mbit/s', bounds: true, also: 'bitrate, mbps, data rate, bandwidth'),
            new Descriptor('format.keyframe_interval', G::Format, 'Keyframe interval', T::Interval, 'SM', 'Keyframes are %s apart.', example: '48', bounds: true, least: 1, most: 1000000, plain: 'max', also: 'gop, i-frames, keyframes, seeking'),
            new Descriptor('format.b_frames', G::Format, 'B-frames', T::NoneOrCount, 'SM', 'B-frames in a row: %s.', example: 'none', bounds: true, plain: 'max', also: 'bidirectional, b frames, gop'),
            new Descriptor('format.file_size', G::Format, 'File size', T::Size, 'SFM', 'A file has %s.', example: '25 MB', bounds: true, plain: 'max', also: 'megabytes, mb, size cap, largest file'),
            new Descriptor('format.index', G::Format, 'Index', T::Word, 'M', 'The index stands %s.', ['first'], 'first', also: 'fast start, streaming, progressive download'),
            new Descriptor('colour.encoding', G::Colour, 'Colour encoding', T::Encoding, 'SFM', 'Colour is encoded as %s.', example: 'srgb', several: true, also: 'colour space, color space, srgb, rec709, linear, gamma, transfer'),
            new Descriptor('colour.view', G::Colour, 'View', T::Text, 'S', 'The view is %s.', example: 'none', also: 'view transform, display transform, tone map'),
            new Descriptor('colour.look', G::Colour, 'Look', T::Text, 'S', 'The look is %s.', example: 'none', also: 'grade, lut, contrast'),
            new Descriptor('colour.exposure', G::Colour, 'Exposure of the view', T::Number, 'S', 'The view’s exposure is %s.', example: '0', also: 'brightness, stops'),
            new Descriptor('colour.gamma', G::Colour, 'Gamma of the view', T::Number, 'S', 'The view’s gamma is %s.', example: '1', also: 'gamma, curve'),
            new Descriptor('audio.presence', G::Sound, 'Sound', T::Word, 'SM', 'Sound: %s.', ['none', 'required'], 'none', also: 'sound, audio, silent, mute'),
            new Descriptor('audio.sample_rate', G::Sound, 'Sound rate', T::Whole, 'SM', 'Sound has %s samples a second.', example: '48000', least: 1, most: 10000000, also: 'khz, 48000, 44100, sampling'),
            new Descriptor('audio.bit_depth', G::Sound, 'Sound depth', T::Whole, 'SM', 'Sound has %s bits.', example: '24', least: 1, most: 64, also: 'audio bits, 24 bit sound'),
            new Descriptor('audio.channels', G::Sound, 'Sound channels', T::Whole, 'SM', 'Sound has %s channels.', example: '2', least: 1, most: 1024, also: 'stereo, mono, surround, 5.1'),
            new Descriptor('naming.pattern', G::Naming, 'File names', T::Pattern, 'SFM', 'Files are named %s.', example: '{shot}_v{version:3}.{frame:4}.{ext}', also: 'file name, filename, name template, numbering, padding, digits, version'),
            new Descriptor('naming.folder', G::Naming, 'Folder', T::Pattern, 'SD', 'They lie in the folder %s.', example: '{shot}', also: 'directory, path, folder tree, where the files lie'),
            new Descriptor('passes', G::Naming, 'Passes', T::Passes, 'SFD', 'The passes are %s.', example: 'beauty, mist', also: 'layers, aovs, render elements, beauty, mask, depth, mist, render layers'),
            new Descriptor('burn_in', G::Naming, 'Burn-in', T::Text, 'S', 'Burnt in: %s.', example: 'none', several: true, also: 'slate, stamp, overlay text, watermark, metadata on picture'),
            new Descriptor('content.whole', G::Content, 'Every file whole', T::YesNo, 'FM', 'Every file is whole: %s.', example: 'yes', also: 'corrupt, truncated, damaged, broken, readable'),
            new Descriptor('content.uniform', G::Content, 'All frames alike', T::YesNo, 'F', 'All frames share format, size, depth, channels and compression: %s.', example: 'yes', also: 'same settings, consistent, mixed frames'),
            new Descriptor('content.black', G::Content, 'Black frames', T::Black, 'F', 'Black frames: %s.', example: 'none', also: 'black frames, empty, dark, missing light'),
            new Descriptor('content.frozen', G::Content, 'Frozen frames', T::Frozen, 'F', 'Frames that stand still: %s.', example: 'none', bounds: true, also: 'duplicate frames, still, stuck, repeated'),
            new Descriptor('content.hold', G::Content, 'Held frames', T::Hold, 'F', 'Held at head and tail: %s frames.', example: '8+8', also: 'held frames, freeze at start, freeze at end'),
            new Descriptor('content.loop', G::Content, 'Loops', T::YesNo, 'F', 'The last frame leads into the first: %s.', example: 'yes', also: 'cycle, seamless, repeat'),
            new Descriptor('content.cadence', G::Content, 'Cadence', T::Cadence, 'FM', 'Each picture stands: %s.', example: 'every', several: true, also: 'on twos, on ones, pulldown, repeated pictures, every frame'),
            new Descriptor('content.source', G::Content, 'Pictures of its frames', T::YesNo, 'M', 'It shows the pictures it is made from, in their order, each once: %s.', example: 'yes', also: 'same pictures, order, made from'),
            new Descriptor('content.alpha_used', G::Content, 'Alpha in use', T::YesNo, 'F', 'Alpha is not opaque everywhere: %s.', example: 'yes', also: 'transparent background, opaque'),
            new Descriptor('content.reference', G::Content, 'Approved picture', T::Reference, 'F', 'It agrees with the approved picture: %s.', example: 'frame 1024: approved/1024.png', several: true, also: 'approved frame, look check, compare'),
            new Descriptor('delivery.extras', G::Delivery, 'Nothing left over', T::Word, 'D', 'Files that nothing asks for: %s.', ['none'], 'none', also: 'left over, stray files, clean folder, junk'),
            new Descriptor('delivery.total_size', G::Delivery, 'Size in all', T::Size, 'D', 'All of it has %s.', example: '4 GB', bounds: true, plain: 'max', also: 'whole size, disk space, gigabytes, upload limit'),
            new Descriptor('delivery.checksums', G::Delivery, 'Checksum list', T::Word, 'D', 'A checksum list is %s.', ['present'], 'present', also: 'md5, sha256, hash, mhl, verify'),
        ];
        $byId = [];
        foreach ($list as $descriptor) {
            $byId[$descriptor->id] = $descriptor;
        }

        return new self($byId);
    }

    public function find(string $id): ?Descriptor
    {
        if (isset($this->descriptors[$id])) {
            return $this->descriptors[$id];
        }
        if (preg_match('~^other\.([A-Za-z0-9_-]{1,60})$~', $id, $m) === 1) {
            return new Descriptor($id, Group::Render, ucfirst(str_replace('_', ' ', $m[1])), ValueType::Any, 'S', ucfirst(str_replace('_', ' ', $m[1])).': %s.', several: true, bounds: true);
        }

        return null;
    }

    /** Where an id stands in the ledger; unknown ones last. */
    public function place(string $id): int
    {
        return $this->places[$id] ?? (str_starts_with($id, 'other.') ? $this->places['render.overlays'] : PHP_INT_MAX);
    }

    /** @return list<Descriptor> */
    public function all(): array
    {
        return array_values($this->descriptors);
    }
}
