<?php

declare(strict_types=1);

namespace App\Database;

/** A database could not be copied. */
final class BackupRefused extends \RuntimeException
{
    public static function because(string $database, string $why, ?\Throwable $before = null): self
    {
        return new self("The backup of {$database} could not be made: {$why}.", 0, $before);
    }
}
