<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** How a requirement is said in sentences, and by which words people look for it. */
final readonly class Wording
{
    /**
     * @param  string  $sentence  `%s` stands for the value; what the sheet says
     * @param  string  $also  usual words for it, with commas between
     * @param  array<array-key, string>  $exact  sentences of their own, by the value they are for
     */
    public function __construct(public string $sentence, public string $also = '', public array $exact = []) {}

    /** The sentence with the value in it, as it is read out. */
    public function with(string $spoken): string
    {
        return str_replace('%s', $spoken, $this->sentence);
    }
}
