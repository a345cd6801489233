<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\Text;

/**
 * Looks through a listing: first every name, then every file. It goes on step by step, so that whoever runs it can
 * show how far it is, stop it for good, or keep a checkpoint and let another process continue.
 */
final class Scan
{
    /** Unpacking pixels takes its time. */
    private const MOST_SAMPLED_A_STEP = 4;

    private const PATHS_KEPT = 256;

    private ListedNames $names;

    private FactsTable $facts;

    private ChecksumPass $checksums;

    private readonly FileReading $reading;

    private bool $listed = false;

    private int $done = 0;

    /**
     * @param  bool  $sums  whether lists of checksums are compared
     * @param  KnownFacts|null  $known  what is not read again; only where head and tail would be read
     */
    public function __construct(
        private readonly Listing $listing,
        Probe $probe,
        private readonly ScanDepth $depth = ScanDepth::Quick,
        private readonly ?PixelSampler $sampler = null,
        private readonly bool $sums = false,
        ?CrashGuard $guard = null,
        ?KnownFacts $known = null,
    ) {
        $this->names = new ListedNames;
        $this->facts = new FactsTable;
        $this->checksums = new ChecksumPass;
        $this->reading = new FileReading($listing, $probe, $depth, $sampler, $guard, $known);
    }

    /**
     * Each step looks at about so many files and yields; stop iterating to stop the scan.
     *
     * @return \Generator<int, ScanProgress>
     *
     * @throws FolderRefused
     */
    public function steps(int $filesAStep = 500): \Generator
    {
        if (! $this->listed) {
            yield from $this->list($filesAStep);
        }
        $filesReadAStep = $this->sampler === null ? $filesAStep : min(self::MOST_SAMPLED_A_STEP, $filesAStep);
        foreach ($this->unread() as [$group, $row]) {
            $this->read($group, $row);
            if (++$this->done % $filesReadAStep === 0) {
                $path = Text::shown($group->listed($row)->path());
                yield new ScanProgress($this->done, $this->names->files(), $path);
            }
        }
        if ($this->sums && $this->checksums->result() === null) {
            yield from $this->checksums->steps($this->names, $this->reading, $filesAStep);
        }
    }

    /** @return \Generator<int, array{NameGroup, int}> group and row of each file that was not looked at yet */
    private function unread(): \Generator
    {
        foreach ($this->names->groups() as $group) {
            for ($row = $group->factsCount(); $row < $group->count(); $row++) {
                yield [$group, $row];
            }
        }
    }

    /**
     * The files that will be looked at next. All names are listed before, if they are not yet.
     *
     * @return list<ListedFile>
     *
     * @throws FolderRefused
     */
    public function upcoming(int $most): array
    {
        foreach ($this->listed ? [] : $this->list(1 << 30) as $_) {
            continue;
        }
        $files = [];
        foreach ($this->unread() as [$group, $row]) {
            if (count($files) >= $most) {
                break;
            }
            $files[] = $group->listed($row);
        }

        return $files;
    }

    /** Looks at so many of them. */
    public function readOn(int $files): void
    {
        foreach ($this->unread() as [$group, $row]) {
            if ($files-- <= 0) {
                break;
            }
            $this->read($group, $row);
            $this->done++;
        }
    }

    /** How far it is, once all names are listed. */
    public function progress(): ScanProgress
    {
        return new ScanProgress($this->done, $this->names->files(), '');
    }

    /** @return \Generator<int, ListedFile> lists of checksums among what was listed, where they are to be compared */
    public function checksumLists(): \Generator
    {
        if ($this->sums && $this->checksums->result() === null) {
            yield from ChecksumPass::listsAmong($this->names);
        }
    }

    /** @return \Generator<int, array{ListedFile, string}> whose checksums are listed, and by which algorithm */
    public function listedSums(): \Generator
    {
        if ($this->sums && $this->checksums->result() === null) {
            yield from ChecksumPass::askedAmong($this->names, $this->reading);
        }
    }

    /**
     * @return \Generator<int, ScanProgress>
     *
     * @throws FolderRefused where there are more than can be compared at once
     */
    private function list(int $filesAStep): \Generator
    {
        foreach ($this->listing->files() as $file) {
            $this->names->add($file);
            $tooMany = $this->names->tooMany($this->sampler !== null);
            if ($tooMany !== null) {
                throw FolderRefused::because(
                    basename($this->listing->root()),
                    "holds more than {$tooMany}. Check a folder further down",
                );
            }
            if ($this->names->files() % $filesAStep === 0) {
                yield new ScanProgress(0, null, Text::shown($file->path()));
            }
        }
        $this->names->sort();
        $this->listed = true;
    }

    /**
     * Looks at some of the files that were not looked at yet, for another scan of the very same names.
     *
     * @param  int  $skip  files before them
     * @param  int  $count  files
     */
    public function readShare(int $skip, int $count): ReadShare
    {
        $share = new ReadShare;
        foreach ($this->unread() as [$group, $row]) {
            if ($skip-- > 0) {
                continue;
            }
            if ($count-- <= 0) {
                break;
            }
            $this->readFor($share, $group, $row);
        }

        return $share;
    }

    private function readFor(ReadShare $share, NameGroup $group, int $row): void
    {
        if ($share->count() % self::PATHS_KEPT === 0) {
            clearstatcache(true);
        }
        $before = [$group->size($row), $group->modified($row), $group->refused($row)];
        $facts = $this->reading->facts($group, $row);
        $isAsListed = $before === [$group->size($row), $group->modified($row), $group->refused($row)];
        $share->add($facts, $isAsListed ? null : $group->listed($row));
        if ($this->sampler !== null) {
            $this->compare($group, $row, $facts, $this->sampler->approvedFrames());
            $sample = $this->reading->sample($group->listed($row), $facts);
            $share->addSample($this->sampler->packed($sample), $sample?->tooLarge, $group->distance($row));
        }
    }

    /** Takes what was found of the files that would be looked at next. */
    public function takeShare(ReadShare $share): void
    {
        $at = 0;
        foreach ($this->unread() as [$group, $row]) {
            if ($at >= $share->count()) {
                break;
            }
            $relisted = $share->relisted($at);
            $relisted === null ? null : $group->relist($row, $relisted);
            $facts = $share->facts($at);
            $group->addFacts($this->facts->intern($facts), $facts);
            $sample = $share->sample($at);
            $sample === null ? null : $group->addSample(...$sample);
            $distance = $share->distance($at++);
            $distance === false ? null : $group->setDistance($row, $distance);
            $this->done++;
        }
    }

    private function read(NameGroup $group, int $row): void
    {
        if ($this->done % self::PATHS_KEPT === 0) {
            // the engine keeps the path of every file it has opened, and searches in them
            clearstatcache(true);
        }
        $facts = $this->reading->facts($group, $row);
        $group->addFacts($this->facts->intern($facts), $facts);
        if ($this->sampler === null) {
            return;
        }
        $this->compare($group, $row, $facts, $this->sampler->approvedFrames());
        $sample = $this->reading->sample($group->listed($row), $facts);
        $group->addSample($this->sampler->packed($sample), $sample?->tooLarge);
    }

    /**
     * With the approved picture of its frame, where there is one.
     *
     * @param  list<int>  $approved
     */
    private function compare(NameGroup $group, int $row, MediaFacts $facts, array $approved): void
    {
        foreach ($approved as $frame) {
            if ($group->hasNumber($row, $frame) && ($facts->kind?->isPicture() ?? false)) {
                $group->setDistance($row, $this->reading->distance($group->listed($row), $facts, $frame));

                return;
            }
        }
    }

    /**
     * All of it, in one go.
     *
     * @param  int  $now  seconds since 1970: the moment of the scan
     */
    public function run(int $now): Delivery
    {
        foreach ($this->steps(1 << 30) as $_) {
            continue;
        }

        return $this->delivery($now);
    }

    /** What was found, once every step has been taken. */
    public function delivery(int $now): Delivery
    {
        return new Delivery(
            $this->names->groups(),
            $this->facts,
            $this->names->odd(),
            $now,
            $this->depth,
            new DeliveryPlace(
                $this->listing->root(),
                $this->listing->mayGrow(),
                $this->listing instanceof PartlyPlaced ? $this->listing->knownFolders() : null,
            ),
            $this->checksums->result(),
        );
    }

    /** @return array<string, mixed> plain values that JSON can hold */
    public function checkpoint(): array
    {
        return [
            'listed' => $this->listed,
            'done' => $this->done,
            'facts' => $this->facts->toArray(),
        ] + $this->names->checkpoint() + $this->checksums->checkpoint();
    }

    /**
     * Goes on where a checkpoint was taken. One taken while names were still being listed starts over.
     *
     * @param  array<string, mixed>  $checkpoint
     */
    public function resume(array $checkpoint): self
    {
        if (($checkpoint['listed'] ?? false) !== true) {
            return $this;
        }
        /**
         * @var array{files: int, done: int, odd: string, summed_up?: int, sums?: array{lists: int, unlisted: int,
         *   wrong: int, absent: int, names: list<string>}|null, facts: list<list<mixed>>,
         *   groups: list<array{folder: string, literals: list<string>, first: list<string>, count: int,
         *   columns: list<string>, digits: list<string>, sizes: string, times: string, facts: string,
         *   refused: array<int, string>, identities?: string, unlooked?: array<int, string>, looks?: string,
         *   look_length?: int, other_frame?: array<int, int>, timecodes?: array<int, string>,
         *   distances?: array<int, array{int|null, int, string}|null>}>} $checkpoint
         */
        $this->listed = true;
        $this->done = $checkpoint['done'];
        $this->names = ListedNames::resume($checkpoint);
        $this->facts = FactsTable::fromArray($checkpoint['facts']);
        $this->checksums = ChecksumPass::resume($checkpoint);

        return $this;
    }
}
