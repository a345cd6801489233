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

/** What can be asked of the pictures themselves. */
final readonly class ContentRequirements
{
    /** For which pixels are looked at, each picture's. */
    public const OF_PIXELS = [
        RequirementId::CONTENT_BLACK, RequirementId::CONTENT_ALPHA_USED, RequirementId::CONTENT_FROZEN,
        RequirementId::CONTENT_HOLD, RequirementId::CONTENT_LOOP, RequirementId::CONTENT_CADENCE,
        RequirementId::CONTENT_REFERENCE,
    ];

    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::CONTENT_WHOLE,
                Group::Content,
                'Every file whole',
                ValueType::YesNo,
                [ReadFrom::Frames, ReadFrom::Movie],
                new Wording('Every file is whole: %s.', also: 'corrupt, truncated, damaged, broken, readable'),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::CONTENT_UNIFORM,
                Group::Content,
                'All frames alike',
                ValueType::YesNo,
                [ReadFrom::Frames],
                new Wording(
                    'All frames share format, size, depth, channels and compression: %s.',
                    also: 'same settings, consistent, mixed frames',
                ),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::CONTENT_BLACK,
                Group::Content,
                'Black frames',
                ValueType::Black,
                [ReadFrom::Frames],
                new Wording(
                    'Black frames: %s.',
                    also: 'black frames, empty, dark, missing light',
                    exact: ['none' => 'No frame is black.'],
                ),
                new Accepts('none'),
            ),
            new Descriptor(
                RequirementId::CONTENT_FROZEN,
                Group::Content,
                'Frozen frames',
                ValueType::Frozen,
                [ReadFrom::Frames],
                new Wording(
                    'Frames that stand still: %s.',
                    also: 'duplicate frames, still, stuck, repeated',
                    exact: ['none' => 'No two frames in a row are the same picture.'],
                ),
                new Accepts('none', bounds: true),
            ),
            new Descriptor(
                RequirementId::CONTENT_HOLD,
                Group::Content,
                'Held frames',
                ValueType::Hold,
                [ReadFrom::Frames],
                new Wording('Held at head and tail: %s frames.', also: 'held frames, freeze at start, freeze at end'),
                new Accepts('8+8'),
            ),
            new Descriptor(
                RequirementId::CONTENT_LOOP,
                Group::Content,
                'Loops',
                ValueType::YesNo,
                [ReadFrom::Frames],
                new Wording('The last frame leads into the first: %s.', also: 'cycle, seamless, repeat'),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::CONTENT_CADENCE,
                Group::Content,
                'Cadence',
                ValueType::Cadence,
                [ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Each picture stands: %s.',
                    also: 'on twos, on ones, pulldown, repeated pictures, every frame',
                    exact: ['every' => 'No picture stands for more than one frame.'],
                ),
                new Accepts('every', several: true),
            ),
            new Descriptor(
                RequirementId::CONTENT_SOURCE,
                Group::Content,
                'Pictures of its frames',
                ValueType::YesNo,
                [ReadFrom::Movie],
                new Wording(
                    'It shows the pictures it is made from, in their order, each once: %s.',
                    also: 'same pictures, order, made from',
                ),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::CONTENT_ALPHA_USED,
                Group::Content,
                'Alpha in use',
                ValueType::YesNo,
                [ReadFrom::Frames],
                new Wording('Alpha is not opaque everywhere: %s.', also: 'transparent background, opaque'),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::CONTENT_REFERENCE,
                Group::Content,
                'Approved picture',
                ValueType::Reference,
                [ReadFrom::Frames],
                new Wording('It agrees with the approved picture: %s.', also: 'approved frame, look check, compare'),
                new Accepts('frame 1024: approved/1024.png', several: true),
            ),
        ];
    }
}
