<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `passes`: each is there, as files or as a layer of every file, and in the scene switched on to be saved. */
final readonly class PassesRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::PASSES;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $listed = $subject->scene?->passes;
        if ($listed === null) {
            return Cell::unknown();
        }
        $marks = [];
        $found = [];
        foreach ($requirement->value->values as $asked) {
            $mark = Mark::Unequal;
            foreach ($listed as $pass) {
                if (strcasecmp($pass['name'], $asked) === 0) {
                    $mark = $pass['saved'] === null ? Mark::Unknown : ($pass['saved'] ? Mark::Equal : Mark::Unequal);
                    $found[] = $pass['name'].($pass['saved'] === false ? ' (not saved)' : '');
                }
            }
            $marks[] = $mark;
        }

        return Cell::of(Mark::together(...$marks), $found === [] ? 'none' : implode(' | ', $found));
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $passes = $subject->match->passes ?? [];
        if (count($passes) > 1 || ($passes[0]->pass ?? null) !== null) {
            $there = [];
            $whole = true;
            foreach ($passes as $pass) {
                $whole = $whole && ! $pass->isEmpty() && $pass->missing()->isEmpty();
                if (! $pass->isEmpty()) {
                    $there[] = (string) $pass->pass.($pass->missing()->isEmpty() ? '' : ' (short)');
                }
            }

            return Cell::when($whole, $there === [] ? 'none' : implode(' | ', $there));
        }

        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): array {
            if ($facts->channels === null) {
                return [null, false];
            }
            $layers = array_map(strtolower(...), $facts->layers);
            $there = array_values(
                array_filter(
                    $requirement->value->values,
                    static fn (string $pass): bool => in_array(strtolower($pass), $layers, true)
                        // the unnamed layer is the finished picture
                        || (
                            strtolower($pass) === 'beauty'
                            && array_intersect(['R', 'G', 'B', 'Y'], $facts->channels) !== []
                        ),
                ),
            );

            return [
                $there === [] ? 'none' : implode(' | ', $there),
                count($there) === count($requirement->value->values),
            ];
        });
    }
}
