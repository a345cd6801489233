<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\ProjectionShape;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** A lat-long picture that is not two to one. */
final readonly class LatLongShape implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $projection = $part->single('picture.projection');
        if ($projection === null || $projection === 'flat') {
            return;
        }
        $sizes = array_map(Resolution::parse(...), $part->values('picture.resolution'));
        if ($sizes !== [] && array_filter($sizes, static fn (Resolution $r): bool => ProjectionShape::holds($projection, $r->width, $r->height)) === []) {
            $size = $sizes[0];
            [$shape, $wanted] = $projection === 'lat-long'
                ? ['twice as wide as high', Resolution::of(2 * $size->height, $size->height)]
                : ['square with the eyes above each other, or four times as wide as high beside each other', Resolution::of($size->width, $size->width)];
            yield Conflict::between(['picture.projection', 'picture.resolution'], $part->name, "A {$projection} picture is {$shape}, and {$size->spoken()} is not.",
                ConflictResolution::set('picture.resolution', (string) $wanted, "Ask for {$wanted->spoken()}."), ConflictResolution::set('picture.projection', 'flat', 'Ask for a flat picture.'));
        }
        $shapes = array_map(AspectRatio::parse(...), $part->values('picture.display_aspect'));
        $two = Resolution::of(2000, 1000);
        if ($projection === 'lat-long' && $shapes !== [] && array_filter($shapes, static fn (AspectRatio $a): bool => $a->holdsFor($two, BigRational::one())) === []) {
            yield Conflict::between(['picture.projection', 'picture.display_aspect'], $part->name, "A lat-long picture is 2:1, and {$shapes[0]} is asked.", ConflictResolution::set('picture.display_aspect', '2:1', 'Ask for 2:1.'), ConflictResolution::set('picture.projection', 'flat', 'Ask for a flat picture.'));
        }
    }
}
