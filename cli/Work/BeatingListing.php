<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PartlyPlaced;
use PlainLedger\Core\Media\ByteSource;

/** A listing whose files, while they are read, say that the work goes on. */
final readonly class BeatingListing implements Listing, PartlyPlaced
{
    public function __construct(private Listing $listing, private Beat $beat) {}

    public function files(): iterable
    {
        foreach ($this->listing->files() as $file) {
            $this->beat->goesOn();
            yield $file;
        }
    }

    public function root(): string
    {
        return $this->listing->root();
    }

    public function knownFolders(): ?int
    {
        return $this->listing instanceof PartlyPlaced ? $this->listing->knownFolders() : null;
    }

    public function mayGrow(): bool
    {
        return $this->listing->mayGrow();
    }

    public function open(ListedFile $file): ByteSource
    {
        return new BeatingSource($this->listing->open($file), $this->beat);
    }

    public function again(ListedFile $file): ListedFile
    {
        return $this->listing->again($file);
    }
}
