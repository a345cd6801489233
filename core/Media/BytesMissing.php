<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/**
 * A source does not hold these bytes yet. Not a fault: whoever owns the source fetches them and runs the reader
 * again, which is why readers keep no state and catch nothing broad.
 */
final class BytesMissing extends \RuntimeException
{
    /** @param  list<array{int, int}>  $ranges offset and length of each */
    public function __construct(public readonly array $ranges)
    {
        parent::__construct('Bytes are needed that have not come yet.');
    }
}
