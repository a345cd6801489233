<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\PlainSentence;

/** A specification, or one of its requirements, that cannot be used. */
final class SpecificationRefused extends \RuntimeException implements PlainSentence
{
    public static function because(string $where, string $why): self
    {
        return new self("{$where}: {$why}");
    }
}
