<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Intake\Spool;
use App\Models\RenderLog;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\RenderLog\LogEvent;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\RenderLog\LogPatternRefused;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogShape;

/** Reads on in a log; what was read is put aside until the next piece. */
final readonly class ReadLog
{
    /** Seconds of one request, and bytes between two looks at the clock. */
    private const READS_FOR = 8.0;

    private const STEP = 1 << 16;

    public function run(RenderLog $log, string $bytes, bool $last): void
    {
        try {
            $reader = self::reader($log);
            $taken = self::fed($reader, $bytes);
            if ($taken < strlen($bytes) && $log->path === null) {
                throw LogPatternRefused::because(
                    'Its lines take too long to read by these patterns. Say more exactly what stands between their '
                        .'pieces, or choose another shape.',
                );
            }
            $bytes = substr($bytes, 0, $taken);
            $reading = $last ? $reader->close() : $reader->reading();
        } catch (LogPatternRefused $refused) {
            $log->update(['fault' => $refused->getMessage()]);

            return;
        }
        Storage::put(Spool::name('log', $log), (string) gzencode(serialize($reader), 1));
        $log->update(
            [
                'read' => $log->read + strlen($bytes),
                'size' => max($log->size, $log->read + strlen($bytes)),
                'reading' => LogSummary::of($log->deliverable, $reading),
                'fault' => null,
            ],
        );
    }

    /**
     * As much as there is time for; of a log that is followed the rest is read the next time.
     *
     * @return int bytes
     */
    private static function fed(LogReader $reader, string $bytes): int
    {
        $until = microtime(true) + self::READS_FOR;
        for ($at = 0; $at < strlen($bytes) && microtime(true) < $until; $at += self::STEP) {
            $reader->feed(substr($bytes, $at, self::STEP));
        }

        return min($at, strlen($bytes));
    }

    private static function reader(RenderLog $log): LogReader
    {
        $packed = Storage::exists(Spool::name('log', $log)) ? (string) Storage::get(Spool::name('log', $log)) : '';
        // written by this class alone, into a place nobody else writes to
        $reader = $packed === ''
            ? null
            : unserialize(
                (string) gzdecode($packed),
                ['allowed_classes' => [LogReader::class, LogShape::class, LogPattern::class, LogEvent::class]],
            );
        if ($reader instanceof LogReader) {
            return $reader;
        }
        $shape = $log->shape ?? throw LogPatternRefused::because('It is not known how the lines of this log read.');

        return new LogReader(LogShape::of($shape['name'], $shape['patterns']));
    }
}
