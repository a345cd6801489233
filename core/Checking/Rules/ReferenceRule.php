<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `content.reference`: pictures agree with those approved for their frames, on the mean of all pixels. */
final readonly class ReferenceRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::CONTENT_REFERENCE;
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $place = ColourPass::placeIn($subject) ?? 0;
        $pass = $subject->match->passes[$place] ?? $subject->onlyPass();
        if ($pass === null || $pass->isEmpty() || $subject->part->delivers->isMovie()) {
            return null;
        }
        $place = array_search($pass, $subject->match->passes ?? [], true);
        $found = [];
        $wrong = [];
        $unknown = false;
        foreach (ApprovedPicture::listOf($requirement->value) as $approved) {
            $at = $pass->frames->place($subject->isNumbered() ? $approved->frame : 0);
            if ($at === null || ! $pass->frames->factsAt($at)->isWhole()) {
                // a frame that is missing is missing elsewhere
                continue;
            }
            $distance = $pass->frames->distanceAt($at);
            if (! $distance instanceof PictureDistance) {
                $unknown = true;

                continue;
            }
            $mean = $distance->mean();
            $found[] = "{$approved->frame}: ".(
                $mean === null
                    ? "another size, {$distance->where}"
                    : Fraction::decimal($mean->multipliedBy(255), 2)
                        .'/255'
                        .($mean->isZero() ? '' : ", most {$distance->where}")
            );
            if ($mean === null || $mean->isGreaterThan($approved->tolerance)) {
                $wrong[] = $approved->frame;
            }
        }
        if ($wrong !== []) {
            return Cell::of(
                Mark::Unequal,
                implode('; ', $found),
                [],
                [(int) $place => $subject->isNumbered() ? FrameRange::fromNumbers($wrong) : FrameRange::of(0, 0)],
            );
        }

        return $unknown || $found === [] ? Cell::unknown() : Cell::of(Mark::Equal, implode('; ', $found));
    }
}
