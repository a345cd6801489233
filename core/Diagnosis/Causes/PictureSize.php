<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Remedy\Fix;

/**
 * Why the size is another: `starting-size`, `scale-below-full`, `sides-swapped`, `smaller-preset`, `off-by-rounding`,
 * `wrong-shape`. The scene decides where it can: half a size at scale 50 is a scale, at scale 100 it is a size.
 */
final readonly class PictureSize implements CauseFamily
{
    private const TOUCHES = ['picture.resolution', 'picture.display_aspect'];

    /** Sizes that programs and standards offer by name, the lesser side second; each may also stand upright. */
    private const USUAL = [
        '7680x4320', '4096x2304', '4096x2160', '4096x1716', '3996x2160', '3840x2160', '3840x1600', '3200x1800', '2560x1440', '2560x1080', '2560x1600',
        '2048x1556', '2048x1536', '2048x1152', '2048x1080', '2048x872', '2048x858', '2048x857', '1998x1080', '1920x1200', '1920x1080', '1920x804', '1920x800',
        '1828x1332', '1600x1200', '1600x900', '1440x1080', '1440x810', '1366x768', '1280x960', '1280x720', '1280x536', '1280x534', '1024x768', '1024x576', '1024x540', '1024x436', '1024x429',
        '999x540', '960x720', '960x540', '960x402', '960x400', '854x480', '853x480', '852x480', '848x480', '800x600', '800x450', '768x576', '720x576', '720x540', '720x486', '720x480', '720x405',
        '640x480', '640x360', '640x268', '512x429', '480x360', '480x270', '427x240', '426x240', '400x300', '320x240', '320x180', '240x180', '160x120',
        '8192x4096', '4096x2048', '2048x1024', '1024x512', '512x256', '4096x4096', '3000x3000', '2160x2160', '2048x2048', '1080x1080', '1024x1024', '720x720', '540x540', '512x512', '256x256',
    ];

    public function find(Situation $situation): iterable
    {
        yield from $this->scaleAlone($situation);
        $entry = $situation->entry('picture.resolution') ?? $situation->entry('picture.display_aspect');
        if (! $situation->isUnequal('picture.resolution')) {
            if ($entry !== null && $situation->isUnequal('picture.display_aspect') && ! $situation->isUnequal('picture.pixel_aspect')) {
                yield $this->shapeAlone($situation);
            }

            return;
        }
        $asked = array_map(Resolution::parse(...), $entry->requirement->ask->values ?? []);
        $target = $asked[0];
        $scene = $situation->scene();
        $inFiles = $situation->shared(static fn (MediaFacts $f): ?string => $f->width === null || $f->height === null ? null : "{$f->width}x{$f->height}");
        $file = $situation->inFiles('picture.resolution') && is_string($inFiles) ? Resolution::parse($inFiles) : null;
        $rendered = array_map(strval(...), $scene?->renderedSizes() ?? []);
        $bySceneToo = $situation->inScene('picture.resolution') && ($file === null || in_array((string) $file, $rendered, true));
        if ($situation->inFiles('picture.resolution') && $file === null) {
            return;
        }
        if ($bySceneToo && $scene !== null && $scene->size() !== null) {
            yield from $this->fromScene($situation, $scene->size(), $scene->scale(), $target, $asked);
        } elseif ($file !== null) {
            yield from $this->fromFiles($situation, $file, $target);
        }
    }

    /**
     * A scale that is asked to be full and is not, whatever the files say.
     *
     * @return iterable<Finding>
     */
    private function scaleAlone(Situation $situation): iterable
    {
        if ($situation->inScene('picture.scale') && ! $situation->isUnequal('picture.resolution')) {
            $scale = $situation->scene()?->get('picture.scale') ?? '';
            $wanted = $situation->entry('picture.scale')->required ?? '100';
            if ($wanted === '100') {
                yield new Finding('scale-below-full', 'scene', "The scene renders at {$scale} % of its size.", ["picture.scale is {$scale}"], ['picture.scale'], [Fix::set($situation->part(), 'picture.scale', 'the scale', $scale, '100')]);
            }
        }
    }

    /**
     * @param  list<Resolution>  $asked
     * @return iterable<Finding>
     */
    private function fromScene(Situation $situation, Resolution $size, BigRational $scale, Resolution $target, array $asked): iterable
    {
        $part = $situation->part();
        $full = $scale->isEqualTo(100);
        $set = Fix::set($part, 'picture.resolution', 'the size', (string) $size, (string) $target);
        $render = $situation->inFiles('picture.resolution');
        $percent = Fraction::decimal($scale);
        $right = array_filter($asked, static fn (Resolution $a): bool => $a->equals($size)) !== [];
        // the scene shows a scale and a size, each wrong by itself: two mistakes, not two readings of one
        $either = $full || $right;
        if ($this->isStarting($situation, $size)) {
            yield new Finding('starting-size', 'scene', "The size was never set: {$size->spoken()} is what an untouched scene shows.", ["the scene is set to {$size}", "{$size} is listed as a starting value"], self::TOUCHES, [$set], $either, $render);
        }
        if (! $full) {
            yield new Finding('scale-below-full', 'scene', "The scene renders at {$percent} % of ".($right ? 'the size asked' : "{$size->spoken()}").", so {$target->spoken()} comes out as {$size->scaled($scale)->spoken()}.",
                ["picture.scale is {$percent}", "picture.resolution is {$size}"], [...self::TOUCHES, 'picture.scale'],
                [Fix::set($part, 'picture.scale', 'the scale', $percent, '100'), ...($right ? [] : [$set])], $either, $render);
            if ($right) {
                return;
            }
        }
        foreach ($this->bySize($situation, $size, $target, 'scene', [$set], $render, true) as $finding) {
            yield $either || $this->isStarting($situation, $size) ? $finding : $finding->independent();
        }
    }

    /** @return iterable<Finding> */
    private function fromFiles(Situation $situation, Resolution $file, Resolution $target): iterable
    {
        if ($this->isStarting($situation, $file)) {
            yield new Finding('starting-size', 'files', "The size was never set: {$file->spoken()} is what an untouched scene shows.", ["every whole file is {$file}", "{$file} is listed as a starting value"], self::TOUCHES, [], true, true);
        }
        $scaled = false;
        foreach ([50, 25, 75] as $percent) {
            foreach ([RoundingMode::HALF_UP, RoundingMode::DOWN, RoundingMode::UP] as $rounding) {
                if (! $scaled && $target->scaled(BigRational::of($percent), $rounding)->equals($file)) {
                    $scaled = true;
                    yield new Finding('scale-below-full', 'files', "The frames are {$file->spoken()}: {$percent} % of the {$target->spoken()} asked, as a render scale left below full makes them.",
                        ["every whole file is {$file}", "{$file} is {$percent} % of {$target} on both sides"], self::TOUCHES,
                        [Fix::set($situation->part(), 'picture.scale', 'the scale', (string) $percent, '100')], true, true, $this->isUsual($file) ? ['smaller-preset'] : []);
                }
            }
        }
        yield from $this->bySize($situation, $file, $target, 'files', [Fix::set($situation->part(), 'picture.resolution', 'the size', (string) $file, (string) $target)], true, ! $scaled);
    }

    /**
     * @param  list<Fix>  $fixes
     * @return iterable<Finding>
     */
    private function bySize(Situation $situation, Resolution $size, Resolution $target, string $side, array $fixes, bool $render, bool $presetsToo): iterable
    {
        $seen = $side === 'scene' ? "the scene is set to {$size}" : "every whole file is {$size}";
        if ($size->equals($target->swapped())) {
            yield new Finding('sides-swapped', $side, "Width and height are exchanged: {$size->spoken()} instead of {$target->spoken()}.", [$seen], self::TOUCHES, $fixes, true, $render);

            return;
        }
        if ($presetsToo && $this->isUsual($size) && $size->sameShapeAs($target) && $size->width < $target->width) {
            yield new Finding('smaller-preset', $side, "A smaller usual size of the same shape is chosen: {$size->spoken()} instead of {$target->spoken()}.", [$seen], self::TOUCHES, $fixes, true, $render);

            return;
        }
        if (abs($size->width - $target->width) <= 1 && abs($size->height - $target->height) <= 1) {
            yield new Finding('off-by-rounding', $side, "The size is one pixel off, {$size->spoken()} instead of {$target->spoken()}, as rounding a scale or to even sides leaves it.", [$seen], self::TOUCHES, $fixes, true, $render);

            return;
        }
        if ($size->width === $target->width || $size->height === $target->height || ! $size->sameShapeAs($target)) {
            yield new Finding('wrong-shape', $side, "The picture has another shape: {$size->spoken()} instead of {$target->spoken()}. ".$this->whatIsLost($size, $target), [$seen], self::TOUCHES, $fixes, true, $render);
        }
    }

    private function shapeAlone(Situation $situation): Finding
    {
        $found = $situation->found('picture.display_aspect') ?? '';
        $asked = $situation->entry('picture.display_aspect')->required ?? '';

        return new Finding('wrong-shape', $situation->side('picture.display_aspect'), "On a screen the picture is {$found}, and {$asked} is asked.", ["the shape comes to {$found}"], ['picture.display_aspect'],
            [Fix::set($situation->part(), 'picture.display_aspect', 'the shape', $found, $asked)], true, $situation->inFiles('picture.display_aspect'));
    }

    /** How much of the picture a crop to the asked shape would cut, in whole percent. */
    private function whatIsLost(Resolution $size, Resolution $target): string
    {
        [$found, $asked] = [BigRational::nd($size->width, $size->height), BigRational::nd($target->width, $target->height)];
        $ratio = $found->isGreaterThan($asked) ? $asked->dividedBy($found) : $found->dividedBy($asked);
        $percent = BigRational::of(100)->minus($ratio->multipliedBy(100))->toScale(0, RoundingMode::HALF_UP);
        if ($found->isEqualTo($asked)) {
            return 'Its shape is the same.';
        }

        return $found->isGreaterThan($asked) ? "Cut to the shape asked, {$percent} % of its width is lost." : "Cut to the shape asked, {$percent} % of its height is lost.";
    }

    private function isStarting(Situation $situation, Resolution $size): bool
    {
        return in_array((string) $size, $situation->subject->specification->startingValues['picture.resolution'] ?? [], true);
    }

    private function isUsual(Resolution $size): bool
    {
        return in_array((string) $size, self::USUAL, true) || in_array((string) $size->swapped(), self::USUAL, true);
    }
}
