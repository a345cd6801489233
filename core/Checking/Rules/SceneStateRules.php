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
        $source = $subject->scene?->source;

        return $requirement->id() === RequirementId::SCENE_SAVED
            ? self::saved($requirement, $source?->saved)
            : self::links($source?->links);
    }

    private static function saved(Requirement $requirement, ?bool $saved): Cell
    {
        if ($saved === null) {
            return Cell::unknown();
        }
        $found = $saved ? 'yes' : 'no';

        return Cell::when($requirement->value->single() === $found, $found);
    }

    /** @param  list<array{path: string, present: bool|null}>|null  $links */
    private static function links(?array $links): Cell
    {
        if ($links === null) {
            return Cell::unknown();
        }
        $missing = count(array_filter($links, static fn (array $link): bool => $link['present'] === false));
        $untold = count(array_filter($links, static fn (array $link): bool => $link['present'] === null));

        return match (true) {
            $missing > 0 => Cell::when(false, "{$missing} missing"),
            $untold > 0 => Cell::unknown(),
            default => Cell::of(Mark::Equal, 'yes'),
        };
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }
}
