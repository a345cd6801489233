<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Models\Deliverable;

/** Who else looks at what is asked just now, and how it stands. */
final readonly class Presence
{
    public AskedState $state;

    /** @param  list<string>  $others */
    public function __construct(
        /** @var list<string> */
        public array $others,
        Deliverable $deliverable,
    ) {
        $this->state = new AskedState($deliverable);
    }
}
