<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\ArrivalPace;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\DamagedTail;
use PlainLedger\Core\Diagnosis\DeliveredFrames;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\VersionProof;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * What the first and the last frame say: numbered from elsewhere, one left out, stopped, still arriving, resumed late.
 */
final readonly class RangeEndCauses
{
    /** @return iterable<Finding> */
    public function find(DeliveredFrames $frames): iterable
    {
        yield from $this->resumed($frames);
        $step = $frames->step() ?? $frames->askedStep();
        $stepped = $step !== $frames->askedStep();
        if (! $stepped) {
            yield from $this->numbered($frames);
        }
        [$span, $expected] = [$frames->present->span(), $frames->expected];
        if (! $expected->span()->covers($frames->present)) {
            return;
        }
        if (! $stepped) {
            yield from $this->oneLeftOut($frames);
        }
        $begins = $span->first() - $expected->first() < $step;
        if ($begins && $expected->last() - $span->last() >= $step) {
            yield from $this->stopped($frames, $stepped);
        }
    }

    /**
     * A scene that would go on from what is there, and begins too late.
     *
     * @return iterable<Finding>
     */
    private function resumed(DeliveredFrames $frames): iterable
    {
        $scene = $frames->scene;
        $good = $frames->present->minus($frames->pass->damaged)->and($frames->expected);
        if (
            $scene === null
            || $scene->isEmpty()
            || $good->isEmpty()
            || ! $this->goesOn($scene, $good, $frames->expected)
        ) {
            return;
        }
        $left = $frames->expected->minus($good)->minus($scene);
        if ($left->isEmpty()) {
            return;
        }
        $due = (string) $frames->expected->and(FrameRange::of($left->first(), $frames->expected->last()));
        $says = "Set the range to {$due}, from the first frame that is not whole; it is {$scene}.";
        $part = $frames->situation->part();
        yield Finding::of(
            CauseId::ResumeLeavesGap,
            Side::Scene,
            "The scene would go on at {$scene->first()}, and leaves out {$left}.",
            ["the scene would render {$scene}", "whole frames are {$good}"],
            DeliveredFrames::TOUCHES,
            [Fix::set($part, RequirementId::TIME_RANGE, 'the range', (string) $scene, $due, $says)],
        );
    }

    private function goesOn(FrameRange $scene, FrameRange $good, FrameRange $expected): bool
    {
        return $expected->covers($scene)
            && $scene->first() > $good->last()
            && $scene->last() === $expected->last()
            && $good->first() === $expected->first();
    }

    /** @return iterable<Finding> */
    private function numbered(DeliveredFrames $frames): iterable
    {
        $span = $frames->present->span();
        $shift = $frames->expected->first() - $span->first();
        $alike = $shift !== 0
            && count($frames->present) > 1
            && $span->shifted($shift)->equals($frames->expected->span());
        if (! $alike || $frames->isStarting($span)) {
            return;
        }
        $known = $frames->scene !== null && $frames->scene->equals($frames->expected);
        $says = "As many frames as asked, numbered from elsewhere: {$span} instead of {$frames->expected}.";
        $doubt = $known
            ? ' The scene is set to the range asked, so they are the same frames.'
            : ' If they show the same motion, renaming is enough; no scene says so.';
        yield $frames->finding(
            CauseId::NumberedFromElsewhere,
            $says.$doubt,
            'every number is '.abs($shift).($shift > 0 ? ' too low' : ' too high'),
            ...$known ? ["the scene would render {$frames->scene}"] : [],
        )->withFixes($this->renumber($frames, $shift))
            ->asAlternative()
            ->orElse(...$known ? [] : [CauseId::RangeSetOtherwise]);
    }

    /** @return list<Fix> */
    private function renumber(DeliveredFrames $frames, int $shift): array
    {
        $lacking = static fn (Take $take): bool => VersionProof::isLacking($frames->situation, $take);
        $right = array_filter($frames->pass->takes, static fn (Take $take): bool => ! $lacking($take));

        return array_values(array_map(
            static fn (Take $t): Fix => RenameFix::of($frames->situation, $frames->pass, $t, $t->frames, $shift),
            $right,
        ));
    }

    /** @return iterable<Finding> */
    private function oneLeftOut(DeliveredFrames $frames): iterable
    {
        $expected = $frames->expected;
        $missing = $expected->minus($frames->present);
        $one = count($missing) === 1 && count($expected) > 2 && $frames->pass->damaged->isEmpty();
        if (! $one || ! in_array($missing->first(), [$expected->first(), $expected->last()], true)) {
            return;
        }
        $end = $missing->first() === $expected->last() ? 'end' : 'start';
        yield $frames->finding(
            CauseId::LastFrameLeftOut,
            "Only frame {$missing} is missing: the {$end} was set one frame off.",
            'nothing is damaged and nothing is extra',
        )->withFixes($frames->setRange())->asAlternative();
    }

    /**
     * Beside a step that was left on it is a mistake of its own.
     *
     * @return iterable<Finding>
     */
    private function stopped(DeliveredFrames $frames, bool $stepped): iterable
    {
        $scene = $frames->scene;
        $one = $frames->situation->told(RequirementId::TIME_EXTENT) === 'one';
        $decides = $scene !== null && ! $scene->isEmpty() && ! $one;
        if ($decides && $scene->last() <= $frames->present->last()) {
            return;
        }
        $tail = FrameRange::fromNumbers(DamagedTail::of($frames->pass));
        $short = $scene !== null && ! $one && $scene->last() < $frames->expected->last();
        $fixes = $short ? $frames->setRange() : [];
        $pace = ArrivalPace::of($frames->pass, $frames->situation->scannedAt);
        if ($pace->isStillArriving()) {
            $left = count(
                $frames->expected->and(FrameRange::of($this->firstBad($frames, $tail), $frames->expected->last())),
            );
            $says = "The render seems to be going on: {$pace->says()}; ".Text::count($left, 'frame').' to come.';
            $wait = Fix::wait($frames->situation->part(), self::waitSays($pace, $left));
            yield $this->ending($frames, CauseId::StillArriving, $says, $tail)
                ->withFixes([$wait, ...$fixes])
                ->asAlternative();
        }
        yield $this->ending($frames, CauseId::RenderStopped, $this->stoppedSays($frames, $tail), $tail)
            ->withFixes($fixes)
            ->asAlternative(! $stepped);
    }

    private static function waitSays(ArrivalPace $pace, int $left): string
    {
        $rest = $pace->gap > 0 ? '; at this pace the rest takes about '.ArrivalPace::duration($pace->gap * $left) : '';

        return "Wait, and check again{$rest}.";
    }

    private function firstBad(DeliveredFrames $frames, FrameRange $tail): int
    {
        return $tail->isEmpty() ? $this->notReached($frames)->first() : $tail->first();
    }

    /** The frames asked after the last that is there. */
    private function notReached(DeliveredFrames $frames): FrameRange
    {
        $last = $frames->present->and($frames->expected)->last();

        return $frames->expected->minus(FrameRange::of($frames->expected->first(), $last));
    }

    private function stoppedSays(DeliveredFrames $frames, FrameRange $tail): string
    {
        $whole = $frames->present->and($frames->expected)->minus($tail);
        $after = $whole->isEmpty()
            ? "at frame {$this->firstBad($frames, $tail)}, its first"
            : "after frame {$whole->last()}";
        $cut = match (count($tail)) {
            0 => '',
            1 => "{$tail} was cut off mid-write, ",
            default => "{$tail} were cut off or left empty, ",
        };
        $missing = Text::count(count($this->notReached($frames)), 'frame is', 'frames are');

        return "The render stopped {$after}: {$cut}{$missing} missing.";
    }

    private function ending(DeliveredFrames $frames, CauseId $id, string $says, FrameRange $tail): Finding
    {
        $finding = $frames->finding(
            $id,
            $says,
            ...($tail->isEmpty() ? [] : DamagedTail::evidence($frames->pass, $tail)),
            ...($frames->scene === null ? [] : ["the scene would render {$frames->scene}"]),
        );

        return $tail->isEmpty() ? $finding : $finding->touching(RequirementId::CONTENT_WHOLE);
    }
}
