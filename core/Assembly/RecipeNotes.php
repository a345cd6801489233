<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** What stands in the way of a recipe, or is easily overlooked. */
final readonly class RecipeNotes
{
    /** Hundredths of a bit a pixel, below which a picture falls apart visibly. */
    private const FEW = 3;

    /** @return list<string> sentences */
    public static function of(Recipe $recipe): array
    {
        return array_values(array_filter([
            self::frames($recipe),
            self::range($recipe),
            self::shape($recipe),
            self::sides($recipe),
            self::alpha($recipe),
            self::container($recipe),
            self::cap($recipe),
        ]));
    }

    private static function frames(Recipe $recipe): ?string
    {
        $unusable = $recipe->timing->range === null
            ? null
            : $recipe->source->unusable?->and($recipe->timing->range);

        return $unusable === null || $unusable->isEmpty()
            ? null
            : ucfirst(Text::count(count($unusable), 'frame'))." first: {$unusable} "
                .(count($unusable) === 1 ? 'is' : 'are').' missing or cannot be used.';
    }

    private static function range(Recipe $recipe): ?string
    {
        $range = $recipe->timing->range;
        if ($range === null || $range->isOneRun()) {
            return null;
        }

        return "The frames do not follow each other by one ({$range}); still each stands for one picture of the movie.";
    }

    private static function shape(Recipe $recipe): ?string
    {
        if (! $recipe->changesShape()) {
            return null;
        }

        return "The movie is asked at {$recipe->size()?->spoken()}, and the frames are "
            ."{$recipe->source->picture->size?->spoken()}, which is another shape: settle first what is cut or filled.";
    }

    private static function sides(Recipe $recipe): ?string
    {
        $size = $recipe->size();
        $isOdd = $size !== null && ($size->width % 2 === 1 || $size->height % 2 === 1);

        return $isOdd && $recipe->encoded->needsEvenSides()
            ? "{$size->spoken()} has an odd side, which 4:2:0 cannot have."
            : null;
    }

    private static function alpha(Recipe $recipe): ?string
    {
        $encoded = $recipe->encoded;
        if (self::asksAlpha($recipe->part) && ! $encoded->hasAlpha) {
            return RecipeLines::codec($encoded->codec).' cannot hold the alpha that is asked.';
        }

        return $recipe->source->picture->hasAlpha === true && ! $encoded->hasAlpha
            ? 'The frames have alpha, and the movie will not: what is clear in them becomes black.'
            : null;
    }

    private static function asksAlpha(Part $part): bool
    {
        $alpha = $part->single(RequirementId::FORMAT_ALPHA);

        return $alpha !== null && $alpha !== 'none';
    }

    private static function container(Recipe $recipe): ?string
    {
        $encoded = $recipe->encoded;

        return CodecCapabilities::fits($encoded->codec, $encoded->kind)
            ? null
            : RecipeLines::codec($encoded->codec).' does not go into '.strtoupper($encoded->kind->value).'.';
    }

    private static function cap(Recipe $recipe): ?string
    {
        $bounds = $recipe->bounds;
        if ($bounds->isImpossible) {
            return "Nothing that is asked fits into {$bounds->cap}: ask for a larger file, a shorter one, or less.";
        }
        [$size, $rate] = [$recipe->size(), $recipe->timing->rate];
        if (! $bounds->isTight || $bounds->rate === null || $size === null || $rate === null) {
            return null;
        }
        $pixels = $size->pixels() * max(1, $rate->nominalWhole());

        return 100 * $bounds->rate->bits < self::FEW * $pixels
            ? "{$bounds->cap} is little for so many pixels: what moves will show it. Two passes share it out best."
            : null;
    }
}
