<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** A keyframe interval longer than the movie. */
final readonly class KeyframeInterval implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $ask = $part->find(RequirementId::FORMAT_KEYFRAME_INTERVAL)?->value;
        $interval = $ask === null ? null : $ask->single() ?? $ask->max ?? $ask->min;
        $most = PartLength::mostFrames($specification, $part);
        if (
            $interval === null
            || preg_match('~^\d+$~', $interval) !== 1
            || $most === null
            || (int) $interval <= $most[0]
            || $most[0] < 1
        ) {
            return;
        }
        $rate = PartLength::rate($part);
        $usual = min($most[0], $rate === null ? $most[0] : 2 * $rate->nominalWhole());
        yield Conflict::between(
            [RequirementId::FORMAT_KEYFRAME_INTERVAL, ...$most[1]],
            $part->name,
            "Keyframes may be {$interval} frames apart, and all of it has ".Text::count($most[0], 'frame').'.',
            ConflictResolution::set(
                RequirementId::FORMAT_KEYFRAME_INTERVAL,
                (string) $usual,
                "Ask for a keyframe every {$usual} frames.",
            ),
            ConflictResolution::drop(RequirementId::FORMAT_KEYFRAME_INTERVAL, 'Ask for no keyframe interval.'),
        );
    }
}
