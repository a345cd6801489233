<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Outline;
use PlainLedger\Core\Media\PixelSample;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `picture.region`. Only OpenEXR tells, by a data window smaller than its display window; windows that differ from
 * frame to frame are trimmed to what is in the picture and leave no region behind.
 */
final readonly class RegionRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::PICTURE_REGION;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $region = $scene?->get(RequirementId::PICTURE_REGION);

        return $scene === null || $region === null
            ? Cell::unknown()
            : Cell::when($this->same($requirement, $region, $scene->size()), $region);
    }

    private function same(Requirement $requirement, string $region, ?Resolution $size): bool
    {
        if (in_array($region, $requirement->value->values, true)) {
            return true;
        }

        // a region as large as the picture leaves nothing out
        return in_array('full', $requirement->value->values, true)
            && $size !== null
            && $region === "0,0,{$size->width},{$size->height}";
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $cell = FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): ?array {
            if ($facts->kind !== Kind::Exr) {
                return null;
            }

            return [$facts->picture->region, in_array($facts->picture->region, $requirement->value->values, true)];
        });
        if (
            $cell !== null
            && $cell->isUnequal()
            && $requirement->value->single() === 'full'
            && $this->isTrimmed($cell, $subject)
        ) {
            return Cell::of(
                Mark::Equal,
                'full',
                [
                    [
                        'frames' => implode(',', array_map(strval(...), $cell->wrong)),
                        'found' => 'trimmed to what they show',
                    ],
                ],
            );
        }
        $outline = $cell !== null && $cell->isUnequal() ? null : $this->outline($requirement, $subject);

        return $outline ?? $cell;
    }

    /**
     * Where pixels were looked at: the same filled outline with nothing around it in every frame is what a region
     * leaves.
     */
    private function outline(Requirement $requirement, Subject $subject): ?Cell
    {
        $pass = PassSamples::of($subject);
        $lit = static fn (?PixelSample $sample): bool => ($sample?->brightness->light ?? 0) > 0;
        $samples = array_filter($pass->samples ?? [], $lit);
        if ($pass === null || $requirement->value->single() !== 'full' || count($samples) < 2) {
            return null;
        }
        $shared = self::sharedOutline($samples);
        if ($shared === null || ! $this->isRegion($shared, $subject)) {
            return Cell::of(Mark::Equal, 'full');
        }
        $frames = FrameRange::fromNumbers(array_keys($samples));

        return Cell::of(Mark::Unequal, implode(',', $shared), [], [$pass->place => $frames]);
    }

    /**
     * @param  array<int, PixelSample|null>  $samples
     * @return array{int, int, int, int}|null left, top, width and height that all of them have
     */
    private static function sharedOutline(array $samples): ?array
    {
        $outlines = array_map(static fn (?PixelSample $sample): ?array => $sample?->outline, array_values($samples));
        foreach ($outlines as $outline) {
            if ($outline === null || $outline !== $outlines[0]) {
                return null;
            }
        }

        return $outlines[0] ?? null;
    }

    /**
     * Bars on two sides are what a picture of another shape has, unless the scene says that a region is on.
     *
     * @param  array{int, int, int, int}  $outline
     */
    private function isRegion(array $outline, Subject $subject): bool
    {
        $facts = $subject->onlyPass()?->frames->factsAt(0);
        $sides = Outline::emptySides(...[...$outline, $facts->picture->width ?? 0, $facts->picture->height ?? 0]);

        return $sides >= 3 || ! in_array($subject->scene?->get(RequirementId::PICTURE_REGION), [null, 'full'], true);
    }

    /** Different windows in different frames: nobody set those by hand. */
    private function isTrimmed(Cell $cell, Subject $subject): bool
    {
        foreach ($subject->match->passes ?? [] as $p => $pass) {
            $wrong = $cell->wrong[$p] ?? FrameRange::none();
            $windows = [];
            foreach ($pass->frames->numbers as $i => $number) {
                if ($wrong->contains($number)) {
                    $windows[(string) $pass->frames->factsAt($i)->picture->region] = true;
                }
            }
            if (count($windows) === 1) {
                return false;
            }
        }

        return true;
    }
}
