<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;

/** One file alone, as if its folder held nothing else. */
final readonly class FileListing implements Listing
{
    private function __construct(private FolderListing $folder, private string $name) {}

    /**
     * @param  string  $path  of a file that is there
     *
     * @throws FolderRefused
     */
    public static function of(string $path): self
    {
        return new self(FolderListing::of(dirname($path)), basename($path));
    }

    public function root(): string
    {
        return $this->folder->root();
    }

    public function mayGrow(): bool
    {
        return false;
    }

    public function files(): iterable
    {
        yield $this->folder->again(new ListedFile('', $this->name, 0, 0));
    }

    public function open(ListedFile $file): ByteSource
    {
        return $this->folder->open($file);
    }

    public function again(ListedFile $file): ListedFile
    {
        return $this->folder->again($file);
    }
}
