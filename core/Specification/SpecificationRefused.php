<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Text\PlainSentence;

/** A specification, or one of its requirements, that cannot be used. */
final class SpecificationRefused extends \RuntimeException implements PlainSentence
{
    /** @param  string  $plain  what is wrong, without where */
    private function __construct(string $message, public readonly string $plain, public readonly ?string $requirement)
    {
        parent::__construct($message);
    }

    public static function because(string $where, string $why): self
    {
        return new self("{$where}: {$why}", $why, null);
    }

    /** One requirement's value cannot be understood. */
    public static function requirement(string $where, string $id, string $why): self
    {
        return new self("{$where}: “{$id}”: {$why}", $why, $id);
    }
}
