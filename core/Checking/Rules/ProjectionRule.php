<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\ProjectionShape;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `picture.projection`. A lat-long picture is twice as wide as high, a stereo one for each eye, which stand above or
 * beside each other. OpenEXR has an attribute that says so; other pictures need no mark, and theirs is believed where
 * they have one.
 */
final readonly class ProjectionRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::PICTURE_PROJECTION;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $found = $scene?->get(RequirementId::PICTURE_PROJECTION);
        if ($scene === null || $found === null) {
            return Cell::unknown();
        }
        $size = $scene->size();
        $asked = $requirement->value->single() ?? 'flat';
        if ($found === $asked && $size !== null && ! ProjectionShape::holds($asked, $size->width, $size->height)) {
            return Cell::when(false, "{$found} at {$size}");
        }

        return Cell::ofWord($requirement, $found === $asked, $found);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $asked = $requirement->value->single() ?? 'flat';

        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($asked): array {
            if ($facts->picture->width === null || $facts->picture->height === null) {
                return [null, false];
            }
            $tag = $facts->picture->projection ?? 'flat';
            if ($asked === 'flat') {
                return [$tag, $tag === 'flat'];
            }
            if (! ProjectionShape::holds($asked, $facts->picture->width, $facts->picture->height)) {
                return ["{$facts->picture->width}x{$facts->picture->height}", false];
            }
            if ($facts->picture->projection === null) {
                // movies and OpenEXR have a mark for it
                return $facts->kind === Kind::Exr || $facts->movie !== null
                    ? ['not tagged', false]
                    : ["{$asked} by its shape", true];
            }

            return [$tag, $tag === ($facts->movie === null ? 'lat-long' : $asked)];
        });
    }
}
