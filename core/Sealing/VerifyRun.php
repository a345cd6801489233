<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\SourceUnreadable;

/**
 * Compares files with the sums they had. A file whose path is in no list is one that was renamed where its bytes are
 * those of a listed file that is not there; of several of the same bytes the one with the same name goes first.
 */
final class VerifyRun
{
    private int $same = 0;

    /** @var list<string> */
    private array $changed = [];

    /** @var array<array-key, string> */
    private array $unreadable = [];

    /** @var array<array-key, ListedFile> files without a sum of theirs, by path */
    private array $unlisted = [];

    /** @var array<array-key, array{string, string}> listed, and not there */
    private array $missing = [];

    /** @param  array<array-key, array{string, string}>  $expected  algorithm and sum, by path */
    public function __construct(private readonly Listing $listing, private readonly array $expected) {}

    /** @return \Generator<int, SealProgress> */
    public function steps(): \Generator
    {
        $files = SealRun::files($this->listing);
        $all = array_sum(array_map(static fn (ListedFile $file): int => $file->size, $files));
        [$at, $bytes] = [0, 0];
        foreach ($files as $path => $file) {
            if (isset($this->expected[$path])) {
                $this->compare($file, $this->expected[$path]);
            } else {
                $this->unlisted[$path] = $file;
            }
            $bytes += $file->size;
            yield new SealProgress(++$at, count($files), $bytes, $all);
        }
        $this->missing = array_diff_key($this->expected, $files);
    }

    public function result(): Verification
    {
        $bySum = $this->missingBySum();
        [$renamed, $new] = [[], []];
        foreach ($this->unlisted as $path => $file) {
            $from = $bySum === [] ? null : $this->formerPath($file, $bySum);
            if ($from === null) {
                $new[] = (string) $path;
            } else {
                $renamed[] = [$from, (string) $path];
            }
        }
        $gone = array_diff_key($this->missing, array_fill_keys(array_column($renamed, 0), true));

        return new Verification(
            $this->same,
            $this->changed,
            array_map(strval(...), array_keys($gone)),
            $new,
            $renamed,
            $this->unreadable,
        );
    }

    /** @param  array{string, string}  $expected */
    private function compare(ListedFile $file, array $expected): void
    {
        $algorithm = SumAlgorithm::from($expected[0]);
        try {
            $sum = (new FileSums($this->listing))->of($file, [$algorithm])->sum($algorithm);
            if ($sum === $expected[1]) {
                $this->same++;
            } else {
                $this->changed[] = $file->path();
            }
        } catch (SourceUnreadable $gone) {
            $this->unreadable[$file->path()] = $gone->reason();
        }
    }

    /** @return array<string, array<array-key, list<string>>> paths by algorithm and sum */
    private function missingBySum(): array
    {
        $bySum = [];
        foreach ($this->missing as $path => [$algorithm, $sum]) {
            $bySum[$algorithm][$sum][] = (string) $path;
        }

        return $bySum;
    }

    /** @param  array<string, array<array-key, list<string>>>  $bySum  what is found is taken out */
    private function formerPath(ListedFile $file, array &$bySum): ?string
    {
        try {
            $algorithms = array_map(SumAlgorithm::from(...), array_keys($bySum));
            $sums = (new FileSums($this->listing))->of($file, $algorithms)->sums;
        } catch (SourceUnreadable $gone) {
            return null;
        }
        foreach ($sums as $algorithm => $sum) {
            $paths = $bySum[$algorithm][$sum] ?? [];
            if ($paths !== []) {
                $names = array_map(basename(...), $paths);
                $at = array_search($file->name, $names, true);
                $from = $paths[$at === false ? 0 : $at];
                $bySum[$algorithm][$sum] = array_values(array_diff($paths, [$from]));

                return $from;
            }
        }

        return null;
    }
}
