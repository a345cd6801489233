<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\DeliveryPlace;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PartlyPlaced;
use PlainLedger\Core\Media\ByteSource;

/** Files of a listing that belong to one deliverable, called from its own folder on. */
final readonly class SelectedListing implements Listing, PartlyPlaced
{
    /** @param  array<array-key, ListedFile>  $files  as the whole listing has them, by their paths here */
    private function __construct(private Listing $whole, private array $files, private DeliveryPlace $place) {}

    /** @param  list<TreeUnit>  $units */
    public static function of(Listing $whole, OwedDelivery $owed, array $units, Delivery $tree): self
    {
        $base = OwnFiles::base($owed, $units, $tree);
        $files = [];
        foreach ($units as $unit) {
            foreach ($unit->rows as $row) {
                $file = $unit->group->listed($row);
                $folder = OwnFiles::below($file->folder, $base);
                $files[$folder === '' ? $file->name : "{$folder}/{$file->name}"] = $file;
            }
        }

        return new self($whole, $files, $tree->place->in($base));
    }

    public function files(): iterable
    {
        foreach ($this->files as $path => $file) {
            $folder = dirname((string) $path);
            yield self::called($file, $folder === '.' ? '' : $folder);
        }
    }

    private static function called(ListedFile $file, string $folder): ListedFile
    {
        return new ListedFile($folder, $file->name, $file->size, $file->modified, $file->refused, $file->identity);
    }

    public function root(): string
    {
        return $this->place->root;
    }

    public function knownFolders(): ?int
    {
        return $this->place->known;
    }

    public function mayGrow(): bool
    {
        return $this->whole->mayGrow();
    }

    public function open(ListedFile $file): ByteSource
    {
        return $this->whole->open(self::called($file, $this->files[$file->path()]->folder));
    }

    public function again(ListedFile $file): ListedFile
    {
        return self::called($this->whole->again($this->files[$file->path()]), $file->folder);
    }
}
