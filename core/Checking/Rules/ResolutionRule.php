<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `picture.resolution`: the scene's size × scale, and the files' size. */
final readonly class ResolutionRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::PICTURE_RESOLUTION;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $sizes = $subject->scene?->renderedSizes() ?? [];
        foreach ($sizes as $size) {
            if (in_array((string) $size, $requirement->value->values, true)) {
                return Cell::when(true, (string) $size);
            }
        }

        return $sizes === [] ? Cell::unknown() : Cell::when(false, (string) $sizes[0]);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): array {
            $found = $facts->picture->width === null || $facts->picture->height === null
                ? null
                : "{$facts->picture->width}x{$facts->picture->height}";

            return [$found, in_array($found, $requirement->value->values, true)];
        });
    }
}
