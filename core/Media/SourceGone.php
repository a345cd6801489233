<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\PlainSentence;

/** A file that was listed and can no longer, or may not, be read. */
final class SourceGone extends \RuntimeException implements PlainSentence
{
    /** @param  string  $why  what is the matter with it, as half a sentence */
    private function __construct(string $message, public readonly string $why)
    {
        parent::__construct($message);
    }

    public static function file(string $path, string $why): self
    {
        return new self('“'.Text::shown($path)."” could not be read: {$why}.", $why);
    }
}
