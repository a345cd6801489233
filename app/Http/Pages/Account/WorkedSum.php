<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use PlainLedger\Core\Calculator\Result;
use PlainLedger\Core\Text\PlainSentence;

/** What a sum comes to, or why it cannot be done. */
final readonly class WorkedSum
{
    private function __construct(
        /** @var list<array{label: string, value: string, formula: string}> */
        public array $results,
        public ?string $fault,
    ) {}

    /** @param  list<Result>  $results */
    public static function of(array $results): self
    {
        return new self(array_map(static fn (Result $r): array => [
            'label' => $r->label, 'value' => $r->value, 'formula' => $r->formula,
        ], $results), null);
    }

    public static function refused(PlainSentence $why): self
    {
        return new self([], $why->getMessage());
    }
}
