<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\KeyframeIntervalRule;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `codec-differs`, `quality-too-low`, `chroma-halved`, `bit-rate-differs`, `keyframes-too-far-apart`, `b-frames-left-on`:
 * what pictures are compressed with.
 */
final readonly class CodecCauses implements CauseFamily
{
    private const CHROMA = ['4:2:0' => 1, '4:2:2' => 2, '4:4:4' => 3];

    public function find(Situation $situation): iterable
    {
        $found = static fn (string $id): ?string => $situation->isUnequal($id) ? $situation->found($id) : null;
        $asked = static fn (string $id): string => $situation->entry($id)->required ?? '';
        if (($codec = $found(RequirementId::FORMAT_CODEC)) !== null) {
            yield $this->finding(
                $situation,
                CauseId::CodecDiffers,
                RequirementId::FORMAT_CODEC,
                'the codec',
                "The codec is {$codec}, and {$asked(RequirementId::FORMAT_CODEC)} is asked.",
            );
        }
        $least = $situation->entry(RequirementId::FORMAT_QUALITY)?->requirement->value->min;
        if (
            ($quality = $found(RequirementId::FORMAT_QUALITY)) !== null
            && $least !== null
            && (int) $quality < (int) $least
        ) {
            yield $this->finding(
                $situation,
                CauseId::QualityTooLow,
                RequirementId::FORMAT_QUALITY,
                'the quality',
                "The quality is {$quality}, and at least {$least} is asked. What is lost does not come back by "
                    .'saving the files again.',
            );
        }
        $chroma = $found(RequirementId::FORMAT_CHROMA);
        if (
            $chroma !== null
            && (self::CHROMA[$chroma] ?? 9) < (
                self::CHROMA[explode(' | ', $asked(RequirementId::FORMAT_CHROMA))[0]] ?? 0
            )
        ) {
            yield $this->finding(
                $situation,
                CauseId::ChromaHalved,
                RequirementId::FORMAT_CHROMA,
                'the chroma',
                "Chroma is sampled {$chroma}, and {$asked(RequirementId::FORMAT_CHROMA)} is asked: there is colour "
                    .'for fewer pixels.',
            );
        }
        if (($rate = $found(RequirementId::FORMAT_BIT_RATE)) !== null && ! SizeCapCause::tells($situation)) {
            yield $this->finding(
                $situation,
                CauseId::BitRateDiffers,
                RequirementId::FORMAT_BIT_RATE,
                'the bit rate',
                "The bit rate is {$rate}, and {$asked(RequirementId::FORMAT_BIT_RATE)} is asked.",
            );
        }
        yield from $this->keyframes($situation);
        $inRow = $found(RequirementId::FORMAT_B_FRAMES);
        if ($inRow !== null && (int) $inRow > 0) {
            $most = $asked(RequirementId::FORMAT_B_FRAMES);
            yield $this->finding(
                $situation,
                CauseId::BFramesLeftOn,
                RequirementId::FORMAT_B_FRAMES,
                'B-frames',
                "Up to {$inRow} B-frames stand in a row, and ".($most === 'none' ? 'none are' : "{$most} is").' asked.',
            );
        }
    }

    /** @return iterable<Finding> */
    private function keyframes(Situation $situation): iterable
    {
        $interval = $situation->found(RequirementId::FORMAT_KEYFRAME_INTERVAL);
        $requirement = $situation->entry(RequirementId::FORMAT_KEYFRAME_INTERVAL)?->requirement;
        if (
            $requirement === null
            || $interval === null
            || ! $situation->isUnequal(RequirementId::FORMAT_KEYFRAME_INTERVAL)
        ) {
            return;
        }
        $most = KeyframeIntervalRule::mostFrames($requirement, KeyframeIntervalRule::rate($situation->subject));
        // fewer frames between keyframes than are asked is another matter
        if ($most !== null && (int) $interval > $most) {
            yield $this->finding(
                $situation,
                CauseId::KeyframesTooFarApart,
                RequirementId::FORMAT_KEYFRAME_INTERVAL,
                'the keyframe interval',
                "Keyframes are up to {$interval} frames apart, and at most {$most} are asked.",
                (string) $most,
            );
        }
    }

    private function finding(
        Situation $situation,
        CauseId $cause,
        string $id,
        string $label,
        string $says,
        ?string $to = null,
    ): Finding {
        $mending = EntryFix::of($situation, $id, $label, $to);

        return Finding::of(
            $cause,
            $situation->side($id),
            $says,
            ["{$id} is ".($situation->found($id) ?? '')],
            [$id],
            $mending->fixes,
        )->rendering($mending->render);
    }
}
