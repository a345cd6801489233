<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** Every setting of the assembly, in the order of the work, and what has to be known before it begins. */
final readonly class RecipeLines
{
    private const CODECS = [
        'h264' => 'H.264', 'hevc' => 'H.265 (HEVC)', 'mjpeg' => 'Motion JPEG', 'animation' => 'Animation (run lengths)',
        'png' => 'PNG', 'raw' => 'uncompressed', 'ffv1' => 'FFV1', 'av1' => 'AV1', 'vp9' => 'VP9', 'vp8' => 'VP8',
        'mpeg2' => 'MPEG-2', 'mpeg4' => 'MPEG-4 part 2', 'v210' => 'uncompressed, v210',
    ];

    /** @return list<RecipeLine> */
    public static function of(Recipe $recipe): array
    {
        return array_values(array_filter([
            ...self::frames($recipe),
            self::rate($recipe),
            ...self::picture($recipe),
            ...self::colour($recipe),
            ...self::format($recipe),
            self::sound($recipe),
            ...self::file($recipe),
        ]));
    }

    public static function codec(string $codec): string
    {
        return self::CODECS[$codec] ?? (string) preg_replace('~^prores\b~', 'ProRes', $codec);
    }

    /** @return list<RecipeLine|null> */
    private static function frames(Recipe $recipe): array
    {
        $source = $recipe->source;
        $range = $recipe->timing->range;
        $word = match ($source->part->delivers) {
            Delivers::Still => 'The picture',
            Delivers::Movie => 'The movie',
            default => 'Frames',
        };
        if ($range === null || $range->isEmpty()) {
            return [new RecipeLine($word, $source->path())];
        }
        $span = $range->isOneRun()
            ? "{$range->first()} to {$range->last()}"
            : "{$range}";

        return [
            new RecipeLine($word, $source->path(), Text::count(count($range), 'frame')),
            new RecipeLine('First and last', $span, null, RequirementId::TIME_COUNT),
            new RecipeLine('Order', 'by number, each still one frame', null, RequirementId::CONTENT_SOURCE),
        ];
    }

    private static function rate(Recipe $recipe): RecipeLine
    {
        [$rate, $seconds] = [$recipe->timing->rate, $recipe->timing->seconds()];
        $count = $recipe->timing->count;
        $length = $seconds === null || $count === null
            ? null
            : Text::count($count, 'picture').', '.($rate?->runningTime($count) ?? '');

        return new RecipeLine(
            'Frame rate',
            $rate === null ? 'not asked: settle it first' : "{$rate->spoken()} a second, constant",
            $length,
            RequirementId::TIME_RATE,
        );
    }

    /** @return list<RecipeLine|null> */
    private static function picture(Recipe $recipe): array
    {
        [$size, $from] = [$recipe->size(), $recipe->source->picture->size];
        $aspect = $recipe->pixelAspect();
        $reduced = $recipe->isResized() && $from !== null ? "the frames are {$from->spoken()}" : null;
        $projection = $recipe->part->single(RequirementId::PICTURE_PROJECTION);

        return [
            $size === null
                ? null
                : new RecipeLine('Size', $size->spoken(), $reduced, RequirementId::PICTURE_RESOLUTION),
            new RecipeLine(
                'Pixels',
                $aspect->isEqualTo(1) ? 'square' : Fraction::writeFull($aspect),
                null,
                RequirementId::PICTURE_PIXEL_ASPECT,
            ),
            new RecipeLine(
                'Scan',
                $recipe->part->single(RequirementId::PICTURE_SCAN) ?? 'progressive',
                null,
                RequirementId::PICTURE_SCAN,
            ),
            $projection === null || $projection === 'flat'
                ? null
                : new RecipeLine(
                    'Projection',
                    $projection,
                    'tagged afterwards, in the file',
                    RequirementId::PICTURE_PROJECTION,
                ),
        ];
    }

    /** @return list<RecipeLine|null> */
    private static function colour(Recipe $recipe): array
    {
        $isLinear = $recipe->source->picture->isLinear();
        $view = $recipe->part->single(RequirementId::COLOUR_VIEW);
        $look = $recipe->part->single(RequirementId::COLOUR_LOOK);
        $encoding = $recipe->encoding();
        $has = 'the frames have theirs already';

        return [
            new RecipeLine(
                'View',
                $isLinear ? $view ?? 'the one the frames are looked at with' : 'none',
                $isLinear ? 'the frames are linear' : $has,
            ),
            new RecipeLine('Look', $isLinear ? $look ?? 'none' : 'none', $isLinear ? null : $has),
            new RecipeLine('Post effects', 'off', 'the frames have theirs already'),
            $encoding === null
                ? null
                : new RecipeLine('Colour encoding', $encoding, null, RequirementId::COLOUR_ENCODING),
        ];
    }

    /** @return list<RecipeLine|null> */
    private static function format(Recipe $recipe): array
    {
        $encoded = $recipe->encoded;
        [$keyframes, $b] = [$recipe->keyframes(), $recipe->bFrames()];

        return [
            new RecipeLine('Format', strtoupper($encoded->kind->value), null, RequirementId::FORMAT_KIND),
            new RecipeLine(
                'Codec',
                self::codec($encoded->codec),
                $encoded->isChosen ? 'none is asked' : null,
                RequirementId::FORMAT_CODEC,
            ),
            new RecipeLine('Pixels kept as', $encoded->inWords()),
            self::quality($recipe),
            $keyframes === null
                ? null
                : new RecipeLine(
                    'Keyframe',
                    'at least every '.Text::count($keyframes, 'frame'),
                    null,
                    RequirementId::FORMAT_KEYFRAME_INTERVAL,
                ),
            $b === null ? null : new RecipeLine(
                'B-frames',
                $b === 0 ? 'none' : "at most {$b} in a row",
                null,
                RequirementId::FORMAT_B_FRAMES,
            ),
        ];
    }

    private static function quality(Recipe $recipe): RecipeLine
    {
        [$rate, $encoded] = [$recipe->bounds->rate, $recipe->encoded];
        if (! $encoded->hasBitRate()) {
            return $encoded->isLossy() ? new RecipeLine('Quality', 'high') : new RecipeLine('Quality', 'lossless');
        }
        if ($rate === null) {
            return new RecipeLine('Quality', 'constant, high', 'no bit rate and no size is asked');
        }
        $cap = $recipe->bounds->cap;

        return new RecipeLine(
            'Bit rate',
            "{$rate} ({$rate->bits})".($recipe->isInTwoPasses() ? ', in two passes' : ''),
            $cap === null || ! $recipe->bounds->isTight ? null : "so that the file stays below {$cap}",
            RequirementId::FORMAT_BIT_RATE,
        );
    }

    private static function sound(Recipe $recipe): RecipeLine
    {
        $sound = $recipe->bounds->sound;

        return new RecipeLine('Sound', $sound?->inWords() ?? 'none', null, RequirementId::AUDIO_PRESENCE);
    }

    /** @return list<RecipeLine|null> */
    private static function file(Recipe $recipe): array
    {
        $timecode = $recipe->part->single(RequirementId::TIME_START_TIMECODE);
        $bytes = $recipe->bytes();

        return [
            $timecode === null
                ? null
                : new RecipeLine('Start timecode', $timecode, null, RequirementId::TIME_START_TIMECODE),
            $recipe->part->single(RequirementId::FORMAT_INDEX) === 'first'
                ? new RecipeLine('Index', 'at the beginning of the file', null, RequirementId::FORMAT_INDEX)
                : null,
            new RecipeLine('File', $recipe->name, null, RequirementId::NAMING_PATTERN),
            $bytes === null ? null : new RecipeLine(
                'Size foreseen',
                'at most '.ByteSize::of($bytes),
                null,
                RequirementId::FORMAT_FILE_SIZE,
            ),
        ];
    }
}
