<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** One header of an OpenEXR file. */
final readonly class ExrPart
{
    public function __construct(
        public ExrChannels $channels,
        public ExrStorage $storage,
        public ExrWindow $data,
        public ExrWindow $display,
        public ExrLabels $labels,
    ) {}

    public function isTiled(): bool
    {
        return $this->storage->tiles !== null;
    }

    /** How many chunks its offset table has: as told, else as its size makes it. */
    public function chunks(): int
    {
        if ($this->storage->chunkCount !== null) {
            return $this->storage->chunkCount;
        }
        $lines = $this->storage->linesPerChunk();

        return $this->storage->tiles?->count($this->data->width(), $this->data->height())
            ?? intdiv($this->data->height() + $lines - 1, $lines);
    }

    /** What a chunk unpacks to at most, in bytes; $number is its place down the picture. */
    public function unpackedChunk(int $number): int
    {
        $lines = $this->storage->linesPerChunk();
        $left = max(1, min($lines, $this->data->height() - $number * $lines));
        $pixels = $this->storage->tiles?->pixels() ?? $this->data->width() * $left;

        return $this->channels->bytesOfPixel() * $pixels;
    }

    /** What all of it unpacks to, in bytes. */
    public function unpacked(): int
    {
        return $this->channels->bytesOfPixel() * $this->data->width() * $this->data->height();
    }
}
