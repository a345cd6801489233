<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Chroma shared by pixels that a size does not have in pairs; and chroma asked of formats that share none. */
final readonly class ChromaSize implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $chroma = $part->values(RequirementId::FORMAT_CHROMA);
        if ($chroma === [] || in_array('4:4:4', $chroma, true)) {
            return;
        }
        $kinds = $part->kinds();
        $every = static fn (\Closure $holds): bool => $kinds !== []
            && count(array_filter($kinds, $holds)) === count($kinds);
        if ($every(static fn (Kind $k): bool => in_array($k, [Kind::Png, Kind::Bmp, Kind::Tga], true))) {
            yield Conflict::between(
                [RequirementId::FORMAT_CHROMA, RequirementId::FORMAT_KIND],
                $part->name,
                "Chroma {$chroma[0]} is asked, and {$kinds[0]->spoken()} stores the colour of every pixel.",
                ConflictResolution::set(RequirementId::FORMAT_CHROMA, '4:4:4', 'Ask for 4:4:4.'),
                ConflictResolution::drop(RequirementId::FORMAT_CHROMA, 'Ask for no chroma sampling.'),
            );

            return;
        }
        // a JPEG or WebP picture fills up its last block and keeps any size
        if (! $every(static fn (Kind $k): bool => $k->isPicture())) {
            yield from $this->oddSides($part, $chroma);
        }
    }

    /**
     * @param  non-empty-list<string>  $chroma
     * @return iterable<Conflict>
     */
    private function oddSides(Part $part, array $chroma): iterable
    {
        $sizes = array_map(Resolution::parse(...), $part->values(RequirementId::PICTURE_RESOLUTION));
        $down = ! in_array('4:2:2', $chroma, true);
        $isOdd = static fn (Resolution $r): bool => $r->width % 2 === 1 || ($down && $r->height % 2 === 1);
        $odd = array_values(array_filter($sizes, $isOdd));
        if ($odd === [] || count($odd) < count($sizes)) {
            return;
        }
        [$width, $height] = [$odd[0]->width, $odd[0]->height];
        $even = Resolution::of($width + $width % 2, $height + ($down ? $height % 2 : 0));
        yield Conflict::between(
            [RequirementId::PICTURE_RESOLUTION, RequirementId::FORMAT_CHROMA],
            $part->name,
            "{$chroma[0]} shares colour between pixels in pairs, and {$odd[0]->spoken()} has an odd side.",
            ConflictResolution::set(RequirementId::PICTURE_RESOLUTION, (string) $even, "Ask for {$even->spoken()}."),
            ConflictResolution::set(RequirementId::FORMAT_CHROMA, '4:4:4', 'Ask for 4:4:4.'),
        );
    }
}
