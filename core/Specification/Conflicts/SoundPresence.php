<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** No sound asked, and something of that sound. */
final readonly class SoundPresence implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        if ($part->single('audio.presence') !== 'none') {
            return;
        }
        $asked = array_values(array_filter(['audio.sample_rate', 'audio.bit_depth', 'audio.channels'], static fn (string $id): bool => $part->find($id) !== null));
        if ($asked !== []) {
            yield Conflict::between(['audio.presence', ...$asked], $part->name, 'No sound is asked, and its '.($asked[0] === 'audio.channels' ? 'channels' : ($asked[0] === 'audio.bit_depth' ? 'depth' : 'sample rate')).' is.', ConflictResolution::set('audio.presence', 'required', 'Ask for sound.'), ...array_map(static fn (string $id): ConflictResolution => ConflictResolution::drop($id, "Ask no more for {$id}."), $asked));
        }
    }
}
