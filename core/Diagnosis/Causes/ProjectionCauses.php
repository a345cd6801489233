<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\ProjectionShape;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** `not-two-to-one` and `spherical-not-tagged`. */
final readonly class ProjectionCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $entry = $situation->entry(RequirementId::PICTURE_PROJECTION);
        if (
            $entry === null
            || ! $situation->isUnequal(RequirementId::PICTURE_PROJECTION)
            || ! str_starts_with($entry->required, 'lat-long')
        ) {
            return;
        }
        $part = $situation->part();
        $side = $situation->side(RequirementId::PICTURE_PROJECTION);
        $size = $side === Side::Scene ? $situation->scene()?->size() : $this->sharedSize($situation);
        if ($size === null) {
            return;
        }
        if (! ProjectionShape::holds($entry->required, $size->width, $size->height)) {
            $wanted = $situation->subject->part->single(RequirementId::PICTURE_RESOLUTION)
                ?? (2 * $size->height)."x{$size->height}";
            yield Finding::of(
                CauseId::NotTwoToOne,
                $side,
                "A {$entry->required} picture is twice as wide as high"
                    .($entry->required === 'lat-long' ? '' : ' for each eye')
                    .", and it is {$size->spoken()}.",
                ["the size is {$size}"],
                [
                    RequirementId::PICTURE_PROJECTION,
                    RequirementId::PICTURE_RESOLUTION,
                    RequirementId::PICTURE_DISPLAY_ASPECT,
                ],
                [Fix::set($part, RequirementId::PICTURE_RESOLUTION, 'the size', (string) $size, $wanted)],
            )->rendering($side === Side::Files);
        } elseif (
            $side === Side::Files
            && $situation->shared(static fn (MediaFacts $f): string => $f->projection ?? 'none') === 'none'
        ) {
            yield Finding::of(
                CauseId::SphericalNotTagged,
                Side::Files,
                'The pictures are two to one, and nothing in them says that they are spherical.',
                ['no file has the mark of a lat-long picture'],
                [RequirementId::PICTURE_PROJECTION],
                [Fix::retag($part, RequirementId::PICTURE_PROJECTION, 'the projection', 'none', $entry->required)],
            );
        }
    }

    private function sharedSize(Situation $situation): ?Resolution
    {
        $text = $situation->shared(static fn (MediaFacts $f): string => "{$f->width}x{$f->height}");

        return $text === null || ! preg_match('~^\d+x\d+$~', $text) ? null : Resolution::parse($text);
    }
}
