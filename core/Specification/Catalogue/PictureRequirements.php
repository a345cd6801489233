<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Catalogue;

use PlainLedger\Core\Specification\Accepts;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\ReadFrom;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Wording;

/** What can be asked of a picture’s size, shape and region. */
final readonly class PictureRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::PICTURE_RESOLUTION,
                Group::Picture,
                'Resolution',
                ValueType::Resolution,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Each picture is %s pixels.',
                    also: 'size, dimensions, width, height, pixels, hd, uhd, 2k, 4k',
                ),
                new Accepts('1920x1080', several: true),
            ),
            new Descriptor(
                RequirementId::PICTURE_SCALE,
                Group::Picture,
                'Render scale',
                ValueType::Percent,
                [ReadFrom::Scene],
                new Wording(
                    'The scene renders at %s percent of that.',
                    also: 'percentage, proxy, half size, preview size',
                    exact: ['100' => 'The scene renders at its full size.'],
                ),
                new Accepts('100'),
            ),
            new Descriptor(
                RequirementId::PICTURE_PIXEL_ASPECT,
                Group::Picture,
                'Pixel aspect',
                ValueType::Fraction,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Pixels are %s wide to high.',
                    also: 'par, square pixels, anamorphic, sample aspect',
                    exact: ['1/1' => 'Pixels are square.'],
                ),
                new Accepts('1/1'),
            ),
            new Descriptor(
                RequirementId::PICTURE_DISPLAY_ASPECT,
                Group::Picture,
                'Shape on screen',
                ValueType::Aspect,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Shown on a screen the picture is %s.',
                    also: 'aspect ratio, dar, shape, 16:9, scope, widescreen, letterbox',
                ),
                new Accepts('16:9', several: true),
            ),
            new Descriptor(
                RequirementId::PICTURE_REGION,
                Group::Picture,
                'Render region',
                ValueType::Region,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'The whole picture is rendered, region %s.',
                    also: 'crop, border, window, region of interest, data window',
                    exact: [
                        'on' => 'Only a region of the picture is rendered.',
                        'full' => 'The whole picture is rendered, without a region.',
                    ],
                ),
                new Accepts('full'),
            ),
            new Descriptor(
                RequirementId::PICTURE_PROJECTION,
                Group::Picture,
                'Projection',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'The projection is %s.',
                    also: 'lat-long, equirectangular, panorama, 360, vr, dome, spherical, stereo',
                ),
                new Accepts('flat', words: ['flat', 'lat-long', 'lat-long stereo']),
            ),
            new Descriptor(
                RequirementId::PICTURE_SCAN,
                Group::Picture,
                'Scan',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('The picture is %s.', also: 'interlaced, progressive, fields'),
                new Accepts('progressive', words: ['progressive', 'interlaced']),
            ),
            new Descriptor(
                RequirementId::PICTURE_DENSITY,
                Group::Picture,
                'Density',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Frames],
                new Wording('It says %s pixels an inch.', also: 'ppi, dpi, print, pixels per inch'),
                new Accepts('300', least: 1, most: 100_000),
            ),
        ];
    }
}
