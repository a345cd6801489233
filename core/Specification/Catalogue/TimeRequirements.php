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

/** What can be asked of rate, frames and length. */
final readonly class TimeRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::TIME_RATE,
                Group::Time,
                'Frame rate',
                ValueType::Rate,
                [ReadFrom::Scene, ReadFrom::Movie, ReadFrom::Frames],
                new Wording(
                    'It runs at %s frames a second.',
                    also: 'fps, frames per second, speed, 23.976, 25, ntsc, pal',
                ),
                new Accepts('24', several: true),
            ),
            new Descriptor(
                RequirementId::TIME_RANGE,
                Group::Time,
                'Frame range',
                ValueType::Range,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Delivery],
                new Wording(
                    'The frames are %s.',
                    also: 'frames, start, end, first, last, in, out, timeline',
                    exact: ['timeline' => 'The frames are those of the animation’s own range.'],
                ),
                new Accepts('1001-1096'),
            ),
            new Descriptor(
                RequirementId::TIME_STEP,
                Group::Time,
                'Frame step',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Frames],
                new Wording(
                    'One frame in %s is rendered.',
                    also: 'every nth frame, stride, by, increment',
                    exact: ['1' => 'Every frame is rendered, none skipped.'],
                ),
                new Accepts('1', least: 1, most: 1_000_000),
            ),
            new Descriptor(
                RequirementId::TIME_HANDLES,
                Group::Time,
                'Handles',
                ValueType::Handles,
                [],
                new Wording(
                    'Handles of %s frames are added at head and tail.',
                    also: 'head, tail, pre-roll, post-roll',
                ),
                new Accepts('8+8'),
            ),
            new Descriptor(
                RequirementId::TIME_COUNT,
                Group::Time,
                'Frame count',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording('There are %s frames.', also: 'number of frames, length, how many'),
                new Accepts('96', bounds: true, least: 1, most: 100_000_000),
            ),
            new Descriptor(
                RequirementId::TIME_DURATION,
                Group::Time,
                'Duration',
                ValueType::Duration,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording('It lasts %s.', also: 'length, running time, seconds, minutes'),
                new Accepts('00:00:04', bounds: true),
            ),
            new Descriptor(
                RequirementId::TIME_START_TIMECODE,
                Group::Time,
                'Start timecode',
                ValueType::Timecode,
                [ReadFrom::Movie, ReadFrom::Frames],
                new Wording('Its timecode starts at %s.', also: 'tc, smpte, drop-frame, start time'),
                new Accepts('01:00:00:00'),
            ),
            new Descriptor(
                RequirementId::TIME_SPEED,
                Group::Time,
                'Speed',
                ValueType::Fraction,
                [ReadFrom::Scene],
                new Wording('The animation plays at %s of its speed.', also: 'time stretch, remap, slow motion'),
                new Accepts('1/1'),
            ),
            new Descriptor(
                RequirementId::TIME_EXTENT,
                Group::Time,
                'What is rendered',
                ValueType::Word,
                [ReadFrom::Scene],
                new Wording(
                    'The scene is told to render %s.',
                    also: 'single frame, animation, what to render',
                    exact: [
                        'listed' => 'The scene is told to render its listed range.',
                        'whole' => 'The scene is told to render its whole timeline.',
                        'one' => 'The scene is told to render one frame.',
                    ],
                ),
                new Accepts('listed', words: ['one', 'listed', 'whole']),
            ),
        ];
    }
}
