<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\DeliveredFrames;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** Which frames are there, where that is not the set that is asked. Scenes are looked at where files show nothing. */
final readonly class FrameSetCauses implements CauseFamily
{
    private const IN_FILES = [
        RequirementId::TIME_RANGE, RequirementId::TIME_STEP, RequirementId::TIME_COUNT, RequirementId::TIME_DURATION,
    ];

    public function find(Situation $situation): iterable
    {
        if (! $this->isShownByFiles($situation)) {
            yield from $situation->isUnequal(...DeliveredFrames::TOUCHES) ? SceneFrameCauses::find($situation) : [];

            return;
        }
        $pass = $situation->subject->onlyPass();
        $expected = $pass?->expected;
        if ($situation->subject->match?->instead !== null || $pass === null || $pass->isEmpty() || $expected === null) {
            return;
        }
        foreach ($pass->present->equals($expected) ? [] : $this->all(
            new DeliveredFrames($situation, $pass, $expected),
        ) as $finding) {
            // where passes are files of their own, the same frames decide whether they are complete
            yield $pass->pass === null ? $finding : $finding->touching(RequirementId::PASSES);
        }
    }

    private function isShownByFiles(Situation $situation): bool
    {
        return array_filter(self::IN_FILES, $situation->inFiles(...)) !== []
            || ($situation->subject->pass !== null && $situation->inFiles(RequirementId::PASSES));
    }

    /** @return list<Finding> */
    private function all(DeliveredFrames $frames): array
    {
        $ofSpan = [...$this->ofSpan($frames), ...(new RangeEndCauses)->find($frames), ...$this->rest($frames)];
        $all = [...($ofSpan === [] ? $this->beginsLate($frames) : $ofSpan), ...$this->holes($frames)];

        return array_values($all);
    }

    /** @return iterable<Finding> */
    private function ofSpan(DeliveredFrames $frames): iterable
    {
        $present = $frames->present;
        if ($frames->isStarting($present->span())) {
            yield $frames->finding(
                CauseId::RangeNeverSet,
                "The range was never set: the frames are {$present}, which is what an untouched scene shows.",
                "{$present->span()} is listed as a starting value",
            )->withFixes($frames->setRange())->asAlternative();
        }
        yield from $this->single($frames);
        yield from $this->handles($frames);
        $step = $frames->step();
        if ($step !== null) {
            yield $this->step($frames, $step);
        }
        yield from $this->shortOfTimeline($frames);
    }

    /** @return iterable<Finding> */
    private function shortOfTimeline(DeliveredFrames $frames): iterable
    {
        $timeline = $frames->situation->scene()?->timeline;
        $asRendered = $frames->scene !== null && $frames->scene->equals($frames->present);
        if (
            $timeline === null
            || ! $asRendered
            || ! $timeline->equals($frames->expected)
            || $frames->present->covers($timeline)
        ) {
            return;
        }
        yield $frames->finding(
            CauseId::RangeShortOfTimeline,
            "The scene renders {$frames->scene} and leaves out part of its own animation, {$timeline}.",
            "its timeline is {$timeline}",
        )->seenIn(Side::Scene)->withFixes($frames->setRange())->asAlternative();
    }

    /** @return iterable<Finding> */
    private function rest(DeliveredFrames $frames): iterable
    {
        [$scene, $present] = [$frames->scene, $frames->present];
        $asRendered = $scene !== null && ($scene->equals($present) || $scene->span()->equals($present->span()));
        if ($scene !== null && $asRendered && ! $scene->equals($frames->expected)) {
            yield $frames->finding(
                CauseId::RangeSetOtherwise,
                "The scene is set to {$scene}, and that is what was rendered; {$frames->expected} is asked.",
                "the scene would render {$scene}",
            )->seenIn(Side::Scene)->withFixes($frames->setRange())->asAlternative();
        }
        if ($this->isShort($frames)) {
            $says = 'It has '.Text::count(count($present), 'frame').', fewer than the others.';
            yield $frames->finding(CauseId::PassShort, $says)->withFixes($frames->setRange())->asAlternative();
        }
    }

    /** @return list<Finding> */
    private function beginsLate(DeliveredFrames $frames): array
    {
        $first = $frames->present->first();
        if ($first <= $frames->expected->first() || ! $frames->expected->span()->covers($frames->present)) {
            return [];
        }
        $says = "The frames begin at {$first}, and {$frames->expected->first()} is asked.";

        return [$frames->finding(CauseId::ValueDiffers, $says)->withFixes($frames->setRange())];
    }

    /**
     * One frame where many are asked. A scene that is told to render its range did not make it by rendering one.
     *
     * @return iterable<Finding>
     */
    private function single(DeliveredFrames $frames): iterable
    {
        $pass = $frames->pass;
        $told = $frames->situation->told(RequirementId::TIME_EXTENT);
        $one = count($frames->present) === 1 && $pass->damaged->isEmpty() && count($frames->expected) > 1;
        if (! $one || (! in_array($told, [null, 'one'], true) && ! $pass->lone)) {
            return;
        }
        $which = $pass->lone ? 'One frame only, without a number,' : "One frame only, {$frames->present},";
        $says = 'Set what is rendered to the listed range; it is one frame.';
        $id = RequirementId::TIME_EXTENT;
        $set = Fix::set($frames->situation->part(), $id, 'what is rendered', 'one', 'listed', $says);
        $atStart = ! $pass->lone && $frames->present->first() === $frames->expected->first();
        yield $frames->finding(
            CauseId::SingleFrameMode,
            "{$which} where ".count($frames->expected)
                .' are asked: the scene was told to render the frame it stood on.',
        )->withFixes(in_array($told, ['listed', 'whole'], true) ? [] : [$set])
            ->asAlternative()
            ->orElse(...$atStart ? [CauseId::RenderStopped] : []);
    }

    /** @return iterable<Finding> */
    private function handles(DeliveredFrames $frames): iterable
    {
        [$span, $expected, $part] = [$frames->present->span(), $frames->expected, $frames->situation->subject->part];
        [$head, $tail] = $part->handles();
        $cut = $head + $tail > 0 ? $part->cutRange($frames->situation->scene()?->timeline) : null;
        $isCut = $cut !== null && $span->equals($cut->every($part->step())->span());
        if ($isCut && ! $span->equals($expected->span())) {
            $says = "The cut range {$cut} is there without its handles of {$head} and {$tail} frames.";
            yield $frames->finding(CauseId::HandlesLeftOut, $says)->withFixes($frames->setRange())->asAlternative();
        }
        $more = $expected->first() - $span->first();
        if ($more > 0 && $more === $span->last() - $expected->last()) {
            $says = "Handles of {$more} frames at head and tail, {$span}, where {$expected} is asked.";
            yield $frames->finding(CauseId::HandlesNotAsked, $says)->withFixes($frames->setRange())->asAlternative();
        }
    }

    private function step(DeliveredFrames $frames, int $step): Finding
    {
        $scene = $frames->situation->scene();
        $told = $frames->situation->told(RequirementId::TIME_STEP);
        $asked = (string) $frames->askedStep();
        $isRight = $told !== null && $scene?->step() === $frames->askedStep();
        $id = RequirementId::TIME_STEP;

        return $frames->finding(
            CauseId::StepLeftOn,
            'Only every '.Text::ordinal($step)." frame was rendered: {$frames->present}.",
            ...$told === (string) $step ? ["time.step is {$step}"] : [],
        )->withFixes($isRight ? [] : [Fix::set($frames->situation->part(), $id, 'the step', (string) $step, $asked)])
            ->asAlternative();
    }

    /**
     * Holes inside the span, which hide nothing of what the span says, and are told beside it.
     *
     * @return iterable<Finding>
     */
    private function holes(DeliveredFrames $frames): iterable
    {
        [$present, $expected, $step] = [$frames->present, $frames->expected, $frames->step()];
        $shift = $expected->first() - $present->first();
        $shifted = $present->span()->shifted($shift)->equals($expected->span())
            ? $expected->shifted(-$shift)
            : $expected;
        $due = $step === null ? $shifted : FrameRange::of($present->first(), $present->last(), $step);
        $holes = $due->and($present->span())->minus($present);
        if ($holes->isEmpty()) {
            return;
        }
        $named = mb_strimwidth((string) $holes, 0, 120, '…');
        $says = Text::count(
            count($holes),
            'frame inside the range is',
            'frames inside the range are',
        )." missing: {$named}.";
        yield $frames->finding(CauseId::FramesDropped, $says);
    }

    private function isShort(DeliveredFrames $frames): bool
    {
        $pass = $frames->pass;
        foreach ($pass->pass === null ? [] : $frames->situation->subject->all->passes ?? [] as $other) {
            $more = $other->pass !== $pass->pass && count($other->present) > count($pass->present);
            if ($more && $other->present->covers($pass->present)) {
                return true;
            }
        }

        return false;
    }
}
