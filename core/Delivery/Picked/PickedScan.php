<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\CrashGuard;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Delivery\ScanProgress;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceUnreadable;

/**
 * A scan of files of which only slices come, when they are asked for. It goes on as far as what has come allows, and
 * says what has to come next; readers and rules are those of every other scan.
 */
final class PickedScan
{
    /** Files that are asked for together. */
    private const FILES = 400;

    /** Bytes that are asked for at once. */
    private const BYTES = 4_000_000;

    /** Bytes of one file whose picture is looked at: a larger one is not. */
    private const LARGEST_PICTURE = 64_000_000;

    /** A shorter range is not worth another question. */
    private const SHORTEST = 4096;

    /** One file is not asked for more often. */
    private const MOST_ROUNDS = 64;

    /** Times that a piece is doubled: up to a megabyte. */
    private const LONGER = 10;

    private readonly Probe $probe;

    private readonly Scan $scan;

    private FirstSlices $first;

    /** @var array<int, int> how often each file of these was asked for */
    private array $rounds = [];

    /**
     * @param  bool  $whole  whether pictures are sent whole where pixels are to be looked at
     * @param  bool  $sums  whether lists of checksums are compared
     */
    public function __construct(
        private readonly PickedListing $listing,
        ?PixelSampler $sampler,
        private readonly bool $whole,
        bool $sums,
        ?CrashGuard $guard = null,
    ) {
        $this->probe = Probe::standard();
        $this->scan = new Scan($listing, Probe::standard(), sampler: $sampler, sums: $sums, guard: $guard);
        $this->first = new FirstSlices;
    }

    /**
     * As far as it goes.
     *
     * @return Wanted nothing once all of it is done
     */
    public function advance(): Wanted
    {
        while (($files = $this->scan->upcoming(self::FILES)) !== []) {
            [$ready, $wanted] = $this->lookedOver($files);
            if ($ready === 0) {
                return new Wanted(self::bounded($wanted));
            }
            $this->scan->readOn($ready);
            foreach (array_slice($files, 0, $ready) as $file) {
                $this->listing->slices->forget($file->identity);
                unset($this->rounds[$file->identity]);
            }
        }

        return $this->sums();
    }

    /**
     * How many of the first of these files can be read, and what has to come of the others.
     *
     * @param  list<ListedFile>  $files
     * @return array{int, array<int, list<array{int, int}>>}
     */
    private function lookedOver(array $files): array
    {
        $wanted = [];
        $asked = 0;
        $ready = 0;
        foreach ($files as $file) {
            $missing = $this->missing($file);
            if ($missing !== []) {
                $wanted[$file->identity] = $missing;
                $asked += array_sum(array_column($missing, 1));
            }
            $ready += $wanted === [] ? 1 : 0;
            if ($asked >= self::BYTES) {
                break;
            }
        }

        return [$ready, $wanted];
    }

    /** @return list<array{int, int}> what has to come of a file before it can be read */
    private function missing(ListedFile $file): array
    {
        if ($file->size === 0 || $this->listing->isLost($file->identity)) {
            return [];
        }
        if ($this->listing->slices->of($file->identity) === []) {
            return $this->first->of($file);
        }
        $missing = $this->missingNow($file);
        $round = $this->rounds[$file->identity] = ($this->rounds[$file->identity] ?? 0) + ($missing === [] ? 0 : 1);
        if ($round <= 1) {
            $this->first->learn($file, $missing);
        }
        if ($round > self::MOST_ROUNDS) {
            $this->listing->lose($file->identity, 'too many pieces of it would have to be sent');

            return [];
        }

        return $missing;
    }

    /** @return list<array{int, int}> */
    private function missingNow(ListedFile $file): array
    {
        try {
            $source = $this->listing->open($file);
            $facts = $this->probe->read($source);
            if ($this->whole && $file->size <= self::LARGEST_PICTURE && ($facts->kind?->isPicture() ?? false)) {
                $source->read(0, $file->size);
            }
        } catch (BytesMissing $missing) {
            // a reader that walks through all of a file is served in ever longer pieces
            $rounds = min(self::LONGER, $this->rounds[$file->identity] ?? 0);
            $least = self::SHORTEST << max(0, $rounds - 2);

            return array_map(
                static fn (array $r): array => [$r[0], min(max($r[1], $least), $file->size - $r[0])],
                $missing->ranges,
            );
        } catch (SourceUnreadable) {
            return [];
        }

        return [];
    }

    /**
     * Not more than is asked for at once; the rest is asked for when that has come.
     *
     * @param  array<int, list<array{int, int}>>  $wanted
     * @return array<int, list<array{int, int}>>
     */
    private static function bounded(array $wanted): array
    {
        $room = self::BYTES;
        $bounded = [];
        foreach ($wanted as $file => $ranges) {
            foreach ($ranges as [$offset, $length]) {
                $length = min($length, $room);
                $room -= $length;
                if ($length > 0) {
                    $bounded[$file][] = [$offset, $length];
                }
            }
        }

        return $bounded;
    }

    /** Lists of checksums whole, then what their files come to. */
    private function sums(): Wanted
    {
        $ranges = [];
        foreach ($this->scan->checksumLists() as $list) {
            $missing = $this->missingWhole($list);
            if ($missing !== []) {
                $ranges[$list->identity] = $missing;
            }
        }
        if ($ranges !== []) {
            return new Wanted(self::bounded($ranges));
        }
        $sums = [];
        foreach ($this->scan->listedSums() as [$file, $algorithm]) {
            if (! $this->listing->hasSum($file->identity) && ! $this->listing->isLost($file->identity)) {
                $sums[$file->identity] = $algorithm;
            }
            if (count($sums) >= self::FILES) {
                break;
            }
        }

        return new Wanted([], $sums);
    }

    /** @return list<array{int, int}> */
    private function missingWhole(ListedFile $list): array
    {
        try {
            $this->listing->open($list)->read(0, min($list->size, ChecksumList::LARGEST));
        } catch (BytesMissing $missing) {
            return $missing->ranges;
        } catch (SourceUnreadable) {
            return [];
        }

        return [];
    }

    public function progress(): ScanProgress
    {
        return $this->scan->progress();
    }

    /** What was found, once nothing is wanted any more. */
    public function delivery(int $now): Delivery
    {
        return $this->scan->run($now);
    }

    /** @return array<string, mixed> plain values that JSON can hold; the slices are kept apart */
    public function checkpoint(): array
    {
        return [
            'scan' => $this->scan->checkpoint(),
            'listing' => $this->listing->checkpoint(),
            'first' => $this->first->checkpoint(),
            'rounds' => $this->rounds,
        ];
    }

    /** @param  array<string, mixed>  $checkpoint */
    public function resume(array $checkpoint): self
    {
        /**
         * @var array{scan: array<string, mixed>, listing: array{gone?: array<int, string>,
         *   sums?: array<int, string|null>}, first: array{ends?: array<string, array{int, int}>,
         *   seen?: array<string, array{int, int, int, int}>}, rounds: array<int, int>} $checkpoint
         */
        $this->scan->resume($checkpoint['scan']);
        $this->listing->resume($checkpoint['listing']);
        $this->first = FirstSlices::resume($checkpoint['first']);
        $this->rounds = $checkpoint['rounds'];

        return $this;
    }
}
