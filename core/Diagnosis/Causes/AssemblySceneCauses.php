<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * `movie-short`, `movie-long`, `last-frame-left-out` and `stretched-in-assembly` before anything is assembled: a scene
 * that would make a movie of another length or shape than its frames have.
 */
final readonly class AssemblySceneCauses implements CauseFamily
{
    /** What a range of the part's own would be judged by. */
    private const LENGTHS = [RequirementId::TIME_COUNT, RequirementId::TIME_DURATION];

    public function find(Situation $situation): iterable
    {
        $source = $situation->subject->source();
        if ($situation->scene() === null || $source === null || $source->delivers !== Delivers::Frames) {
            return;
        }
        if (array_filter(self::LENGTHS, $situation->inScene(...)) !== []) {
            yield from $this->length($situation, $source);
        }
        if ($situation->inScene(RequirementId::PICTURE_DISPLAY_ASPECT)) {
            yield from $this->shape($situation, $source);
        }
    }

    /** @return iterable<Finding> */
    private function length(Situation $situation, Part $source): iterable
    {
        $frames = PartLength::expected($source);
        $scene = $situation->scene();
        if ($frames === null || $frames->isEmpty() || $scene === null || self::isAskedApart($situation, $frames)) {
            return;
        }
        // what is listed and by which step are two matters, each with its own work
        if ($scene->step() > 1 && ($frames->commonStep() ?? 1) === 1) {
            yield $this->stepped($situation, $scene->step());
        }
        $listed = $scene->get(RequirementId::TIME_EXTENT) === 'whole' ? $scene->frames() : $scene->listedRange();
        if ($listed !== null && ! $listed->isEmpty() && count($listed) !== count($frames->span())) {
            yield $this->otherRange($situation, $source, $listed, $frames);
        }
    }

    /** Whether the movie is asked another length than its frames have. */
    private static function isAskedApart(Situation $situation, FrameRange $frames): bool
    {
        $asked = $situation->subject->part->find(RequirementId::TIME_COUNT)?->value;

        return $situation->entry(RequirementId::TIME_RANGE) !== null
            || ($asked !== null && $asked->single() !== (string) count($frames));
    }

    private function stepped(Situation $situation, int $step): Finding
    {
        return Finding::of(
            CauseId::StepLeftOn,
            Side::Scene,
            'The assembly takes every '.Text::ordinal($step).' frame only.',
            ["time.step is {$step}"],
            self::LENGTHS,
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::TIME_STEP,
                    'the frame step',
                    (string) $step,
                    '1',
                    "Set the assembly’s step to 1; it is {$step}.",
                ),
            ],
        );
    }

    private function otherRange(Situation $situation, Part $source, FrameRange $told, FrameRange $frames): Finding
    {
        [$is, $due] = [count($told), count($frames)];

        $id = self::lengthCause($situation, $source, $told, $frames);
        $why = match ($id) {
            CauseId::RangeNeverSet => ' It was never set: an untouched scene shows it.',
            CauseId::HandlesLeftOut => ' It is their range without its handles.',
            default => '',
        };

        return Finding::of(
            $id,
            Side::Scene,
            "The assembly takes {$told}, which is ".Text::count($is, 'frame').", and the {$source->name} are "
                ."{$frames}: ".Text::count(abs($due - $is), 'frame').($is < $due ? ' too few.' : ' too many.').$why,
            ["time.range is {$told}"],
            self::LENGTHS,
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::TIME_RANGE,
                    'the frame range',
                    (string) $told,
                    (string) $frames,
                    "Set the assembly’s first and last frame to those of the {$source->name}: {$frames}.",
                ),
            ],
        );
    }

    private static function lengthCause(
        Situation $situation,
        Part $source,
        FrameRange $told,
        FrameRange $frames,
    ): CauseId {
        $isUntouched = self::isStarting($situation, RequirementId::TIME_RANGE, (string) $told);

        return match (true) {
            $isUntouched => CauseId::RangeNeverSet,
            $source->handles() !== [0, 0] && $source->cutRange()?->equals($told) === true => CauseId::HandlesLeftOut,
            count($told) === count($frames) - 1 => CauseId::LastFrameLeftOut,
            count($told) < count($frames) => CauseId::MovieShort,
            default => CauseId::MovieLong,
        };
    }

    /** Whether it is what an untouched scene shows. */
    private static function isStarting(Situation $situation, string $id, string $value): bool
    {
        return in_array($value, $situation->subject->specification->startingValues[$id] ?? [], true);
    }

    /** @return iterable<Finding> */
    private function shape(Situation $situation, Part $source): iterable
    {
        $is = $situation->told(RequirementId::PICTURE_RESOLUTION);
        $frames = $source->single(RequirementId::PICTURE_RESOLUTION);
        $asked = $situation->askedOfPart(RequirementId::PICTURE_RESOLUTION) ?? $frames;
        if ($is === null || $frames === null || $asked === null) {
            return;
        }
        if ($is === $asked) {
            yield from $this->pixels($situation, $source);

            return;
        }
        [$own, $theirs] = [Resolution::parse($is)->spoken(), Resolution::parse($frames)->spoken()];
        $isUntouched = self::isStarting($situation, RequirementId::PICTURE_RESOLUTION, $is);
        yield Finding::of(
            $isUntouched ? CauseId::StartingSize : CauseId::StretchedInAssembly,
            Side::Scene,
            "The assembly would make {$own} of the {$source->name}, which are {$theirs}: another shape."
                .($isUntouched ? ' It was never set: an untouched scene shows it.' : ''),
            ["picture.resolution is {$is}", "the {$source->name} are {$frames}"],
            [RequirementId::PICTURE_DISPLAY_ASPECT, RequirementId::PICTURE_RESOLUTION],
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::PICTURE_RESOLUTION,
                    'the size',
                    $is,
                    $asked,
                    'Set the assembly’s size to '.Resolution::parse($asked)->spoken().', as its frames have it.',
                ),
            ],
        )->asAlternative();
    }

    /**
     * Of the right size, and of another shape all the same.
     *
     * @return iterable<Finding>
     */
    private function pixels(Situation $situation, Part $source): iterable
    {
        $is = $situation->told(RequirementId::PICTURE_PIXEL_ASPECT);
        $due = $source->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1/1';
        if ($is === null || $is === $due || $situation->inScene(RequirementId::PICTURE_PIXEL_ASPECT)) {
            return;
        }
        $word = $due === '1/1' ? 'square' : $due;
        yield Finding::of(
            CauseId::PixelAspectDiffers,
            Side::Scene,
            "The assembly’s pixels are {$is}, and those of the {$source->name} are {$word}.",
            ["picture.pixel_aspect is {$is}"],
            [RequirementId::PICTURE_DISPLAY_ASPECT],
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::PICTURE_PIXEL_ASPECT,
                    'the pixel aspect',
                    $is,
                    $due,
                    "Set the assembly’s pixel aspect to {$word}; it is {$is}.",
                ),
            ],
        )->asAlternative();
    }
}
