<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Float samples, a depth or channels that the format or codec does not have. */
final readonly class DepthSupport implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $kinds = $part->kinds();
        $sample = $part->values(RequirementId::FORMAT_SAMPLE);
        $depths = array_map(intval(...), $part->values(RequirementId::FORMAT_BIT_DEPTH));
        $float = $sample === ['float'];
        if ($float && $kinds !== [] && array_filter($kinds, self::canHoldFloat(...)) === []) {
            yield Conflict::between(
                [RequirementId::FORMAT_SAMPLE, RequirementId::FORMAT_KIND],
                $part->name,
                "Float samples are asked, and {$kinds[0]->spoken()} has none.",
                ConflictResolution::set(RequirementId::FORMAT_KIND, 'exr', 'Ask for OpenEXR, which has them.'),
                ConflictResolution::set(RequirementId::FORMAT_SAMPLE, 'uint', 'Ask for whole numbers.'),
            );

            return;
        }
        if ($float && $depths !== [] && array_intersect($depths, [16, 24, 32, 64]) === []) {
            yield Conflict::between(
                [RequirementId::FORMAT_SAMPLE, RequirementId::FORMAT_BIT_DEPTH],
                $part->name,
                "No float has {$depths[0]} bits.",
                ConflictResolution::set(RequirementId::FORMAT_BIT_DEPTH, '16', 'Ask for 16 bits, a half float.'),
                ConflictResolution::set(RequirementId::FORMAT_SAMPLE, 'uint', 'Ask for whole numbers.'),
            );

            return;
        }
        yield from $this->depths($part, $kinds, $depths, $sample);
        yield from $this->channels($part, $kinds);
    }

    /**
     * @param  list<Kind>  $kinds
     * @param  list<int>  $depths
     * @param  list<string>  $sample
     * @return iterable<Conflict>
     */
    private function depths(Part $part, array $kinds, array $depths, array $sample): iterable
    {
        if ($depths === []) {
            return;
        }
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        $byCodec = [];
        foreach ($codecs as $codec) {
            $byCodec = CodecCapabilities::depths($codec) === null || $byCodec === null
                ? null
                : [...$byCodec, ...CodecCapabilities::depths($codec)];
        }
        if ($codecs !== [] && $byCodec !== null && array_intersect($depths, $byCodec) === []) {
            yield Conflict::between(
                [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_CODEC],
                $part->name,
                "{$depths[0]} bits a channel are asked, and {$codecs[0]} has "
                    .implode(', ', array_unique($byCodec))
                    .'.',
                ConflictResolution::set(
                    RequirementId::FORMAT_BIT_DEPTH,
                    (string) max([8, ...$byCodec]),
                    'Ask for '.max([8, ...$byCodec]).' bits.',
                ),
            );
        }
        $byKind = [];
        foreach ($kinds as $kind) {
            $own = self::kindDepths($kind, $sample);
            $byKind = $own === null || $byKind === null ? null : [...$byKind, ...$own];
        }
        if ($kinds !== [] && $byKind !== null && array_intersect($depths, $byKind) === []) {
            $ids = $sample === ['uint'] && $kinds === [Kind::Exr]
                ? [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_SAMPLE, RequirementId::FORMAT_KIND]
                : [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_KIND];
            $nearest = $byKind[0];
            foreach ($byKind as $depth) {
                $nearest = abs($depth - $depths[0]) < abs($nearest - $depths[0]) ? $depth : $nearest;
            }
            yield Conflict::between(
                $ids,
                $part->name,
                "{$depths[0]} bits a channel are asked, and {$kinds[0]->spoken()} has "
                    .implode(', ', array_unique($byKind))
                    .($ids[1] === RequirementId::FORMAT_SAMPLE ? ' of whole numbers' : '')
                    .'.',
                ConflictResolution::set(RequirementId::FORMAT_BIT_DEPTH, (string) $nearest, "Ask for {$nearest} bits."),
            );
        }
    }

    /**
     * @param  list<Kind>  $kinds
     * @return iterable<Conflict>
     */
    private function channels(Part $part, array $kinds): iterable
    {
        $asked = $part->single(RequirementId::FORMAT_CHANNELS);
        if ($asked === null || $kinds === []) {
            return;
        }
        foreach ($kinds as $kind) {
            $there = match ($kind) {
                Kind::Png => ['Y', 'YA', 'RGB', 'RGBA'],
                // alpha is told by itself
                Kind::Jpeg => ['Y', 'RGB', 'CMYK', 'RGBA', 'YA'],
                Kind::Bmp, Kind::Webp => ['Y', 'RGB', 'RGBA'],
                Kind::Tga => ['Y', 'RGB', 'RGBA', 'YA'],
                default => null,
            };
            if ($there === null || in_array($asked, $there, true)) {
                return;
            }
        }
        yield Conflict::between(
            [RequirementId::FORMAT_CHANNELS, RequirementId::FORMAT_KIND],
            $part->name,
            "{$kinds[0]->spoken()} has no place for the channels {$asked}.",
            ConflictResolution::set(RequirementId::FORMAT_KIND, 'exr', 'Ask for OpenEXR, which holds any channels.'),
            ConflictResolution::set(
                RequirementId::FORMAT_CHANNELS,
                in_array('A', Channels::parse($asked), true) ? 'RGBA' : 'RGB',
                'Ask for the usual channels.',
            ),
        );
    }

    private static function canHoldFloat(Kind $kind): bool
    {
        return in_array($kind, [Kind::Exr, Kind::Tiff, Kind::Dpx, Kind::Wav], true) || $kind->isMovie();
    }

    /**
     * @param  list<string>  $sample
     * @return list<int>|null
     */
    private static function kindDepths(Kind $kind, array $sample): ?array
    {
        return match ($kind) {
            Kind::Png => [8, 16, 1, 2, 4],
            Kind::Jpeg => [8, 12],
            Kind::Exr => $sample === ['uint'] ? [32] : [16, 32],
            Kind::Webp, Kind::Tga => [8],
            Kind::Bmp => [8, 1, 4],
            Kind::Dpx => [8, 10, 12, 16, 32, 64],
            default => null,
        };
    }
}
