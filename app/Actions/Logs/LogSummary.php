<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Models\Deliverable;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\RenderLog\LogReading;
use PlainLedger\Core\RenderLog\RenderProgress;

/** What is kept and shown of a log that was read. */
final readonly class LogSummary
{
    private const SAMPLE = 500;

    /** So many times are drawn along the frames. */
    private const ALONG = 240;

    /** @return array<string, mixed> */
    public static function of(Deliverable $deliverable, LogReading $reading): array
    {
        $times = $reading->times();
        $every = max(1, intdiv(count($times) + self::SAMPLE - 1, self::SAMPLE));

        return [
            'finished' => (string) $reading->frames->finished,
            'begun' => (string) $reading->frames->begun,
            'last' => $reading->frames->last,
            'files' => $reading->files,
            'lastFile' => $reading->lastFile,
            'lines' => $reading->clock->lines,
            'median' => $reading->median(),
            'slow' => array_map(
                static fn (int $frame, int $ms): array => [$frame, $ms],
                array_keys($reading->slow()),
                array_values($reading->slow()),
            ),
            'beside' => $reading->besideEachOther(),
            'sample' => array_values(
                array_filter($times, static fn (int $at): bool => $at % $every === 0, ARRAY_FILTER_USE_KEY),
            ),
            'along' => self::along($reading),
            'warnings' => $reading->warnings->count,
            'errors' => $reading->errors->count,
            'messages' => self::messages($reading),
            'clock' => $reading->clock->last,
            'progress' => self::progress($deliverable, $reading),
        ];
    }

    /** @return list<array{int, int}> frames in their order, and the milliseconds each took */
    private static function along(LogReading $reading): array
    {
        $times = array_filter($reading->frames->milliseconds, is_int(...));
        ksort($times);
        $every = max(1, intdiv(count($times) + self::ALONG - 1, self::ALONG));
        $along = [];
        foreach (array_keys($times) as $at => $frame) {
            if ($at % $every === 0) {
                $along[] = [$frame, $times[$frame]];
            }
        }

        return $along;
    }

    /** @return list<array{string, string, int}> event, what is said, how often */
    private static function messages(LogReading $reading): array
    {
        $list = [];
        foreach (['error' => $reading->errors->said, 'warning' => $reading->warnings->said] as $event => $messages) {
            foreach (array_slice($messages, 0, 20, true) as $message => $times) {
                $list[] = [$event, (string) $message, $times];
            }
        }

        return $list;
    }

    /** @return array<string, mixed>|null */
    private static function progress(Deliverable $deliverable, LogReading $reading): ?array
    {
        $expected = self::expected($deliverable);
        if ($expected === null) {
            return null;
        }
        $progress = RenderProgress::of($reading, $expected);

        return [
            'expected' => (string) $expected,
            'count' => count($expected),
            'done' => count($progress->done),
            'left' => (string) $progress->left,
            'leftCount' => count($progress->left),
            'resume' => $progress->resume,
            'beyond' => (string) $progress->beyond,
            'secondsLeft' => $progress->secondsLeft,
        ];
    }

    private static function expected(Deliverable $deliverable): ?FrameRange
    {
        $timeline = $deliverable->scenes()->latest('id')->first()?->settings()->timeline;
        foreach ($deliverable->draft()->specification->parts as $part) {
            $expected = $part->delivers->value === 'frames' ? $part->expected($timeline) : null;
            if ($expected !== null) {
                return $expected;
            }
        }

        return null;
    }
}
