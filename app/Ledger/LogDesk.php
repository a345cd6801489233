<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\RenderLog;
use App\Models\User;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\RenderLog\LogEvent;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\RenderLog\LogPatternRefused;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogReading;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\RenderLog\RenderProgress;

/**
 * Logs of renders: sent piece by piece, or followed where they are written. What was read is put aside between pieces.
 */
final readonly class LogDesk
{
    /** Of a file that is followed, so much is read at once. */
    private const AT_ONCE = 24_000_000;

    /** So much of its beginning tells how its lines read. */
    public const BEGINNING = 300_000;

    private const SAMPLE = 500;

    /** Seconds of one request, and bytes between two looks at the clock. */
    private const READS_FOR = 8.0;

    private const STEP = 1 << 16;

    /** Seconds that one reading may take, and that another waits for it. */
    private const LONGEST = 120;

    private const WAITS = 10;

    /** @param  string|null  $shape  by its name; null: the one that reads most of the beginning */
    public function begin(
        Deliverable $deliverable,
        string $name,
        int $size,
        string $head,
        ?string $shape,
        User $by,
        ?IntakeRoot $root = null,
        ?string $path = null,
    ): RenderLog {
        $shapes = $deliverable->production->logShapes();
        $named = array_values(array_filter($shapes, static fn (LogShape $s): bool => $s->name === $shape));
        $chosen = $named[0] ?? LogReader::guess($head, $shapes);
        if ($chosen === null && $root === null) {
            throw LogPatternRefused::because(
                "{$name}: no line of its beginning tells of a frame in a way that is known here. Whoever "
                    .'coordinates the production can add how its lines read.',
            );
        }
        $log = RenderLog::query()->create([
            'deliverable_id' => $deliverable->id,
            'user_id' => $by->id,
            'intake_root_id' => $root?->id,
            'path' => $path,
            'name' => $name,
            'size' => $size,
            'shape' => $chosen === null ? null : ['name' => $chosen->name, 'patterns' => $chosen->toArray()],
        ]);

        return $log->refresh();
    }

    /** The next piece of a log that is sent. */
    public function feed(RenderLog $log, string $bytes, bool $last): void
    {
        $this->alone($log, fn () => $this->read($log, $bytes, $last));
    }

    /**
     * What has been written since, of a log that is followed. Of several windows that follow it one reads, the others
     * wait.
     */
    public function follow(RenderLog $log, bool $overseer): void
    {
        $this->alone($log, fn () => $this->readOn($log, $overseer));
    }

    /** Does something with a log while nobody else does, from how it stands by then. */
    private function alone(RenderLog $log, \Closure $work): void
    {
        try {
            Cache::lock("log-{$log->id}", self::LONGEST)->block(self::WAITS, function () use ($log, $work): void {
                $row = RenderLog::query()->whereKey($log->id)->toBase()->first();
                if ($row !== null) {
                    $log->setRawAttributes((array) $row, true);
                    $work();
                }
            });
        } catch (LockTimeoutException) {
            // somebody else reads it just now; what they find is shown the next time
        }
    }

    private function readOn(RenderLog $log, bool $overseer): void
    {
        $root = $log->intakeRoot;
        if ($root === null || $log->path === null) {
            return;
        }
        $file = $log->path;
        $log->loadMissing('deliverable.production', 'deliverable.owner');
        try {
            $folder = dirname($file) === '.' ? '' : dirname($file);
            $source = IntakeFolder::open($root, $folder, $log->deliverable, $overseer)->file(basename($file));
        } catch (FolderRefused|SourceUnreadable $refused) {
            $log->update(['fault' => $refused->getMessage()]);

            return;
        }
        $size = $source->size();
        if ($size < $log->read) {
            // it was begun anew: so is the reading
            Storage::delete(self::spool($log));
            $log->update(['read' => 0, 'reading' => null]);
        }
        if ($log->shape === null) {
            $shape = LogReader::guess($source->read(0, self::BEGINNING), $log->deliverable->production->logShapes());
            if ($shape === null) {
                $log->update(
                    [
                        'size' => $size,
                        'fault' => $size === 0
                            ? 'Nothing has been written yet.'
                            : 'No line of it tells of a frame in a way that is known here.',
                    ],
                );

                return;
            }
            $log->update(['shape' => ['name' => $shape->name, 'patterns' => $shape->toArray()]]);
        }
        if ($size === $log->read && $log->reading !== null && $log->fault === null) {
            return;
        }
        $log->size = $size;
        $this->read($log, $source->read($log->read, self::AT_ONCE), false);
    }

    private function read(RenderLog $log, string $bytes, bool $last): void
    {
        try {
            $reader = $this->reader($log);
            $taken = $this->fed($reader, $bytes);
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
        Storage::put(self::spool($log), (string) gzencode(serialize($reader), 1));
        $log->update(
            [
                'read' => $log->read + strlen($bytes),
                'size' => max($log->size, $log->read + strlen($bytes)),
                'reading' => $this->told($log, $reading),
                'fault' => null,
            ],
        );
    }

    /** As much as there is time for; of a log that is followed the rest is read the next time. @return int bytes */
    private function fed(LogReader $reader, string $bytes): int
    {
        $until = microtime(true) + self::READS_FOR;
        for ($at = 0; $at < strlen($bytes) && microtime(true) < $until; $at += self::STEP) {
            $reader->feed(substr($bytes, $at, self::STEP));
        }

        return min($at, strlen($bytes));
    }

    private function reader(RenderLog $log): LogReader
    {
        $packed = Storage::exists(self::spool($log)) ? (string) Storage::get(self::spool($log)) : '';
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

    /** @return array<string, mixed> */
    private function told(RenderLog $log, LogReading $reading): array
    {
        $times = $reading->times();
        $every = max(1, intdiv(count($times) + self::SAMPLE - 1, self::SAMPLE));

        return [
            'finished' => (string) $reading->finished,
            'begun' => (string) $reading->begun,
            'last' => $reading->last,
            'files' => $reading->files,
            'lastFile' => $reading->lastFile,
            'lines' => $reading->lines,
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
            'warnings' => $reading->warningCount,
            'errors' => $reading->errorCount,
            'messages' => self::messages($reading),
            'clock' => $reading->lastClock,
            'progress' => $this->progress($log, $reading),
        ];
    }

    /** @return list<array{string, string, int}> event, what is said, how often */
    private static function messages(LogReading $reading): array
    {
        $list = [];
        foreach (['error' => $reading->errors, 'warning' => $reading->warnings] as $event => $messages) {
            foreach (array_slice($messages, 0, 20, true) as $message => $times) {
                $list[] = [$event, (string) $message, $times];
            }
        }

        return $list;
    }

    /** @return array<string, mixed>|null */
    private function progress(RenderLog $log, LogReading $reading): ?array
    {
        $expected = self::expected($log->deliverable);
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

    public static function expected(Deliverable $deliverable): ?FrameRange
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

    public function forget(RenderLog $log): void
    {
        Storage::delete(self::spool($log));
        $log->delete();
    }

    private static function spool(RenderLog $log): string
    {
        return Spool::name('log', $log);
    }
}
