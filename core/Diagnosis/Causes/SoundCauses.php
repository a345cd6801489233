<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;

/** `audio-missing`, `audio-not-asked`, `audio-format-differs`. */
final readonly class SoundCauses implements CauseFamily
{
    private const FORMAT = ['audio.sample_rate' => 'the sound rate', 'audio.bit_depth' => 'the sound depth', 'audio.channels' => 'the sound channels'];

    public function find(Situation $situation): iterable
    {
        $part = $situation->part();
        if ($situation->isUnequal('audio.presence')) {
            $missing = ($situation->entry('audio.presence')->required ?? '') === 'required';
            $side = $situation->side('audio.presence');
            [$from, $to] = $missing ? ['none', 'required'] : ['required', 'none'];
            yield new Finding($missing ? 'audio-missing' : 'audio-not-asked', $side, $missing ? 'Sound is asked, and there is none.' : 'There is sound, and none is asked.', ["audio.presence is {$from}"], ['audio.presence', ...array_keys(self::FORMAT)],
                $side === 'scene' ? [Fix::set($part, 'audio.presence', 'the sound output', $from, $to, $missing ? 'Switch the sound output on.' : 'Switch the sound output off.')] : EntryFix::of($situation, 'audio.presence', 'sound')->fixes);

            return;
        }
        $unequal = array_values(array_filter(array_keys(self::FORMAT), static fn (string $id): bool => $situation->isUnequal($id)));
        if ($unequal === []) {
            return;
        }
        $says = [];
        $fixes = [];
        foreach ($unequal as $id) {
            $found = $situation->found($id) ?? '';
            $asked = $situation->entry($id)->required ?? '';
            $says[] = lcfirst($situation->label($id))." is {$found}, and {$asked} is asked";
            $fixes = [...$fixes, ...EntryFix::of($situation, $id, self::FORMAT[$id])->fixes];
        }
        yield new Finding('audio-format-differs', $situation->side($unequal[0]), ucfirst(implode('; ', $says)).'.', array_map(static fn (string $id): string => "{$id} is ".($situation->found($id) ?? ''), $unequal), $unequal, $fixes);
    }
}
