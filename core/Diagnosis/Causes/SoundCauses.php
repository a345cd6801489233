<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;

/** `audio-missing`, `audio-not-asked`, `audio-format-differs`. */
final readonly class SoundCauses implements CauseFamily
{
    private const FORMAT = [
        RequirementId::AUDIO_SAMPLE_RATE => 'the sound rate',
        RequirementId::AUDIO_BIT_DEPTH => 'the sound depth',
        RequirementId::AUDIO_CHANNELS => 'the sound channels',
    ];

    public function find(Situation $situation): iterable
    {
        $part = $situation->part();
        if ($situation->isUnequal(RequirementId::AUDIO_PRESENCE)) {
            $missing = ($situation->entry(RequirementId::AUDIO_PRESENCE)->required ?? '') === 'required';
            $side = $situation->side(RequirementId::AUDIO_PRESENCE);
            [$from, $to] = $missing ? ['none', 'required'] : ['required', 'none'];
            yield Finding::of(
                $missing ? CauseId::AudioMissing : CauseId::AudioNotAsked,
                $side,
                $missing ? 'Sound is asked, and there is none.' : 'There is sound, and none is asked.',
                ["audio.presence is {$from}"],
                [RequirementId::AUDIO_PRESENCE, ...array_keys(self::FORMAT)],
                $side === Side::Scene
                    ? [
                        Fix::set(
                            $part,
                            RequirementId::AUDIO_PRESENCE,
                            'the sound output',
                            $from,
                            $to,
                            $missing ? 'Switch the sound output on.' : 'Switch the sound output off.',
                        ),
                    ]
                    : EntryFix::of($situation, RequirementId::AUDIO_PRESENCE, 'sound')->fixes,
            );

            return;
        }
        $unequal = array_values(
            array_filter(array_keys(self::FORMAT), static fn (string $id): bool => $situation->isUnequal($id)),
        );
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
        yield Finding::of(
            CauseId::AudioFormatDiffers,
            $situation->side($unequal[0]),
            ucfirst(implode('; ', $says)).'.',
            array_map(static fn (string $id): string => "{$id} is ".($situation->found($id) ?? ''), $unequal),
            $unequal,
            $fixes,
        );
    }
}
