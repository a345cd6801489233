<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Text\PlainSentence;

/** A specification, or one of its requirements, that cannot be used. */
final class SpecificationRefused extends \RuntimeException implements PlainSentence
{
    /** @param  string|null  $requirement  the id of the one whose value cannot be understood */
    private function __construct(
        private readonly string $place,
        private readonly string $reason,
        public readonly ?string $requirement = null,
        ?\Throwable $previous = null,
    ) {
        $line = $requirement === null ? '' : " “{$requirement}”:";
        parent::__construct("{$place}:{$line} {$reason}", 0, $previous);
    }

    public static function because(string $where, string $why): self
    {
        return new self($where, $why);
    }

    /** One requirement's value cannot be understood. */
    public static function requirement(string $where, string $id, string $why, ?\Throwable $previous = null): self
    {
        return new self($where, $why, $id, $previous);
    }

    public function place(): string
    {
        return $this->place;
    }

    public function reason(): string
    {
        return $this->reason;
    }
}
