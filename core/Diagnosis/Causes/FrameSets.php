<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Remedy\Fix;

/**
 * Why the set of frames is another: from `range-never-set` to `frames-dropped`. Each compares the set that is there
 * with the set expected, and with what the scene is set to.
 */
final readonly class FrameSets implements CauseFamily
{
    private const TOUCHES = ['time.range', 'time.count', 'time.extent', 'time.step'];

    public function find(Situation $situation): iterable
    {
        $scene = $situation->scene()?->frames();
        $expected = $situation->subject->expected;
        $one = $situation->scene()?->get('time.extent') === 'one';
        if ($one && ($expected === null || count($expected) > 1) && $situation->isUnequal('time.extent', 'time.range', 'time.count') && $this->filesAllowOne($situation)) {
            yield new Finding('single-frame-mode', 'scene', 'The scene is told to render one frame'.($expected === null ? '.' : ', and '.count($expected).' are asked.'), ['time.extent is one'],
                $situation->inFiles('time.range') || $situation->entry('time.range')?->files === null || ! $situation->isUnequal('time.range') ? self::TOUCHES : ['time.extent'],
                [Fix::set($situation->part(), 'time.extent', 'what is rendered', 'one', 'listed')], true);
        }
        if ($expected === null || ! $situation->isUnequal(...self::TOUCHES)) {
            return;
        }
        if ($situation->inFiles('time.range') || $situation->inFiles('time.step') || $situation->inFiles('time.count')) {
            foreach ($situation->passes() as $pass) {
                if ($situation->subject->match?->instead === null && ! $pass->isEmpty() && $pass->expected !== null) {
                    foreach ($this->fromFiles($situation, $pass, $pass->expected, $scene) as $finding) {
                        // where passes are files of their own, the same frames decide whether they are complete
                        yield $pass->pass === null ? $finding : $finding->touching('passes');
                    }
                }
            }
        } elseif ($scene !== null && ! $one && ! $scene->equals($expected)) {
            yield from $this->fromScene($situation, $scene, $expected);
        } elseif ($situation->inScene('time.step')) {
            yield $this->sceneStep($situation);
        }
    }

    /** One frame was asked for; files that hold more were not made that way. */
    private function filesAllowOne(Situation $situation): bool
    {
        foreach ($situation->passes() as $pass) {
            if (count($pass->present) > 1 && ($situation->inFiles('time.range') || ! $situation->isUnequal('time.extent'))) {
                return $situation->isUnequal('time.extent');
            }
        }

        return true;
    }

    /** @return iterable<Finding> */
    private function fromScene(Situation $situation, FrameRange $set, FrameRange $expected): iterable
    {
        $part = $situation->part();
        $settings = $situation->scene();
        $listed = $settings?->listedRange();
        $step = $settings?->step() ?? 1;
        $whole = $settings?->get('time.extent') === 'whole';
        $fix = [$whole ? Fix::set($part, 'time.extent', 'what is rendered', 'whole', 'listed') : Fix::set($part, 'time.range', 'the range', (string) ($listed ?? $set), (string) $expected->span())];
        $seen = ["the scene would render {$set}"];
        if ($listed !== null && $this->isStarting($situation, $listed)) {
            yield new Finding('range-never-set', 'scene', "The range was never set: {$listed} is what an untouched scene shows.", [...$seen, "{$listed} is listed as a starting value"], self::TOUCHES, $fix, true);
        }
        yield from $this->handles($situation, $set, $expected, 'scene', $fix, $seen);
        if ($step !== $situation->subject->part->step() && ! $whole && $listed !== null) {
            yield $this->sceneStep($situation);
            if (! $listed->equals($expected->span()) && ! $this->isStarting($situation, $listed)) {
                // beside the step the range itself is wrong: a mistake of its own
                yield new Finding('range-set-otherwise', 'scene', "The range is set to {$listed}, and {$expected->span()} is asked.", ["time.range is {$listed}"], ['time.range'], $fix);
            }
        }
        $timeline = $settings?->timeline;
        if ($timeline !== null && $timeline->equals($expected) && ! $set->covers($timeline) && $step === $situation->subject->part->step()) {
            yield new Finding('range-short-of-timeline', 'scene', "The scene renders {$set} and leaves out part of its own animation, {$timeline}.", [...$seen, "its timeline is {$timeline}"], self::TOUCHES, $fix, true);
        }
        $shift = $this->shift($set, $expected);
        if ($shift !== null && ! ($listed !== null && $this->isStarting($situation, $listed))) {
            yield new Finding('numbered-from-elsewhere', 'scene', "As many frames as asked, numbered from elsewhere: {$set} instead of {$expected}.", $seen, self::TOUCHES, $fix, true);
        }
        if ($this->oneEndMissing($set, $expected) !== null) {
            yield new Finding('last-frame-left-out', 'scene', 'Only frame '.$this->oneEndMissing($set, $expected)." is left out: {$set} instead of {$expected}.", $seen, self::TOUCHES, $fix, true);
        }
        if ($step === $situation->subject->part->step()) {
            yield new Finding('range-set-otherwise', 'scene', "The scene would render {$set}, and {$expected} is asked.", $seen, self::TOUCHES, $fix, true);
        }
    }

    private function sceneStep(Situation $situation): Finding
    {
        $step = $situation->scene()?->step() ?? 1;

        return new Finding('step-left-on', 'scene', 'The scene renders every '.Text::ordinal($step).' frame only.', ["time.step is {$step}"], self::TOUCHES, [Fix::set($situation->part(), 'time.step', 'the step', (string) $step, (string) $situation->subject->part->step())], true);
    }

    /** @return iterable<Finding> */
    private function fromFiles(Situation $situation, PassMatch $pass, FrameRange $expected, ?FrameRange $scene): iterable
    {
        $present = $pass->present;
        $inside = $present->and($expected);
        $whole = $present->minus($pass->damaged);
        $of = $pass->pass === null ? '' : " of {$pass->pass}";
        $seen = ["the files are {$present}{$of}"];
        $part = $situation->part();
        $setRange = $scene !== null && $scene->equals($expected) ? [] : [Fix::set($part, 'time.range', 'the range', $scene === null ? null : (string) $scene, (string) $expected->span())];
        if ($present->equals($expected)) {
            return;
        }
        if ($this->isShort($situation, $pass)) {
            yield new Finding('pass-short', 'files', "The pass {$pass->pass} has ".Text::count(count($present), 'frame').', fewer than the others.', $seen, self::TOUCHES);
        }
        if ($this->isStarting($situation, $present)) {
            yield new Finding('range-never-set', 'files', "The range was never set: the frames{$of} are {$present}, which is what an untouched scene shows.", [...$seen, "{$present} is listed as a starting value"], self::TOUCHES, $setRange, true);
        }
        $stops = $this->endsEarly($present, $expected) && ($scene === null || $scene->isEmpty() || $scene->last() > $present->last() || $situation->scene()?->get('time.extent') === 'one');
        // a scene that is told to render its range did not make this by rendering one frame
        $told = $situation->scene()?->get('time.extent');
        if (count($whole) === 1 && count($expected) > 1 && count($present) === 1 && ($told === null || $told === 'one')) {
            yield new Finding('single-frame-mode', 'files', "One frame only{$of}, {$present}, where ".count($expected).' are asked: the scene was told to render the frame it stood on.', $seen, self::TOUCHES,
                [Fix::set($part, 'time.extent', 'what is rendered', 'one', 'listed')], true, or: $stops ? ['render-stopped'] : []);
        }
        yield from $this->handles($situation, $present, $expected, 'files', $setRange, $seen);
        yield from $this->step($situation, $present, $expected, $scene, $seen);
        $timeline = $situation->scene()?->timeline;
        if ($timeline !== null && $timeline->equals($expected) && $scene !== null && $scene->equals($present) && ! $present->covers($timeline)) {
            yield new Finding('range-short-of-timeline', 'scene', "The scene renders {$scene} and leaves out part of its own animation, {$timeline}.", [...$seen, "its timeline is {$timeline}"], self::TOUCHES, $setRange, true);
        }
        $shift = $this->shift($present, $expected);
        if ($shift !== null && ! $this->isStarting($situation, $present)) {
            yield from $this->numbered($situation, $pass, $shift, $scene, $seen);
        }
        $end = $this->oneEndMissing($present, $expected);
        if ($end !== null && $pass->damaged->isEmpty()) {
            yield new Finding('last-frame-left-out', 'files', "Only frame {$end} is missing{$of}: the ".($end === $expected->last() ? 'end' : 'start').' was set one frame off.', [...$seen, 'nothing is damaged and nothing is extra'], self::TOUCHES, $setRange, true);
        }
        if ($stops) {
            yield from $this->stopped($situation, $pass, $expected, $scene, $seen);
        }
        if ($scene !== null && ! $scene->equals($expected) && $scene->equals($present)) {
            yield new Finding('range-set-otherwise', 'scene', "The scene is set to {$scene}, and that is what was rendered; {$expected} is asked.", [...$seen, "the scene would render {$scene}"], self::TOUCHES, $setRange, true);
        }
        $holes = $inside->isEmpty() ? FrameRange::none() : $expected->minus($inside)->and($inside->span());
        if (! $holes->isEmpty()) {
            yield new Finding('frames-dropped', 'files', Text::count(count($holes), 'frame')." inside the range {$this->is(count($holes))} missing{$of}: ".$this->brief($holes).'.', $seen, self::TOUCHES, [], true);
        }
    }

    /**
     * Every n-th frame, counted from the first.
     *
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function step(Situation $situation, FrameRange $present, FrameRange $expected, ?FrameRange $scene, array $seen): iterable
    {
        $step = $present->evenStep();
        $asked = $situation->subject->part->step();
        $told = $situation->scene()?->step();
        if ($step === null || $step === $asked || $step < 2 || $present->first() !== $expected->first() || ! $expected->covers($present)) {
            return;
        }
        if ($told !== $step && count($present) < 3) {
            return;
        }
        yield new Finding('step-left-on', 'files', 'Only every '.Text::ordinal($step)." frame was rendered: {$present}.", $told === $step ? [...$seen, "time.step is {$step}"] : $seen, self::TOUCHES,
            [Fix::set($situation->part(), 'time.step', 'the step', (string) $step, (string) $asked)], true);
    }

    /**
     * @param  list<Fix>  $fixes
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function handles(Situation $situation, FrameRange $set, FrameRange $expected, string $side, array $fixes, array $seen): iterable
    {
        [$head, $tail] = $situation->subject->part->handles();
        $cut = $situation->subject->part->cutRange($situation->scene()?->timeline);
        if ($cut !== null && $head + $tail > 0 && $set->equals($cut->every($situation->subject->part->step()))) {
            yield new Finding('handles-left-out', $side, "The cut range {$cut} is there without its handles of {$head} and {$tail} frames.", $seen, self::TOUCHES, $fixes, true);
        }
        if ($set->isOneRun() && $expected->isOneRun() && $set->covers($expected)) {
            [$more, $after] = [$expected->first() - $set->first(), $set->last() - $expected->last()];
            if ($more > 0 && $more === $after) {
                $aside = $side === 'files' ? [Fix::setAside($situation->part(), 'frames '.$set->minus($expected), $more + $after)] : $fixes;
                yield new Finding('handles-not-asked', $side, "Handles of {$more} frames at head and tail, {$set}, where {$expected} is asked.", $seen, self::TOUCHES, $aside, true);
            }
        }
    }

    /**
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function numbered(Situation $situation, PassMatch $pass, int $shift, ?FrameRange $scene, array $seen): iterable
    {
        $known = $scene !== null && $pass->expected !== null && $scene->equals($pass->expected);
        $take = $pass->takes[0];
        $to = $pass->pattern === '' ? $take->sequence->pattern() : str_replace('*', pathinfo($take->sequence->pattern(), PATHINFO_EXTENSION), $pass->pattern);
        yield new Finding('numbered-from-elsewhere', 'files', "As many frames as asked, numbered from elsewhere: {$pass->present} instead of {$pass->expected}."
            .($known ? ' The scene is set to the range asked, so they are the same frames.' : ' If they show the same motion, renaming is enough; no scene says so.'),
            [...$seen, 'every number is '.abs($shift).($shift > 0 ? ' too low' : ' too high'), ...($known ? ["the scene would render {$scene}"] : [])], self::TOUCHES,
            [Fix::rename($situation->part(), $take->sequence->pattern(), $to, $pass->present, $shift)], true, or: $known ? [] : ['range-set-otherwise']);
    }

    /**
     * @param  list<string>  $seen
     * @return iterable<Finding>
     */
    private function stopped(Situation $situation, PassMatch $pass, FrameRange $expected, ?FrameRange $scene, array $seen): iterable
    {
        $inside = $pass->present->and($expected);
        $tail = $this->damagedTail($pass);
        $bad = $tail === [] ? $expected->minus($inside)->first() : min($tail);
        $whole = $inside->minus(FrameRange::fromNumbers($tail));
        $last = $whole->isEmpty() ? null : $whole->last();
        $evidence = [...$seen, ...$this->tailEvidence($pass, $tail), ...($scene === null ? [] : ["the scene would render {$scene}"])];
        $left = $expected->minus($whole);
        $touches = [...self::TOUCHES, ...($tail === [] ? [] : ['content.whole'])];
        [$age, $gap] = $this->pace($situation, $pass);
        if ($age !== null && $age < max(60, 5 * $gap)) {
            yield new Finding('still-arriving', 'files', "The render seems to be going on: the newest file is {$age} s old".($gap > 0 ? ", and one came about every {$gap} s" : '').'; '.Text::count(count($left), 'frame').' to come.', $evidence, $touches,
                [Fix::wait($situation->part(), 'Wait, and check again'.($gap > 0 ? '; at this pace the rest takes about '.$this->duration($gap * count($left)) : '').'.')], true);
        }
        $after = $last === null ? "at frame {$bad}, its first" : "after frame {$last}";
        yield new Finding('render-stopped', 'files', "The render stopped {$after}".($pass->pass === null ? '' : " of {$pass->pass}").': '
            .($tail === [] ? '' : (count($tail) === 1 ? "{$bad} was cut off mid-write, " : FrameRange::fromNumbers($tail).' were cut off or left empty, '))
            .Text::count(count($expected->minus($inside)), 'frame').' '.$this->is(count($expected->minus($inside))).' missing.', $evidence, $touches, [], true);
    }

    /**
     * The damaged frames with which the sequence ends.
     *
     * @return list<int> ascending
     */
    private function damagedTail(PassMatch $pass): array
    {
        $tail = [];
        for ($i = $pass->frames->count() - 1; $i >= 0 && ! $pass->frames->factsAt($i)->isWhole(); $i--) {
            if ($pass->expected?->contains($pass->frames->numbers[$i]) === true) {
                array_unshift($tail, $pass->frames->numbers[$i]);
            }
        }

        return $tail;
    }

    /**
     * @param  list<int>  $tail
     * @return list<string>
     */
    private function tailEvidence(PassMatch $pass, array $tail): array
    {
        if ($tail === []) {
            return [];
        }
        $at = array_search(min($tail), $pass->frames->numbers, true);
        $facts = $at === false ? new MediaFacts(null) : $pass->frames->factsAt($at);

        return ['frame '.min($tail).': '.($facts->damageSays ?? 'not whole')];
    }

    /**
     * Age of the newest file at the scan, and the usual gap between files, both in seconds.
     *
     * @return array{int|null, int}
     */
    private function pace(Situation $situation, PassMatch $pass): array
    {
        $times = $pass->frames->times;
        if ($situation->scannedAt === null || $times === []) {
            return [null, 0];
        }
        sort($times);
        $gaps = [];
        for ($i = 1, $many = count($times); $i < $many; $i++) {
            $gaps[] = $times[$i] - $times[$i - 1];
        }
        sort($gaps);
        $age = $situation->scannedAt - $times[count($times) - 1];

        // a clock that is an hour ahead says nothing about what is happening now
        return [$age < -3600 ? null : max(0, $age), $gaps === [] ? 0 : $gaps[intdiv(count($gaps), 2)]];
    }

    /** From the first frame expected without a gap, and ending before the last. */
    private function endsEarly(FrameRange $present, FrameRange $expected): bool
    {
        $inside = $present->and($expected);
        if ($inside->isEmpty() || $inside->first() !== $expected->first() || $inside->last() >= $expected->last()) {
            return false;
        }
        $until = $expected->and(FrameRange::of($expected->first(), $inside->last()));

        return $inside->equals($until) && $expected->covers($present);
    }

    private function isShort(Situation $situation, PassMatch $pass): bool
    {
        if ($pass->pass === null) {
            return false;
        }
        foreach ($situation->passes() as $other) {
            if ($other !== $pass && count($other->present) > count($pass->present) && $other->present->covers($pass->present)) {
                return true;
            }
        }

        return false;
    }

    /** What must be added to every number to come to the set expected. */
    private function shift(FrameRange $set, FrameRange $expected): ?int
    {
        if ($set->isEmpty() || count($set) !== count($expected) || count($set) < 2) {
            return null;
        }
        $shift = $expected->first() - $set->first();

        return $shift !== 0 && $set->shifted($shift)->equals($expected) ? $shift : null;
    }

    private function oneEndMissing(FrameRange $set, FrameRange $expected): ?int
    {
        $missing = $expected->minus($set);
        if (count($missing) !== 1 || count($expected) < 3 || ! $expected->covers($set)) {
            return null;
        }

        return in_array($missing->first(), [$expected->first(), $expected->last()], true) ? $missing->first() : null;
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

    private function brief(FrameRange $frames): string
    {
        return mb_strimwidth((string) $frames, 0, 120, '…');
    }

    private function is(int $count): string
    {
        return $count === 1 ? 'is' : 'are';
    }

    private function duration(int $seconds): string
    {
        return match (true) {
            $seconds < 120 => "{$seconds} s",
            $seconds < 7200 => intdiv($seconds + 30, 60).' min',
            default => intdiv($seconds, 3600).' h '.intdiv($seconds % 3600, 60).' min',
        };
    }
}
