<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A file that was listed and can no longer, or may not, be read. */
final class SourceUnreadable extends \RuntimeException implements PlainSentence
{
    /**
     * @param  string  $why  what is the matter with it, as half a sentence
     * @param  bool  $changed  whether it is another file by now, or has other bytes, than when it was listed
     */
    private function __construct(string $message, public readonly string $why, public readonly bool $changed = false)
    {
        parent::__construct($message);
    }

    public static function file(string $path, string $why): self
    {
        return new self(self::sentence($path, $why), $why);
    }

    public static function changed(string $path): self
    {
        $why = 'it was changed since it was looked at';

        return new self(self::sentence($path, $why), $why, true);
    }

    private static function sentence(string $path, string $why): string
    {
        return '“'.Text::shown($path)."” could not be read: {$why}.";
    }
}
