<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PartlyPlaced;
use PlainLedger\Core\Delivery\SetAside;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceUnreadable;

/**
 * A zip archive, read in place as if it had been unpacked. The one folder in which all of it lies, as where a folder
 * was packed, is its root. An archive whose entries overlap is refused; entries that lead out of it, are locked, or
 * claim more than they can hold, are listed and not opened.
 */
final class ZipListing implements Listing, PartlyPlaced
{
    private const LOCAL = "PK\x03\x04";

    private const LOCAL_LENGTH = 30;

    /** Of an entry: place, packed and unpacked length, method, sum and time. */
    private const PACKED = 40;

    /** Entries, packed one behind another; a million take 40 MB. */
    private string $entries = '';

    private string $top = '';

    private bool $isRead = false;

    private function __construct(
        private readonly ByteSource $archive,
        private readonly ZipDirectory $directory,
        private readonly string $label,
        private readonly string $place,
    ) {}

    /**
     * @param  string  $label  its name, for sentences
     * @param  string  $place  the last few folders of where it lies, and its own name without the extension
     *
     * @throws ArchiveRefused
     */
    public static function of(ByteSource $archive, string $label, string $place = ''): self
    {
        return new self($archive, ZipDirectory::open($archive, $label), $label, $place);
    }

    public function root(): string
    {
        $this->look();

        return trim("{$this->place}/{$this->top}", '/');
    }

    /** It may have been packed anywhere, and is called as its sender pleased. */
    public function knownFolders(): int
    {
        $this->look();

        return $this->top === '' ? 0 : 1;
    }

    public function mayGrow(): bool
    {
        return false;
    }

    /** @throws ArchiveRefused */
    public function files(): iterable
    {
        $this->look();
        $seen = [];
        foreach ($this->directory->entries() as $number => $entry) {
            if ($entry->isFolder() || ZipName::isOfSystem($entry->name) || SetAside::holds($entry->name)) {
                continue;
            }
            $isInside = ZipName::staysInside($entry->name);
            [$folder, $name] = ZipName::parts($isInside ? $entry->name : basename($entry->name));
            $path = "{$folder}/{$name}";
            $why = match (true) {
                $name === '' => 'it has no name',
                ! $isInside => 'its name leads out of the archive',
                isset($seen[$path]) => 'another entry has the same name',
                default => $entry->refusal(),
            };
            $seen[$path] = true;
            yield new ListedFile(
                $this->below($folder),
                $name === '' ? 'nameless' : $name,
                $why === null ? $entry->span->size : 0,
                $entry->modified,
                $why,
                $number + 1,
            );
        }
    }

    /** Without the folder that holds all. */
    private function below(string $folder): string
    {
        return $this->top === '' || ! str_starts_with("{$folder}/", "{$this->top}/")
            ? $folder
            : substr($folder, strlen($this->top) + 1);
    }

    /** Once through the directory: what each entry is, where it lies, and which folder holds all. */
    private function look(): void
    {
        if ($this->isRead) {
            return;
        }
        $tops = [];
        $spans = [];
        $overlap = false;
        foreach ($this->directory->entries() as $entry) {
            $this->entries .= pack(
                'PPPvVPx2',
                $entry->span->place,
                $entry->span->packed,
                $entry->span->size,
                $entry->refusal() === null ? $entry->method : 0xFFFF,
                $entry->crc,
                $entry->modified,
            );
            $overlap = $overlap || isset($spans[$entry->span->place]);
            $spans[$entry->span->place] = self::LOCAL_LENGTH + $entry->span->packed;
            if (! $entry->isFolder() && ! ZipName::isOfSystem($entry->name)) {
                $folder = ZipName::parts($entry->name)[0];
                $tops[$folder === '' ? '' : explode('/', $folder)[0]] = true;
            }
        }
        $this->refuseOverlaps($spans, $overlap);
        $this->top = count($tops) === 1 ? (string) array_key_first($tops) : '';
        $this->isRead = true;
    }

    /** @param  array<int, int>  $spans  least length of each, by its place */
    private function refuseOverlaps(array $spans, bool $overlap): void
    {
        ksort($spans);
        $end = 0;
        foreach ($spans as $place => $length) {
            $overlap = $overlap || $place < $end;
            $end = $place + $length;
        }
        if ($overlap) {
            throw ArchiveRefused::because($this->label, 'has entries that lie over one another, and is not unpacked');
        }
        if ($end > $this->archive->size()) {
            throw ArchiveRefused::because($this->label, 'is not whole: it ends before its last entry does');
        }
    }

    public function open(ListedFile $file): ByteSource
    {
        $this->look();
        $known = $file->identity < 1 ? $this->again($file) : $file;
        if (! $known->state()->isOfSameMoment($file->state())) {
            throw SourceUnreadable::changed($file->path());
        }
        $entry = $this->entryOf($known);
        $lead = $this->archive->read($entry->span->place, self::LOCAL_LENGTH);
        if (! str_starts_with($lead, self::LOCAL) || strlen($lead) < self::LOCAL_LENGTH) {
            throw SourceUnreadable::file($file->path(), 'it is damaged in the archive');
        }
        $order = ByteOrder::Little;
        $from = $entry->span->place + self::LOCAL_LENGTH + $order->u16($lead, 26) + $order->u16($lead, 28);
        if ($from + $entry->span->packed > $this->archive->size()) {
            throw SourceUnreadable::file($file->path(), 'the archive ends before it does');
        }

        return $entry->method === ZipEntry::STORED
            ? new StoredSource($this->archive, $from, $entry->span->size)
            : new DeflatedSource($this->archive, $from, $entry);
    }

    private function entryOf(ListedFile $file): ZipEntry
    {
        $bytes = substr($this->entries, ($file->identity - 1) * self::PACKED, self::PACKED);
        if ($file->identity < 1 || strlen($bytes) < self::PACKED) {
            throw SourceUnreadable::changed($file->path());
        }
        /** @var array{place: int, packed: int, size: int, method: int, crc: int, modified: int} $is */
        $is = unpack('Pplace/Ppacked/Psize/vmethod/Vcrc/Pmodified', $bytes);
        if ($is['size'] !== $file->size || $is['modified'] !== $file->modified || $is['method'] === 0xFFFF) {
            throw SourceUnreadable::changed($file->path());
        }

        return new ZipEntry(
            $file->path(),
            0,
            $is['method'],
            $is['crc'],
            new ZipSpan($is['place'], $is['packed'], $is['size']),
            $is['modified'],
        );
    }

    public function again(ListedFile $file): ListedFile
    {
        foreach ($this->files() as $now) {
            if ($now->name === $file->name && $now->folder === $file->folder) {
                return $now;
            }
        }

        return new ListedFile($file->folder, $file->name, 0, $file->modified, 'it is gone');
    }
}
