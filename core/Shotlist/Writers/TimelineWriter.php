<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Writers;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;

/**
 * Deliverables as a timeline in OpenTimelineIO's JSON form, one clip each in one video track: the cut as its source
 * range, what is delivered as its media's available range.
 */
final readonly class TimelineWriter
{
    /**
     * @param  iterable<array{code: string, cut: FrameRange, delivered: FrameRange, rate: FrameRate, folder: string,
     *   pattern: string}> $clips with `#` for digits of the frame number
     */
    public static function write(string $title, iterable $clips): string
    {
        $children = [];
        foreach ($clips as $clip) {
            $children[] = self::clip($clip);
        }
        $track = self::composition('Track.1', 'deliverables', $children, ['kind' => 'Video']);
        $timeline = [
            'OTIO_SCHEMA' => 'Timeline.1',
            'name' => $title,
            'global_start_time' => null,
            'metadata' => (object) [],
            'tracks' => self::composition('Stack.1', 'tracks', [$track]),
        ];
        $how = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION;

        return json_encode($timeline, $how | JSON_THROW_ON_ERROR)."\n";
    }

    /**
     * @param  list<array<string, mixed>>  $children
     * @param  array<string, string>  $more
     * @return array<string, mixed>
     */
    private static function composition(string $schema, string $name, array $children, array $more = []): array
    {
        return ['OTIO_SCHEMA' => $schema, 'name' => $name] + $more + [
            'source_range' => null,
            'effects' => [],
            'markers' => [],
            'enabled' => true,
            'metadata' => (object) [],
            'children' => $children,
        ];
    }

    /**
     * @param  array{code: string, cut: FrameRange, delivered: FrameRange, rate: FrameRate, folder: string,
     *   pattern: string} $clip
     * @return array<string, mixed>
     */
    private static function clip(array $clip): array
    {
        $range = static fn (FrameRange $frames): array => [
            'OTIO_SCHEMA' => 'TimeRange.1',
            'start_time' => self::time($frames->first(), $clip['rate']),
            'duration' => self::time($frames->last() - $frames->first() + 1, $clip['rate']),
        ];
        $delivered = $clip['delivered'];
        $media = self::media($clip['folder'], $clip['pattern'], $delivered, $clip['rate'], $range($delivered));

        return [
            'OTIO_SCHEMA' => 'Clip.2',
            'name' => $clip['code'],
            'source_range' => $range($clip['cut']),
            'effects' => [],
            'markers' => [],
            'enabled' => true,
            'metadata' => (object) [],
            'media_references' => ['DEFAULT_MEDIA' => $media],
            'active_media_reference_key' => 'DEFAULT_MEDIA',
        ];
    }

    /**
     * @param  array<string, mixed>  $available
     * @return array<string, mixed>
     */
    private static function media(
        string $folder,
        string $pattern,
        FrameRange $delivered,
        FrameRate $rate,
        array $available,
    ): array {
        $base = [
            'available_range' => $available,
            'available_image_bounds' => null,
            'name' => '',
            'metadata' => (object) [],
        ];
        if (preg_match('~^([^#]*)(#+)([^#]*)$~', $pattern, $m) !== 1) {
            return [
                'OTIO_SCHEMA' => 'ExternalReference.1',
                'target_url' => ($folder === '.' ? '' : "{$folder}/").$pattern,
            ] + $base;
        }

        return [
            'OTIO_SCHEMA' => 'ImageSequenceReference.1',
            'target_url_base' => $folder === '.' ? '' : "{$folder}/",
            'name_prefix' => $m[1],
            'name_suffix' => $m[3],
            'start_frame' => $delivered->first(),
            'frame_step' => 1,
            'rate' => self::double($rate),
            'frame_zero_padding' => strlen($m[2]),
            'missing_frame_policy' => 'error',
        ] + $base;
    }

    /** @return array<string, mixed> */
    private static function time(int $frames, FrameRate $rate): array
    {
        return ['OTIO_SCHEMA' => 'RationalTime.1', 'rate' => self::double($rate), 'value' => (float) $frames];
    }

    /** For the file only: the format knows no fractions. */
    private static function double(FrameRate $rate): float
    {
        return (float) Fraction::decimal($rate->value, 15);
    }
}
