<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A file that was listed and can no longer, or may not, be read. */
final class SourceUnreadable extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    private const CHANGED = 'it was changed since it was looked at';

    /** @param  string  $why  what is the matter with it, as half a sentence */
    public static function file(string $path, string $why, ?\Throwable $previous = null): self
    {
        return new self($path, $why, $previous);
    }

    public static function changed(string $path): self
    {
        return new self($path, self::CHANGED);
    }

    /** Whether it is another file by now, or has other bytes, than when it was listed. */
    public function isChanged(): bool
    {
        return $this->reason === self::CHANGED;
    }

    private function sentence(): string
    {
        return '“'.Text::shown((string) $this->place)."” could not be read: {$this->reason}.";
    }
}
