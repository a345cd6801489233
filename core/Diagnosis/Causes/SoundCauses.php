<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\Delivers;
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
        if ($situation->isUnequal(RequirementId::AUDIO_PRESENCE)) {
            yield $this->presence($situation);

            return;
        }
        $unequal = array_values(array_filter(array_keys(self::FORMAT), $situation->isUnequal(...)));
        if ($unequal === []) {
            return;
        }
        $said = static fn (string $id): string => lcfirst($situation->label($id))
            .' is '.($situation->found($id) ?? '').", and {$situation->asked($id)} is asked";
        yield Finding::of(
            CauseId::AudioFormatDiffers,
            $situation->side($unequal[0]),
            ucfirst(implode('; ', array_map($said, $unequal))).'.',
            array_map(static fn (string $id): string => "{$id} is ".($situation->found($id) ?? ''), $unequal),
            $unequal,
            EntryFix::ofEach($situation, array_intersect_key(self::FORMAT, array_flip($unequal))),
        );
    }

    private function presence(Situation $situation): Finding
    {
        $id = RequirementId::AUDIO_PRESENCE;
        $missing = $situation->asked($id) === 'required';
        $side = $situation->side($id);
        [$from, $to] = $missing ? ['none', 'required'] : ['required', 'none'];
        $says = $missing ? 'Switch the sound output on.' : 'Switch the sound output off.';

        $isMovie = $situation->subject->part->delivers === Delivers::Movie;
        $fixes = match (true) {
            $side === Side::Scene => [Fix::set($situation->part(), $id, 'the sound output', $from, $to, $says)],
            $isMovie => [$this->encoded($situation, $from, $to)],
            default => EntryFix::of($situation, $id, 'sound')->fixes,
        };

        return Finding::of(
            $missing ? CauseId::AudioMissing : CauseId::AudioNotAsked,
            $side,
            $missing ? 'Sound is asked, and there is none.' : 'There is sound, and none is asked.',
            ["audio.presence is {$from}"],
            [$id, ...array_keys(self::FORMAT)],
            $fixes,
        );
    }

    private function encoded(Situation $situation, string $from, string $to): Fix
    {
        $source = $situation->subject->part->madeFrom;
        $again = $source === null ? 'Encode the movie again' : "Make the movie again from {$source}";
        $says = $to === 'none'
            ? 'Write the movie again without its sound; its pictures need not be encoded anew.'
            : "{$again}, with its sound.";
        $id = RequirementId::AUDIO_PRESENCE;

        return Fix::encode($situation->part(), $id, 'the sound', $from, $to, null, $says);
    }
}
