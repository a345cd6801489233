<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** What would take more memory or time than there is for one file. Told before either is spent, with the figure. */
final class FileTooLarge extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function of(string $figure): self
    {
        return new self(null, $figure);
    }

    public static function pixels(int $width, int $height): self
    {
        return self::of(number_format($width).' × '.number_format($height).' pixels');
    }

    private function sentence(): string
    {
        return "too large to look at here: {$this->reason}";
    }
}
