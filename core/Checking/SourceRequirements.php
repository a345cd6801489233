<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use Brick\Math\BigRational;
use PlainLedger\Core\Matching\PartMatch;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\SetBy;

/**
 * What a part that is made from another owes without being asked: the other's shape on screen, its count, its rate and
 * its pictures. What the part asks for itself goes first.
 */
final readonly class SourceRequirements
{
    /** What a part may ask for itself, by what it would owe otherwise. */
    private const ASKED_INSTEAD = [
        RequirementId::TIME_RATE => [RequirementId::TIME_RATE],
        RequirementId::TIME_COUNT => [
            RequirementId::TIME_COUNT, RequirementId::TIME_RANGE, RequirementId::TIME_DURATION,
        ],
        RequirementId::PICTURE_DISPLAY_ASPECT => [
            RequirementId::PICTURE_DISPLAY_ASPECT, RequirementId::PICTURE_RESOLUTION,
        ],
        RequirementId::CONTENT_SOURCE => [RequirementId::CONTENT_SOURCE],
    ];

    /**
     * @param  Part  $source  the part that it is made from
     * @param  PartMatch|null  $found  what answers that part, where anything was delivered
     * @return list<Requirement>
     */
    public static function owed(Part $part, Part $source, ?PartMatch $found): array
    {
        $values = [
            RequirementId::PICTURE_DISPLAY_ASPECT => self::shape($source, $found),
            RequirementId::TIME_RATE => $source->single(RequirementId::TIME_RATE),
            RequirementId::TIME_COUNT => self::count($source, $found),
            RequirementId::CONTENT_SOURCE => 'yes',
        ];
        $owed = [];
        foreach ($values as $id => $value) {
            $asked = array_filter(self::ASKED_INSTEAD[$id], static fn (string $i): bool => $part->find($i) !== null);
            $descriptor = Catalogue::standard()->find($id);
            if ($value !== null && $asked === [] && $descriptor !== null) {
                $owed[] = Requirement::read($descriptor, $value, SetBy::Specification, "made from {$source->name}");
            }
        }

        return $owed;
    }

    /** As it is asked of the other part; else as its pictures are. */
    private static function shape(Part $source, ?PartMatch $found): ?string
    {
        $asked = $source->single(RequirementId::PICTURE_DISPLAY_ASPECT);
        if ($asked !== null) {
            return $asked;
        }
        $size = $source->single(RequirementId::PICTURE_RESOLUTION);
        $pixels = Fraction::parse($source->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1');
        $aspect = $size === null ? self::shapeOf($found) : Resolution::parse($size)->displayAspect($pixels);

        return $aspect === null ? null : $aspect->getNumerator().':'.$aspect->getDenominator();
    }

    private static function shapeOf(?PartMatch $found): ?BigRational
    {
        $facts = self::factsOf($found);

        return $facts?->picture->width === null || $facts->picture->height === null
            ? null
            : Resolution::of($facts->picture->width, $facts->picture->height)
                ->displayAspect($facts->picture->pixelAspect ?? BigRational::one());
    }

    private static function factsOf(?PartMatch $found): ?MediaFacts
    {
        foreach ($found->passes ?? [] as $pass) {
            foreach ($pass->frames->alike as $alike) {
                if ($alike->facts->isWhole()) {
                    return $alike->facts;
                }
            }
        }

        return null;
    }

    private static function count(Part $source, ?PartMatch $found): ?string
    {
        $expected = $source->expected();
        if ($source->delivers === Delivers::Still) {
            // how long it stands is nobody's but the movie's
            return null;
        }
        if ($expected !== null) {
            return (string) count($expected);
        }
        $asked = $source->single(RequirementId::TIME_COUNT);
        $pass = $found?->passes[0] ?? null;

        return match (true) {
            $asked !== null => $asked,
            $pass === null || $pass->isEmpty() || $source->delivers->isMovie() => null,
            default => (string) count($pass->present),
        };
    }
}
