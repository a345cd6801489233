<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\ArrivalPace;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\DamagedTail;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Diagnosis\VersionProof;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * Why the set of frames is another: from `range-never-set` to `frames-dropped`. What the span of the frames says is judged
 * on what is there; holes inside are told beside it, and hide nothing.
 */
final readonly class FrameSetCauses implements CauseFamily
{
    private const TOUCHES = [
        RequirementId::TIME_RANGE,
        RequirementId::TIME_COUNT,
        RequirementId::TIME_DURATION,
        RequirementId::TIME_EXTENT,
        RequirementId::TIME_STEP,
    ];

    public function find(Situation $situation): iterable
    {
        $byFiles = $situation->inFiles(RequirementId::TIME_RANGE)
            || $situation->inFiles(RequirementId::TIME_STEP)
            || $situation->inFiles(RequirementId::TIME_COUNT)
            || $situation->inFiles(RequirementId::TIME_DURATION)
            || ($situation->subject->pass !== null && $situation->inFiles(RequirementId::PASSES));
        $pass = $situation->subject->onlyPass();
        if (! $byFiles) {
            yield from $situation->isUnequal(...self::TOUCHES) ? SceneFrameCauses::find($situation) : [];

            return;
        }
        if (
            $situation->subject->match?->instead !== null
            || $pass === null
            || $pass->isEmpty()
            || $pass->expected === null
            || $pass->present->equals($pass->expected)
        ) {
            return;
        }
        $findings = [...$this->fromFiles($situation, $pass, $pass->expected)];
        $findings = $findings === [] ? $this->beginsLate($situation, $pass, $pass->expected) : $findings;
        foreach ([...$findings, ...$this->besides($situation, $pass, $pass->expected)] as $finding) {
            // where passes are files of their own, the same frames decide whether they are complete
            yield $pass->pass === null ? $finding : $finding->touching(RequirementId::PASSES);
        }
    }

    /** @return iterable<Finding> */
    private function fromFiles(Situation $situation, PassMatch $pass, FrameRange $expected): iterable
    {
        $present = $pass->present;
        $scene = $situation->scene()?->frames();
        $seen = ["the files are {$present}"];
        $setRange = $this->setRange($situation, $scene, $expected);
        if ($this->isStarting($situation, $present->span())) {
            yield Finding::of(
                CauseId::RangeNeverSet,
                Side::Files,
                "The range was never set: the frames are {$present}, which is what an untouched scene shows.",
                [...$seen, "{$present->span()} is listed as a starting value"],
                self::TOUCHES,
                $setRange,
            )->asAlternative();
        }
        yield from $this->single($situation, $pass, $seen);
        yield from $this->handles($situation, $pass, $expected, $setRange, $seen);
        $step = $this->mainStep($situation, $present);
        if ($step !== null) {
            yield $this->step($situation, $present, $step, $seen);
        }
        $timeline = $situation->scene()?->timeline;
        if (
            $timeline !== null
            && $timeline->equals($expected)
            && $scene !== null
            && $scene->equals($present)
            && ! $present->covers($timeline)
        ) {
            yield Finding::of(
                CauseId::RangeShortOfTimeline,
                Side::Scene,
                "The scene renders {$scene} and leaves out part of its own animation, {$timeline}.",
                [...$seen, "its timeline is {$timeline}"],
                self::TOUCHES,
                $setRange,
            )->asAlternative();
        }
        yield from $this->resumed($situation, $pass, $expected, $scene);
        yield from $this->ends($situation, $pass, $expected, $step ?? $situation->subject->part->step(), $seen);
        if (
            $scene !== null
            && ! $scene->equals($expected)
            && ($scene->equals($present) || $scene->span()->equals($present->span()))
        ) {
            yield Finding::of(
                CauseId::RangeSetOtherwise,
                Side::Scene,
                "The scene is set to {$scene}, and that is what was rendered; {$expected} is asked.",
                [...$seen, "the scene would render {$scene}"],
                self::TOUCHES,
                $setRange,
            )->asAlternative();
        }
        if ($this->isShort($situation, $pass)) {
            yield Finding::of(
                CauseId::PassShort,
                Side::Files,
                'It has '.Text::count(count($present), 'frame').', fewer than the others.',
                $seen,
                self::TOUCHES,
                $setRange,
            )->asAlternative();
        }
    }

    /**
     * @return list<Finding>
     */
    private function beginsLate(Situation $situation, PassMatch $pass, FrameRange $expected): array
    {
        $first = $pass->present->first();
        if ($first <= $expected->first() || ! $expected->span()->covers($pass->present)) {
            return [];
        }
        $fixes = $this->setRange($situation, $situation->scene()?->frames(), $expected);

        return [
            Finding::of(
                CauseId::ValueDiffers,
                Side::Files,
                "The frames begin at {$first}, and {$expected->first()} is asked.",
                ["the files are {$pass->present}"],
                self::TOUCHES,
                $fixes,
            ),
        ];
    }

    /**
     * Holes, which hide nothing of what the span says.
     *
     * @return iterable<Finding>
     */
    private function besides(Situation $situation, PassMatch $pass, FrameRange $expected): iterable
    {
        return $this->holes(
            $pass,
            $expected,
            $this->mainStep($situation, $pass->present),
            ["the files are {$pass->present}"],
        );
    }

    /** @return list<Fix> where the scene is set to another range too, it is mended as well */
    private function setRange(Situation $situation, ?FrameRange $scene, FrameRange $expected): array
    {
        if ($scene !== null && $scene->equals($expected)) {
            return [];
        }
        if ($scene === null && $situation->scene() !== null) {
            return [];
        }
        $listed = $situation->scene()?->listedRange();
        if ($listed !== null && $listed->equals($expected->span())) {
            // the range is right: what makes it another set has its own fix
            return [];
        }

        return [
            Fix::set(
                $situation->part(),
                RequirementId::TIME_RANGE,
                'the range',
                $listed === null ? null : (string) $listed,
                (string) $expected->span(),
            ),
        ];
    }

    /**
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function single(Situation $situation, PassMatch $pass, array $seen): iterable
    {
        $told = $situation->scene()?->get(RequirementId::TIME_EXTENT);
        $whole = $pass->present->minus($pass->damaged);
        // a scene that is told to render its range did not make this by rendering one frame
        if (
            count($whole) !== 1
            || count($pass->present) !== 1
            || count($pass->expected ?? $whole) < 2
            || ($told !== null && $told !== 'one' && ! $pass->lone)
        ) {
            return;
        }
        $which = $pass->lone ? 'One frame only, without a number,' : "One frame only, {$pass->present},";
        $fixes = $told === 'listed' || $told === 'whole'
            ? []
            : [
                Fix::set(
                    $situation->part(),
                    RequirementId::TIME_EXTENT,
                    'what is rendered',
                    'one',
                    'listed',
                    'Set what is rendered to the listed range; it is one frame.',
                ),
            ];
        yield Finding::of(
            CauseId::SingleFrameMode,
            Side::Files,
            "{$which} where "
                .count($pass->expected ?? $whole)
                .' are asked: the scene was told to render the frame it stood on.',
            $seen,
            self::TOUCHES,
            $fixes,
        )->asAlternative()->orElse(
            ...! $pass->lone && $pass->expected !== null && $pass->present->first() === $pass->expected->first()
                ? [CauseId::RenderStopped]
                : [],
        );
    }

    /**
     * @param  list<Fix>  $setRange
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function handles(
        Situation $situation,
        PassMatch $pass,
        FrameRange $expected,
        array $setRange,
        array $seen,
    ): iterable {
        $span = $pass->present->span();
        $part = $situation->subject->part;
        [$head, $tail] = $part->handles();
        $cut = $part->cutRange($situation->scene()?->timeline);
        if (
            $cut !== null
            && $head + $tail > 0
            && $span->equals($cut->every($part->step())->span())
            && ! $span->equals($expected->span())
        ) {
            yield Finding::of(
                CauseId::HandlesLeftOut,
                Side::Files,
                "The cut range {$cut} is there without its handles of {$head} and {$tail} frames.",
                $seen,
                self::TOUCHES,
                $setRange,
            )->asAlternative();
        }
        [$more, $after] = [$expected->first() - $span->first(), $span->last() - $expected->last()];
        if ($more > 0 && $more === $after) {
            yield Finding::of(
                CauseId::HandlesNotAsked,
                Side::Files,
                "Handles of {$more} frames at head and tail, {$span}, where {$expected} is asked.",
                $seen,
                self::TOUCHES,
                $setRange,
            )->asAlternative();
        }
    }

    /** The step that the frames keep to, holes and phase aside; null where it is the one asked, or none. */
    private function mainStep(Situation $situation, FrameRange $present): ?int
    {
        $step = $present->commonStep();
        $told = $situation->scene()?->step();
        if ($told !== null && $told > 1 && count($present) === 2 && $present->last() - $present->first() === $told) {
            $step = $told;
        }
        if ($step === null || $step < 2 || $step === $situation->subject->part->step()) {
            return null;
        }
        $gaps = 0;
        $before = null;
        foreach ($present->numbers() as $number) {
            $gaps += $before !== null && $number - $before === $step ? 1 : 0;
            $before = $number;
        }

        return 2 * $gaps >= count($present) - 1 ? $step : null;
    }

    /** @param  list<string>  $seen */
    private function step(Situation $situation, FrameRange $present, int $step, array $seen): Finding
    {
        $scene = $situation->scene();
        $told = $scene?->get(RequirementId::TIME_STEP);
        $fix = $told !== null && $scene->step() === $situation->subject->part->step() ? []
            : [
                Fix::set(
                    $situation->part(),
                    RequirementId::TIME_STEP,
                    'the step',
                    (string) $step,
                    (string) $situation->subject->part->step(),
                ),
            ];

        return Finding::of(
            CauseId::StepLeftOn,
            Side::Files,
            'Only every '.Text::ordinal($step)." frame was rendered: {$present}.",
            $told === (string) $step ? [...$seen, "time.step is {$step}"] : $seen,
            self::TOUCHES,
            $fix,
        )->asAlternative();
    }

    /**
     * What the first and the last frame say, by the step the frames keep to.
     *
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function ends(Situation $situation, PassMatch $pass, FrameRange $expected, int $step, array $seen): iterable
    {
        $present = $pass->present;
        $span = $present->span();
        $stepped = $step !== $situation->subject->part->step();
        $scene = $situation->scene()?->frames();
        $shift = $expected->first() - $span->first();
        if (
            ! $stepped
            && $shift !== 0
            && count($present) > 1
            && $span->shifted($shift)->equals($expected->span())
            && ! $this->isStarting($situation, $span)
        ) {
            yield $this->numbered($situation, $pass, $shift, $scene, $seen);
        }
        if (! $expected->span()->covers($present)) {
            return;
        }
        $missing = $expected->minus($present);
        if (
            ! $stepped
            && count($missing) === 1
            && count($expected) > 2
            && $pass->damaged->isEmpty()
            && in_array($missing->first(), [$expected->first(), $expected->last()], true)
        ) {
            $end = $missing->first() === $expected->last() ? 'end' : 'start';
            yield Finding::of(
                CauseId::LastFrameLeftOut,
                Side::Files,
                "Only frame {$missing} is missing: the {$end} was set one frame off.",
                [...$seen, 'nothing is damaged and nothing is extra'],
                self::TOUCHES,
                $this->setRange($situation, $scene, $expected),
            )->asAlternative();
        }
        [$early, $late] = [$span->first() - $expected->first() < $step, $expected->last() - $span->last() < $step];
        if ($early && ! $late) {
            yield from $this->stopped($situation, $pass, $expected, $stepped, $seen);
        }
    }

    /**
     * A scene that would go on from what is there, and begins too late.
     *
     * @return iterable<Finding>
     */
    private function resumed(Situation $situation, PassMatch $pass, FrameRange $expected, ?FrameRange $scene): iterable
    {
        $good = $pass->present->minus($pass->damaged)->and($expected);
        if (
            $scene === null
            || $scene->isEmpty()
            || $good->isEmpty()
            || ! $expected->covers($scene)
            || $scene->first() <= $good->last()
            || $scene->last() !== $expected->last()
            || $good->first() !== $expected->first()
        ) {
            return;
        }
        $left = $expected->minus($good)->minus($scene);
        if ($left->isEmpty()) {
            return;
        }
        $due = $expected->and(FrameRange::of($left->first(), $expected->last()));
        yield Finding::of(
            CauseId::ResumeLeavesGap,
            Side::Scene,
            "The scene would go on at {$scene->first()}, and leaves out {$left}.",
            ["the scene would render {$scene}", "whole frames are {$good}"],
            self::TOUCHES,
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::TIME_RANGE,
                    'the range',
                    (string) $scene,
                    (string) $due,
                    "Set the range to {$due}, from the first frame that is not whole; it is {$scene}.",
                ),
            ],
        );
    }

    /**
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function stopped(
        Situation $situation,
        PassMatch $pass,
        FrameRange $expected,
        bool $stepped,
        array $seen,
    ): iterable {
        $scene = $situation->scene()?->frames();
        $one = $situation->scene()?->get(RequirementId::TIME_EXTENT) === 'one';
        if ($scene !== null && ! $scene->isEmpty() && ! $one && $scene->last() <= $pass->present->last()) {
            return;
        }
        $inside = $pass->present->and($expected);
        $tail = FrameRange::fromNumbers(DamagedTail::of($pass));
        $whole = $inside->minus($tail);
        $bad = $tail->isEmpty()
            ? $expected->minus(FrameRange::of($expected->first(), $inside->last()))->first()
            : $tail->first();
        $left = $expected->and(FrameRange::of($bad, $expected->last()));
        $evidence = [
            ...$seen,
            ...($tail->isEmpty() ? [] : DamagedTail::evidence($pass, $tail)),
            ...($scene === null ? [] : ["the scene would render {$scene}"]),
        ];
        $touches = [...self::TOUCHES, ...($tail->isEmpty() ? [] : [RequirementId::CONTENT_WHOLE])];
        $short = $scene !== null && ! $one && $scene->last() < $expected->last();
        $fixes = $short ? $this->setRange($situation, $scene, $expected) : [];
        $pace = ArrivalPace::of($pass, $situation->scannedAt);
        if ($pace->isStillArriving()) {
            yield Finding::of(
                CauseId::StillArriving,
                Side::Files,
                "The render seems to be going on: {$pace->says()}; ".Text::count(count($left), 'frame').' to come.',
                $evidence,
                $touches,
                [
                    Fix::wait(
                        $situation->part(),
                        'Wait, and check again'
                            .(
                                $pace->gap > 0
                                    ? '; at this pace the rest takes about '
                                        .ArrivalPace::duration($pace->gap * count($left))
                                    : ''
                            )
                            .'.',
                    ),
                    ...$fixes,
                ],
            )->asAlternative();
        }
        $after = $whole->isEmpty() ? "at frame {$bad}, its first" : "after frame {$whole->last()}";
        $missing = $expected->minus(FrameRange::of($expected->first(), $inside->last()));
        $cut = count($tail) === 1 ? "{$tail} was cut off mid-write, " : "{$tail} were cut off or left empty, ";
        $says = "The render stopped {$after}: "
            .($tail->isEmpty() ? '' : $cut)
            .Text::count(count($missing), 'frame')
            .' '
            .(count($missing) === 1 ? 'is' : 'are')
            .' missing.';
        // beside a step that was left on it is a mistake of its own
        yield Finding::of(
            CauseId::RenderStopped,
            Side::Files,
            $says,
            $evidence,
            $touches,
            $fixes,
        )->asAlternative(! $stepped);
    }

    /**
     * Holes inside the span, which hide nothing of what the span says, and are told beside it.
     *
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function holes(PassMatch $pass, FrameRange $expected, ?int $step, array $seen): iterable
    {
        $present = $pass->present;
        $shift = $expected->first() - $present->first();
        $numbered = $shift !== 0 && $present->span()->shifted($shift)->equals($expected->span());
        $due = $step === null
            ? ($numbered ? $expected->shifted(-$shift) : $expected)
            : FrameRange::of($present->first(), $present->last(), $step);
        $holes = $due->and($present->span())->minus($present);
        if (! $holes->isEmpty()) {
            $many = count($holes);
            yield Finding::of(
                CauseId::FramesDropped,
                Side::Files,
                Text::count($many, 'frame')
                    .' inside the range '
                    .($many === 1 ? 'is' : 'are')
                    .' missing: '
                    .mb_strimwidth((string) $holes, 0, 120, '…')
                    .'.',
                $seen,
                self::TOUCHES,
            );
        }
    }

    /** @param  list<string>  $seen */
    private function numbered(
        Situation $situation,
        PassMatch $pass,
        int $shift,
        ?FrameRange $scene,
        array $seen,
    ): Finding {
        $known = $scene !== null && $pass->expected !== null && $scene->equals($pass->expected);
        $fixes = [];
        foreach (array_filter(
            $pass->takes,
            static fn (Take $t): bool => ! VersionProof::isLacking($situation, $t),
        ) as $take) {
            $fixes[] = RenameFix::of($situation, $pass, $take, $take->frames, $shift);
        }
        $says = "As many frames as asked, numbered from elsewhere: {$pass->present->span()} instead of "
            ."{$pass->expected}."
            .(
                $known
                    ? ' The scene is set to the range asked, so they are the same frames.'
                    : ' If they show the same motion, renaming is enough; no scene says so.'
            );

        return Finding::of(
            CauseId::NumberedFromElsewhere,
            Side::Files,
            $says,
            [
                ...$seen,
                'every number is '.abs($shift).($shift > 0 ? ' too low' : ' too high'),
                ...($known ? ["the scene would render {$scene}"] : []),
            ],
            self::TOUCHES,
            $fixes,
        )->asAlternative()->orElse(...$known ? [] : [CauseId::RangeSetOtherwise]);
    }

    private function isShort(Situation $situation, PassMatch $pass): bool
    {
        foreach ($pass->pass === null ? [] : $situation->subject->all->passes ?? [] as $other) {
            if (
                $other->pass !== $pass->pass
                && count($other->present) > count($pass->present)
                && $other->present->covers($pass->present)
            ) {
                return true;
            }
        }

        return false;
    }

    private function isStarting(Situation $situation, FrameRange $set): bool
    {
        foreach ($situation->subject->specification->startingRanges() as $starting) {
            if ($starting->equals($set)) {
                return true;
            }
        }

        return false;
    }
}
