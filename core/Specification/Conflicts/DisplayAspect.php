<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/**
 * A display aspect that does not follow from size and pixel aspect. Where no pixel aspect is asked, pixels count as
 * square, but for the sizes that are known to be stored with others.
 */
final readonly class DisplayAspect implements ConflictRule
{
    /** Sizes that come with pixels of other shapes: SD of 525 and 625 lines, and thinned HD. */
    private const SQUEEZED = [
        '720x480', '720x486', '720x576', '704x480', '704x486', '704x576', '720x512', '720x608', '352x480', '352x576',
        '480x480', '480x576', '1440x1080', '1280x1080', '960x720', '1440x540',
    ];

    public function read(Specification $specification, Part $part): iterable
    {
        $shapes = array_map(AspectRatio::parse(...), $part->values(RequirementId::PICTURE_DISPLAY_ASPECT));
        $sizes = array_map(Resolution::parse(...), $part->values(RequirementId::PICTURE_RESOLUTION));
        if ($shapes === [] || $sizes === []) {
            return;
        }
        $asked = $part->single(RequirementId::PICTURE_PIXEL_ASPECT);
        $pixels = $asked === null ? BigRational::one() : Fraction::parse($asked);
        foreach ($sizes as $size) {
            if ($asked === null && in_array((string) $size, self::SQUEEZED, true)) {
                return;
            }
            foreach ($shapes as $shape) {
                // pixels typed as a decimal stand for a fraction to one part in a thousand
                foreach ([
                    $pixels,
                    $pixels->multipliedBy(BigRational::nd(1001, 1000)),
                    $pixels->multipliedBy(BigRational::nd(999, 1000)),
                ] as $each) {
                    if ($shape->holdsFor($size, $each)) {
                        return;
                    }
                }
            }
        }
        $size = $sizes[0];
        $is = Fraction::decimal($size->displayAspect($pixels));
        $ids = [
            RequirementId::PICTURE_DISPLAY_ASPECT,
            RequirementId::PICTURE_RESOLUTION,
            ...($asked === null ? [] : [RequirementId::PICTURE_PIXEL_ASPECT]),
        ];
        $named = AspectRatio::nearestNamed($size, $pixels);
        $offers = [
            ConflictResolution::set(
                RequirementId::PICTURE_DISPLAY_ASPECT,
                $named ?? $is,
                'Ask for the shape that follows, '.($named ?? $is).'.',
            ),
        ];
        $height = $shapes[0]->value->reciprocal()
            ->multipliedBy($pixels)
            ->multipliedBy($size->width)
            ->dividedBy(2)
            ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
            ->toInt() * 2;
        if ($height >= 2 && $height <= Resolution::LARGEST) {
            $other = Resolution::of($size->width, $height);
            $offers[] = ConflictResolution::set(
                RequirementId::PICTURE_RESOLUTION,
                (string) $other,
                "Ask for {$other->spoken()}, which has that shape.",
            );
        }
        yield Conflict::between(
            $ids,
            $part->name,
            "{$size->spoken()} "
                .($asked === null || $asked === '1/1' ? 'with square pixels' : "with pixels of {$asked}")
                ." is shown as {$is} to 1, and {$shapes[0]} is asked.",
            ...$offers,
        );
    }
}
