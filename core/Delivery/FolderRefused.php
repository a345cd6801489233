<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A folder that cannot, or may not, be looked into. */
final class FolderRefused extends \RuntimeException implements PlainSentence
{
    /** @param  string  $sentence  as another process told it */
    public static function saying(string $sentence): self
    {
        return new self($sentence);
    }

    public static function because(string $folder, string $why): self
    {
        return new self('The folder “'.Text::shown($folder)."” {$why}.");
    }
}
