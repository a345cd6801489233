<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Intake\IntakeFolder;
use App\Intake\Spool;
use App\Models\RenderLog;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\RenderLog\LogReader;

/**
 * What has been written since, of a log that is followed. Of several windows that follow it one reads, the others wait.
 */
final readonly class FollowLog
{
    /** Of a file that is followed, so much is read at once. */
    private const AT_ONCE = 24_000_000;

    /** So much of its beginning tells how its lines read. */
    public const BEGINNING = 300_000;

    public function __construct(private LogLock $lock, private ReadLog $read) {}

    /**
     * @param  bool  $overseer  whether whoever asks may look into every folder of the production
     */
    public function run(RenderLog $log, bool $overseer): void
    {
        $this->lock->run($log, fn () => $this->readOn($log, $overseer));
    }

    private function readOn(RenderLog $log, bool $overseer): void
    {
        $source = self::source($log, $overseer);
        if ($source === null) {
            return;
        }
        $size = $source->size();
        if ($size < $log->read) {
            // it was begun anew: so is the reading
            Storage::delete(Spool::name('log', $log));
            $log->update(['read' => 0, 'reading' => null]);
        }
        $isUpToDate = $size === $log->read && $log->reading !== null && $log->fault === null;
        if (! self::hasShape($log, $source) || $isUpToDate) {
            return;
        }
        $log->size = $size;
        $this->read->run($log, $source->read($log->read, self::AT_ONCE), false);
    }

    /** Null where it cannot be read; that is noted. */
    private static function source(RenderLog $log, bool $overseer): ?ByteSource
    {
        [$root, $path] = [$log->intakeRoot, $log->path];
        if ($root === null || $path === null) {
            return null;
        }
        $log->loadMissing('deliverable.production', 'deliverable.owner');
        $folder = dirname($path) === '.' ? '' : dirname($path);
        try {
            return IntakeFolder::open($root, $folder, $log->deliverable, $overseer)->file(basename($path));
        } catch (FolderRefused|SourceUnreadable $refused) {
            $log->update(['fault' => $refused->getMessage()]);

            return null;
        }
    }

    /** Finds out how its lines read, where that is not known; false where it still is not. */
    private static function hasShape(RenderLog $log, ByteSource $source): bool
    {
        if ($log->shape !== null) {
            return true;
        }
        $shape = LogReader::guess($source->read(0, self::BEGINNING), $log->deliverable->production->logShapes());
        if ($shape !== null) {
            $log->update(['shape' => ['name' => $shape->name, 'patterns' => $shape->toArray()]]);

            return true;
        }
        $log->update([
            'size' => $source->size(),
            'fault' => $source->size() === 0
                ? 'Nothing has been written yet.'
                : 'No line of it tells of a frame in a way that is known here.',
        ]);

        return false;
    }
}
