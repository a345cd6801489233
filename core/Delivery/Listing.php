<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceUnreadable;

/** Files handed in, wherever they lie: a folder, an archive, what a browser picked. */
interface Listing
{
    /**
     * @return iterable<ListedFile> in any order
     *
     * @throws FolderRefused
     */
    public function files(): iterable;

    /** The last few folders of where they lie, as that was chosen; empty where they lie in none. */
    public function root(): string;

    /** Whether more may be on its way to it: what was packed or picked is all there is. */
    public function mayGrow(): bool;

    /**
     * The very file that was listed.
     *
     * @throws SourceUnreadable also where it was changed since
     */
    public function open(ListedFile $file): ByteSource;

    /** The same place as it is now; refused where nothing may be opened there any more. */
    public function again(ListedFile $file): ListedFile;
}
