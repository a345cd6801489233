<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

/** Warnings, or errors, of a log. */
final readonly class LoggedMessages
{
    /** @param  array<string, int>  $said  how often, by what is said; what differs in its numbers alone is the same */
    public function __construct(public int $count, public array $said) {}
}
