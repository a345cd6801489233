<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\ByteSource;

/** What the lists of sums in a delivery, or one that was kept elsewhere, say of its files. */
final readonly class SealedSums
{
    /**
     * @param  array<array-key, array{string, string}>  $sums  algorithm and sum, by path
     * @param  list<string>  $lists  paths of the lists
     * @param  list<string>  $faults  what is wrong with the lists themselves, a sentence each
     */
    private function __construct(public array $sums, public array $lists, public array $faults) {}

    /** All lists that lie in it; of what several say of a file the first counts. */
    public static function in(Listing $listing): self
    {
        $files = [];
        foreach ($listing->files() as $file) {
            if ($file->refused === null && $file->size > 0 && ChecksumList::isNamedSo($file->name)) {
                $files[$file->path()] = $file;
            }
        }
        ksort($files, SORT_STRING);
        $sums = [];
        foreach ($files as $file) {
            $sums += ChecksumList::read($listing->open($file), $file->folder, $file->name)->sums;
        }
        $isMhl = array_filter($files, static fn (ListedFile $file): bool => $file->folder === 'ascmhl') !== [];

        return new self(
            $sums,
            array_map(strval(...), array_keys($files)),
            $isMhl ? MhlHistory::of($listing)->faults : [],
        );
    }

    /** A list that was kept elsewhere: its paths are taken from the delivery's root. */
    public static function of(ByteSource $list, string $name): self
    {
        return new self(ChecksumList::read($list, '', $name)->sums, [$name], []);
    }

    /** @param  array<array-key, array{string, string}>  $sums  algorithm and sum, by path */
    public static function told(array $sums): self
    {
        return new self($sums, [], []);
    }
}
