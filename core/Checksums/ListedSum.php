<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checksums;

/** One line of a list of checksums. */
final readonly class ListedSum
{
    /**
     * @param  string  $path  as it is written there; raw bytes
     * @param  string  $sum  hexadecimal digits, small
     */
    public function __construct(public string $path, public SumAlgorithm $algorithm, public string $sum) {}
}
