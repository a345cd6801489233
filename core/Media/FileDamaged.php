<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Raised inside a reader when the file contradicts itself; the probe turns it into facts. */
final class FileDamaged extends \RuntimeException
{
    private function __construct(public readonly Damage $damage, public readonly string $reason)
    {
        parent::__construct($reason);
    }

    public static function header(string $says): self
    {
        return new self(Damage::Header, $says);
    }

    public static function cutShort(string $says): self
    {
        return new self(Damage::CutShort, $says);
    }

    public static function checksum(string $says): self
    {
        return new self(Damage::Checksum, $says);
    }
}
