<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

/** The sizes that a projection of all directions has. */
final readonly class ProjectionShape
{
    /**
     * A lat-long picture is twice as wide as high; a stereo one for each eye, which stand above or beside each other.
     */
    public static function holds(string $projection, int $width, int $height): bool
    {
        return match ($projection) {
            'lat-long' => $width === 2 * $height,
            'lat-long stereo' => $width === $height || $width === 4 * $height,
            default => true,
        };
    }
}
