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
    /** What formats have a place for; alpha, where a format has none, is told by itself. Others may hold any. */
    private const CHANNELS = [
        'png' => ['Y', 'YA', 'RGB', 'RGBA'],
        'jpeg' => ['Y', 'RGB', 'CMYK', 'RGBA', 'YA'],
        'bmp' => ['Y', 'RGB', 'RGBA'],
        'webp' => ['Y', 'RGB', 'RGBA'],
        'tga' => ['Y', 'RGB', 'RGBA', 'YA'],
    ];

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
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        $byCodec = self::allOf(array_map(CodecCapabilities::depths(...), $codecs));
        if ($depths !== [] && $byCodec !== [] && array_intersect($depths, $byCodec) === []) {
            $most = max([8, ...$byCodec]);
            yield Conflict::between(
                [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_CODEC],
                $part->name,
                "{$depths[0]} bits a channel are asked, and {$codecs[0]} has "
                    .implode(', ', array_unique($byCodec))
                    .'.',
                ConflictResolution::set(RequirementId::FORMAT_BIT_DEPTH, (string) $most, "Ask for {$most} bits."),
            );
        }
        $byKind = self::allOf(array_map(static fn (Kind $kind): ?array => self::kindDepths($kind, $sample), $kinds));
        if ($depths !== [] && $byKind !== [] && array_intersect($depths, $byKind) === []) {
            yield $this->noSuchDepth(
                $part,
                $kinds[0],
                $depths[0],
                $byKind,
                $sample === ['uint'] && $kinds === [Kind::Exr],
            );
        }
    }

    /**
     * @param  list<list<int>|null>  $lists
     * @return list<int> none where one of them may be any
     */
    private static function allOf(array $lists): array
    {
        return in_array(null, $lists, true) ? [] : array_merge([], ...array_filter($lists, is_array(...)));
    }

    /**
     * @param  non-empty-list<int>  $there
     * @param  bool  $wholeNumbers  whether only the whole numbers of the format are meant
     */
    private function noSuchDepth(Part $part, Kind $kind, int $depth, array $there, bool $wholeNumbers): Conflict
    {
        $nearest = array_reduce(
            $there,
            static fn (int $near, int $own): int => abs($own - $depth) < abs($near - $depth) ? $own : $near,
            $there[0],
        );
        $sample = $wholeNumbers ? [RequirementId::FORMAT_SAMPLE] : [];

        return Conflict::between(
            [RequirementId::FORMAT_BIT_DEPTH, ...$sample, RequirementId::FORMAT_KIND],
            $part->name,
            "{$depth} bits a channel are asked, and {$kind->spoken()} has ".implode(', ', array_unique($there))
                .($wholeNumbers ? ' of whole numbers.' : '.'),
            ConflictResolution::set(RequirementId::FORMAT_BIT_DEPTH, (string) $nearest, "Ask for {$nearest} bits."),
        );
    }

    /**
     * @param  list<Kind>  $kinds
     * @return iterable<Conflict>
     */
    private function channels(Part $part, array $kinds): iterable
    {
        $asked = $part->single(RequirementId::FORMAT_CHANNELS);
        $holds = static fn (Kind $kind): bool => in_array($asked, self::CHANNELS[$kind->value] ?? [$asked], true);
        if ($asked === null || $kinds === [] || array_filter($kinds, $holds) !== []) {
            return;
        }
        $usual = in_array('A', Channels::parse($asked), true) ? 'RGBA' : 'RGB';
        yield Conflict::between(
            [RequirementId::FORMAT_CHANNELS, RequirementId::FORMAT_KIND],
            $part->name,
            "{$kinds[0]->spoken()} has no place for the channels {$asked}.",
            ConflictResolution::set(RequirementId::FORMAT_KIND, 'exr', 'Ask for OpenEXR, which holds any channels.'),
            ConflictResolution::set(RequirementId::FORMAT_CHANNELS, $usual, 'Ask for the usual channels.'),
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
