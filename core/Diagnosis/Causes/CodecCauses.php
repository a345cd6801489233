<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\KeyframeIntervalRule;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `codec-differs`, `quality-too-low`, `chroma-halved`, `bit-rate-differs`, `keyframes-too-far-apart`,
 * `b-frames-left-on`: what pictures are compressed with.
 */
final readonly class CodecCauses implements CauseFamily
{
    private const CHROMA = ['4:2:0' => 1, '4:2:2' => 2, '4:4:4' => 3];

    public function find(Situation $situation): iterable
    {
        yield from $this->plainly($situation, CauseId::CodecDiffers, RequirementId::FORMAT_CODEC, 'The codec');
        yield from $this->quality($situation);
        yield from $this->chroma($situation);
        if (! SizeCapCause::tells($situation)) {
            yield from $this->plainly(
                $situation,
                CauseId::BitRateDiffers,
                RequirementId::FORMAT_BIT_RATE,
                'The bit rate',
            );
        }
        yield from $this->keyframes($situation);
        $id = RequirementId::FORMAT_B_FRAMES;
        $inRow = $situation->isUnequal($id) ? (int) $situation->found($id) : 0;
        if ($inRow > 0) {
            $most = $situation->asked($id) === 'none' ? 'none are' : "{$situation->asked($id)} is";
            $says = "Up to {$inRow} B-frames stand in a row, and {$most} asked.";
            yield $this->finding($situation, CauseId::BFramesLeftOn, $id, 'B-frames', $says);
        }
    }

    /** @return iterable<Finding> */
    private function plainly(Situation $situation, CauseId $cause, string $id, string $label): iterable
    {
        $found = $situation->isUnequal($id) ? $situation->found($id) : null;
        if ($found !== null) {
            $says = "{$label} is {$found}, and {$situation->asked($id)} is asked.";
            yield $this->finding($situation, $cause, $id, lcfirst($label), $says);
        }
    }

    /** @return iterable<Finding> */
    private function quality(Situation $situation): iterable
    {
        $id = RequirementId::FORMAT_QUALITY;
        $least = $situation->entry($id)?->requirement->value->min;
        $found = $situation->isUnequal($id) ? $situation->found($id) : null;
        if ($found !== null && $least !== null && (int) $found < (int) $least) {
            $says = "The quality is {$found}, and at least {$least} is asked. What is lost does not come back "
                .'by saving '
                .'the files again.';
            yield $this->finding($situation, CauseId::QualityTooLow, $id, 'the quality', $says);
        }
    }

    /** @return iterable<Finding> */
    private function chroma(Situation $situation): iterable
    {
        $id = RequirementId::FORMAT_CHROMA;
        $found = $situation->isUnequal($id) ? $situation->found($id) : null;
        $asked = $situation->asked($id);
        $least = self::CHROMA[explode(' | ', $asked)[0]] ?? 0;
        if ($found !== null && (self::CHROMA[$found] ?? 9) < $least) {
            $says = "Chroma is sampled {$found}, and {$asked} is asked: there is colour for fewer pixels.";
            yield $this->finding($situation, CauseId::ChromaHalved, $id, 'the chroma', $says);
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
        $rate = KeyframeIntervalRule::rate($situation->subject) ?? MovieFound::in($situation)?->facts->timing->rate;
        $most = KeyframeIntervalRule::mostFrames($requirement, $rate);
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
