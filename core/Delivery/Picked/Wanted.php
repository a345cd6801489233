<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

/** What has to be sent before a look at files that lie elsewhere goes on. */
final readonly class Wanted
{
    /**
     * @param  array<int, list<array{int, int}>>  $ranges  offset and length in bytes, by file
     * @param  array<int, string>  $sums  the algorithm of a checksum, by file
     */
    public function __construct(public array $ranges = [], public array $sums = []) {}

    public function isNothing(): bool
    {
        return $this->ranges === [] && $this->sums === [];
    }
}
