<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `time.range`, `time.step`, `time.count` and `time.extent`: the set of frames that is expected, beside the set the
 * scene would render and the set that was delivered.
 */
final readonly class RangeRules implements Rule
{
    public function answers(string $id): bool
    {
        return in_array(
            $id,
            [
                RequirementId::TIME_RANGE,
                RequirementId::TIME_STEP,
                RequirementId::TIME_COUNT,
                RequirementId::TIME_EXTENT,
            ],
            true,
        );
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        return match ($requirement->id()) {
            RequirementId::TIME_RANGE => $this->sceneRange($subject),
            RequirementId::TIME_STEP => $this->sceneStep($requirement, $subject),
            RequirementId::TIME_COUNT => $this->sceneCount($requirement, $subject),
            default => $this->sceneExtent($requirement, $subject),
        };
    }

    private function sceneRange(Subject $subject): Cell
    {
        $expected = $subject->expected;
        $one = $subject->scene?->get(RequirementId::TIME_EXTENT) === 'one';
        $set = $subject->scene?->frames();
        if ($expected === null) {
            return Cell::unknown();
        }
        if ($set === null) {
            return $one && count($expected) > 1 ? Cell::when(false, 'one frame') : Cell::unknown();
        }

        if (! $set->equals($expected) && self::completes($subject, $set, $expected)) {
            return Cell::when(true, "{$set}, which completes what is there");
        }

        return Cell::when($set->equals($expected), (string) $set);
    }

    /** It goes on where the files that are there end, and leaves nothing out. */
    private static function completes(Subject $subject, FrameRange $set, FrameRange $expected): bool
    {
        $passes = $subject->match->passes ?? [];
        foreach ($passes as $pass) {
            $good = $pass->present->minus($pass->damaged);
            if (
                $good->isEmpty()
                || ! $expected->covers($set)
                || ! $good->plus($set)->covers($expected)
                || $pass->present->equals($expected)
            ) {
                return false;
            }
        }

        return $passes !== [];
    }

    private function sceneStep(Requirement $requirement, Subject $subject): Cell
    {
        $step = $subject->scene?->get(RequirementId::TIME_STEP);

        return $step === null ? Cell::unknown() : Cell::when($requirement->value->admitsNumber($step), $step);
    }

    private function sceneCount(Requirement $requirement, Subject $subject): Cell
    {
        $set = $subject->scene?->frames();
        if ($set === null) {
            $told = $subject->scene?->get(RequirementId::TIME_EXTENT) === 'one'
                ? '1'
                : $subject->scene?->get(RequirementId::TIME_COUNT);

            return $told === null ? Cell::unknown() : Cell::when($requirement->value->admitsNumber($told), $told);
        }

        return Cell::when($requirement->value->admitsNumber((string) count($set)), (string) count($set));
    }

    /**
     * The same word is equal, whatever set it gives; the other of `listed` and `whole` is where its set is the one
     * expected.
     */
    private function sceneExtent(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $extent = $scene?->get(RequirementId::TIME_EXTENT);
        if ($scene === null || $extent === null) {
            return Cell::unknown();
        }
        if (in_array($extent, $requirement->value->values, true)) {
            return Cell::when(true, $extent);
        }
        $set = $scene->frames();
        if ($extent === 'one' || $subject->expected === null) {
            return Cell::when(
                $subject->expected !== null && $set !== null && $set->equals($subject->expected),
                $extent,
            );
        }

        return $set === null
            ? Cell::unknown()
            : Cell::when(
                $set->equals($subject->expected) && ! in_array('one', $requirement->value->values, true),
                $extent,
            );
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if ($subject->part->delivers->isMovie()) {
            return $this->ofMovie($requirement, $subject);
        }

        return ! $subject->isNumbered() || $requirement->id() === RequirementId::TIME_EXTENT
            ? null
            : $this->ofPasses($requirement, $subject);
    }

    private function ofPasses(Requirement $requirement, Subject $subject): ?Cell
    {
        $shown = [];
        $wrong = [];
        foreach ($subject->match->passes ?? [] as $place => $pass) {
            [$found, $mark] = self::shownBy($pass, $requirement) ?? [null, null];
            if ($mark === null) {
                continue;
            }
            $shown[$mark->value] ??= [$found, $mark];
            if ($mark === Mark::Unequal && $requirement->id() === RequirementId::TIME_RANGE) {
                $wrong[$place] = $pass->missing();
            }
        }
        if ($shown === []) {
            return null;
        }
        $mark = Mark::together(...array_column($shown, 1));
        $wrong = array_filter($wrong, static fn (FrameRange $missing): bool => ! $missing->isEmpty());

        return Cell::of($mark, $shown[$mark->value][0] ?? null, [], $wrong);
    }

    /** A movie has no frame numbers: its pictures are counted. */
    private function ofMovie(Requirement $requirement, Subject $subject): ?Cell
    {
        $asked = $requirement->id() === RequirementId::TIME_RANGE ? $subject->expected : null;
        $isCount = $requirement->id() === RequirementId::TIME_COUNT;
        if (! $isCount && $requirement->id() !== RequirementId::TIME_RANGE) {
            return null;
        }

        $ask = static function (MediaFacts $facts) use ($requirement, $asked, $isCount): ?array {
            $count = $facts->timing->frameCount;
            if ($facts->kind?->isMovie() !== true || $count === null) {
                return $facts->kind?->isMovie() === true ? [null, false] : null;
            }
            $isRight = $isCount
                ? $requirement->value->admitsNumber((string) $count)
                : $asked !== null && count($asked) === $count;

            return [$isCount || $asked !== null ? (string) $count : null, $isRight];
        };

        return FactSurvey::cell($subject, $ask);
    }

    /** @return array{string, Mark}|null what the frames of one pass show; null where they show nothing of it */
    private static function shownBy(PassMatch $pass, Requirement $requirement): ?array
    {
        $step = $pass->present->commonStep();
        $number = $requirement->id() === RequirementId::TIME_COUNT ? count($pass->present) : $step;

        return match (true) {
            $requirement->id() === RequirementId::TIME_RANGE => [self::present($pass), self::rangeMark($pass)],
            $number === null => null,
            default => [(string) $number, Mark::when($requirement->value->admitsNumber((string) $number))],
        };
    }

    private static function rangeMark(PassMatch $pass): Mark
    {
        return $pass->expected === null
            ? Mark::Unknown
            : Mark::when(! $pass->lone && $pass->present->equals($pass->expected));
    }

    private static function present(PassMatch $pass): string
    {
        return match (true) {
            $pass->isEmpty() => 'none',
            $pass->lone => 'one frame',
            default => (string) $pass->present,
        };
    }
}
