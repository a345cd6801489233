<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\ScanDepth;

/**
 * Reads one format. A reader asks for as little as it can, trusts no length, offset or count in the file, keeps no
 * state between files, and can be run again from the start at any time.
 */
interface Reader
{
    public function kind(): Kind;

    /**
     * @throws FileDamaged where the header itself cannot be believed; a body that is not whole is told in the facts
     */
    public function read(FileEnds $file, ScanDepth $depth): MediaFacts;
}
