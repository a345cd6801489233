<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceUnreadable;

/** The files of a delivery as they were when it was scanned, wherever they lie by now: names, and nothing to open. */
final readonly class RecordedListing implements Listing, PartlyPlaced
{
    public function __construct(private Delivery $delivery) {}

    public function files(): iterable
    {
        foreach ($this->delivery->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                yield $group->listed($row);
            }
        }
    }

    public function root(): string
    {
        return $this->delivery->root;
    }

    public function knownFolders(): ?int
    {
        return $this->delivery->place->known;
    }

    public function mayGrow(): bool
    {
        return $this->delivery->mayGrow;
    }

    public function open(ListedFile $file): ByteSource
    {
        throw SourceUnreadable::file($file->path(), 'it lies elsewhere');
    }

    public function again(ListedFile $file): ListedFile
    {
        return $file;
    }
}
