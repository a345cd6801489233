<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A text that was to be read as a value and could not be. */
final class NotUnderstood extends \InvalidArgumentException implements PlainSentence
{
    use CarriesParts;

    public static function as(string $what, string $text, string $example, ?\Throwable $previous = null): self
    {
        // a number that is one, and longer than any that is measured here
        $long = preg_match('~\d{16}|\d[eE]\+?(?:1[5-9]|[2-9]\d|\d{3})~', $text) === 1
            ? ' Numbers here have at most 15 digits.'
            : '';

        return new self($text, "is not {$what}; write it like {$example}.{$long}", $previous);
    }

    /** A number that is one, and further from anything that is measured here than calculations carry. */
    public static function beyond(string $text, string $least, string $most): self
    {
        return new self(
            $text,
            "is beyond what is reckoned with here: a number is 0, or from {$least} to {$most}.",
        );
    }

    public static function because(string $sentence, ?\Throwable $previous = null): self
    {
        return new self(null, $sentence, $previous);
    }

    private function sentence(): string
    {
        return $this->place === null
            ? $this->reason
            : '“'.mb_strimwidth(Text::shown($this->place), 0, 60, '…')."” {$this->reason}";
    }
}
