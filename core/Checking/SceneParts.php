<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/**
 * Which part of a specification a scene makes: the one it says; else the one whose format it writes, or else one that
 * is a movie as it is, or pictures; of several the one whose name fits; where none fits, the first. A scene with
 * several outputs makes a part with each.
 */
final readonly class SceneParts
{
    /** @return array<string, SceneSettings> by part */
    public static function of(SceneSettings $scene, Specification $specification): array
    {
        $made = [];
        foreach ($scene->outputs === [] ? [$scene] : $scene->outputs as $output) {
            $part = self::partOf($output, $specification, $made);
            if ($part !== null) {
                $made[$part->name] = $output;
            }
        }

        return $made;
    }

    /** @param  array<string, SceneSettings>  $taken  parts that another output makes */
    private static function partOf(SceneSettings $scene, Specification $specification, array $taken): ?Part
    {
        $parts = array_values(
            array_filter($specification->parts, static fn (Part $p): bool => ! isset($taken[$p->name])),
        );
        foreach ($parts as $part) {
            if ($scene->source->part !== null && strcasecmp($part->name, $scene->source->part) === 0) {
                return $part;
            }
        }
        $kind = self::kindOf($scene);
        $ofKind = $kind === null
            ? []
            : array_values(array_filter($parts, static fn (Part $p): bool => self::takes($p, $kind)));
        $ofKind = $ofKind === [] ? self::ofFamily($parts, $kind, $scene) : $ofKind;
        if (count($ofKind) < 2) {
            return $ofKind[0] ?? $parts[0] ?? null;
        }
        $costs = array_map(static fn (Part $p): int => self::cost($scene, $specification, $p), $ofKind);

        return $ofKind[(int) array_search(min($costs), $costs, true)];
    }

    /**
     * Movies or pictures, where that is all the scene tells, or where its very format is asked of none.
     *
     * @param  list<Part>  $parts
     * @return list<Part>
     */
    private static function ofFamily(array $parts, ?Kind $kind, SceneSettings $scene): array
    {
        $movie = match (true) {
            $kind !== null => $kind->isMovie(),
            $scene->get(RequirementId::FORMAT_CODEC) !== null => true,
            default => null,
        };
        $family = $movie === null
            ? []
            : array_values(array_filter($parts, static fn (Part $p): bool => $p->delivers->isMovie() === $movie));

        return $family === [] ? $parts : $family;
    }

    private static function kindOf(SceneSettings $scene): ?Kind
    {
        return Kind::tryFrom($scene->get(RequirementId::FORMAT_KIND) ?? '')
            ?? Kind::fromExtension(Extension::of($scene->get(RequirementId::NAMING_PATTERN) ?? ''));
    }

    private static function takes(Part $part, Kind $kind): bool
    {
        if ($part->kinds() !== []) {
            return in_array($kind, $part->kinds(), true);
        }

        return $part->delivers->isMovie() ? $kind->isMovie() : $kind->isPicture();
    }

    /** How far the scene's name is from what the part asks; 0 where it fits. */
    private static function cost(SceneSettings $scene, Specification $specification, Part $part): int
    {
        $asked = $part->single(RequirementId::NAMING_PATTERN);
        $set = basename(strtr($scene->get(RequirementId::NAMING_PATTERN) ?? '', '\\', '/'));
        if ($asked === null || $set === '') {
            return 1000;
        }
        $values = $specification->pieceValues($part);
        try {
            $own = NamePattern::parse($set);
        } catch (PatternRefused) {
            return 1000;
        }
        $name = $own->make($values, $part->expected()?->first() ?? 1);
        $name .= Extension::of($name) === '' && $values->extensions !== [] ? '.'.$values->extensions[0] : '';

        return NamePattern::parse($asked)->read($name, $values)->cost + (
            $own->has('frame') === NamePattern::parse($asked)->has('frame') ? 0 : 100
        );
    }
}
