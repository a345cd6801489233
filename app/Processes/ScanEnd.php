<?php

declare(strict_types=1);

namespace App\Processes;

/** How some seconds of a scan ended. */
final readonly class ScanEnd
{
    /**
     * @param  array{string, string}|null  $at  where it broke: the file's path and what was done with it; null where
     *   that was not announced
     */
    private function __construct(
        public ScanOutcome $outcome,
        public ?WorkRefused $refusal = null,
        public ?array $at = null,
    ) {}

    public static function whole(): self
    {
        return new self(ScanOutcome::Whole);
    }

    public static function paused(): self
    {
        return new self(ScanOutcome::Paused);
    }

    public static function stopped(): self
    {
        return new self(ScanOutcome::Stopped);
    }

    public static function refused(WorkRefused $refusal): self
    {
        return new self(ScanOutcome::Refused, $refusal);
    }

    /** @param  array{string, string}|null  $at */
    public static function broken(?array $at): self
    {
        return new self(ScanOutcome::Broken, null, $at);
    }
}
