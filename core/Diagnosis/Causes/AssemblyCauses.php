<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `effects-applied-twice`, `view-applied-twice`, `view-missing`: a scene that makes a movie of frames, and does once more
 * what the frames have been through, or leaves out what they wait for.
 */
final readonly class AssemblyCauses implements CauseFamily
{
    private const VIEWS = [RequirementId::COLOUR_VIEW => 'the view', RequirementId::COLOUR_LOOK => 'the look'];

    public function find(Situation $situation): iterable
    {
        $frames = $this->madeFrom($situation);
        if ($frames === null) {
            return;
        }
        if (
            $situation->inScene(RequirementId::RENDER_POST_EFFECTS)
            && $situation->scene()?->get(RequirementId::RENDER_POST_EFFECTS) === 'on'
        ) {
            yield Finding::of(
                CauseId::EffectsAppliedTwice,
                Side::Scene,
                "Post effects are on where {$frames->name} are made into a movie: what was rendered into them is "
                    .'applied once more.',
                ['render.post_effects is on', "the part is made from {$frames->name}"],
                [RequirementId::RENDER_POST_EFFECTS],
                [
                    Fix::set(
                        $situation->part(),
                        RequirementId::RENDER_POST_EFFECTS,
                        'post effects',
                        'on',
                        'off',
                        'Switch post effects off.',
                    ),
                ],
            );
        }
        $linear = self::isLinear($frames);
        foreach (self::VIEWS as $id => $label) {
            if (! $situation->inScene($id)) {
                continue;
            }
            $set = $situation->scene()?->get($id) ?? '';
            $asked = $situation->entry($id)->required ?? '';
            [$isNone, $asksNone] = [
                in_array(strtolower($set), ['none', 'off', 'raw', ''], true),
                strtolower($asked) === 'none',
            ];
            if ($asksNone && ! $isNone && ! $linear) {
                yield Finding::of(
                    CauseId::ViewAppliedTwice,
                    Side::Scene,
                    ucfirst("{$label} {$set} is applied to {$frames->name} that have one already."),
                    ["{$id} is {$set}", "the part is made from {$frames->name}"],
                    [$id],
                    [Fix::set($situation->part(), $id, $label, $set, $asked)],
                );
            } elseif (! $asksNone && $isNone && $linear) {
                yield Finding::of(
                    CauseId::ViewMissing,
                    Side::Scene,
                    ucfirst(
                        "{$label} {$asked} is asked, and the linear {$frames->name} are made into a movie without any.",
                    ),
                    ["{$id} is ".($set === '' ? 'not set' : $set), "{$frames->name} are linear"],
                    [$id],
                    [Fix::set($situation->part(), $id, $label, $set, $asked)],
                );
            }
        }
    }

    private function madeFrom(Situation $situation): ?Part
    {
        $name = $situation->subject->part->madeFrom;
        foreach ($name === null ? [] : $situation->subject->specification->parts as $part) {
            if ($part->name === $name) {
                return $part;
            }
        }

        return null;
    }

    /** As it is asked of them; float samples and OpenEXR are linear where nothing else is said. */
    private static function isLinear(Part $frames): bool
    {
        $encoding = $frames->single(RequirementId::COLOUR_ENCODING);

        return $encoding === null
            ? $frames->single(RequirementId::FORMAT_SAMPLE) === 'float' || $frames->kinds() === [Kind::Exr]
            : $encoding === 'linear';
    }
}
