<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Spellings;

/** Yes or no, by whichever two words. */
abstract readonly class TruthFormat extends ValueFormat
{
    /** @return array{string, string} the words that are kept for true and for false */
    abstract protected function words(): array;

    public function canonical(string $text, Descriptor $descriptor): string
    {
        [$yes, $no] = $this->words();
        $truth = Spellings::truth(trim($text)) ?? throw NotUnderstood::as('yes or no', trim($text), $yes);

        return $truth ? $yes : $no;
    }

    protected function takesNothing(): bool
    {
        return true;
    }
}
