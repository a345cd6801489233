<?php

declare(strict_types=1);

namespace App\Processes;

/** How some seconds of a scan ended. */
final readonly class ScanEnd
{
    /**
     * @param  string  $how  whole, paused, stopped, refused or broken
     * @param  string|null  $says  why it was refused
     * @param  array{string, string}|null  $at where it broke: the file's path and what was done with it; null where
     *   that was not announced
     */
    private function __construct(public string $how, public ?string $says = null, public ?array $at = null) {}

    /** Everything was looked at, and the delivery is in the spool. */
    public static function whole(): self
    {
        return new self('whole');
    }

    /** A checkpoint is in the spool. */
    public static function paused(): self
    {
        return new self('paused');
    }

    public static function stopped(): self
    {
        return new self('stopped');
    }

    public static function refused(string $says): self
    {
        return new self('refused', $says);
    }

    /** @param  array{string, string}|null  $at */
    public static function broken(?array $at): self
    {
        return new self('broken', null, $at);
    }
}
