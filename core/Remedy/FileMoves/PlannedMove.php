<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Delivery\SetAside;

/** One file that is called otherwise, or lies elsewhere, afterwards. Paths are relative to the delivery's root. */
final readonly class PlannedMove
{
    /**
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970
     * @param  int  $identity  by which its listing knows it again; 0 where it has none
     */
    public function __construct(
        public string $from,
        public string $to,
        public int $size,
        public int $modified,
        public int $identity,
    ) {}

    public function isSetAside(): bool
    {
        return SetAside::holds($this->to);
    }
}
