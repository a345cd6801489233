<?php

declare(strict_types=1);

namespace PlainLedger\Core\Proposal;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;

/** What all whole files of a part have in common, as requirements. */
final readonly class SharedFacts
{
    private const CHROMA = ['4:4:4', '4:2:2', '4:2:0'];

    /** @param  list<MediaFacts>  $whole */
    public function __construct(private array $whole) {}

    /** @return array<string, mixed> */
    public function requirements(): array
    {
        $all = array_map(self::told(...), $this->whole);
        $require = [];
        foreach ($all[0] ?? [] as $id => $value) {
            if ($value !== null && count(array_unique(array_column($all, $id), SORT_REGULAR)) === 1) {
                $require[$id] = $value;
            }
        }

        return $require;
    }

    /** @return array<string, int|string|null> */
    private static function told(MediaFacts $facts): array
    {
        $compressions = Catalogue::standard()->find(RequirementId::FORMAT_COMPRESSION)->accepts->words ?? [];

        return [
            RequirementId::PICTURE_RESOLUTION => self::size($facts),
            RequirementId::PICTURE_PIXEL_ASPECT => $facts->picture->pixelAspect === null
                ? null
                : Fraction::writeFull($facts->picture->pixelAspect),
            RequirementId::PICTURE_REGION => self::among($facts->picture->region, ['full']),
            RequirementId::PICTURE_DENSITY => $facts->picture->density,
            RequirementId::PICTURE_PROJECTION => self::projection($facts),
            RequirementId::TIME_RATE => $facts->timing->rate === null ? null : (string) $facts->timing->rate,
            RequirementId::CAMERA_NAME => self::camera($facts),
            RequirementId::FORMAT_BIT_DEPTH => $facts->encoding->bitDepth,
            RequirementId::FORMAT_SAMPLE => $facts->encoding->sample,
            RequirementId::FORMAT_CHANNELS => $facts->encoding->channelsText(),
            RequirementId::FORMAT_COMPRESSION => self::among($facts->encoding->compression, $compressions),
            RequirementId::FORMAT_CHROMA => self::among($facts->encoding->chroma, self::CHROMA),
            RequirementId::COLOUR_ENCODING => $facts->picture->colour,
        ];
    }

    /** @param  list<string>  $known */
    private static function among(?string $word, array $known): ?string
    {
        return in_array($word, $known, true) ? $word : null;
    }

    private static function size(MediaFacts $facts): ?string
    {
        return $facts->picture->width === null || $facts->picture->height === null
            ? null
            : "{$facts->picture->width}x{$facts->picture->height}";
    }

    private static function projection(MediaFacts $facts): ?string
    {
        $twoToOne = $facts->picture->height !== null && $facts->picture->width === 2 * $facts->picture->height;

        return $facts->picture->projection === 'lat-long' && $twoToOne ? 'lat-long' : null;
    }

    /** A name in which a pattern would stand is none that can be asked. */
    private static function camera(MediaFacts $facts): ?string
    {
        return $facts->labels->camera !== null && preg_match('~[*?|]~', $facts->labels->camera) !== 1
            ? $facts->labels->camera
            : null;
    }

    /**
     * Layers are passes of their own, and the channels those of the picture they are beside.
     *
     * @return array<string, mixed> empty where the files have no layers, or not the same
     */
    public function layers(): array
    {
        $first = $this->whole[0] ?? null;
        $another = array_filter(
            $this->whole,
            static fn (MediaFacts $f): bool => $f->labels->layers !== $first?->labels->layers
                || $f->encoding->channels !== $first->encoding->channels,
        );
        $layers = $first->labels->layers ?? [];
        $strange = array_filter($layers, static fn (string $l): bool => preg_match('~^[A-Za-z][\w -]*$~', $l) !== 1);
        if ($layers === [] || $another !== [] || $strange !== []) {
            return [];
        }
        $plain = array_filter(
            $first->encoding->channels ?? [],
            static fn (string $c): bool => Channels::split($c)[0] === '',
        );
        $pictured = array_intersect(['R', 'G', 'B', 'Y'], $plain) !== [];
        $channels = $plain === [] ? [] : [RequirementId::FORMAT_CHANNELS => Channels::write(array_values($plain))];

        return [RequirementId::PASSES => [...($pictured ? ['beauty'] : []), ...$layers]] + $channels;
    }
}
