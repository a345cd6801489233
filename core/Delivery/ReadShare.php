<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureDistance;

/** What one process found of a share of a listing's files, for the one that keeps the scan. In the files' order. */
final class ReadShare
{
    private readonly FactsTable $table;

    private string $ids = '';

    /** @var array<int, array{int|null, string|null}> number and timecode that a frame tells of itself */
    private array $moments = [];

    /** @var array<int, ListedFile> files that were changed since they were listed, as they are now */
    private array $relisted = [];

    /** @var list<array{string, string|null}> packed, and why pixels were not unpacked */
    private array $samples = [];

    /** @var array<int, PictureDistance|null> */
    private array $distances = [];

    public function __construct()
    {
        $this->table = new FactsTable;
    }

    public function add(MediaFacts $facts, ?ListedFile $relisted): void
    {
        $at = $this->count();
        $this->ids .= pack('V', $this->table->intern($facts));
        [$frame, $timecode] = [$facts->timing->frameNumber, $facts->timing->timecode];
        if ($frame !== null || $timecode !== null) {
            $this->moments[$at] = [$frame, $timecode];
        }
        if ($relisted !== null) {
            $this->relisted[$at] = $relisted;
        }
    }

    /** Of the file that was added last. */
    public function addSample(string $packed, ?string $tooLarge, PictureDistance|false|null $distance): void
    {
        $this->samples[] = [$packed, $tooLarge];
        if ($distance !== false) {
            $this->distances[$this->count() - 1] = $distance;
        }
    }

    public function count(): int
    {
        return intdiv(strlen($this->ids), 4);
    }

    public function facts(int $at): MediaFacts
    {
        /** @var array{1: int} $id */
        $id = unpack('V', $this->ids, 4 * $at);

        return $this->table->get($id[1])->ofFrame(...$this->moments[$at] ?? [null, null]);
    }

    public function relisted(int $at): ?ListedFile
    {
        return $this->relisted[$at] ?? null;
    }

    /** @return array{string, string|null}|null */
    public function sample(int $at): ?array
    {
        return $this->samples[$at] ?? null;
    }

    /** False where it was not compared with any. */
    public function distance(int $at): PictureDistance|false|null
    {
        return array_key_exists($at, $this->distances) ? $this->distances[$at] : false;
    }
}
