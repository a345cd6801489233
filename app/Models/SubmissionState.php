<?php

declare(strict_types=1);

namespace App\Models;

/** Where a submission stands. */
enum SubmissionState: string
{
    /** Its files are being read for their sums. */
    case Sealing = 'sealing';

    case Signed = 'signed';

    /** It came to nothing: the sentence beside it says why. */
    case Failed = 'failed';

    case Withdrawn = 'withdrawn';

    /** A later one stands in its place. */
    case Replaced = 'replaced';

    /** Whether there is a record of it. */
    public function isSigned(): bool
    {
        return in_array($this, [self::Signed, self::Withdrawn, self::Replaced], true);
    }
}
