<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** Which part is assembled, and from which. */
final readonly class RecipeParts
{
    /** @return list<string> names of the movies that are made from something */
    public static function all(Specification $specification): array
    {
        $all = array_filter(
            $specification->parts,
            static fn (Part $part): bool => $part->delivers->isMovie() && self::of($specification, $part) !== null,
        );

        return array_values(array_map(static fn (Part $part): string => $part->name, $all));
    }

    /** @throws RecipeRefused */
    public static function movie(Specification $specification, ?string $name): Part
    {
        $part = $specification->part($name ?? self::all($specification)[0] ?? '');

        return match (true) {
            $part === null && $name === null => throw RecipeRefused::because(
                'no movie that is made from frames is asked',
            ),
            $part === null => throw RecipeRefused::because("there is no part “{$name}”"),
            ! $part->delivers->isMovie() => throw RecipeRefused::because("the part “{$part->name}” is no movie"),
            default => $part,
        };
    }

    /** @throws RecipeRefused */
    public static function source(Specification $specification, Part $movie): Part
    {
        return self::of($specification, $movie)
            ?? throw RecipeRefused::because("“{$movie->name}” does not say from which part it is made");
    }

    /** What it says it is made from; else the only frames there are beside it. */
    private static function of(Specification $specification, Part $movie): ?Part
    {
        if ($movie->madeFrom !== null) {
            return $specification->part($movie->madeFrom);
        }
        $frames = array_filter(
            $specification->parts,
            static fn (Part $part): bool => $part->delivers === Delivers::Frames,
        );

        return count($frames) === 1 ? array_values($frames)[0] : null;
    }
}
