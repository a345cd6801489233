<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\MediaFacts;

/** `region-left-on` and `pixel-aspect-differs`. */
final readonly class RegionCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        yield from $this->region($situation);
        if ($situation->isUnequal('picture.pixel_aspect')) {
            $side = $situation->side('picture.pixel_aspect');
            $found = $situation->found('picture.pixel_aspect') ?? '';
            $asked = $situation->entry('picture.pixel_aspect')->required ?? '';
            if ($side === 'scene' || $situation->isUniform('picture.pixel_aspect')) {
                $touches = ['picture.pixel_aspect', ...($situation->isUnequal('picture.resolution') ? [] : ['picture.display_aspect'])];
                yield new Finding('pixel-aspect-differs', $side, "Pixels are {$found} wide to high, and {$asked} is asked.", ["the pixel aspect is {$found}"], $touches, EntryFix::of($situation, 'picture.pixel_aspect', 'the pixel aspect')->fixes);
            }
        }
    }

    /** @return iterable<Finding> */
    private function region(Situation $situation): iterable
    {
        $part = $situation->part();
        if (! $situation->isUnequal('picture.region') || ($situation->entry('picture.region')->required ?? '') !== 'full') {
            return;
        }
        $found = $situation->found('picture.region') ?? 'on';
        $off = Fix::set($part, 'picture.region', 'the render region', $found, 'full', 'Switch the render region off.');
        if ($situation->side('picture.region') === 'scene') {
            yield new Finding('region-left-on', 'scene', 'A render region is on'.($found === 'on' ? '' : " ({$found})").': only that part of the picture would be rendered.', ["picture.region is {$found}"], ['picture.region'], [$off]);
        } elseif ($situation->isUniform('picture.region')) {
            $surround = $situation->shared(static fn (MediaFacts $f): ?string => $f->region) === 'full';
            $says = $surround
                ? "A render region was left on: every frame is empty around the same outline, {$found}."
                : "A render region was left on: every frame holds the same smaller window, {$found}.";
            yield new Finding('region-left-on', 'files', $says, [$surround ? 'in every whole frame what lies around it is of one colour, or transparent' : "the data window is {$found} in every whole file"], ['picture.region'], [$off], render: true);
        }
    }
}
