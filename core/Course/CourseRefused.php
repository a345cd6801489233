<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** Rules, a roster or a gradebook that cannot be used. */
final class CourseRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $where, string $why, ?\Throwable $previous = null): self
    {
        return new self($where, $why, $previous);
    }

    private function sentence(): string
    {
        return "{$this->place}: {$this->reason}";
    }
}
