<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** No sound asked, and something of that sound. */
final readonly class SoundPresence implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        if ($part->single(RequirementId::AUDIO_PRESENCE) !== 'none') {
            return;
        }
        $asked = array_values(
            array_filter(
                [RequirementId::AUDIO_SAMPLE_RATE, RequirementId::AUDIO_BIT_DEPTH, RequirementId::AUDIO_CHANNELS],
                static fn (string $id): bool => $part->find($id) !== null,
            ),
        );
        if ($asked !== []) {
            yield Conflict::between(
                [RequirementId::AUDIO_PRESENCE, ...$asked],
                $part->name,
                'No sound is asked, and its '
                    .(
                        match ($asked[0]) {
                            RequirementId::AUDIO_CHANNELS => 'channels',
                            RequirementId::AUDIO_BIT_DEPTH => 'depth',
                            default => 'sample rate',
                        }
                    )
                    .' is.',
                ConflictResolution::set(RequirementId::AUDIO_PRESENCE, 'required', 'Ask for sound.'),
                ...array_map(
                    static fn (string $id): ConflictResolution => ConflictResolution::drop(
                        $id,
                        "Remove the requirement {$id}.",
                    ),
                    $asked,
                ),
            );
        }
    }
}
