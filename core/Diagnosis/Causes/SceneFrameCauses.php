<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * What a scene is set to render, where that is not what is asked: extent, range and step, each a mistake of its own,
 * each with the setting that ends it. Where files are there too, they decide what became of it.
 */
final readonly class SceneFrameCauses
{
    private const OF_RANGE = [RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::TIME_DURATION];

    private const TOUCHES = [
        RequirementId::TIME_RANGE,
        RequirementId::TIME_COUNT,
        RequirementId::TIME_DURATION,
        RequirementId::TIME_EXTENT,
        RequirementId::TIME_STEP,
    ];

    private FrameRange $expected;

    private SceneSettings $scene;

    private function __construct(private Situation $situation, SceneSettings $scene, FrameRange $expected)
    {
        $this->scene = $scene;
        $this->expected = $expected;
    }

    /** @return iterable<Finding> */
    public static function find(Situation $situation): iterable
    {
        $scene = $situation->scene();
        $expected = $situation->subject->expected;
        if ($scene !== null && $expected !== null && ! $expected->isEmpty()) {
            yield from (new self($situation, $scene, $expected))->all();
        } elseif (
            $scene?->get(RequirementId::TIME_EXTENT) === 'one'
            && $situation->inScene(RequirementId::TIME_COUNT)
        ) {
            yield self::oneFrame($situation, null);
        }
    }

    private static function oneFrame(Situation $situation, ?FrameRange $expected): Finding
    {
        $asked = $expected === null ? '.' : ', and '.count($expected).' are asked.';
        $fix = Fix::set(
            $situation->part(),
            RequirementId::TIME_EXTENT,
            'what is rendered',
            'one',
            'listed',
            'Set what is rendered to the listed range; it is one frame.',
        );

        return Finding::of(
            CauseId::SingleFrameMode,
            Side::Scene,
            "The scene is told to render one frame{$asked}",
            ['time.extent is one'],
            self::TOUCHES,
            [$fix],
        )->asAlternative();
    }

    /** @return iterable<Finding> */
    private function all(): iterable
    {
        $unequal = $this->situation->isUnequal(...self::TOUCHES);
        $extent = $this->scene->get(RequirementId::TIME_EXTENT);
        $one = $extent === 'one' && count($this->expected) > 1;
        if ($one && $unequal) {
            $finding = self::oneFrame($this->situation, $this->expected);
            // files of many frames were not made that way
            yield $this->filesHoldMore() ? $finding->touchingOnly([RequirementId::TIME_EXTENT]) : $finding;
        }
        $listed = $extent === 'whole' ? $this->scene->timeline : $this->scene->listedRange();
        if ($listed !== null && ! $listed->isEmpty() && $unequal) {
            yield from $this->ofListed($listed, $one, $extent === 'whole');
        }
    }

    /**
     * The mistakes of a range are weighed as they would be without the step, and without the one frame.
     *
     * @return iterable<Finding>
     */
    private function ofListed(FrameRange $listed, bool $one, bool $whole): iterable
    {
        $step = $this->scene->step();
        $asked = $this->situation->subject->part->step();
        $rangeWrong = ! $listed->equals($this->expected->span()) && ! $listed->every($asked)->equals($this->expected);
        $stepWrong = $step !== $asked;
        if ($stepWrong) {
            $touches = $one ? [RequirementId::TIME_STEP, RequirementId::TIME_RANGE] : self::TOUCHES;
            yield $this->ownLine($this->step($step, $asked), $one || $rangeWrong, $touches);
        }
        if (! $rangeWrong) {
            return;
        }
        foreach ($whole ? $this->wholeTimeline($listed) : $this->ranges($listed) as $finding) {
            yield $this->ownLine($finding, $one || $stepWrong, self::OF_RANGE);
        }
    }

    /** @param  list<string>  $touches */
    private function ownLine(Finding $finding, bool $own, array $touches): Finding
    {
        return $own ? $finding->touchingOnly($touches)->independent() : $finding;
    }

    private function filesHoldMore(): bool
    {
        foreach ($this->situation->passes() as $pass) {
            if (count($pass->present) > 1) {
                return true;
            }
        }

        return false;
    }

    private function step(int $step, int $asked): Finding
    {
        $says = 'The scene renders every '.Text::ordinal($step).' frame only.';
        if ($step === 1) {
            $says = 'The scene renders every frame, and every '.Text::ordinal($asked).' is asked.';
        }

        return Finding::of(
            CauseId::StepLeftOn,
            Side::Scene,
            $says,
            ["time.step is {$step}"],
            self::TOUCHES,
            [Fix::set($this->situation->part(), RequirementId::TIME_STEP, 'the step', (string) $step, (string) $asked)],
        )->asAlternative();
    }

    /** @return iterable<Finding> */
    private function wholeTimeline(FrameRange $timeline): iterable
    {
        $part = $this->situation->part();
        $fixes = [
            Fix::set(
                $part,
                RequirementId::TIME_EXTENT,
                'what is rendered',
                'whole',
                'listed',
                'Set what is rendered to the listed range; it is the whole timeline.',
            ),
            ...(
                $this->scene->listedRange()?->equals($this->expected->span()) === true
                    ? []
                    : [$this->setRange($this->scene->listedRange())]
            ),
        ];
        yield Finding::of(
            CauseId::RangeSetOtherwise,
            Side::Scene,
            "The scene renders its whole timeline, {$timeline}, and {$this->expected} is asked.",
            ["time.extent is whole, and the timeline {$timeline}"],
            self::TOUCHES,
            $fixes,
        )->asAlternative();
    }

    private function setRange(?FrameRange $listed): Fix
    {
        return Fix::set(
            $this->situation->part(),
            RequirementId::TIME_RANGE,
            'the range',
            $listed === null ? null : (string) $listed,
            (string) $this->expected->span(),
        );
    }

    /**
     * Each reading that holds, the likelier before the others by the order of causes.
     *
     * @return iterable<Finding>
     */
    private function ranges(FrameRange $listed): iterable
    {
        $starting = $this->isStarting($listed);
        if ($starting) {
            yield $this->rangeFinding(
                CauseId::RangeNeverSet,
                $listed,
                "The range was never set: {$listed} is what an untouched scene shows.",
                "{$listed} is listed as a starting value",
            );
        }
        yield from $this->handles($listed);
        $timeline = $this->scene->timeline;
        if ($timeline !== null && $timeline->span()->equals($this->expected->span()) && ! $listed->covers($timeline)) {
            yield $this->rangeFinding(
                CauseId::RangeShortOfTimeline,
                $listed,
                "The scene renders {$listed} and leaves out part of its own animation, {$timeline}.",
                "its timeline is {$timeline}",
            );
        }
        yield from $this->placed($listed, $starting);
    }

    /** @return iterable<Finding> */
    private function handles(FrameRange $listed): iterable
    {
        $expected = $this->expected->span();
        $part = $this->situation->subject->part;
        [$head, $tail] = $part->handles();
        $cut = $part->cutRange($this->scene->timeline);
        if ($cut !== null && $head + $tail > 0 && $listed->equals($cut->span())) {
            $says = "The range is the cut, {$cut}, without its handles of {$head} and {$tail} frames.";
            yield $this->rangeFinding(CauseId::HandlesLeftOut, $listed, $says);
        }
        $more = $expected->first() - $listed->first();
        if ($more > 0 && $more === $listed->last() - $expected->last()) {
            $says = "The range has handles of {$more} frames at head and tail, {$listed}, where {$expected} is asked.";
            yield $this->rangeFinding(CauseId::HandlesNotAsked, $listed, $says);
        }
    }

    private function rangeFinding(CauseId $id, FrameRange $listed, string $says, string ...$seen): Finding
    {
        $evidence = ["time.range is {$listed}", ...array_values($seen)];

        return Finding::of(
            $id,
            Side::Scene,
            $says,
            $evidence,
            self::TOUCHES,
            [$this->setRange($listed)],
        )->asAlternative();
    }

    /** @return iterable<Finding> */
    private function placed(FrameRange $listed, bool $starting): iterable
    {
        $expected = $this->expected->span();
        $shift = $expected->first() - $listed->first();
        if (! $starting && $shift !== 0 && count($listed) > 1 && $listed->shifted($shift)->equals($expected)) {
            $says = "As many frames as asked, numbered from elsewhere: {$listed} instead of {$expected}.";
            yield $this->rangeFinding(CauseId::NumberedFromElsewhere, $listed, $says);
        }
        $missing = $expected->minus($listed);
        $ends = [$expected->first(), $expected->last()];
        $one = count($missing) === 1 && count($expected) > 2 && in_array($missing->first(), $ends, true);
        if ($one && $expected->covers($listed)) {
            $says = "Only frame {$missing} is left out: {$listed} instead of {$expected}.";
            yield $this->rangeFinding(CauseId::LastFrameLeftOut, $listed, $says);
        }
        $says = "The range is set to {$listed}, and {$expected} is asked.";
        yield $this->rangeFinding(CauseId::RangeSetOtherwise, $listed, $says);
    }

    private function isStarting(FrameRange $set): bool
    {
        foreach ($this->situation->subject->specification->startingRanges() as $starting) {
            if ($starting->equals($set)) {
                return true;
            }
        }

        return false;
    }
}
