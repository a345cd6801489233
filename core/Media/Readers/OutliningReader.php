<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\SourceUnreadable;

/** A reader of headers that take long to read, and that are the same but for little from frame to frame. */
interface OutliningReader extends Reader
{
    /**
     * @param  MediaFacts  $facts  as this reader told them
     * @return HeaderOutline|null null where the header is not of a kind that others can be held against
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline;
}
