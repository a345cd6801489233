<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\ProjectionShape;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;

/** `not-two-to-one` and `spherical-not-tagged`. */
final readonly class ProjectionCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $entry = $situation->entry('picture.projection');
        if ($entry === null || ! $situation->isUnequal('picture.projection') || ! str_starts_with($entry->required, 'lat-long')) {
            return;
        }
        $part = $situation->part();
        $side = $situation->side('picture.projection');
        $size = $side === 'scene' ? $situation->scene()?->size() : $this->sharedSize($situation);
        if ($size === null) {
            return;
        }
        if (! ProjectionShape::holds($entry->required, $size->width, $size->height)) {
            $wanted = $situation->subject->part->single('picture.resolution') ?? (2 * $size->height)."x{$size->height}";
            yield new Finding('not-two-to-one', $side, "A {$entry->required} picture is twice as wide as high".($entry->required === 'lat-long' ? '' : ' for each eye').", and it is {$size->spoken()}.", ["the size is {$size}"],
                ['picture.projection', 'picture.resolution', 'picture.display_aspect'], [Fix::set($part, 'picture.resolution', 'the size', (string) $size, $wanted)], render: $side === 'files');
        } elseif ($side === 'files' && $situation->shared(static fn (MediaFacts $f): string => $f->projection ?? 'none') === 'none') {
            yield new Finding('spherical-not-tagged', 'files', 'The pictures are two to one, and nothing in them says that they are spherical.', ['no file has the mark of a lat-long picture'],
                ['picture.projection'], [Fix::retag($part, 'picture.projection', 'the projection', 'none', $entry->required)]);
        }
    }

    private function sharedSize(Situation $situation): ?Resolution
    {
        $text = $situation->shared(static fn (MediaFacts $f): string => "{$f->width}x{$f->height}");

        return $text === null || ! preg_match('~^\d+x\d+$~', $text) ? null : Resolution::parse($text);
    }
}
