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
        $id = RequirementId::PICTURE_PROJECTION;
        $asked = $situation->asked($id);
        if (! $situation->isUnequal($id) || ! str_starts_with($asked, 'lat-long')) {
            return;
        }
        $side = $situation->side($id);
        $size = $side === Side::Scene ? $situation->scene()?->size() : $this->sharedSize($situation);
        if ($size === null) {
            return;
        }
        if (! ProjectionShape::holds($asked, $size->width, $size->height)) {
            yield $this->notTwoToOne($situation, $asked, $size)->rendering($side === Side::Files);

            return;
        }
        $tag = $situation->shared(static fn (MediaFacts $f): string => $f->picture->projection ?? 'none');
        if ($side === Side::Files && $tag === 'none') {
            yield Finding::of(
                CauseId::SphericalNotTagged,
                Side::Files,
                'The pictures are two to one, and nothing in them says that they are spherical.',
                ['no file has the mark of a lat-long picture'],
                [$id],
                [Fix::retag($situation->part(), $id, 'the projection', 'none', $asked)],
            );
        }
    }

    private function notTwoToOne(Situation $situation, string $asked, Resolution $size): Finding
    {
        $id = RequirementId::PICTURE_RESOLUTION;
        $wanted = $situation->askedOfPart($id) ?? (2 * $size->height)."x{$size->height}";
        $each = $asked === 'lat-long' ? '' : ' for each eye';

        return Finding::of(
            CauseId::NotTwoToOne,
            $situation->side(RequirementId::PICTURE_PROJECTION),
            "A {$asked} picture is twice as wide as high{$each}, and it is {$size->spoken()}.",
            ["the size is {$size}"],
            [RequirementId::PICTURE_PROJECTION, $id, RequirementId::PICTURE_DISPLAY_ASPECT],
            [Fix::set($situation->part(), $id, 'the size', (string) $size, $wanted)],
        );
    }

    private function sharedSize(Situation $situation): ?Resolution
    {
        $text = $situation->shared(static fn (MediaFacts $f): string => "{$f->picture->width}x{$f->picture->height}");

        return $text === null || ! preg_match('~^\d+x\d+$~', $text) ? null : Resolution::parse($text);
    }
}
