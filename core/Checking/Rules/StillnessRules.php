<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\PixelSample;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `content.frozen`, `content.hold` and `content.loop`: what pictures show beside those before and after them. */
final readonly class StillnessRules implements Rule
{
    /** On the mean, what a codec with losses makes of one picture that is encoded twice. */
    private const LOSSES = '2/255';

    public function answers(string $id): bool
    {
        return in_array(
            $id,
            [RequirementId::CONTENT_FROZEN, RequirementId::CONTENT_HOLD, RequirementId::CONTENT_LOOP],
            true,
        );
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $pass = PassSamples::of($subject);
        if ($pass === null) {
            return null;
        }

        return match ($requirement->id()) {
            RequirementId::CONTENT_FROZEN => $this->frozen($requirement, $pass, $subject),
            RequirementId::CONTENT_HOLD => $this->hold($requirement, $pass),
            default => $this->loop($requirement, $pass, $subject),
        };
    }

    private static function step(Subject $subject): int
    {
        return max(1, (int) ($subject->part->single(RequirementId::TIME_STEP) ?? 1));
    }

    /**
     * Runs of frames in a row whose pixels are the same, of two frames at least.
     *
     * @return list<non-empty-list<int>>
     */
    private static function runs(PassSamples $pass, int $step): array
    {
        $runs = [];
        $run = [];
        $before = null;
        foreach ($pass->samples as $frame => $sample) {
            $last = $run[count($run) - 1] ?? null;
            if ($sample !== null && $last !== null && $frame - $last === $step && $before?->print === $sample->print) {
                $run[] = $frame;
            } else {
                $runs[] = $run;
                $run = $sample === null ? [] : [$frame];
            }
            $before = $sample;
        }
        $runs[] = $run;

        return array_values(array_filter($runs, static fn (array $r): bool => count($r) > 1));
    }

    /** Frames that are to be held at head and tail are not frozen. */
    private function frozen(Requirement $requirement, PassSamples $pass, Subject $subject): Cell
    {
        $value = $requirement->value->single();
        $most = $requirement->value->max === null ? 1 : max(1, (int) $requirement->value->max);
        $allowed = (
            $value === null
            || $value === 'none' ? FrameRange::none() : FrameRange::parse($value)
        )->plus(self::held($subject, $pass));
        $still = [];
        foreach (self::runs($pass, self::step($subject)) as $run) {
            // what is left of a run where some of it may stand still
            $left = array_values(array_filter($run, static fn (int $frame): bool => ! $allowed->contains($frame)));
            if (count($left) > $most) {
                $still = [...$still, ...$left];
            }
        }
        if ($still !== []) {
            $wrong = FrameRange::fromNumbers($still);

            return Cell::of(Mark::Unequal, (string) $wrong, [], [$pass->place => $wrong]);
        }

        return $pass->hasUnseen() ? $pass->unknown() : Cell::of(Mark::Equal, 'none');
    }

    private static function held(Subject $subject, PassSamples $pass): FrameRange
    {
        $hold = $subject->part->single(RequirementId::CONTENT_HOLD);
        if ($hold === null) {
            return FrameRange::none();
        }
        [$head, $tail] = array_map(intval(...), explode('+', $hold));
        $frames = array_keys($pass->samples);

        return FrameRange::fromNumbers(
            [...array_slice($frames, 0, $head), ...($tail === 0 ? [] : array_slice($frames, -$tail))],
        );
    }

    /** The first and the last so many stand still, the same within the tolerance. */
    private function hold(Requirement $requirement, PassSamples $pass): Cell
    {
        [$head, $tail] = array_map(intval(...), explode('+', $requirement->value->single() ?? '0+0'));
        $tolerance = Fraction::parse($requirement->value->pixels->tolerance ?? '0');
        $tolerance = $pass->isLossy ? BigRational::max($tolerance, Fraction::parse(self::LOSSES)) : $tolerance;
        $frames = array_keys($pass->samples);
        $samples = array_values($pass->samples);
        $found = [self::still($samples, $tolerance), self::still(array_reverse($samples), $tolerance)];
        $short = [
            $found[0] < min($head, count($frames)) && $head > 1,
            $found[1] < min($tail, count($frames)) && $tail > 1,
        ];
        $text = min($found[0], max($head, 1)).'+'.min($found[1], max($tail, 1));
        if (! $short[0] && ! $short[1]) {
            return Cell::of(Mark::Equal, "{$head}+{$tail}");
        }
        $wrong = [
            ...($short[0] ? array_slice($frames, $found[0], $head - $found[0]) : []),
            ...($short[1] ? array_slice($frames, -$tail, $tail - $found[1]) : []),
        ];
        $unseen = array_filter($wrong, static fn (int $frame): bool => $pass->samples[$frame] === null) !== [];

        return $unseen
            ? $pass->unknown()
            : Cell::of(Mark::Unequal, $text, [], [$pass->place => FrameRange::fromNumbers($wrong)]);
    }

    /**
     * How many of them are the same from the first on.
     *
     * @param  list<PixelSample|null>  $samples
     */
    private static function still(array $samples, BigRational $tolerance): int
    {
        $many = 0;
        foreach ($samples as $sample) {
            if ($sample === null || $samples[0] === null || $samples[0]->isLike($sample, $tolerance) !== true) {
                break;
            }
            $many++;
        }

        return $many;
    }

    /** From the last to the first it is no further than the furthest two neighbours are. */
    private function loop(Requirement $requirement, PassSamples $pass, Subject $subject): Cell
    {
        $samples = array_values($pass->samples);
        $missing = $subject->match?->passes[$pass->place]->missing() ?? FrameRange::none();
        $most = $missing->isEmpty() && ! $pass->hasUndecoded() ? self::furthestNeighbours($samples) : null;
        [$first, $last] = [$samples[0] ?? null, end($samples) ?: null];
        if ($most === null || $first === null || $last === null) {
            return $pass->unknown();
        }
        $around = $last->apart($first);
        if ($around === null) {
            return $pass->unknown();
        }
        $isTwice = $first->print === $last->print && $most > 0;

        return self::looping($requirement, $pass, $isTwice, $around <= $most);
    }

    /** @param  bool  $isTwice  whether the picture it begins with stands at its end once more */
    private static function looping(Requirement $requirement, PassSamples $pass, bool $isTwice, bool $isNear): Cell
    {
        $asked = $requirement->value->single();
        $frames = FrameRange::fromNumbers(array_keys($pass->samples));
        if ($isTwice) {
            $again = [$pass->place => FrameRange::of($frames->last(), $frames->last())];

            return Cell::of(Mark::when($asked === 'no'), 'no, the first picture is shown twice', [], $again);
        }
        $found = $isNear ? 'yes' : 'no';

        return Cell::of(Mark::when($asked === $found), $found, [], $asked === $found ? [] : [$pass->place => $frames]);
    }

    /**
     * @param  list<PixelSample|null>  $samples
     * @return int|null null where they are too few, or two of them cannot be compared
     */
    private static function furthestNeighbours(array $samples): ?int
    {
        $most = count($samples) < 3 ? null : 0;
        for ($i = 1, $many = count($samples); $i < $many && $most !== null; $i++) {
            $apart = $samples[$i] === null ? null : $samples[$i - 1]?->apart($samples[$i]);
            $most = $apart === null ? null : max($most, $apart);
        }

        return $most;
    }
}
