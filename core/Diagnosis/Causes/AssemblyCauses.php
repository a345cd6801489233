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
 * `effects-applied-twice`, `view-applied-twice`, `view-missing`: a scene that makes a movie of frames, and does once
 * more what the frames have been through, or leaves out what they wait for.
 */
final readonly class AssemblyCauses implements CauseFamily
{
    private const VIEWS = [RequirementId::COLOUR_VIEW => 'the view', RequirementId::COLOUR_LOOK => 'the look'];

    public function find(Situation $situation): iterable
    {
        $frames = $situation->subject->source();
        if ($frames === null) {
            return;
        }
        $id = RequirementId::RENDER_POST_EFFECTS;
        if ($situation->inScene($id) && $situation->told($id) === 'on') {
            $off = Fix::set($situation->part(), $id, 'post effects', 'on', 'off', 'Switch post effects off.');
            yield Finding::of(
                CauseId::EffectsAppliedTwice,
                Side::Scene,
                "Post effects are on where {$frames->name} are made into a movie: what was rendered into them is "
                    .'applied once more.',
                ['render.post_effects is on', "the part is made from {$frames->name}"],
                [$id],
                [$off],
            );
        }
        foreach (self::VIEWS as $view => $label) {
            yield from $situation->inScene($view) ? $this->view($situation, $frames, $view, $label) : [];
        }
    }

    /** @return iterable<Finding> */
    private function view(Situation $situation, Part $frames, string $id, string $label): iterable
    {
        $linear = self::isLinear($frames);
        $set = $situation->told($id) ?? '';
        $asked = $situation->asked($id);
        $isNone = in_array(strtolower($set), ['none', 'off', 'raw', ''], true);
        $asksNone = strtolower($asked) === 'none';
        if ($asksNone === $isNone || $linear === $asksNone) {
            return;
        }
        yield Finding::of(
            $asksNone ? CauseId::ViewAppliedTwice : CauseId::ViewMissing,
            Side::Scene,
            ucfirst($asksNone
                ? "{$label} {$set} is applied to {$frames->name} that have one already."
                : "{$label} {$asked} is asked, and the linear {$frames->name} are made into a movie without any."),
            [
                "{$id} is ".($set === '' ? 'not set' : $set),
                $asksNone ? "the part is made from {$frames->name}" : "{$frames->name} are linear",
            ],
            [$id],
            [Fix::set($situation->part(), $id, $label, $set, $asked)],
        );
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
