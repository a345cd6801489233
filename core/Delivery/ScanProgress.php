<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** How far a scan has come. */
final readonly class ScanProgress
{
    /** @param  int|null  $all files in all; null while they are still being listed */
    public function __construct(public int $done, public ?int $all, public string $at) {}
}
