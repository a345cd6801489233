<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Files that are not renamed or moved, and why. Nothing was changed, or what was is as before. */
final class MoveRefused extends \RuntimeException implements PlainSentence
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

        return ($file === '' ? 'Nothing was renamed: ' : "Nothing was renamed: “{$file}” ").$this->reason.'.';
    }
}
