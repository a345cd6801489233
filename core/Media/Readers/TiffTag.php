<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** Numbers of the fields that are read here (TIFF revision 6.0 and its supplements; the last of moving pictures). */
final readonly class TiffTag
{
    public const SUBFILE = 254;

    public const WIDTH = 256;

    public const HEIGHT = 257;

    public const BITS = 258;

    public const COMPRESSION = 259;

    public const PHOTOMETRIC = 262;

    public const FILL_ORDER = 266;

    public const DESCRIPTION = 270;

    public const STRIP_PLACES = 273;

    public const ORIENTATION = 274;

    public const SAMPLES = 277;

    public const ROWS_PER_STRIP = 278;

    public const STRIP_LENGTHS = 279;

    public const DENSITY_ACROSS = 282;

    public const DENSITY_DOWN = 283;

    public const PLANES = 284;

    public const DENSITY_UNIT = 296;

    public const SOFTWARE = 305;

    public const DATE = 306;

    public const ARTIST = 315;

    public const HOST = 316;

    public const PREDICTOR = 317;

    public const PALETTE = 320;

    public const TILE_WIDTH = 322;

    public const TILE_HEIGHT = 323;

    public const TILE_PLACES = 324;

    public const TILE_LENGTHS = 325;

    public const EXTRA_SAMPLES = 338;

    public const SAMPLE_FORMAT = 339;

    public const JPEG_TABLES = 347;

    public const CHROMA = 530;

    public const PACKET = 700;

    public const EXIF = 34665;

    public const PROFILE = 34675;

    public const TIMECODES = 51043;

    public const RATE = 51044;
}
