<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Matroska;

/** One element: its number, where its data begins, and where they end in bytes; null where that was never written. */
final readonly class EbmlElement
{
    public function __construct(public int $id, public int $body, public ?int $end) {}
}
