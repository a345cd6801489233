<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\SystemFiles;
use PlainLedger\Core\Text\Text;

/** Every file beside the lists of checksums that lie among them. */
final class ChecksumPass
{
    /** Reading a file whole takes its time. */
    private const MOST_A_STEP = 20;

    private ?ChecksumComparison $soFar = null;

    /** How many files have been compared. */
    private int $done = 0;

    private bool $finished = false;

    /** Null until every file was compared. */
    public function result(): ?ChecksumComparison
    {
        return $this->finished ? $this->soFar : null;
    }

    /**
     * What was compared before a checkpoint is not read again.
     *
     * @return \Generator<int, ScanProgress>
     */
    public function steps(ListedNames $names, FileReading $reading, int $filesAStep): \Generator
    {
        [$lists, $expected] = self::lists($names, $reading);
        $this->soFar ??= new ChecksumComparison(count($lists), 0, 0, 0, []);
        $at = 0;
        foreach ($lists === [] ? [] : self::files($names) as $file) {
            $path = $file->path();
            if (isset($lists[$path]) || ChecksumList::isChain($path) || SystemFiles::has($path)) {
                continue;
            }
            $sum = $expected[$path] ?? null;
            unset($expected[$path]);
            if (++$at <= $this->done) {
                continue;
            }
            $this->soFar = self::compared($this->soFar, $file, $sum, $reading);
            $this->done = $at;
            if ($at % min(self::MOST_A_STEP, $filesAStep) === 0) {
                yield new ScanProgress($at, $names->files(), Text::shown($path));
            }
        }
        foreach (array_keys($expected) as $path) {
            $this->soFar = $this->soFar->withAbsent((string) $path);
        }
        $this->finished = true;
    }

    /** @return \Generator<int, ListedFile> */
    private static function files(ListedNames $names): \Generator
    {
        foreach ($names->groups() as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                yield $group->listed($row);
            }
        }
    }

    /**
     * What several lists say of one file has to be true of it by the first of them: of ASC MHL documents that is the
     * one that was written first.
     *
     * @return array{array<array-key, true>, array<array-key, array{string, string}>} paths of the lists, and what
     *   they list: algorithm and sum by path
     */
    private static function lists(ListedNames $names, FileReading $reading): array
    {
        $lists = [];
        foreach (self::listsAmong($names) as $file) {
            $lists[$file->path()] = $file;
        }
        ksort($lists, SORT_STRING);
        $listed = [];
        foreach ($lists as $file) {
            $listed += $reading->checksumList($file);
        }

        return [array_fill_keys(array_keys($lists), true), $listed];
    }

    /** @return \Generator<int, ListedFile> lists of checksums */
    public static function listsAmong(ListedNames $names): \Generator
    {
        foreach (self::files($names) as $file) {
            if (ChecksumList::isNamedSo($file->name) && $file->size > 0) {
                yield $file;
            }
        }
    }

    /** @return \Generator<int, array{ListedFile, string}> files that a list has, and the algorithm of their sums */
    public static function askedAmong(ListedNames $names, FileReading $reading): \Generator
    {
        [$lists, $listed] = self::lists($names, $reading);
        foreach ($listed === [] ? [] : self::files($names) as $file) {
            $path = $file->path();
            if (isset($listed[$path]) && ! isset($lists[$path])) {
                yield [$file, $listed[$path][0]];
            }
        }
    }

    /** @param  array{string, string}|null  $expected  algorithm and sum; null where no list has it */
    private static function compared(
        ChecksumComparison $sums,
        ListedFile $file,
        ?array $expected,
        FileReading $reading,
    ): ChecksumComparison {
        if ($expected === null) {
            return $sums->withUnlisted($file->path());
        }

        return $reading->checksum($file, $expected[0]) === $expected[1] ? $sums : $sums->withWrong($file->path());
    }

    /** @return array{summed_up: int, sums: array<string, mixed>|null} plain values that JSON can hold */
    public function checkpoint(): array
    {
        return ['summed_up' => $this->done, 'sums' => $this->soFar?->toArray()];
    }

    /**
     * @param  array{summed_up?: int, sums?: array{lists: int, unlisted: int, wrong: int, absent: int,
     *   names: list<string>}|null} $checkpoint
     */
    public static function resume(array $checkpoint): self
    {
        $pass = new self;
        $pass->done = $checkpoint['summed_up'] ?? 0;
        $pass->soFar = isset($checkpoint['sums']) ? ChecksumComparison::fromArray($checkpoint['sums']) : null;

        return $pass;
    }
}
