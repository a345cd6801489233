<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * `output.overwrites`: as the scene says it; else by its name without a number; else by good files that lie there
 * already.
 */
final readonly class OverwritesRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::OUTPUT_OVERWRITES;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $asked = $requirement->value->single() === 'yes';
        $told = $scene?->get(RequirementId::OUTPUT_OVERWRITES);
        $name = $scene?->get(RequirementId::NAMING_PATTERN);
        if ($name !== null && $name !== '' && NamingRules::lacksNumber($subject) && ! NamingRules::isBare($subject)) {
            return Cell::when($asked, 'yes, one name for all frames');
        }
        if ($told !== null) {
            return Cell::when(($told === 'yes') === $asked, $told);
        }
        $under = self::writtenOver($subject);

        return match (true) {
            $under === null => Cell::unknown(),
            $under->isEmpty() => Cell::when(! $asked, 'no'),
            default => Cell::when($asked, 'yes, '.Text::count(count($under), 'file').": {$under}"),
        };
    }

    /** Good files of before that the scene would write over; null where that cannot be told. */
    public static function writtenOver(Subject $subject): ?FrameRange
    {
        $scene = $subject->scene;
        $frames = $scene?->frames();
        [$name, $folder] = [$scene?->get(RequirementId::NAMING_PATTERN), $scene?->get(RequirementId::OUTPUT_FOLDER)];
        if (
            $subject->earlier === null
            || $frames === null
            || $frames->isEmpty()
            || $name === null
            || $folder === null
        ) {
            return null;
        }
        $values = $subject->specification->pieceValues($subject->part);
        try {
            $pattern = NamePattern::parse(basename(strtr($name, '\\', '/')))->make($values);
            $folder = NamePattern::parseSceneName($folder)->make($values);
        } catch (PatternRefused) {
            return null;
        }

        return $subject->earlier->under($subject->part->name, $folder, $pattern, $frames);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }
}
