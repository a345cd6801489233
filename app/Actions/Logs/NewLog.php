<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Models\IntakeRoot;

/** A log as it comes: sent, or where it is written in the intake. */
final readonly class NewLog
{
    /** @param  string|null  $path  below its root, where it is followed */
    public function __construct(
        public string $name,
        public int $size,
        public ?IntakeRoot $root = null,
        public ?string $path = null,
    ) {}
}
