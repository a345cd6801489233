<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** `region-left-on` and `pixel-aspect-differs`. */
final readonly class RegionCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        yield from $this->region($situation);
        if ($situation->isUnequal(RequirementId::PICTURE_PIXEL_ASPECT)) {
            $side = $situation->side(RequirementId::PICTURE_PIXEL_ASPECT);
            $found = $situation->found(RequirementId::PICTURE_PIXEL_ASPECT) ?? '';
            $asked = $situation->entry(RequirementId::PICTURE_PIXEL_ASPECT)->required ?? '';
            if ($side === Side::Scene || $situation->isUniform(RequirementId::PICTURE_PIXEL_ASPECT)) {
                $touches = [
                    RequirementId::PICTURE_PIXEL_ASPECT,
                    ...(
                        $situation->isUnequal(RequirementId::PICTURE_RESOLUTION)
                            ? []
                            : [RequirementId::PICTURE_DISPLAY_ASPECT]
                    ),
                ];
                yield Finding::of(
                    CauseId::PixelAspectDiffers,
                    $side,
                    "Pixels are {$found} wide to high, and {$asked} is asked.",
                    ["the pixel aspect is {$found}"],
                    $touches,
                    EntryFix::of($situation, RequirementId::PICTURE_PIXEL_ASPECT, 'the pixel aspect')->fixes,
                );
            }
        }
    }

    /** @return iterable<Finding> */
    private function region(Situation $situation): iterable
    {
        $part = $situation->part();
        if (
            ! $situation->isUnequal(RequirementId::PICTURE_REGION)
            || ($situation->entry(RequirementId::PICTURE_REGION)->required ?? '') !== 'full'
        ) {
            return;
        }
        $found = $situation->found(RequirementId::PICTURE_REGION) ?? 'on';
        $off = Fix::set(
            $part,
            RequirementId::PICTURE_REGION,
            'the render region',
            $found,
            'full',
            'Switch the render region off.',
        );
        if ($situation->side(RequirementId::PICTURE_REGION) === Side::Scene) {
            yield Finding::of(
                CauseId::RegionLeftOn,
                Side::Scene,
                'A render region is on'
                    .($found === 'on' ? '' : " ({$found})")
                    .': only that part of the picture would be rendered.',
                ["picture.region is {$found}"],
                [RequirementId::PICTURE_REGION],
                [$off],
            );
        } elseif ($situation->isUniform(RequirementId::PICTURE_REGION)) {
            $surround = $situation->shared(static fn (MediaFacts $f): ?string => $f->picture->region) === 'full';
            $says = $surround
                ? "A render region was left on: every frame is empty around the same outline, {$found}."
                : "A render region was left on: every frame holds the same smaller window, {$found}.";
            yield Finding::of(
                CauseId::RegionLeftOn,
                Side::Files,
                $says,
                [
                    $surround
                        ? 'in every whole frame what lies around it is of one colour, or transparent'
                        : "the data window is {$found} in every whole file",
                ],
                [RequirementId::PICTURE_REGION],
                [$off],
            )->rendering();
        }
    }
}
