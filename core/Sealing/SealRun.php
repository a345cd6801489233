<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Media\SystemFiles;

/**
 * Works out the sums of all files of a listing, in the order of their paths. It can be stopped between two files, and
 * goes on from what was kept: a file that is as it was then is not read again. Lists of checksums, and what systems
 * leave behind, are no part of a delivery.
 */
final class SealRun
{
    /** @var array<array-key, SealedFile> by path */
    private array $done = [];

    /** @var array<array-key, string> by path */
    private array $refused = [];

    public int $bytes = 0;

    /** Files that were read by this run, and not by one before it. */
    public int $read = 0;

    /**
     * @param  list<SumAlgorithm>  $algorithms  at least one
     * @param  list<SealedFile>  $known  what an earlier run came to
     */
    public function __construct(
        private readonly Listing $listing,
        private readonly array $algorithms,
        array $known = [],
    ) {
        foreach ($known as $file) {
            $this->done[$file->path] = $file;
        }
    }

    /**
     * @param  (\Closure(int): mixed)|null  $onBytes  told how many more were read, a megabyte at a time
     * @return \Generator<int, SealProgress> after each file
     */
    public function steps(?\Closure $onBytes = null): \Generator
    {
        $files = self::files($this->listing);
        $all = array_sum(array_map(static fn (ListedFile $file): int => $file->size, $files));
        $this->done = array_intersect_key($this->done, $files);
        $sums = new FileSums($this->listing);
        $at = 0;
        foreach ($files as $path => $file) {
            if (! $this->isKnown($file)) {
                unset($this->done[$path]);
                $this->read++;
                try {
                    $this->done[$path] = $sums->of($file, $this->algorithms, $onBytes);
                } catch (SourceUnreadable $gone) {
                    $this->refused[$path] = $gone->reason();
                }
            }
            $this->bytes += $file->size;
            yield new SealProgress(++$at, count($files), $this->bytes, $all);
        }
    }

    /** What was read so far. */
    public function result(): Seal
    {
        ksort($this->done, SORT_STRING);

        return new Seal($this->algorithms, array_values($this->done), $this->refused);
    }

    private function isKnown(ListedFile $file): bool
    {
        $known = $this->done[$file->path()] ?? null;

        return $known !== null && $known->size === $file->size && $known->modified === $file->modified;
    }

    /** @return array<array-key, ListedFile> those that belong to the delivery, by path and in their order */
    public static function files(Listing $listing): array
    {
        $files = [];
        foreach ($listing->files() as $file) {
            $path = $file->path();
            $isList = ChecksumList::isNamedSo($file->name) || ChecksumList::isChain($path);
            if (! $isList && ! SystemFiles::has($path)) {
                $files[$path] = $file;
            }
        }
        ksort($files, SORT_STRING);

        return $files;
    }
}
