<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** Chroma shared by pixels that a size does not have in pairs; and chroma asked of formats that share none. */
final readonly class ChromaSize implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $chroma = $part->values('format.chroma');
        if ($chroma === [] || in_array('4:4:4', $chroma, true)) {
            return;
        }
        $kinds = $part->kinds();
        $whole = array_filter($kinds, static fn (Kind $k): bool => in_array($k, [Kind::Png, Kind::Bmp, Kind::Tga], true));
        if ($kinds !== [] && count($whole) === count($kinds)) {
            yield Conflict::between(['format.chroma', 'format.kind'], $part->name, "Chroma {$chroma[0]} is asked, and {$kinds[0]->spoken()} stores the colour of every pixel.", ConflictResolution::set('format.chroma', '4:4:4', 'Ask for 4:4:4.'), ConflictResolution::drop('format.chroma', 'Ask for no chroma sampling.'));

            return;
        }
        // a JPEG or WebP picture fills up its last block and keeps any size
        if ($kinds !== [] && array_filter($kinds, static fn (Kind $k): bool => ! $k->isPicture()) === []) {
            return;
        }
        $sizes = array_map(Resolution::parse(...), $part->values('picture.resolution'));
        $down = ! in_array('4:2:2', $chroma, true);
        $odd = array_values(array_filter($sizes, static fn (Resolution $r): bool => $r->width % 2 === 1 || ($down && $r->height % 2 === 1)));
        if ($odd !== [] && count($odd) === count($sizes)) {
            $even = Resolution::of($odd[0]->width + $odd[0]->width % 2, $odd[0]->height + ($down ? $odd[0]->height % 2 : 0));
            yield Conflict::between(['picture.resolution', 'format.chroma'], $part->name, "{$chroma[0]} shares colour between pixels in pairs, and {$odd[0]->spoken()} has an odd side.",
                ConflictResolution::set('picture.resolution', (string) $even, "Ask for {$even->spoken()}."), ConflictResolution::set('format.chroma', '4:4:4', 'Ask for 4:4:4.'));
        }
    }
}
