<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `picture.pixel_aspect` and `picture.display_aspect`. */
final readonly class ShapeRules implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::PICTURE_PIXEL_ASPECT || $id === RequirementId::PICTURE_DISPLAY_ASPECT;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        if ($scene === null) {
            return Cell::unknown();
        }
        if ($requirement->id() === RequirementId::PICTURE_PIXEL_ASPECT) {
            $aspect = $scene->pixelAspect();

            return $aspect === null
                ? Cell::unknown()
                : Cell::when($this->sameAspect($requirement, $aspect), Fraction::writeFull($aspect));
        }

        return $this->displayAspectOf($requirement, $scene);
    }

    private function displayAspectOf(Requirement $requirement, SceneSettings $scene): Cell
    {
        $size = $scene->size();
        if ($size === null) {
            $told = $scene->get(RequirementId::PICTURE_DISPLAY_ASPECT);

            return $told === null
                ? Cell::unknown()
                : Cell::when(in_array($told, $requirement->value->values, true), $told);
        }
        $aspect = $scene->pixelAspect() ?? BigRational::one();
        // the size as set has the shape that is meant; scale may round it away
        $sizes = [$size, ...$scene->renderedSizes()];
        $right = array_filter($sizes, fn (Resolution $each): bool => $this->hasShape($requirement, $each, $aspect));

        return Cell::when($right !== [], $this->shape($size, $aspect));
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $pixels = $requirement->id() === RequirementId::PICTURE_PIXEL_ASPECT;

        return FactSurvey::cell($subject, function (MediaFacts $facts) use ($requirement, $pixels): array {
            $aspect = $facts->picture->pixelAspect;
            if ($aspect === null || $facts->picture->width === null || $facts->picture->height === null) {
                return [null, false];
            }
            if ($pixels) {
                return [Fraction::writeFull($aspect), $this->sameAspect($requirement, $aspect)];
            }
            $size = Resolution::of($facts->picture->width, $facts->picture->height);
            if ($facts->movie?->picture->exchangesSides() === true) {
                // as it is shown: on its side
                [$size, $aspect] = [
                    Resolution::of($facts->picture->height, $facts->picture->width),
                    BigRational::one()->dividedBy($aspect),
                ];
            }

            return [$this->shape($size, $aspect), $this->hasShape($requirement, $size, $aspect)];
        });
    }

    /** Floats and densities in files, and decimals typed by people, stand for a fraction to one part in a thousand. */
    private function sameAspect(Requirement $requirement, BigRational $found): bool
    {
        $asked = Fraction::parse($requirement->value->single() ?? '1');

        return $found->isEqualTo($asked) || Fraction::near($found, $asked);
    }

    private function hasShape(Requirement $requirement, Resolution $size, BigRational $pixelAspect): bool
    {
        foreach ($requirement->value->values as $shape) {
            if (AspectRatio::parse($shape)->holdsFor($size, $pixelAspect)) {
                return true;
            }
        }

        return false;
    }

    private function shape(Resolution $size, BigRational $pixelAspect): string
    {
        $aspect = $size->displayAspect($pixelAspect);
        $small = $aspect->getNumerator()->isLessThanOrEqualTo(64) && $aspect->getDenominator()->isLessThanOrEqualTo(64);

        return $small ? $aspect->getNumerator().':'.$aspect->getDenominator() : Fraction::decimal($aspect);
    }
}
