<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/**
 * The ids of requirements, as documents have them, in the ledger’s order. A production’s own facts have an id besides,
 * `other.NAME`, so an id stays a text.
 */
final class RequirementId
{
    public const PICTURE_RESOLUTION = 'picture.resolution';

    public const PICTURE_SCALE = 'picture.scale';

    public const PICTURE_PIXEL_ASPECT = 'picture.pixel_aspect';

    public const PICTURE_DISPLAY_ASPECT = 'picture.display_aspect';

    public const PICTURE_REGION = 'picture.region';

    public const PICTURE_PROJECTION = 'picture.projection';

    public const PICTURE_SCAN = 'picture.scan';

    public const PICTURE_DENSITY = 'picture.density';

    public const TIME_RATE = 'time.rate';

    public const TIME_RANGE = 'time.range';

    public const TIME_STEP = 'time.step';

    public const TIME_HANDLES = 'time.handles';

    public const TIME_COUNT = 'time.count';

    public const TIME_DURATION = 'time.duration';

    public const TIME_START_TIMECODE = 'time.start_timecode';

    public const TIME_SPEED = 'time.speed';

    public const TIME_EXTENT = 'time.extent';

    public const CAMERA_NAME = 'camera.name';

    public const CAMERA_SINGLE = 'camera.single';

    public const CAMERA_EXPOSURE = 'camera.exposure';

    public const SCENE_SAVED = 'scene.saved';

    public const SCENE_LINKS = 'scene.links';

    public const RENDER_RENDERER = 'render.renderer';

    public const RENDER_QUALITY = 'render.quality';

    public const RENDER_SAMPLES = 'render.samples';

    public const RENDER_MOTION_BLUR = 'render.motion_blur';

    public const RENDER_POST_EFFECTS = 'render.post_effects';

    public const RENDER_OVERLAYS = 'render.overlays';

    public const OUTPUT_FOLDER = 'output.folder';

    public const OUTPUT_OVERWRITES = 'output.overwrites';

    public const FORMAT_KIND = 'format.kind';

    public const FORMAT_CODEC = 'format.codec';

    public const FORMAT_BIT_DEPTH = 'format.bit_depth';

    public const FORMAT_SAMPLE = 'format.sample';

    public const FORMAT_CHANNELS = 'format.channels';

    public const FORMAT_ALPHA = 'format.alpha';

    public const FORMAT_COMPRESSION = 'format.compression';

    public const FORMAT_QUALITY = 'format.quality';

    public const FORMAT_CHROMA = 'format.chroma';

    public const FORMAT_BIT_RATE = 'format.bit_rate';

    public const FORMAT_KEYFRAME_INTERVAL = 'format.keyframe_interval';

    public const FORMAT_B_FRAMES = 'format.b_frames';

    public const FORMAT_FILE_SIZE = 'format.file_size';

    public const FORMAT_INDEX = 'format.index';

    public const COLOUR_ENCODING = 'colour.encoding';

    public const COLOUR_VIEW = 'colour.view';

    public const COLOUR_LOOK = 'colour.look';

    public const COLOUR_EXPOSURE = 'colour.exposure';

    public const COLOUR_GAMMA = 'colour.gamma';

    public const AUDIO_PRESENCE = 'audio.presence';

    public const AUDIO_SAMPLE_RATE = 'audio.sample_rate';

    public const AUDIO_BIT_DEPTH = 'audio.bit_depth';

    public const AUDIO_CHANNELS = 'audio.channels';

    public const NAMING_PATTERN = 'naming.pattern';

    public const NAMING_FOLDER = 'naming.folder';

    public const PASSES = 'passes';

    public const BURN_IN = 'burn_in';

    public const CONTENT_WHOLE = 'content.whole';

    public const CONTENT_UNIFORM = 'content.uniform';

    public const CONTENT_BLACK = 'content.black';

    public const CONTENT_FROZEN = 'content.frozen';

    public const CONTENT_HOLD = 'content.hold';

    public const CONTENT_LOOP = 'content.loop';

    public const CONTENT_CADENCE = 'content.cadence';

    public const CONTENT_SOURCE = 'content.source';

    public const CONTENT_ALPHA_USED = 'content.alpha_used';

    public const CONTENT_REFERENCE = 'content.reference';

    public const DELIVERY_EXTRAS = 'delivery.extras';

    public const DELIVERY_TOTAL_SIZE = 'delivery.total_size';

    public const DELIVERY_CHECKSUMS = 'delivery.checksums';
}
