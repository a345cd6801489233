<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `scene.saved` and `scene.links`. */
final readonly class SceneStateRules implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::SCENE_SAVED || $id === RequirementId::SCENE_LINKS;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        if ($requirement->id() === RequirementId::SCENE_SAVED) {
            $saved = $subject->scene?->source->saved;

            return $saved === null
                ? Cell::unknown()
                : Cell::when($requirement->value->single() === ($saved ? 'yes' : 'no'), $saved ? 'yes' : 'no');
        }
        $links = $subject->scene?->source->links;
        if ($links === null) {
            return Cell::unknown();
        }
        $missing = count(array_filter($links, static fn (array $l): bool => $l['present'] === false));
        $untold = count(array_filter($links, static fn (array $l): bool => $l['present'] === null));

        return $missing > 0
            ? Cell::when(false, "{$missing} missing")
            : ($untold > 0 ? Cell::unknown() : Cell::of(Mark::Equal, 'yes'));
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }
}
