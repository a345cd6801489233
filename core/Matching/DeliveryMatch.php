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
     */
    public function __construct(public array $parts, public array $extras, public array $odd) {}
}
