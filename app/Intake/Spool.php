<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Database\Eloquent\Model;

/** Where work that goes on later is put aside. */
final readonly class Spool
{
    /**
     * Of one row in one ledger: a ledger that was begun anew counts from 1 again, and must not find what another left.
     */
    public static function name(string $what, Model $row): string
    {
        $made = $row->getAttribute('created_at');
        $ledger = (string) $row->getConnection()->getDatabaseName();

        return "spool/{$what}-{$row->getKey()}-"
            .substr(
                hash('sha256', $ledger.'|'.($made instanceof \DateTimeInterface ? $made->getTimestamp() : '')),
                0,
                12,
            )
            .'.gz';
    }
}
