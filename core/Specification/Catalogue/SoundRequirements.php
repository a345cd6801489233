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

/** What can be asked of sound. */
final readonly class SoundRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::AUDIO_PRESENCE,
                Group::Sound,
                'Sound',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording(
                    'Sound: %s.',
                    also: 'sound, audio, silent, mute',
                    exact: ['none' => 'There is no sound.', 'required' => 'There is sound.'],
                ),
                new Accepts('none', words: ['none', 'required']),
            ),
            new Descriptor(
                RequirementId::AUDIO_SAMPLE_RATE,
                Group::Sound,
                'Sound rate',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('Sound has %s samples a second.', also: 'khz, 48000, 44100, sampling'),
                new Accepts('48000', least: 1, most: 10_000_000),
            ),
            new Descriptor(
                RequirementId::AUDIO_BIT_DEPTH,
                Group::Sound,
                'Sound depth',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('Sound has %s bits.', also: 'audio bits, 24 bit sound'),
                new Accepts('24', least: 1, most: 64),
            ),
            new Descriptor(
                RequirementId::AUDIO_CHANNELS,
                Group::Sound,
                'Sound channels',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('Sound has %s channels.', also: 'stereo, mono, surround, 5.1'),
                new Accepts('2', least: 1, most: 1_024),
            ),
        ];
    }
}
