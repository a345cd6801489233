<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
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
                    $mark = $pass['saved'] === null ? Mark::Unknown : Mark::when($pass['saved']);
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
            return self::byFiles($passes);
        }

        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): array {
            if ($facts->encoding->channels === null) {
                return [null, false];
            }
            $asked = $requirement->value->values;
            $there = array_filter($asked, static fn (string $pass): bool => self::hasLayer($facts, strtolower($pass)));

            return [$there === [] ? 'none' : implode(' | ', $there), count($there) === count($asked)];
        });
    }

    /** @param  array<int, PassMatch>  $passes */
    private static function byFiles(array $passes): Cell
    {
        $there = [];
        $whole = true;
        foreach ($passes as $pass) {
            $short = ! $pass->missing()->isEmpty();
            $whole = $whole && ! $pass->isEmpty() && ! $short;
            if (! $pass->isEmpty()) {
                $there[] = $pass->pass.($short ? ' (short)' : '');
            }
        }

        return Cell::when($whole, $there === [] ? 'none' : implode(' | ', $there));
    }

    /** The layer without a name is the finished picture. */
    private static function hasLayer(MediaFacts $facts, string $pass): bool
    {
        $pictured = array_intersect(['R', 'G', 'B', 'Y'], $facts->encoding->channels ?? []) !== [];

        return in_array($pass, array_map(strtolower(...), $facts->labels->layers), true)
            || ($pass === 'beauty' && $pictured);
    }
}
