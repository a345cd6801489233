<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\SourceUnreadable;

/** What a file that was read has in common with those that come after it, so that their headers need no reading. */
interface HeaderOutline
{
    /**
     * For the quick look: the facts of a file whose header differs in nothing that facts are made of; null where it
     * does. The header's texts are those of the first.
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function read(FileEnds $file): ?MediaFacts;
}
