<?php

declare(strict_types=1);

namespace PlainLedger\Core\Json;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A document that cannot be used. */
final class JsonRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $what, string $why, ?\Throwable $previous = null): self
    {
        return new self($what, $why, $previous);
    }

    /** Sizes in bytes. */
    public static function tooLarge(string $what, int $size, int $most): self
    {
        $megabytes = static fn (int $bytes): string => rtrim(rtrim(number_format($bytes / 1_000_000, 2), '0'), '.')
            .' MB';

        return self::because(
            $what,
            "it has {$megabytes($size)}, and such a document has at most {$megabytes($most)}; this is probably "
                .'another file.',
        );
    }

    private function sentence(): string
    {
        return "{$this->place}: {$this->reason}";
    }
}
