<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
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
        $asked = $part->single(RequirementId::PICTURE_PIXEL_ASPECT);
        $pixels = $asked === null ? BigRational::one() : Fraction::parse($asked);
        $squeezed = array_filter(
            $sizes,
            static fn (Resolution $size): bool => in_array((string) $size, self::SQUEEZED, true),
        );
        if ($shapes === [] || $sizes === [] || ($asked === null && $squeezed !== [])) {
            return;
        }
        if (! self::anyHolds($shapes, $sizes, $pixels)) {
            yield $this->another($part, $sizes[0], $pixels, $shapes[0]);
        }
    }

    /**
     * Pixels typed as a decimal stand for a fraction to one part in a thousand.
     *
     * @param  list<AspectRatio>  $shapes
     * @param  list<Resolution>  $sizes
     */
    private static function anyHolds(array $shapes, array $sizes, BigRational $pixels): bool
    {
        foreach ($sizes as $size) {
            foreach ([1000, 1001, 999] as $thousandths) {
                $near = $pixels->multipliedBy(BigRational::nd($thousandths, 1000));
                if (
                    array_filter($shapes, static fn (AspectRatio $shape): bool => $shape->holdsFor($size, $near)) !== []
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    private function another(Part $part, Resolution $size, BigRational $pixels, AspectRatio $asked): Conflict
    {
        $told = $part->single(RequirementId::PICTURE_PIXEL_ASPECT);
        $is = Fraction::decimal($size->displayAspect($pixels));
        $follows = AspectRatio::nearestNamed($size, $pixels) ?? $is;
        $height = $asked->value->reciprocal()->multipliedBy($pixels)->multipliedBy($size->width)->dividedBy(2);
        $even = 2 * $height->toScale(0, RoundingMode::HALF_UP)->toInt();
        $other = $even >= 2 && $even <= Resolution::LARGEST ? Resolution::of($size->width, $even) : null;
        $says = "Ask for {$other?->spoken()}, which has that shape.";
        $spoken = in_array($told, [null, '1/1'], true) ? 'with square pixels' : "with pixels of {$told}";

        return Conflict::between(
            [
                RequirementId::PICTURE_DISPLAY_ASPECT,
                RequirementId::PICTURE_RESOLUTION,
                ...($told === null ? [] : [RequirementId::PICTURE_PIXEL_ASPECT]),
            ],
            $part->name,
            "{$size->spoken()} {$spoken} is shown as {$is} to 1, and {$asked} is asked.",
            ConflictResolution::set(
                RequirementId::PICTURE_DISPLAY_ASPECT,
                $follows,
                "Ask for the shape that follows, {$follows}.",
            ),
            ...(
                $other === null
                    ? []
                    : [ConflictResolution::set(RequirementId::PICTURE_RESOLUTION, (string) $other, $says)]
            ),
        );
    }
}
