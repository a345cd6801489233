<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Diagnosis\SizeComparison;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;

/**
 * Why the size is another: `starting-size`, `scale-below-full`, `scale-above-full`, `sides-swapped`,
 * `square-pixel-size`, `smaller-preset`, `off-by-rounding`, `wrong-shape`. The scene decides where it can: half a size
 * at scale 50 is a scale, at scale 100 it is a size.
 */
final readonly class PictureSizeCauses implements CauseFamily
{
    private const TOUCHES = [RequirementId::PICTURE_RESOLUTION, RequirementId::PICTURE_DISPLAY_ASPECT];

    /** Sizes that programs and standards offer by name, the lesser side second; each may also stand upright. */
    private const USUAL = [
        '7680x4320', '4096x2304', '4096x2160', '4096x1716', '3996x2160', '3840x2160', '3840x1600', '3200x1800',
        '2560x1440', '2560x1080', '2560x1600',
        '2048x1556', '2048x1536', '2048x1152', '2048x1080', '2048x872', '2048x858', '2048x857', '1998x1080',
        '1920x1200', '1920x1080', '1920x804', '1920x800',
        '1828x1332', '1600x1200', '1600x900', '1440x1080', '1440x810', '1366x768', '1280x960', '1280x720', '1280x536',
        '1280x534', '1024x768', '1024x576', '1024x540', '1024x436', '1024x429',
        '999x540', '960x720', '960x540', '960x402', '960x400', '854x480', '853x480', '852x480', '848x480', '800x600',
        '800x450', '768x576', '720x576', '720x540', '720x486', '720x480', '720x405',
        '640x480', '640x360', '640x268', '512x429', '480x360', '480x270', '427x240', '426x240', '400x300', '320x240',
        '320x180', '240x180', '160x120',
        '8192x4096', '4096x2048', '2048x1024', '1024x512', '512x256', '4096x4096', '3000x3000', '2160x2160',
        '2048x2048', '1080x1080', '1024x1024', '720x720', '540x540', '512x512', '256x256',
    ];

    /** Scales that programs offer, in percent, as fractions: quarters, thirds and tenths. */
    private const SCALES = ['50', '25', '75', '100/3', '200/3', '10', '20', '30', '40', '60', '70', '80', '90'];

    public function find(Situation $situation): iterable
    {
        yield from $this->scaleAlone($situation);
        if ($situation->isUnequal(RequirementId::PICTURE_RESOLUTION)) {
            yield from $this->otherSize($situation);
        } elseif (
            $situation->isUnequal(RequirementId::PICTURE_DISPLAY_ASPECT)
            && ! $situation->isUnequal(RequirementId::PICTURE_PIXEL_ASPECT)
        ) {
            yield $this->shapeAlone($situation);
        }
    }

    /** @return iterable<Finding> */
    private function otherSize(Situation $situation): iterable
    {
        $asked = $situation->entry(RequirementId::PICTURE_RESOLUTION)->requirement->value->values ?? [];
        $inFiles = $situation->inFiles(RequirementId::PICTURE_RESOLUTION);
        $file = $inFiles ? $this->sharedSize($situation) : null;
        if ($inFiles && ($file === null || in_array((string) $file, $asked, true))) {
            return;
        }
        $sizes = array_map(Resolution::parse(...), $asked);
        $scene = self::sceneThatMakes($situation, $file);
        $found = $scene === null ? $file : $scene->size();
        if ($found === null) {
            return;
        }
        $side = $scene === null ? Side::Files : Side::Scene;
        $comparison = new SizeComparison($situation, $found, self::nearest($found, $sizes), $side);
        yield from $scene === null
            ? $this->fromFiles($situation, $comparison)
            : $this->fromScene($situation, $comparison, $scene->scale(), $sizes);
    }

    /** The scene, where its size is unequal and is that of the files, or there are none. */
    private static function sceneThatMakes(Situation $situation, ?Resolution $file): ?SceneSettings
    {
        $scene = $situation->inScene(RequirementId::PICTURE_RESOLUTION) ? $situation->scene() : null;
        $rendered = array_map(strval(...), $scene?->renderedSizes() ?? []);

        return $file === null || in_array((string) $file, $rendered, true) ? $scene : null;
    }

    private function sharedSize(Situation $situation): ?Resolution
    {
        $size = $situation->shared(
            static fn (MediaFacts $f): ?string => $f->picture->width === null || $f->picture->height === null
                ? null
                : "{$f->picture->width}x{$f->picture->height}",
        );

        return is_string($size) ? Resolution::parse($size) : null;
    }

    /**
     * Of several sizes that would do, the one that is as high, or as wide; else the first.
     *
     * @param  non-empty-list<Resolution>|list<Resolution>  $asked
     */
    private static function nearest(Resolution $found, array $asked): Resolution
    {
        foreach ($asked as $size) {
            if ($size->height === $found->height || $size->width === $found->width) {
                return $size;
            }
        }

        return $asked[0];
    }

    /**
     * A scale that is asked to be full and is not, whatever the files say.
     *
     * @return iterable<Finding>
     */
    private function scaleAlone(Situation $situation): iterable
    {
        if (
            ! $situation->inScene(RequirementId::PICTURE_SCALE)
            || $situation->isUnequal(RequirementId::PICTURE_RESOLUTION)
            || ($situation->entry(RequirementId::PICTURE_SCALE)->required ?? '') !== '100'
        ) {
            return;
        }
        $scale = $situation->scene()?->get(RequirementId::PICTURE_SCALE) ?? '100';
        $above = Fraction::parse($scale)->isGreaterThan(100);
        yield Finding::of(
            $above ? CauseId::ScaleAboveFull : CauseId::ScaleBelowFull,
            Side::Scene,
            "The scene renders at {$scale} % of its size.",
            ["picture.scale is {$scale}"],
            [RequirementId::PICTURE_SCALE],
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::PICTURE_SCALE,
                    'the scale',
                    $scale,
                    '100',
                    "Set the scale to 100 %; it is {$scale} %.",
                ),
            ],
        );
    }

    /**
     * @param  list<Resolution>  $asked
     * @return iterable<Finding>
     */
    private function fromScene(
        Situation $situation,
        SizeComparison $comparison,
        BigRational $scale,
        array $asked,
    ): iterable {
        $size = $comparison->found;
        $full = $scale->isEqualTo(100);
        $render = $situation->inFiles(RequirementId::PICTURE_RESOLUTION);
        $right = array_filter($asked, static fn (Resolution $a): bool => $a->equals($size)) !== [];
        // the scene shows a scale and a size, each wrong by itself: two mistakes, not two readings of one
        $either = $full || $right;
        $starting = $this->isStarting($situation, $size);
        if ($starting) {
            yield Finding::of(
                CauseId::StartingSize,
                Side::Scene,
                "The size was never set: {$size->spoken()} is what an untouched scene shows.",
                ["the scene is set to {$size}", "{$size} is listed as a starting value"],
                self::TOUCHES,
                [$comparison->setSize()],
            )->asAlternative($either)->rendering($render);
        }
        if (! $full) {
            yield $this->scaled($situation, $comparison, $scale, $right)->asAlternative($either)->rendering($render);
        }
        foreach ($full || ! $right ? $this->bySize($comparison, $render, true) : [] as $finding) {
            yield $either || $starting ? $finding : $finding->independent();
        }
    }

    /** @param  bool  $right  whether the size that is scaled is the one asked */
    private function scaled(
        Situation $situation,
        SizeComparison $comparison,
        BigRational $scale,
        bool $right,
    ): Finding {
        [$size, $target] = [$comparison->found, $comparison->asked];
        $percent = Fraction::decimal($scale);
        $says = "Set the scale to 100 %; it is {$percent} %.";
        $full = Fix::set($situation->part(), RequirementId::PICTURE_SCALE, 'the scale', $percent, '100', $says);

        return Finding::of(
            $scale->isGreaterThan(100) ? CauseId::ScaleAboveFull : CauseId::ScaleBelowFull,
            Side::Scene,
            "The scene renders at {$percent} % of "
                .($right ? 'the size asked' : "{$size->spoken()}")
                .", so {$target->spoken()} comes out as {$size->scaled($scale)->spoken()}.",
            ["picture.scale is {$percent}", "picture.resolution is {$size}"],
            [...self::TOUCHES, RequirementId::PICTURE_SCALE, RequirementId::PICTURE_PROJECTION],
            [$full, ...($right ? [] : [$comparison->setSize()])],
        );
    }

    /** @return iterable<Finding> */
    private function fromFiles(Situation $situation, SizeComparison $comparison): iterable
    {
        [$file, $target] = [$comparison->found, $comparison->asked];
        $part = $situation->part();
        if ($this->isStarting($situation, $file)) {
            yield Finding::of(
                CauseId::StartingSize,
                Side::Files,
                "The size was never set: {$file->spoken()} is what an untouched scene shows.",
                ["every whole file is {$file}", "{$file} is listed as a starting value"],
                self::TOUCHES,
                [$comparison->setSize()],
            )->asAlternative()->rendering();
        }
        $scale = $this->scaleOf($file, $target);
        if ($scale !== null) {
            $percent = Fraction::decimal($scale);
            $above = $scale->isGreaterThan(100);
            $are = $situation->subject->part->delivers->isMovie() ? 'The movie is' : 'The frames are';
            $says = $above
                ? "{$are} {$file->spoken()}: {$percent} % of the {$target->spoken()} asked, as a render "
                    .'scale above full makes them. They can be reduced to the size asked instead of being '
                    .'rendered again.'
                : "{$are} {$file->spoken()}: {$percent} % of the {$target->spoken()} asked, as a render "
                    .'scale left below full makes them.';
            yield Finding::of(
                $above ? CauseId::ScaleAboveFull : CauseId::ScaleBelowFull,
                Side::Files,
                $says,
                ["every whole file is {$file}", "{$file} is {$percent} % of {$target} on both sides"],
                self::TOUCHES,
                [
                    Fix::set(
                        $part,
                        RequirementId::PICTURE_SCALE,
                        'the scale',
                        $percent,
                        '100',
                        "Set the scale to 100 %; it is {$percent} %.",
                    ),
                ],
            )->asAlternative()
                ->rendering()
                ->orElse(...! $above && $this->isUsual($file) ? [CauseId::SmallerPreset] : []);
        }
        yield from $this->bySize($comparison, true, $scale === null);
    }

    /**
     * The scale that makes the one of the other, to the nearest pixel on both sides; null where none of the usual does.
     */
    private function scaleOf(Resolution $file, Resolution $target): ?BigRational
    {
        $scales = array_map(static fn (string $s): BigRational => BigRational::of($s), self::SCALES);
        for ($times = 2; $times <= 8; $times++) {
            $scales[] = BigRational::of(100 * $times);
        }
        foreach ($scales as $scale) {
            foreach ([RoundingMode::HALF_UP, RoundingMode::DOWN, RoundingMode::UP] as $rounding) {
                if ($target->scaled($scale, $rounding)->equals($file)) {
                    return $scale;
                }
            }
        }

        return null;
    }

    /** @return iterable<Finding> */
    private function bySize(SizeComparison $comparison, bool $render, bool $presetsToo): iterable
    {
        $id = $this->mistaken($comparison, $presetsToo);
        if ($id === null) {
            return;
        }
        $more = $id === CauseId::SquarePixelSize ? [RequirementId::PICTURE_PIXEL_ASPECT] : [];
        yield Finding::of(
            $id,
            $comparison->side,
            $this->sizeSays($id, $comparison),
            [$comparison->seen()],
            [...self::TOUCHES, ...$more],
            [$comparison->setSize()],
        )->asAlternative()->rendering($render);
    }

    /** What two sizes show by themselves. */
    private function mistaken(SizeComparison $comparison, bool $presetsToo): ?CauseId
    {
        [$size, $target] = [$comparison->found, $comparison->asked];
        $sameShape = $comparison->isSameShape();
        $swapped = $size->equals($target->swapped()) && $size->width !== $size->height;
        $smaller = $presetsToo && $sameShape && $size->width < $target->width && $this->isUsual($size);
        $byOne = abs($size->width - $target->width) <= 1 && abs($size->height - $target->height) <= 1;

        return match (true) {
            $swapped => CauseId::SidesSwapped,
            $comparison->isSameOnScreen() => CauseId::SquarePixelSize,
            $smaller => CauseId::SmallerPreset,
            $byOne => CauseId::OffByRounding,
            default => $sameShape ? null : CauseId::WrongShape,
        };
    }

    private function sizeSays(CauseId $id, SizeComparison $comparison): string
    {
        $size = $comparison->found->spoken();
        $target = $comparison->asked->spoken();
        $instead = "{$size} instead of {$target}";

        return match ($id) {
            CauseId::SidesSwapped => "Width and height are exchanged: {$instead}.",
            CauseId::SquarePixelSize => "On a screen {$size} with {$comparison->pixels()} has the shape asked, and "
                ."{$target} with {$comparison->pixelsAsked()} is asked. Writing another pixel aspect into the files "
                .'would not help.',
            CauseId::SmallerPreset => "A smaller usual size of the same shape is chosen: {$instead}.",
            CauseId::OffByRounding => "The size is one pixel off, {$instead}, as rounding a scale or to even sides "
                .'leaves it.',
            default => "The picture has another shape: {$instead}.{$comparison->whatIsLost()}",
        };
    }

    private function shapeAlone(Situation $situation): Finding
    {
        $found = $situation->found(RequirementId::PICTURE_DISPLAY_ASPECT) ?? '';
        $asked = $situation->entry(RequirementId::PICTURE_DISPLAY_ASPECT)->required ?? '';

        return Finding::of(
            CauseId::WrongShape,
            $situation->side(RequirementId::PICTURE_DISPLAY_ASPECT),
            "On a screen the picture is {$found}, and {$asked} is asked.",
            ["the shape comes to {$found}"],
            [RequirementId::PICTURE_DISPLAY_ASPECT],
            EntryFix::of($situation, RequirementId::PICTURE_DISPLAY_ASPECT, 'the shape')->fixes,
        )->asAlternative()->rendering($situation->inFiles(RequirementId::PICTURE_DISPLAY_ASPECT));
    }

    private function isStarting(Situation $situation, Resolution $size): bool
    {
        return in_array(
            (string) $size,
            $situation->subject->specification->startingValues[RequirementId::PICTURE_RESOLUTION] ?? [],
            true,
        );
    }

    private function isUsual(Resolution $size): bool
    {
        return in_array((string) $size, self::USUAL, true) || in_array((string) $size->swapped(), self::USUAL, true);
    }
}
