<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use App\Http\Moment;
use App\Models\RenderLog;

/**
 * A render log, as far as it was read.
 *
 * @phpstan-type LogProgress array{expected: string, count: int, done: int, left: string, leftCount: int,
 *   resume: int|null, beyond: string, secondsLeft: array{int, int}|null}
 * @phpstan-type LogFacts array{finished: string, begun: string, last: int|null, files: int, lastFile: string|null,
 *   lines: int, median: int|null, slow: list<array{int, int}>, beside: int, warnings: int, errors: int,
 *   messages: list<array{string, string, int}>, clock: string|null, progress: LogProgress|null}
 */
final readonly class LogShown
{
    public int $id;

    public string $name;

    /** It lies in the intake, and is read on as it grows. */
    public bool $followed;

    public ?string $shape;

    /** Bytes. */
    public int $read;

    /** Bytes. */
    public int $size;

    public ?string $fault;

    public string $at;

    /** @var LogFacts|null */
    public ?array $reading;

    public function __construct(RenderLog $log)
    {
        /** @var LogFacts|null $reading */
        $reading = $log->reading === null ? null : array_diff_key($log->reading, ['sample' => true, 'along' => true]);
        $this->id = $log->id;
        $this->name = $log->name;
        $this->followed = $log->path !== null;
        $this->shape = $log->shape['name'] ?? null;
        $this->read = $log->read;
        $this->size = $log->size;
        $this->fault = $log->fault;
        $this->at = Moment::withSeconds($log->updated_at);
        $this->reading = $reading;
    }
}
