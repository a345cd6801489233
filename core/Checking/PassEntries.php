<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

/** The lines of one part, or of one pass of it by itself: what causes are sought among. */
final readonly class PassEntries
{
    /**
     * @param  Subject  $subject  the part, or the pass with what is asked of it
     * @param  array<string, Entry>  $entries  by id
     */
    public function __construct(public Subject $subject, public array $entries) {}
}
