<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

/** What of a delivery answers which part, and what is left over. */
final readonly class DeliveryMatch
{
    /**
     * @param  array<string, PartMatch>  $parts  by part name
     * @param  list<Extra>  $extras
     * @param  list<string>  $odd  paths that were only listed
     * @param  int  $unread  files whose names fit nothing exactly, and were not read any further for want of time
     */
    public function __construct(public array $parts, public array $extras, public array $odd, public int $unread = 0) {}
}
