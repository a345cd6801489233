<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

/** What one change would do to a deliverable. */
final readonly class PreviewedChange
{
    /** @param  list<string>  $conflicts */
    public function __construct(
        public int $id,
        public string $code,
        public ?string $from,
        public ?string $to,
        /** @var list<string> what would contradict itself then, and does not now */
        public array $conflicts,
    ) {}
}
