<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\ProjectionShape;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** A lat-long picture that is not two to one. */
final readonly class LatLongShape implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $projection = $part->single(RequirementId::PICTURE_PROJECTION);
        if ($projection === null || $projection === 'flat') {
            return;
        }
        $sizes = array_map(Resolution::parse(...), $part->values(RequirementId::PICTURE_RESOLUTION));
        if (
            $sizes !== []
            && array_filter(
                $sizes,
                static fn (Resolution $r): bool => ProjectionShape::holds($projection, $r->width, $r->height),
            ) === []
        ) {
            $size = $sizes[0];
            [$shape, $wanted] = $projection === 'lat-long'
                ? ['twice as wide as high', Resolution::of(2 * $size->height, $size->height)]
                : [
                    'square with the eyes above each other, or four times as wide as high beside each other',
                    Resolution::of($size->width, $size->width),
                ];
            yield Conflict::between(
                [RequirementId::PICTURE_PROJECTION, RequirementId::PICTURE_RESOLUTION],
                $part->name,
                "A {$projection} picture is {$shape}, and {$size->spoken()} is not.",
                ConflictResolution::set(
                    RequirementId::PICTURE_RESOLUTION,
                    (string) $wanted,
                    "Ask for {$wanted->spoken()}.",
                ),
                ConflictResolution::set(RequirementId::PICTURE_PROJECTION, 'flat', 'Ask for a flat picture.'),
            );
        }
        $shapes = array_map(AspectRatio::parse(...), $part->values(RequirementId::PICTURE_DISPLAY_ASPECT));
        $two = Resolution::of(2000, 1000);
        if (
            $projection === 'lat-long'
            && $shapes !== []
            && array_filter($shapes, static fn (AspectRatio $a): bool => $a->holdsFor($two, BigRational::one())) === []
        ) {
            yield Conflict::between(
                [RequirementId::PICTURE_PROJECTION, RequirementId::PICTURE_DISPLAY_ASPECT],
                $part->name,
                "A lat-long picture is 2:1, and {$shapes[0]} is asked.",
                ConflictResolution::set(RequirementId::PICTURE_DISPLAY_ASPECT, '2:1', 'Ask for 2:1.'),
                ConflictResolution::set(RequirementId::PICTURE_PROJECTION, 'flat', 'Ask for a flat picture.'),
            );
        }
    }
}
