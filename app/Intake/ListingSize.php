<?php

declare(strict_types=1);

namespace App\Intake;

use PlainLedger\Core\Delivery\Listing;

/** How many files there are, counted only so far. */
final readonly class ListingSize
{
    public static function isAtMost(Listing $listing, int $many): bool
    {
        foreach ($listing->files() as $_) {
            if (--$many < 0) {
                return false;
            }
        }

        return true;
    }
}
