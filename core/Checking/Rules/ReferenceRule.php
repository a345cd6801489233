<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\PictureNumbers;
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
        $pass = $subject->match->passes[ColourPass::placeIn($subject) ?? 0] ?? $subject->onlyPass();
        if ($pass === null || $pass->isEmpty() || self::isUnseenMovie($pass, $subject)) {
            return null;
        }
        $found = [];
        $wrong = [];
        $isUnknown = false;
        foreach (ApprovedPicture::listOf($requirement->value) as $approved) {
            $distance = self::distanceFrom($approved, $pass, $subject);
            if ($distance instanceof PictureDistance) {
                $found[] = "{$approved->frame}: ".self::spoken($distance);
                $isNear = $distance->mean()?->isLessThanOrEqualTo($approved->tolerance) === true;
                $wrong = $isNear ? $wrong : [...$wrong, $approved->frame];
            }
            $isUnknown = $isUnknown || $distance === null;
        }
        if ($wrong !== []) {
            return self::unlike($subject, $pass, $wrong, implode('; ', $found));
        }

        if ($isUnknown || $found === []) {
            return self::untold($isUnknown, $subject);
        }

        return Cell::of(Mark::Equal, implode('; ', $found));
    }

    /** Of a movie of another size nothing is told. */
    private static function untold(bool $isUnknown, Subject $subject): ?Cell
    {
        return ! $isUnknown && $subject->part->delivers->isMovie() ? null : Cell::unknown();
    }

    private static function isUnseenMovie(PassMatch $pass, Subject $subject): bool
    {
        $pixels = $pass->frames->factsAt(0)->movie?->pixels;

        return $subject->part->delivers->isMovie() && ($pixels->samples ?? []) === [];
    }

    /** False where the frame is missing or broken, which is told elsewhere; null where it could not be compared. */
    private static function distanceFrom(
        ApprovedPicture $approved,
        PassMatch $pass,
        Subject $subject,
    ): PictureDistance|false|null {
        if ($subject->part->delivers->isMovie()) {
            return self::distanceInMovie($approved, $pass, $subject);
        }
        $at = $pass->frames->place($subject->isNumbered() ? $approved->frame : 0);
        if ($at === null || ! $pass->frames->factsAt($at)->isWhole()) {
            return false;
        }
        $distance = $pass->frames->distanceAt($at);

        return $distance instanceof PictureDistance ? $distance : null;
    }

    private static function distanceInMovie(
        ApprovedPicture $approved,
        PassMatch $pass,
        Subject $subject,
    ): PictureDistance|false|null {
        $pixels = $pass->frames->factsAt(0)->movie?->pixels;
        $numbers = PictureNumbers::of($subject->part, $subject->source(), count($pixels->samples ?? []));
        $place = array_search($approved->frame, $numbers, true);

        $distance = $place === false ? null : $pixels->distances[$place] ?? null;

        // a movie may well be smaller than its frames are
        return $place === false || ($distance !== null && $distance->mean() === null) ? false : $distance;
    }

    /** @param  list<int>  $wrong */
    private static function unlike(Subject $subject, PassMatch $pass, array $wrong, string $found): Cell
    {
        $isNumbered = $subject->isNumbered() || $subject->part->delivers->isMovie();
        $frames = $isNumbered ? FrameRange::fromNumbers($wrong) : FrameRange::of(0, 0);
        $place = (int) array_search($pass, $subject->match->passes ?? [], true);

        return Cell::of(Mark::Unequal, $found, [], [$place => $frames]);
    }

    private static function spoken(PictureDistance $distance): string
    {
        $mean = $distance->mean();
        if ($mean === null) {
            return "another size, {$distance->where}";
        }

        return Fraction::decimal($mean->multipliedBy(255), 2)
            .'/255'
            .($mean->isZero() ? '' : ", most {$distance->where}");
    }
}
