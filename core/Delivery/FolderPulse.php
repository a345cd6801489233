<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\Kind;

/** What lies in a folder at one moment, without opening any of it. */
final readonly class FolderPulse
{
    /** More are not counted: they are a tree, and no render. */
    private const MOST = 500_000;

    /** Seconds for which a file that was just written is taken to be still on its way. */
    private const FRESH = 15;

    /**
     * @param  int  $at  when, in seconds since 1970
     * @param  int  $pictures  files that are pictures by their extension
     * @param  int  $others  other files
     * @param  int  $newest  when the newest of them was changed; 0 where there is none
     * @param  int  $arriving  how many were written to within the last seconds
     * @param  int  $gap  the usual time between two pictures, in seconds
     */
    public function __construct(
        public int $at,
        public int $pictures,
        public int $others,
        public int $bytes,
        public int $newest,
        public int $arriving,
        public int $gap,
    ) {}

    /** @throws FolderRefused */
    public static function of(Listing $listing, int $at): self
    {
        [$pictures, $others, $bytes, $newest, $arriving, $times] = [0, 0, 0, 0, 0, ''];
        foreach ($listing->files() as $file) {
            if ($pictures + $others >= self::MOST) {
                break;
            }
            $isPicture = Kind::fromExtension(pathinfo($file->name, PATHINFO_EXTENSION))?->isPicture() ?? false;
            $pictures += $isPicture ? 1 : 0;
            $others += $isPicture ? 0 : 1;
            $times .= $isPicture ? pack('q', $file->modified) : '';
            $bytes += $file->size;
            $newest = max($newest, $file->modified);
            $arriving += abs($at - $file->modified) < self::FRESH ? 1 : 0;
        }

        $gap = ArrivalGap::of(IntColumn::ofPacked($times));

        return new self($at, $pictures, $others, $bytes, $newest, $arriving, $gap);
    }

    /** Whether nothing has come, grown or been changed since. */
    public function isAs(self $before): bool
    {
        return [$this->pictures, $this->others, $this->bytes, $this->newest]
            === [$before->pictures, $before->others, $before->bytes, $before->newest];
    }

    public function isEmpty(): bool
    {
        return $this->pictures + $this->others === 0;
    }

    /** @return list<int> plain values that JSON can hold */
    public function toArray(): array
    {
        return [$this->at, $this->pictures, $this->others, $this->bytes, $this->newest, $this->arriving, $this->gap];
    }

    /** @param  array{int, int, int, int, int, int, int}  $data */
    public static function fromArray(array $data): self
    {
        return new self(...$data);
    }
}
