<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** A reader of movies that can say where each kept picture is. */
interface PlacesPictures
{
    /**
     * @return iterable<array{int, int}> where each begins and its bytes, in the order in which they are kept
     *
     * @throws FileDamaged
     */
    public function pictures(FileEnds $file): iterable;
}
