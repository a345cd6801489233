<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;

/** A file with other tags and the same pictures, as bytes to be written; the file itself stays as it is. */
final readonly class TaggedCopy
{
    /** Codecs whose every picture says what its colours mean, whatever the container says. */
    private const TELL_COLOUR = ['prores', 'hevc', 'av1', 'vp9'];

    /**
     * @return \Generator<int, string>
     *
     * @throws TagRefused where its kind has no place for them, or it is not built as it should be
     */
    public static function of(ByteSource $source, MediaFacts $facts, Tags $tags): \Generator
    {
        if (! $facts->isWhole()) {
            throw TagRefused::because('', 'it is damaged');
        }

        return match ($facts->kind) {
            Kind::Mp4, Kind::Mov => MovieCopy::of($source, $facts, self::ofMovie($tags, $facts)),
            Kind::Png, Kind::Jpeg => self::ofStill($source, $facts, $tags),
            default => throw TagRefused::because('', 'files of its kind are not tagged here'),
        };
    }

    /**
     * @return \Generator<int, string>
     *
     * @throws TagRefused
     */
    private static function ofStill(ByteSource $source, MediaFacts $facts, Tags $tags): \Generator
    {
        if ($tags->rate !== null) {
            throw TagRefused::because('', 'a picture has no frame rate');
        }

        return $facts->kind === Kind::Png
            ? PngCopy::of($source, $tags)
            : JpegCopy::of($source, $tags, (int) $facts->picture->width, (int) $facts->picture->height);
    }

    /** @throws TagRefused */
    private static function ofMovie(Tags $tags, MediaFacts $facts): Tags
    {
        if ($tags->density !== null) {
            throw TagRefused::because('', 'a movie has no density');
        }
        $codec = (string) $facts->encoding->codec;
        $tellsItself = in_array(explode(' ', $codec)[0], self::TELL_COLOUR, true)
            || ($codec === 'h264' && $facts->picture->colour !== null);
        if ($tags->encoding !== null && $tellsItself && $tags->encoding !== $facts->picture->colour) {
            throw TagRefused::because('', "its pictures tell their colour themselves ({$codec}): encode it again");
        }

        return $tags;
    }

    /**
     * What a copy says of itself, held against what it was to say.
     *
     * @return list<string> what it does not say as it should, in words
     */
    public static function faults(MediaFacts $facts, MediaFacts $before, Tags $tags): array
    {
        $isSame = static fn (mixed $asked, mixed $found): bool => $asked === null || $asked === $found;
        $aspect = $tags->pixelAspect;
        $alike = [
            'pictures' => $facts->isWhole() && $facts->timing->frameCount === $before->timing->frameCount
                && $facts->picture->width === $before->picture->width
                && $facts->picture->height === $before->picture->height
                && $facts->encoding->codec === $before->encoding->codec,
            'pixel aspect' => $aspect === null
                || ($facts->picture->pixelAspect?->isEqualTo($aspect) ?? $aspect->isEqualTo(1)),
            'density' => $isSame($tags->density, $facts->picture->density),
            'start timecode' => $isSame($tags->timecode, $facts->movie?->startTimecode),
            'frame rate' => $tags->rate === null
                || $facts->timing->rate?->value->isEqualTo($tags->rate->value) === true,
            'index' => ! $tags->indexFirst || $facts->movie?->index === 'first',
            'colour' => $isSame($tags->encoding, $facts->picture->colour),
            'projection' => $isSame($tags->projection, $facts->picture->projection),
        ];

        return array_keys(array_filter($alike, static fn (bool $each): bool => ! $each));
    }
}
