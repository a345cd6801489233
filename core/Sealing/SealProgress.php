<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

/** How far a seal has come. */
final readonly class SealProgress
{
    public function __construct(public int $files, public int $allFiles, public int $bytes, public int $allBytes) {}
}
