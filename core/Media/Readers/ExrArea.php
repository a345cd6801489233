<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** What one chunk of OpenEXR covers, in pixels from where the display window counts. */
final readonly class ExrArea
{
    public function __construct(public int $left, public int $top, public int $width, public int $height) {}
}
