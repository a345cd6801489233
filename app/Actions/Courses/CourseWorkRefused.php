<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** Something of a course that cannot be done as things stand. */
final class CourseWorkRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $reason): self
    {
        return new self(null, $reason);
    }

    private function sentence(): string
    {
        return $this->reason;
    }
}
