<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\ByKey;

/** Lines of a log, with what patterns find in them. */
final readonly class TriedPatterns
{
    public function __construct(
        /** @var list<array{text: string, told: list<array{event: string, at: int|string, pieces: ByKey<string>}>}> */
        public array $lines,
        /** @var ByKey<string> by place of the pattern */
        public ByKey $faults,
    ) {}
}
