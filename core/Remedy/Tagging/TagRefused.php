<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A file whose tags are not written, and why. It is as it was, and there is no copy. */
final class TagRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    /** @param  string  $file  what it is about; `""` where it is about all */
    public static function because(string $file, string $why, ?\Throwable $previous = null): self
    {
        return new self($file, $why, $previous);
    }

    private function sentence(): string
    {
        $file = Text::shown((string) $this->place);

        return ($file === '' ? 'Nothing was written: ' : "Nothing was written: “{$file}” ").$this->reason.'.';
    }
}
