<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** A listing of files that were packed or picked: what folders they lay in above that is not known. */
interface PartlyPlaced
{
    /** How many of the last folders of its root are certain; null: all. */
    public function knownFolders(): ?int;
}
