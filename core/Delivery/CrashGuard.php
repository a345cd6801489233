<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/**
 * How a scan goes about files that have already broken one off: each step is announced, so that it is known which file
 * did it, and what a file has not survived is not done with it again.
 */
final readonly class CrashGuard
{
    public const WHY = 'too large to look at here: it took more memory or time than there is for one file';

    /**
     * @param  array<array-key, list<ScanStage>>  $avoided  by the file's path in the delivery
     * @param  (\Closure(string, ScanStage): void)|null  $announce  told before each step; null where nobody needs to
     *   know
     */
    public function __construct(private array $avoided, private ?\Closure $announce) {}

    public function avoids(ListedFile $file, ScanStage $stage): bool
    {
        return $this->avoided !== [] && in_array($stage, $this->avoided[$file->path()] ?? [], true);
    }

    public function begin(ListedFile $file, ScanStage $stage): void
    {
        if ($this->announce !== null) {
            ($this->announce)($file->path(), $stage);
        }
    }
}
