<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

use Illuminate\Support\Carbon;

/** A deliverable as it was typed. */
final readonly class NewDeliverable
{
    /**
     * @param  string  $range  frames, empty where the specification says them
     * @param  int|null  $specification  the one it follows; null: one of its own
     * @param  string  $specificationTitle  of its own one; empty where nobody said
     */
    public function __construct(
        public string $code,
        public string $title,
        public ?int $owner,
        public ?Carbon $due,
        public string $range,
        public ?int $specification,
        public string $specificationTitle,
    ) {}
}
