<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Readers\ExrHeader;
use PlainLedger\Core\Media\Readers\ExrPart;

/** The largest picture of one part of OpenEXR, so many lines at a time: of scanlines a chunk each, of tiles a row. */
final readonly class ExrBands
{
    private ExrPart $part;

    private ExrUnpacker $unpacker;

    public function __construct(private ByteSource $source, private ExrHeader $file, private int $number)
    {
        $this->part = $file->parts[$number];
        $this->unpacker = ExrUnpacker::of($this->part->channels, $this->part->storage->compression);
    }

    /** Lines of one. */
    public function height(): int
    {
        return $this->part->storage->tiles?->height() ?? $this->part->storage->linesPerChunk();
    }

    /**
     * @return \Generator<int, array{list<array{ExrBlock, int}>, int}> blocks from the left with the width of each, and
     *   how many lines they have
     *
     * @throws PixelsRefused
     */
    public function all(): \Generator
    {
        $width = $this->part->data->width();
        $side = $this->part->storage->tiles?->width() ?? $width;
        $across = intdiv($width + $side - 1, $side);
        $height = $this->part->data->height();
        for ($row = 0, $y = 0; $y < $height; $row++, $y += $this->height()) {
            $lines = min($this->height(), $height - $y);
            $blocks = [];
            for ($column = 0; $column < $across; $column++) {
                $own = min($side, $width - $column * $side);
                $chunk = $this->chunk($row * $across + $column, $row, $column);
                $blocks[] = [$this->unpacker->block($chunk, $own, $lines), $own];
            }
            yield [$blocks, $lines];
        }
    }

    /** The packed bytes of one. */
    private function chunk(int $number, int $row, int $column): string
    {
        $entry = $this->table() + 8 * $number;
        /** @var array{1: int} $offset */
        $offset = unpack('P', str_pad($this->source->read($entry, 8), 8, "\0"));
        $isTiled = $this->part->isTiled();
        $lead = ($this->file->multiPart ? 4 : 0) + ($isTiled ? 16 : 4);
        $bytes = str_pad($this->source->read($offset[1], $lead + 4), $lead + 4, "\0");
        if ($isTiled && [ExrHeader::int($bytes, $lead - 16), ExrHeader::int($bytes, $lead - 12)] !== [$column, $row]) {
            throw PixelsRefused::because('its tiles are in another order than they should');
        }
        $packed = ExrHeader::int($bytes, $lead);
        if ($packed < 1 || $packed > $this->source->size()) {
            throw PixelsRefused::because('a chunk is of an impossible length');
        }
        $data = $this->source->read($offset[1] + $lead + 4, $packed);

        return strlen($data) === $packed ? $data : throw PixelsRefused::because('its data breaks off');
    }

    /** Where the part's table of chunks begins, in bytes. */
    private function table(): int
    {
        $at = $this->file->end;
        for ($part = 0; $part < $this->number; $part++) {
            $at += 8 * $this->file->parts[$part]->chunks();
        }

        return $at;
    }
}
