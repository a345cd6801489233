<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Lossless asked of what always loses, and a way of compressing that the format does not have. */
final readonly class CompressionSupport implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $asked = $part->values(RequirementId::FORMAT_COMPRESSION);
        if ($asked === []) {
            return;
        }
        $losesNothing = $this->losesNothing($asked);
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        if (
            $losesNothing
            && $codecs !== []
            && array_filter($codecs, static fn (string $c): bool => ! CodecCapabilities::isLossy($c)) === []
        ) {
            yield Conflict::between(
                [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_CODEC],
                $part->name,
                "Compression that loses nothing is asked, and {$codecs[0]} always loses something.",
                ConflictResolution::set(RequirementId::FORMAT_CODEC, 'ffv1', 'Ask for FFV1, which keeps every bit.'),
                ConflictResolution::drop(RequirementId::FORMAT_COMPRESSION, 'Ask for no way of compressing.'),
            );

            return;
        }
        $kinds = $part->kinds();
        if ($kinds === []) {
            return;
        }
        $lossy = array_filter(
            $kinds,
            static fn (Kind $k): bool => in_array($k, [Kind::Jpeg, Kind::Webm, Kind::Mp4], true),
        );
        if ($losesNothing && count($lossy) === count($kinds) && ($codecs === [] || $kinds[0] === Kind::Jpeg)) {
            $able = array_filter(
                [Kind::Png, Kind::Exr, Kind::Tiff],
                static fn (Kind $k): bool => in_array('lossless', $asked, true)
                    || array_intersect($asked, self::ways($k) ?? []) !== [],
            );
            $other = $part->delivers->isMovie() ? 'mov' : ([...$able, Kind::Png][0])->value;
            yield Conflict::between(
                [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_KIND],
                $part->name,
                "Compression that loses nothing is asked, and {$kinds[0]->spoken()} always loses something.",
                ConflictResolution::set(RequirementId::FORMAT_KIND, $other, 'Ask for '.strtoupper($other).'.'),
                ConflictResolution::drop(RequirementId::FORMAT_COMPRESSION, 'Ask for no way of compressing.'),
            );

            return;
        }
        $all = [];
        foreach ($kinds as $kind) {
            $there = self::ways($kind);
            if ($there === null) {
                return;
            }
            $all = [...$all, ...$there];
        }
        if (! in_array('lossless', $asked, true) && array_intersect($asked, $all) === []) {
            yield Conflict::between(
                [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_KIND],
                $part->name,
                "{$kinds[0]->spoken()} is never compressed by {$asked[0]}; it has ".implode(', ', $all).'.',
                ConflictResolution::set(RequirementId::FORMAT_COMPRESSION, $all[0], "Ask for {$all[0]}."),
                ConflictResolution::drop(RequirementId::FORMAT_COMPRESSION, 'Ask for no way of compressing.'),
            );
        }
    }

    /** @param  list<string>  $asked */
    private function losesNothing(array $asked): bool
    {
        return array_diff(
            $asked,
            ['lossless', 'none', 'rle', 'zip', 'zips', 'piz', 'lzw', 'deflate', 'packbits', 'htj2k256', 'htj2k32'],
        ) === [];
    }

    /** @return list<string>|null the ways a format has; null where that depends */
    private static function ways(Kind $kind): ?array
    {
        return match ($kind) {
            Kind::Png => ['deflate'],
            Kind::Jpeg => ['jpeg'],
            Kind::Exr => [
                'zip',
                'zips',
                'none',
                'rle',
                'piz',
                'pxr24',
                'b44',
                'b44a',
                'dwaa',
                'dwab',
                'htj2k256',
                'htj2k32',
            ],
            Kind::Tiff => ['lzw', 'none', 'deflate', 'zip', 'packbits', 'jpeg'],
            Kind::Tga, Kind::Bmp, Kind::Dpx => ['none', 'rle'],
            default => null,
        };
    }
}
