<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody without a sign-in may do by a link. */
enum LinkKind: string
{
    /** Read the sheet. */
    case Sheet = 'sheet';

    /** Check a folder of their own against it. */
    case Check = 'check';

    /** Read the record of a submission. */
    case Record = 'record';

    public function route(): string
    {
        return match ($this) {
            self::Sheet => 'sheet.open',
            self::Check => 'own.open',
            self::Record => 'record.open',
        };
    }
}
