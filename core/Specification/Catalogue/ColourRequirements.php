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

/** What can be asked of colour. */
final readonly class ColourRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::COLOUR_ENCODING,
                Group::Colour,
                'Colour encoding',
                ValueType::Encoding,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Colour is encoded as %s.',
                    also: 'colour space, color space, srgb, rec709, linear, gamma, transfer',
                ),
                new Accepts('srgb', several: true),
            ),
            new Descriptor(
                RequirementId::COLOUR_VIEW,
                Group::Colour,
                'View',
                ValueType::Text,
                [ReadFrom::Scene],
                new Wording(
                    'The view is %s.',
                    also: 'view transform, display transform, tone map',
                    exact: ['none' => 'No view is applied.'],
                ),
                new Accepts('none'),
            ),
            new Descriptor(
                RequirementId::COLOUR_LOOK,
                Group::Colour,
                'Look',
                ValueType::Text,
                [ReadFrom::Scene],
                new Wording(
                    'The look is %s.',
                    also: 'grade, lut, contrast',
                    exact: ['none' => 'No look is applied.'],
                ),
                new Accepts('none'),
            ),
            new Descriptor(
                RequirementId::COLOUR_EXPOSURE,
                Group::Colour,
                'Exposure of the view',
                ValueType::Number,
                [ReadFrom::Scene],
                new Wording('The view’s exposure is %s.', also: 'brightness, stops'),
                new Accepts('0'),
            ),
            new Descriptor(
                RequirementId::COLOUR_GAMMA,
                Group::Colour,
                'Gamma of the view',
                ValueType::Number,
                [ReadFrom::Scene],
                new Wording('The view’s gamma is %s.', also: 'gamma, curve'),
                new Accepts('1'),
            ),
        ];
    }
}
