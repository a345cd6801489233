<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\LenientValue;
use PlainLedger\Core\Text\Text;

/** One of some words. */
final readonly class WordFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        $word = strtolower(trim($text));
        $words = $descriptor->accepts->words;
        if ($words !== [] && ! in_array($word, $words, true)) {
            throw NotUnderstood::because(
                '“'.mb_strimwidth(Text::shown($word), 0, 60, '…').'” is not one of '.implode(', ', $words).'.',
            );
        }

        return $word;
    }

    protected function readings(Descriptor $descriptor, string $text): array
    {
        return LenientValue::readings($descriptor, $text);
    }
}
