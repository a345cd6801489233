<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use PlainLedger\Core\Calculator\Calculation;
use PlainLedger\Core\Calculator\Calculator;
use PlainLedger\Core\Calculator\Field;

/** A sum of the calculator, with the fields it is given. */
final readonly class OfferedSum
{
    public string $word;

    public string $title;

    /** @var list<array{name: string, label: string, example: string, start: string}> */
    public array $fields;

    private function __construct(Calculation $sum)
    {
        $this->word = $sum->word();
        $this->title = $sum->title();
        $this->fields = array_map(static fn (Field $f): array => [
            'name' => $f->name, 'label' => $f->label, 'example' => $f->example, 'start' => $f->start,
        ], $sum->fields());
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static fn (Calculation $c): self => new self($c), Calculator::standard()->calculations);
    }
}
