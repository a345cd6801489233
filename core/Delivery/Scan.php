<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PixelSample;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Text\Text;

/**
 * Looks through a listing: first every name, then every file. It goes on step by step, so that whoever runs it can
 * show how far it is, stop it for good, or keep a checkpoint and let another process continue.
 */
final class Scan
{
    /** More groups than this are no sequences any more; further odd names are only counted as strays. */
    private const MOST_GROUPS = 20_000;

    /** What a thousand megabytes hold when they are compared. */
    private const MOST_FILES = 2_000_000;

    /** Odd names are kept one by one. */
    private const MOST_ODD = 500_000;

    /** Where pixels are looked at, what is found is kept of each. */
    private const MOST_LOOKED_AT = 100_000;

    /** A file that is being written is looked at again so many times, as it is by then. */
    private const AGAIN = 3;

    private const NOBODYS = ['.ds_store' => 1, 'thumbs.db' => 1, 'desktop.ini' => 1];

    /** @var array<array-key, NameGroup> */
    private array $groups = [];

    /** The one that took the file before: mostly it takes the next one too. */
    private ?NameGroup $last = null;

    /** Names beyond the last group, each ended by a zero byte. */
    private string $odd = '';

    private int $odds = 0;

    private FactsTable $facts;

    private bool $listed = false;

    private int $files = 0;

    private int $done = 0;

    private ?ChecksumComparison $checksums = null;

    private ?ChecksumComparison $sumsSoFar = null;

    /** How many files have been compared with their checksums. */
    private int $summedUp = 0;

    public function __construct(
        private readonly Listing $listing,
        private readonly Probe $probe,
        private readonly ScanDepth $depth = ScanDepth::Quick,
        private readonly ?PixelSampler $looker = null,
        private readonly bool $sums = false,
        private readonly ?CrashGuard $caution = null,
    ) {
        $this->facts = new FactsTable;
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
            foreach ($this->listing->files() as $file) {
                $this->put($file);
                $this->hold();
                if ($this->files % $filesAStep === 0) {
                    yield new ScanProgress(0, null, Text::shown($file->path()));
                }
            }
            ksort($this->groups, SORT_STRING);
            $this->listed = true;
        }
        foreach ($this->groups as $group) {
            for ($row = $group->told(); $row < $group->count(); $row++) {
                $facts = $this->probed($group, $row);
                $group->tellFacts($this->facts->intern($facts));
                $group->tellPlace($row, $facts->timing->frameNumber, $facts->timing->timecode);
                $this->compare($group, $row, $facts);
                if ($this->looker !== null) {
                    $look = $this->looked($group, $row, $facts);
                    $group->tellLook($this->looker->packed($look), $look?->tooLarge);
                }
                // pixels take their time
                if (++$this->done % ($this->looker === null ? $filesAStep : min(4, $filesAStep)) === 0) {
                    yield new ScanProgress($this->done, $this->files, Text::shown($group->listed($row)->path()));
                }
            }
        }
        if ($this->sums && $this->checksums === null) {
            yield from $this->summed($filesAStep);
        }
    }

    /** With the approved picture of its frame, where there is one. */
    private function compare(NameGroup $group, int $row, MediaFacts $facts): void
    {
        foreach ($this->looker?->approvedFrames() ?? [] as $frame) {
            if ($group->hasNumber($row, $frame) && ($facts->kind?->isPicture() ?? false)) {
                $file = $group->listed($row);
                if (! $this->may($file, ScanStage::Look)) {
                    $group->tellDistance($row, null);

                    return;
                }
                try {
                    $group->tellDistance($row, $this->looker?->distance($this->listing->open($file), $facts, $frame));
                } catch (BytesMissing|SourceUnreadable) {
                    $group->tellDistance($row, null);
                }

                return;
            }
        }
    }

    /**
     * Every file beside the lists of checksums that lie among them. What was compared before a checkpoint is not read again.
     *
     * @return \Generator<int, ScanProgress>
     */
    private function summed(int $filesAStep): \Generator
    {
        [$lists, $listed] = $this->checksumLists();
        $this->sumsSoFar ??= new ChecksumComparison(count($lists), 0, 0, 0, []);
        $at = 0;
        foreach ($lists === [] ? [] : $this->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $file = $group->listed($row);
                if (isset($lists[$file->path()])) {
                    continue;
                }
                $expected = $listed[$file->path()] ?? null;
                unset($listed[$file->path()]);
                if (++$at <= $this->summedUp) {
                    continue;
                }
                $this->sumsSoFar = $this->withSum($this->sumsSoFar, $file, $expected);
                $this->summedUp = $at;
                if ($at % min(20, $filesAStep) === 0) {
                    yield new ScanProgress($at, $this->files, Text::shown($file->path()));
                }
            }
        }
        foreach (array_keys($listed) as $path) {
            $this->sumsSoFar = $this->sumsSoFar->withAbsent((string) $path);
        }
        $this->checksums = $this->sumsSoFar;
    }

    /** @return array{array<array-key, true>, array<array-key, array{string, string}>} paths of the lists, and what they list: algorithm and sum by path */
    private function checksumLists(): array
    {
        $lists = [];
        $listed = [];
        foreach ($this->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                if (ChecksumList::isNamedSo($group->name($row)) && $group->size($row) > 0) {
                    $lists[$group->listed($row)->path()] = true;
                    $listed += $this->sumsIn($group, $row);
                }
            }
        }

        return [$lists, $listed];
    }

    /** @param  array{string, string}|null  $expected  algorithm and sum; null where no list has it */
    private function withSum(ChecksumComparison $sums, ListedFile $file, ?array $expected): ChecksumComparison
    {
        if ($expected === null) {
            return $sums->withUnlisted($file->path());
        }

        return $this->sumOf($file, $expected[0]) === $expected[1] ? $sums : $sums->withWrong($file->path());
    }

    /** @return array<string, array{string, string}> */
    private function sumsIn(NameGroup $group, int $row): array
    {
        try {
            return ChecksumList::read($this->listing->open($group->listed($row)), $group->folder)->sums;
        } catch (BytesMissing|SourceUnreadable) {
            return [];
        }
    }

    private function sumOf(ListedFile $file, string $algorithm): ?string
    {
        if ($file->refused !== null || ! $this->may($file, ScanStage::Sum)) {
            return null;
        }
        try {
            $hash = hash_init($algorithm);
            $source = $this->listing->open($file);
            for ($at = 0, $size = $source->size(); $at < $size; $at += 1 << 20) {
                hash_update($hash, $source->read($at, min(1 << 20, $size - $at)));
            }

            return hash_final($hash);
        } catch (BytesMissing|SourceUnreadable) {
            return null;
        }
    }

    private function put(ListedFile $file): void
    {
        if (isset(self::NOBODYS[strtolower($file->name)]) || str_starts_with($file->name, '._')) {
            return;
        }
        $this->files++;
        if ($this->last?->takes($file) === true) {
            return;
        }
        [$literals, $numbers] = NameGroup::split($file->name);
        $key = $file->folder."\0".implode("\1", $literals);
        if (! isset($this->groups[$key])) {
            if (count($this->groups) >= self::MOST_GROUPS) {
                $this->odd .= $file->path()."\0";
                $this->odds++;
                $this->files--;

                return;
            }
            $this->groups[$key] = NameGroup::begin($file->folder, $literals, $numbers);
        }
        $this->groups[$key]->add($numbers, $file);
        $this->last = $this->groups[$key];
    }

    /** @throws FolderRefused where there are more than can be compared at once */
    private function hold(): void
    {
        $over = match (true) {
            $this->files > self::MOST_FILES => number_format(self::MOST_FILES).' files, more than are compared at once',
            $this->odds > self::MOST_ODD => number_format(self::MOST_ODD)
                .' files that belong to no sequence, more than are told apart',
            $this->looker !== null
                && $this->files > self::MOST_LOOKED_AT => number_format(self::MOST_LOOKED_AT)
                    .' files, and their pixels are to be looked at',
            default => null,
        };
        if ($over !== null) {
            throw FolderRefused::because(
                basename($this->listing->root()),
                "holds more than {$over}. Check a folder further down",
            );
        }
    }

    private function probed(NameGroup $group, int $row): MediaFacts
    {
        for ($try = 0; ; $try++) {
            $file = $group->listed($row);
            if ($file->refused !== null) {
                return MediaFacts::damaged(null, Damage::Unreadable, $file->refused);
            }
            if ($file->size === 0) {
                return MediaFacts::damaged(null, Damage::Empty, 'the file is empty');
            }
            try {
                return $this->caution === null
                    ? $this->probe->read($this->listing->open($file), $this->depth)
                    : $this->readCarefully($file, $this->caution);
            } catch (SourceUnreadable $gone) {
                if (! $gone->changed || $try >= self::AGAIN) {
                    return MediaFacts::damaged(null, Damage::Unreadable, $gone->why);
                }
                // it is being written: as it is now
                $group->relist($row, $this->listing->again($file));
            }
        }
    }

    /** @throws SourceUnreadable|BytesMissing */
    private function readCarefully(ListedFile $file, CrashGuard $caution): MediaFacts
    {
        $quickly = $this->depth === ScanDepth::Full && $caution->avoids($file, ScanStage::Full);
        $depth = $quickly ? ScanDepth::Quick : $this->depth;
        if ($caution->avoids($file, ScanStage::reading($depth))) {
            return MediaFacts::damaged(null, Damage::Unreadable, CrashGuard::WHY);
        }
        $caution->begin($file, ScanStage::reading($depth));
        $facts = $this->probe->read($this->listing->open($file), $depth);

        return $quickly && $facts->isWhole() ? $facts->withUnread(CrashGuard::WHY) : $facts;
    }

    /** Whether a step may be taken with a file; told before it is. */
    private function may(ListedFile $file, ScanStage $stage): bool
    {
        if ($this->caution?->avoids($file, $stage) === true) {
            return false;
        }
        $this->caution?->begin($file, $stage);

        return true;
    }

    private function looked(NameGroup $group, int $row, MediaFacts $facts): ?PixelSample
    {
        $file = $group->listed($row);
        if (! $this->may($file, ScanStage::Look)) {
            return PixelSample::tooLarge(CrashGuard::WHY, '');
        }
        try {
            return $this->looker?->look($this->listing->open($file), $facts);
        } catch (BytesMissing|SourceUnreadable) {
            return null;
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
        $odd = $this->odd === '' ? [] : explode("\0", substr($this->odd, 0, -1));

        return new Delivery(
            array_values($this->groups),
            $this->facts,
            $odd,
            $now,
            $this->depth,
            $this->listing->root(),
            $this->checksums,
        );
    }

    /** @return array<string, mixed> plain values that JSON can hold */
    public function checkpoint(): array
    {
        return [
            'listed' => $this->listed, 'files' => $this->files, 'done' => $this->done,
            'groups' => array_map(static fn (NameGroup $g): array => $g->checkpoint(), array_values($this->groups)),
            'facts' => $this->facts->toArray(),
            'odd' => base64_encode($this->odd), 'summed_up' => $this->summedUp, 'sums' => $this->sumsSoFar?->toArray(),
        ];
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
        /** @var array{files: int, done: int, odd: string, summed_up?: int, sums?: array{lists: int, unlisted: int, wrong: int, absent: int, names: list<string>}|null, facts: list<list<mixed>>, groups: list<array{folder: string, literals: list<string>, first: list<string>, count: int, columns: list<string>, digits: list<string>, sizes: string, times: string, facts: string, refused: array<int, string>, identities?: string, unlooked?: array<int, string>, looks?: string, look_length?: int, other_frame?: array<int, int>, timecodes?: array<int, string>, distances?: array<int, array{int|null, int, string}|null>}>} $checkpoint */
        $this->listed = true;
        [$this->files, $this->done] = [$checkpoint['files'], $checkpoint['done']];
        $this->groups = [];
        foreach ($checkpoint['groups'] as $n => $group) {
            $this->groups[(string) $n] = NameGroup::fromArray($group);
        }
        $this->facts = FactsTable::fromArray($checkpoint['facts']);
        $this->odd = (string) base64_decode($checkpoint['odd'], true);
        $this->summedUp = $checkpoint['summed_up'] ?? 0;
        $this->sumsSoFar = isset($checkpoint['sums']) ? ChecksumComparison::fromArray($checkpoint['sums']) : null;

        return $this;
    }
}
