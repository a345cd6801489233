<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\KeyframeIntervalRule;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;

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
        if (($codec = $found('format.codec')) !== null) {
            yield $this->finding($situation, 'codec-differs', 'format.codec', 'the codec', "The codec is {$codec}, and {$asked('format.codec')} is asked.");
        }
        $least = $situation->entry('format.quality')?->requirement->value->min;
        if (($quality = $found('format.quality')) !== null && $least !== null && (int) $quality < (int) $least) {
            yield $this->finding($situation, 'quality-too-low', 'format.quality', 'the quality', "The quality is {$quality}, and at least {$least} is asked. What is lost does not come back by saving the files again.");
        }
        $chroma = $found('format.chroma');
        if ($chroma !== null && (self::CHROMA[$chroma] ?? 9) < (self::CHROMA[explode(' | ', $asked('format.chroma'))[0]] ?? 0)) {
            yield $this->finding($situation, 'chroma-halved', 'format.chroma', 'the chroma', "Chroma is sampled {$chroma}, and {$asked('format.chroma')} is asked: there is colour for fewer pixels.");
        }
        if (($rate = $found('format.bit_rate')) !== null && ! SizeCapCause::tells($situation)) {
            yield $this->finding($situation, 'bit-rate-differs', 'format.bit_rate', 'the bit rate', "The bit rate is {$rate}, and {$asked('format.bit_rate')} is asked.");
        }
        yield from $this->keyframes($situation);
        $inRow = $found('format.b_frames');
        if ($inRow !== null && (int) $inRow > 0) {
            $most = $asked('format.b_frames');
            yield $this->finding($situation, 'b-frames-left-on', 'format.b_frames', 'B-frames', "Up to {$inRow} B-frames stand in a row, and ".($most === 'none' ? 'none are' : "{$most} is").' asked.');
        }
    }

    /** @return iterable<Finding> */
    private function keyframes(Situation $situation): iterable
    {
        $interval = $situation->found('format.keyframe_interval');
        $requirement = $situation->entry('format.keyframe_interval')?->requirement;
        if ($requirement === null || $interval === null || ! $situation->isUnequal('format.keyframe_interval')) {
            return;
        }
        $most = KeyframeIntervalRule::mostFrames($requirement, KeyframeIntervalRule::rate($situation->subject));
        // fewer frames between keyframes than are asked is another matter
        if ($most !== null && (int) $interval > $most) {
            yield $this->finding($situation, 'keyframes-too-far-apart', 'format.keyframe_interval', 'the keyframe interval', "Keyframes are up to {$interval} frames apart, and at most {$most} are asked.", (string) $most);
        }
    }

    private function finding(Situation $situation, string $cause, string $id, string $label, string $says, ?string $to = null): Finding
    {
        $mending = EntryFix::of($situation, $id, $label, $to);

        return new Finding($cause, $situation->side($id), $says, ["{$id} is ".($situation->found($id) ?? '')], [$id], $mending->fixes, render: $mending->render);
    }
}
