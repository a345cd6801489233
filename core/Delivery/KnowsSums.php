<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** A listing whose files cannot be read whole from here: their checksums are worked out where they lie. */
interface KnowsSums
{
    /** In hexadecimal digits, small; null where it could not be worked out, or is not known. */
    public function sum(ListedFile $file, string $algorithm): ?string;
}
