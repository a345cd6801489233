<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

use PlainLedger\Core\Delivery\KnowsSums;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PartlyPlaced;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SliceSource;
use PlainLedger\Core\Media\SourceUnreadable;

/** A folder on somebody's own disk, of which names and slices were sent. */
final class PickedListing implements KnowsSums, Listing, PartlyPlaced
{
    /** @var array<int, string> why files cannot be read any more, by their number */
    private array $gone = [];

    /** @var array<int, string|null> */
    private array $sums = [];

    /**
     * @param  string  $label  the name of the folder; `""` where several were picked
     * @param  \Closure(): iterable<ListedFile>  $files
     */
    public function __construct(
        private readonly string $label,
        private readonly \Closure $files,
        public readonly Slices $slices,
    ) {}

    public function files(): iterable
    {
        yield from ($this->files)();
    }

    public function root(): string
    {
        return $this->label;
    }

    public function knownFolders(): int
    {
        return $this->label === '' ? 0 : 1;
    }

    public function mayGrow(): bool
    {
        return true;
    }

    public function open(ListedFile $file): ByteSource
    {
        if (isset($this->gone[$file->identity])) {
            throw SourceUnreadable::file($file->path(), $this->gone[$file->identity]);
        }

        return new SliceSource($file->size, $this->slices->of($file->identity));
    }

    public function again(ListedFile $file): ListedFile
    {
        return $file;
    }

    /** It is not there any more, or not as it was listed. */
    public function lose(int $file, string $why): void
    {
        $this->gone[$file] = $why;
    }

    public function isLost(int $file): bool
    {
        return isset($this->gone[$file]);
    }

    public function keepSum(int $file, ?string $sum): void
    {
        $this->sums[$file] = $sum;
    }

    public function hasSum(int $file): bool
    {
        return array_key_exists($file, $this->sums);
    }

    public function sum(ListedFile $file, string $algorithm): ?string
    {
        return $this->sums[$file->identity] ?? null;
    }

    /** @return array{gone: array<int, string>, sums: array<int, string|null>} */
    public function checkpoint(): array
    {
        return ['gone' => $this->gone, 'sums' => $this->sums];
    }

    /** @param  array{gone?: array<int, string>, sums?: array<int, string|null>}  $checkpoint */
    public function resume(array $checkpoint): void
    {
        $this->gone = $checkpoint['gone'] ?? [];
        $this->sums = $checkpoint['sums'] ?? [];
    }
}
