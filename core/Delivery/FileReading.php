<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\PixelSample;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SourceUnreadable;

/** Opens the files of a listing, one at a time; whatever a file is, something can be said of it. */
final readonly class FileReading
{
    private const NOT_HERE = 'not looked at from here: only the whole files would show it, and they were not sent';

    /** A file that is being written is looked at again so many times, as it is by then. */
    private const AGAIN = 3;

    public function __construct(
        private Listing $listing,
        private Probe $probe,
        private ScanDepth $depth,
        private ?PixelSampler $sampler,
        private ?CrashGuard $guard,
        private ?KnownFacts $known = null,
    ) {}

    public function facts(NameGroup $group, int $row): MediaFacts
    {
        for ($try = 0; ; $try++) {
            $file = $group->listed($row);
            if ($file->refused !== null) {
                return MediaFacts::damaged(null, Damage::Unreadable, $file->refused);
            }
            if ($file->size === 0) {
                return MediaFacts::damaged(null, Damage::Empty, 'the file is empty');
            }
            $known = $this->depth === ScanDepth::Quick ? $this->known?->of($group, $row) : null;
            if ($known !== null) {
                return $known;
            }
            try {
                return $this->guard === null
                    ? $this->probe->read($this->listing->open($file), $this->depth)
                    : $this->readGuarded($file, $this->guard);
            } catch (SourceUnreadable $gone) {
                if (! $gone->isChanged() || $try >= self::AGAIN) {
                    return MediaFacts::damaged(null, Damage::Unreadable, $gone->reason());
                }
                // it is being written: as it is now
                $group->relist($row, $this->listing->again($file));
            }
        }
    }

    /** @throws SourceUnreadable|BytesMissing */
    private function readGuarded(ListedFile $file, CrashGuard $guard): MediaFacts
    {
        $quickly = $this->depth === ScanDepth::Full && $guard->avoids($file, ScanStage::Full);
        $depth = $quickly ? ScanDepth::Quick : $this->depth;
        if ($guard->avoids($file, ScanStage::reading($depth))) {
            return MediaFacts::damaged(null, Damage::Unreadable, CrashGuard::WHY);
        }
        $guard->begin($file, ScanStage::reading($depth));
        $facts = $this->probe->read($this->listing->open($file), $depth);

        return $quickly && $facts->isWhole() ? $facts->withUnread(CrashGuard::WHY) : $facts;
    }

    /** Null where there are no pixels to be had. */
    public function sample(ListedFile $file, MediaFacts $facts): ?PixelSample
    {
        if (! $this->may($file, ScanStage::Look)) {
            return PixelSample::tooLarge(CrashGuard::WHY, '');
        }
        try {
            return $this->sampler?->sample($this->listing->open($file), $facts);
        } catch (BytesMissing) {
            return PixelSample::tooLarge(self::NOT_HERE, '');
        } catch (SourceUnreadable) {
            return null;
        }
    }

    /** From the approved picture of its frame; null where the two cannot be compared. */
    public function distance(ListedFile $file, MediaFacts $facts, int $frame): ?PictureDistance
    {
        if (! $this->may($file, ScanStage::Look)) {
            return null;
        }
        try {
            return $this->sampler?->distance($this->listing->open($file), $facts, $frame);
        } catch (BytesMissing|SourceUnreadable) {
            return null;
        }
    }

    /** @return array<array-key, array{string, string}> what a list of checksums has: algorithm and sum by path */
    public function checksumList(ListedFile $file): array
    {
        try {
            return ChecksumList::read($this->listing->open($file), $file->folder, $file->name)->sums;
        } catch (BytesMissing|SourceUnreadable) {
            return [];
        }
    }

    /** Null where it cannot be read. */
    public function checksum(ListedFile $file, string $algorithm): ?string
    {
        if ($file->refused !== null || ! $this->may($file, ScanStage::Sum)) {
            return null;
        }
        if ($this->listing instanceof KnowsSums) {
            return $this->listing->sum($file, $algorithm);
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

    /** Whether a step may be taken with a file; told before it is. */
    private function may(ListedFile $file, ScanStage $stage): bool
    {
        if ($this->guard?->avoids($file, $stage) === true) {
            return false;
        }
        $this->guard?->begin($file, $stage);

        return true;
    }
}
