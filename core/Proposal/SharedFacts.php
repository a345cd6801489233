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
            RequirementId::PICTURE_PIXEL_ASPECT => $facts->pixelAspect === null
                ? null
                : Fraction::writeFull($facts->pixelAspect),
            RequirementId::PICTURE_REGION => self::among($facts->region, ['full']),
            RequirementId::PICTURE_DENSITY => $facts->density,
            RequirementId::PICTURE_PROJECTION => self::projection($facts),
            RequirementId::TIME_RATE => $facts->frameRate === null ? null : (string) $facts->frameRate,
            RequirementId::CAMERA_NAME => self::camera($facts),
            RequirementId::FORMAT_BIT_DEPTH => $facts->bitDepth,
            RequirementId::FORMAT_SAMPLE => $facts->sample,
            RequirementId::FORMAT_CHANNELS => $facts->channelsText(),
            RequirementId::FORMAT_COMPRESSION => self::among($facts->compression, $compressions),
            RequirementId::FORMAT_CHROMA => self::among($facts->chroma, self::CHROMA),
            RequirementId::COLOUR_ENCODING => $facts->colour,
        ];
    }

    /** @param  list<string>  $known */
    private static function among(?string $word, array $known): ?string
    {
        return in_array($word, $known, true) ? $word : null;
    }

    private static function size(MediaFacts $facts): ?string
    {
        return $facts->width === null || $facts->height === null ? null : "{$facts->width}x{$facts->height}";
    }

    private static function projection(MediaFacts $facts): ?string
    {
        $twoToOne = $facts->height !== null && $facts->width === 2 * $facts->height;

        return $facts->projection === 'lat-long' && $twoToOne ? 'lat-long' : null;
    }

    /** A name in which a pattern would stand is none that can be asked. */
    private static function camera(MediaFacts $facts): ?string
    {
        return $facts->camera !== null && preg_match('~[*?|]~', $facts->camera) !== 1 ? $facts->camera : null;
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
            static fn (MediaFacts $f): bool => $f->layers !== $first?->layers || $f->channels !== $first->channels,
        );
        $layers = $first->layers ?? [];
        $strange = array_filter($layers, static fn (string $l): bool => preg_match('~^[A-Za-z][\w -]*$~', $l) !== 1);
        if ($layers === [] || $another !== [] || $strange !== []) {
            return [];
        }
        $plain = array_filter($first->channels ?? [], static fn (string $c): bool => Channels::split($c)[0] === '');
        $pictured = array_intersect(['R', 'G', 'B', 'Y'], $plain) !== [];
        $channels = $plain === [] ? [] : [RequirementId::FORMAT_CHANNELS => Channels::write(array_values($plain))];

        return [RequirementId::PASSES => [...($pictured ? ['beauty'] : []), ...$layers]] + $channels;
    }
}
