<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\CompressionName;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Lossless asked of what always loses, and a way of compressing that the format does not have. */
final readonly class CompressionSupport implements ConflictRule
{
    private const LOSSY = [Kind::Jpeg, Kind::Webm, Kind::Mp4];

    public function read(Specification $specification, Part $part): iterable
    {
        $asked = $part->values(RequirementId::FORMAT_COMPRESSION);
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        $kinds = $part->kinds();
        $losesNothing = $asked !== [] && $this->losesNothing($asked);
        $lossyCodecs = array_filter($codecs, CodecCapabilities::isLossy(...));
        $lossyKinds = array_filter($kinds, static fn (Kind $k): bool => in_array($k, self::LOSSY, true));
        $allLossy = $kinds !== [] && count($lossyKinds) === count($kinds);
        if ($losesNothing && $codecs !== [] && count($lossyCodecs) === count($codecs)) {
            yield $this->lossyCodec($part, $codecs[0]);
        } elseif ($losesNothing && $allLossy && ($codecs === [] || $kinds[0] === Kind::Jpeg)) {
            yield $this->lossyKind($part, $kinds[0], $asked);
        } elseif ($asked !== [] && $kinds !== []) {
            yield from $this->unknownWay($part, $kinds, $asked);
        }
    }

    private function lossyCodec(Part $part, string $codec): Conflict
    {
        return Conflict::between(
            [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_CODEC],
            $part->name,
            "Compression that loses nothing is asked, and {$codec} always loses something.",
            ConflictResolution::set(RequirementId::FORMAT_CODEC, 'ffv1', 'Ask for FFV1, which keeps every bit.'),
            self::dropped(),
        );
    }

    /** @param  list<string>  $asked */
    private function lossyKind(Part $part, Kind $kind, array $asked): Conflict
    {
        $able = array_filter(
            [Kind::Png, Kind::Exr, Kind::Tiff],
            static fn (Kind $k): bool => in_array('lossless', $asked, true)
                || array_intersect($asked, self::ways($k) ?? []) !== [],
        );
        $other = $part->delivers->isMovie() ? 'mov' : ([...$able, Kind::Png][0])->value;

        return Conflict::between(
            [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_KIND],
            $part->name,
            "Compression that loses nothing is asked, and {$kind->spoken()} always loses something.",
            ConflictResolution::set(RequirementId::FORMAT_KIND, $other, 'Ask for '.strtoupper($other).'.'),
            self::dropped(),
        );
    }

    /**
     * @param  non-empty-list<Kind>  $kinds
     * @param  non-empty-list<string>  $asked
     * @return iterable<Conflict>
     */
    private function unknownWay(Part $part, array $kinds, array $asked): iterable
    {
        $ways = array_map(self::ways(...), $kinds);
        $all = in_array(null, $ways, true) ? [] : array_merge([], ...array_filter($ways, is_array(...)));
        if ($all === [] || in_array('lossless', $asked, true) || array_intersect($asked, $all) !== []) {
            return;
        }
        yield Conflict::between(
            [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_KIND],
            $part->name,
            "{$kinds[0]->spoken()} is never compressed by {$asked[0]}; it has ".implode(', ', $all).'.',
            ConflictResolution::set(RequirementId::FORMAT_COMPRESSION, $all[0], "Ask for {$all[0]}."),
            self::dropped(),
        );
    }

    private static function dropped(): ConflictResolution
    {
        return ConflictResolution::drop(RequirementId::FORMAT_COMPRESSION, 'Ask for no way of compressing.');
    }

    /** @param  list<string>  $asked */
    private function losesNothing(array $asked): bool
    {
        return array_filter($asked, static fn (string $way): bool => ! CompressionName::isLossless($way)) === [];
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
            Kind::Tiff => [
                'lzw', 'none', 'deflate', 'zip', 'packbits', 'jpeg', 'ccitt', 'ccitt-g3', 'ccitt-g4', 'lzma', 'zstd',
                'webp', 'jbig', 'jpeg2000', 'jpeg-xl', 'lerc',
            ],
            Kind::Webp => ['lossy', 'lossless'],
            Kind::Tga, Kind::Bmp, Kind::Dpx => ['none', 'rle'],
            default => null,
        };
    }
}
