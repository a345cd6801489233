<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Remedy\Fix;

/** `region-left-on` and `pixel-aspect-differs`. */
final readonly class RegionAndPixels implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $part = $situation->part();
        $region = $situation->entry('picture.region');
        if ($region !== null && $situation->isUnequal('picture.region') && $region->required === 'full') {
            $found = $situation->found('picture.region') ?? 'on';
            if ($situation->side('picture.region') === 'scene') {
                yield new Finding('region-left-on', 'scene', 'A render region is on'.($found === 'on' ? '' : " ({$found})").': only that part of the picture would be rendered.', ["picture.region is {$found}"], ['picture.region'], [Fix::set($part, 'picture.region', 'the render region', $found, 'full')]);
            } elseif ($situation->shared(static fn (MediaFacts $f): ?string => $f->region) !== null) {
                yield new Finding('region-left-on', 'files', "A render region was left on: every frame holds the same smaller window, {$found}.", ["the data window is {$found} in every whole file"], ['picture.region'], [Fix::set($part, 'picture.region', 'the render region', $found, 'full')], render: true);
            }
        }
        if ($situation->isUnequal('picture.pixel_aspect')) {
            $side = $situation->side('picture.pixel_aspect');
            $found = $situation->found('picture.pixel_aspect') ?? '';
            $asked = $situation->entry('picture.pixel_aspect')->required ?? '';
            if ($side === 'scene' || ($situation->entry('picture.pixel_aspect')->files->runs ?? []) === []) {
                $fix = $side === 'scene' ? Fix::set($part, 'picture.pixel_aspect', 'the pixel aspect', $found, $asked) : Fix::retag($part, 'picture.pixel_aspect', 'the pixel aspect', $found, $asked);
                yield new Finding('pixel-aspect-differs', $side, "Pixels are {$found} wide to high, and {$asked} is asked.", ["the pixel aspect is {$found}"], ['picture.pixel_aspect', ...($situation->isUnequal('picture.resolution') ? [] : ['picture.display_aspect'])], [$fix]);
            }
        }
    }
}
