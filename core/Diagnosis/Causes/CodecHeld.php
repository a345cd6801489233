<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Remedy\Fix;

/** `codec-differs`, `keyframes-too-far-apart`, `b-frames-left-on`: what a movie is encoded with. */
final readonly class CodecHeld implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $codec = $situation->found('format.codec');
        if ($situation->isUnequal('format.codec') && $codec !== null) {
            $asked = $situation->entry('format.codec')->required ?? '';
            yield $this->finding($situation, 'codec-differs', 'format.codec', 'the codec', "The codec is {$codec}, and {$asked} is asked.");
        }
        $interval = $situation->found('format.keyframe_interval');
        $most = $situation->entry('format.keyframe_interval')?->requirement->ask->max;
        // fewer frames between keyframes than are asked is another matter
        if ($situation->isUnequal('format.keyframe_interval') && $most !== null && $interval !== null && (int) $interval > (int) $most) {
            yield $this->finding($situation, 'keyframes-too-far-apart', 'format.keyframe_interval', 'the keyframe interval', "Keyframes are up to {$interval} frames apart, and at most {$most} are asked.", $most);
        }
        $inRow = $situation->found('format.b_frames');
        $asked = $situation->entry('format.b_frames')->required ?? '';
        if ($situation->isUnequal('format.b_frames') && $inRow !== null && (int) $inRow > 0) {
            yield $this->finding($situation, 'b-frames-left-on', 'format.b_frames', 'B-frames', "Up to {$inRow} B-frames stand in a row, and ".($asked === 'none' ? 'none are' : "{$asked} is").' asked.', $situation->entry('format.b_frames')->requirement->ask->max ?? ($asked === '' ? 'none' : $asked));
        }
    }

    private function finding(Situation $situation, string $cause, string $id, string $label, string $says, ?string $to = null): Finding
    {
        $side = $situation->side($id);
        $found = $situation->found($id) ?? '';
        $to ??= $situation->entry($id)->required ?? '';
        $fix = $side === 'scene' ? Fix::set($situation->part(), $id, $label, $found, $to) : Fix::encode($situation->part(), $id, $label, $found, $to);

        return new Finding($cause, $side, $says, ["{$id} is {$found}"], [$id], [$fix]);
    }
}
