<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Requirement;

/**
 * `time.range`, `time.step`, `time.count` and `time.extent`: the set of frames that is expected, beside the set the
 * scene would render and the set that was delivered.
 */
final readonly class RangeRules implements Rule
{
    public function answers(string $id): bool
    {
        return in_array($id, ['time.range', 'time.step', 'time.count', 'time.extent'], true);
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        return match ($requirement->id()) {
            'time.range' => $this->sceneRange($subject),
            'time.step' => $this->sceneStep($requirement, $subject),
            'time.count' => $this->sceneCount($requirement, $subject),
            default => $this->sceneExtent($requirement, $subject),
        };
    }

    private function sceneRange(Subject $subject): Cell
    {
        $expected = $subject->expected;
        $one = $subject->scene?->get('time.extent') === 'one';
        $set = $subject->scene?->frames();
        if ($expected === null) {
            return Cell::unknown();
        }
        if ($set === null) {
            return $one && count($expected) > 1 ? Cell::when(false, 'one frame') : Cell::unknown();
        }

        return Cell::when($set->equals($expected), (string) $set);
    }

    private function sceneStep(Requirement $requirement, Subject $subject): Cell
    {
        $step = $subject->scene?->get('time.step');

        return $step === null ? Cell::unknown() : Cell::when($requirement->ask->admitsNumber($step), $step);
    }

    private function sceneCount(Requirement $requirement, Subject $subject): Cell
    {
        $set = $subject->scene?->frames();
        if ($set === null) {
            $told = $subject->scene?->get('time.extent') === 'one' ? '1' : $subject->scene?->get('time.count');

            return $told === null ? Cell::unknown() : Cell::when($requirement->ask->admitsNumber($told), $told);
        }

        return Cell::when($requirement->ask->admitsNumber((string) count($set)), (string) count($set));
    }

    /** Whatever it is called: it is right if the frames it gives are those expected. */
    private function sceneExtent(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $extent = $scene?->get('time.extent');
        if ($scene === null || $extent === null) {
            return Cell::unknown();
        }
        if ($subject->expected === null) {
            return Cell::when(in_array($extent, $requirement->ask->values, true), $extent);
        }
        $set = $scene->frames();
        if ($set === null) {
            return $extent === 'one' ? Cell::when(count($subject->expected) === 1, $extent) : Cell::unknown();
        }

        return Cell::when($set->equals($subject->expected), $extent);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if (! $subject->isNumbered() || $requirement->id() === 'time.extent') {
            return null;
        }
        $ask = match ($requirement->id()) {
            'time.range' => static fn (PassMatch $pass): array => [$pass->isEmpty() ? 'none' : (string) $pass->present, $pass->expected === null ? null : $pass->present->equals($pass->expected)],
            'time.count' => static fn (PassMatch $pass): array => [(string) count($pass->present), $requirement->ask->admitsNumber((string) count($pass->present))],
            default => static function (PassMatch $pass) use ($requirement): ?array {
                $step = $pass->present->commonStep();

                return $step === null ? null : [(string) $step, $requirement->ask->admitsNumber((string) $step)];
            },
        };
        $cells = [];
        foreach ($subject->match->passes ?? [] as $p => $pass) {
            $answer = $ask($pass);
            if ($answer !== null) {
                $mark = $answer[1] === null ? Mark::Unknown : ($answer[1] ? Mark::Equal : Mark::Unequal);
                $wrong = $mark === Mark::Unequal && $requirement->id() === 'time.range' ? [$p => $pass->missing()] : [];
                $name = $pass->pass !== null && $mark === Mark::Unequal ? "{$answer[0]} ({$pass->pass})" : $answer[0];
                $cells[] = [$mark, $name, $wrong];
            }
        }
        if ($cells === []) {
            return null;
        }
        $mark = Mark::together(...array_column($cells, 0));
        $wrong = [];
        $found = null;
        foreach ($cells as [$own, $text, $frames]) {
            $wrong += array_filter($frames, static fn (FrameRange $f): bool => ! $f->isEmpty());
            $found ??= $own === $mark ? $text : null;
        }

        return Cell::of($mark, $found, [], $wrong);
    }
}
