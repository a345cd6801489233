<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceGone;

/** Files handed in, wherever they lie: a folder, an archive, what a browser picked. */
interface Listing
{
    /**
     * @return iterable<ListedFile> in any order
     *
     * @throws FolderRefused
     */
    public function files(): iterable;

    /** @throws SourceGone */
    public function open(string $folder, string $name, int $size): ByteSource;
}
