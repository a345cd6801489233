<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

/** Where a look at somebody's own files keeps what it needs between two sendings: the files of one folder. */
final readonly class PickedSpool
{
    public function __construct(private string $folder) {}

    /** Names that were told, one a line. */
    public function names(): string
    {
        return "{$this->folder}/names";
    }

    /** Slices that have come and are still needed. */
    public function slices(): string
    {
        return "{$this->folder}/slices";
    }

    /** What has come beside slices, as JSON. */
    public function answers(): string
    {
        return "{$this->folder}/answers.json";
    }

    /** How far it is. */
    public function state(): string
    {
        return "{$this->folder}/state.gz";
    }

    /** What was found, once it is at its end. */
    public function delivery(): string
    {
        return "{$this->folder}/delivery.gz";
    }
}
