<?php

declare(strict_types=1);

namespace PlainLedger\Core\Json;

use PlainLedger\Core\Text\PlainSentence;

/** A JSON document that cannot be used. */
final class JsonRefused extends \RuntimeException implements PlainSentence
{
    /** @param  string  $plain  what is wrong, without where */
    private function __construct(string $message, public readonly string $plain)
    {
        parent::__construct($message);
    }

    public static function because(string $what, string $why): self
    {
        return new self("{$what}: {$why}", $why);
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
}
