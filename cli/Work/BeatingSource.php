<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Media\ByteSource;

final readonly class BeatingSource implements ByteSource
{
    public function __construct(private ByteSource $source, private Beat $beat) {}

    public function size(): int
    {
        return $this->source->size();
    }

    public function read(int $offset, int $length): string
    {
        $this->beat->goesOn();

        return $this->source->read($offset, $length);
    }
}
