<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Matching\DeliveryMatch;

/** The files a check is about, with what they are held against besides the specification. */
final readonly class DeliveredFiles
{
    /**
     * @param  DeliveryMatch|null  $match  of this very delivery
     * @param  EarlierFiles|null  $earlier  what the scene must not write over
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name: `shot`, `learner`
     */
    public function __construct(
        public ?Delivery $delivery,
        public ?DeliveryMatch $match,
        public ?EarlierFiles $earlier = null,
        public array $others = [],
    ) {}
}
