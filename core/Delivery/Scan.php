<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\Depth;
use PlainLedger\Core\Media\Look;
use PlainLedger\Core\Media\Looker;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceGone;

/**
 * Looks through a listing: first every name, then every file. It goes on step by step, so that whoever runs it can
 * show how far it is, stop it for good, or keep a checkpoint and let another process continue.
 */
final class Scan
{
    /** More groups than this are no sequences any more; further odd names are only counted as strays. */
    private const MOST_GROUPS = 20_000;

    private const MOST_FILES = 5_000_000;

    /** A file that is being written is looked at again so many times, as it is by then. */
    private const AGAIN = 3;

    private const NOBODYS = ['.ds_store' => 1, 'thumbs.db' => 1, 'desktop.ini' => 1];

    /** @var array<array-key, NameGroup> */
    private array $groups = [];

    /** The one that took the file before: mostly it takes the next one too. */
    private ?NameGroup $last = null;

    /** Names beyond the last group, each ended by a zero byte. */
    private string $odd = '';

    private FactsTable $facts;

    private bool $listed = false;

    private int $files = 0;

    private int $done = 0;

    private ?Checksums $checksums = null;

    public function __construct(private readonly Listing $listing, private readonly Probe $probe, private readonly Depth $depth = Depth::Quick, private readonly ?Looker $looker = null, private readonly bool $sums = false)
    {
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
                if ($this->files > self::MOST_FILES) {
                    throw FolderRefused::because($file->folder, 'lies in a delivery of more than '.number_format(self::MOST_FILES).' files; check a folder further down');
                }
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
                $group->tellPlace($row, $facts->frameNumber, $facts->timecode);
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
                try {
                    $group->tellDistance($row, $this->looker?->distance($this->listing->open($group->listed($row)), $facts, $frame));
                } catch (BytesMissing|SourceGone) {
                    $group->tellDistance($row, null);
                }

                return;
            }
        }
    }

    /**
     * Every file beside the lists of checksums that lie among them.
     *
     * @return \Generator<int, ScanProgress>
     */
    private function summed(int $filesAStep): \Generator
    {
        $lists = [];
        $listed = [];
        foreach ($this->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $name = $group->name($row);
                if (ChecksumList::isNamedSo($name) && $group->size($row) > 0) {
                    $lists[$group->folder.'/'.$name] = true;
                    $listed += $this->sumsIn($group, $row);
                }
            }
        }
        $sums = new Checksums(count($lists), 0, 0, 0, []);
        $done = 0;
        foreach ($lists === [] ? [] : $this->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $name = $group->name($row);
                $path = $group->folder === '' ? $name : "{$group->folder}/{$name}";
                if (isset($lists[$group->folder.'/'.$name])) {
                    continue;
                }
                [$algorithm, $sum] = $listed[$path] ?? ['', ''];
                unset($listed[$path]);
                $sums = match (true) {
                    $algorithm === '' => $sums->withUnlisted($path),
                    $this->sumOf($group, $row, $algorithm) !== $sum => $sums->withWrong($path),
                    default => $sums,
                };
                if (++$done % min(20, $filesAStep) === 0) {
                    yield new ScanProgress($done, $this->files, Text::shown($path));
                }
            }
        }
        foreach (array_keys($listed) as $path) {
            $sums = $sums->withAbsent((string) $path);
        }
        $this->checksums = $sums;
    }

    /** @return array<string, array{string, string}> */
    private function sumsIn(NameGroup $group, int $row): array
    {
        try {
            return ChecksumList::read($this->listing->open($group->listed($row)), $group->folder)->sums;
        } catch (BytesMissing|SourceGone) {
            return [];
        }
    }

    private function sumOf(NameGroup $group, int $row, string $algorithm): ?string
    {
        if ($group->refused($row) !== null) {
            return null;
        }
        try {
            $hash = hash_init($algorithm);
            $source = $this->listing->open($group->listed($row));
            for ($at = 0, $size = $source->size(); $at < $size; $at += 1 << 20) {
                hash_update($hash, $source->read($at, min(1 << 20, $size - $at)));
            }

            return hash_final($hash);
        } catch (BytesMissing|SourceGone) {
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
                $this->files--;

                return;
            }
            $this->groups[$key] = NameGroup::begin($file->folder, $literals, $numbers);
        }
        $this->groups[$key]->add($numbers, $file);
        $this->last = $this->groups[$key];
    }

    private function probed(NameGroup $group, int $row): MediaFacts
    {
        $facts = null;
        for ($try = 0; $facts === null; $try++) {
            $facts = $this->tried($group, $row, $try >= self::AGAIN);
        }

        return $facts;
    }

    /** Null where it has been changed since it was listed, and is to be tried as it is now. */
    private function tried(NameGroup $group, int $row, bool $last): ?MediaFacts
    {
        $file = $group->listed($row);
        if ($file->refused !== null) {
            return MediaFacts::damaged(null, Damage::Unreadable, $file->refused);
        }
        if ($file->size === 0) {
            return MediaFacts::damaged(null, Damage::Empty, 'the file is empty');
        }
        try {
            return $this->probe->read($this->listing->open($file), $this->depth);
        } catch (SourceGone $gone) {
            if ($gone->changed && ! $last) {
                $group->relist($row, $this->listing->again($file));

                return null;
            }

            return MediaFacts::damaged(null, Damage::Unreadable, $gone->why);
        }
    }

    private function looked(NameGroup $group, int $row, MediaFacts $facts): ?Look
    {
        try {
            return $this->looker?->look($this->listing->open($group->listed($row)), $facts);
        } catch (BytesMissing|SourceGone) {
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

        return new Delivery(array_values($this->groups), $this->facts, $odd, $now, $this->depth, $this->listing->root(), $this->checksums);
    }

    /** @return array<string, mixed> plain values that JSON can hold */
    public function checkpoint(): array
    {
        return [
            'listed' => $this->listed, 'files' => $this->files, 'done' => $this->done,
            'groups' => array_map(static fn (NameGroup $g): array => $g->checkpoint(), array_values($this->groups)),
            'facts' => $this->facts->toArray(),
            'odd' => base64_encode($this->odd),
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
        /** @var array{files: int, done: int, odd: string, facts: list<list<mixed>>, groups: list<array{folder: string, literals: list<string>, first: list<string>, count: int, columns: list<string>, digits: list<string>, sizes: string, times: string, facts: string, refused: array<int, string>, identities?: string, unlooked?: array<int, string>, looks?: string, look_length?: int, other_frame?: array<int, int>, timecodes?: array<int, string>, distances?: array<int, array{int|null, int, string}|null>}>} $checkpoint */
        $this->listed = true;
        [$this->files, $this->done] = [$checkpoint['files'], $checkpoint['done']];
        $this->groups = [];
        foreach ($checkpoint['groups'] as $n => $group) {
            $this->groups[(string) $n] = NameGroup::fromArray($group);
        }
        $this->facts = FactsTable::fromArray($checkpoint['facts']);
        $this->odd = (string) base64_decode($checkpoint['odd'], true);

        return $this;
    }
}
