<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly\Writers;

use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\RecipeLine;
use PlainLedger\Core\Assembly\RecipeLines;
use PlainLedger\Core\Assembly\RecipeNotes;
use PlainLedger\Core\Measure\Fraction;

/** The `plain-ledger/recipe` document, version 1. */
final readonly class RecipeJson
{
    public const FORMAT = 'plain-ledger/recipe';

    public static function write(Recipe $recipe): string
    {
        $how = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

        return json_encode(self::document($recipe), $how)."\n";
    }

    /** @return array<string, mixed> */
    public static function document(Recipe $recipe): array
    {
        return [
            'format' => self::FORMAT,
            'version' => 1,
            'part' => $recipe->part->name,
            'made_from' => self::source($recipe),
            'movie' => self::movie($recipe),
            'lines' => array_map(
                static fn (RecipeLine $line): array => [
                    'label' => $line->label, 'value' => $line->value, 'why' => $line->why,
                ],
                RecipeLines::of($recipe),
            ),
            'notes' => RecipeNotes::of($recipe),
        ];
    }

    /** @return array<string, mixed> */
    private static function source(Recipe $recipe): array
    {
        $source = $recipe->source;

        return [
            'part' => $source->part->name,
            'folder' => $source->folder,
            'pattern' => $source->pattern,
            'frames' => $recipe->timing->range === null ? null : (string) $recipe->timing->range,
            'unusable' => $source->unusable === null ? null : (string) $source->unusable,
            'resolution' => $source->picture->size === null ? null : (string) $source->picture->size,
            'encoding' => $source->picture->encoding,
        ];
    }

    /** @return array<string, mixed> */
    private static function movie(Recipe $recipe): array
    {
        [$encoded, $sound, $seconds] = [$recipe->encoded, $recipe->bounds->sound, $recipe->timing->seconds()];

        return [
            'path' => $recipe->name,
            'kind' => $encoded->kind->value,
            'codec' => $encoded->codec,
            'chroma' => $encoded->chroma,
            'bit_depth' => $encoded->depth,
            'alpha' => $encoded->hasAlpha,
            'resolution' => $recipe->size() === null ? null : (string) $recipe->size(),
            'pixel_aspect' => Fraction::writeFull($recipe->pixelAspect()),
            'rate' => $recipe->timing->rate === null ? null : (string) $recipe->timing->rate,
            'count' => $recipe->timing->count,
            'duration' => $seconds === null ? null : Fraction::write($seconds->simplified()),
            'bit_rate' => $encoded->hasBitRate() ? $recipe->bounds->rate?->bits : null,
            'passes' => $recipe->isInTwoPasses() ? 2 : 1,
            'keyframe_interval_max' => $recipe->keyframes(),
            'b_frames_max' => $recipe->bFrames(),
            'bytes_at_most' => $recipe->bytes(),
            'audio' => $sound === null ? null : [
                'sample_rate' => $sound->sampleRate, 'channels' => $sound->channels,
                'bit_depth' => $sound->isPacked ? null : $sound->depth,
            ],
        ];
    }
}
