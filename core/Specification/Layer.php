<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** What one layer says, still as it was written: the specification is the layers laid over each other. */
final readonly class Layer
{
    /**
     * @param  array<string, mixed>  $data  with any of title, delivers, values, require, parts, starting_values
     * @param  string  $label  for sentences
     */
    public function __construct(public SetBy $setBy, public array $data, public string $label) {}
}
