<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\ScanDepth;

/** The offset tables of an OpenEXR file, and the chunks they point at. */
final readonly class ExrChunks
{
    private const MOST_CHUNKS = 16_000_000;

    /** Chunks whose leads are followed, of all parts together. */
    private const MOST_IN_FULL = 2_000_000;

    /** What one chunk may come to, in bytes. */
    private const LARGEST_UNPACKED = 512 << 20;

    /** What all of them may come to: some minutes of unpacking. */
    private const MOST_UNPACKED = 64 << 30;

    /** Entries of an offset table that are read at a time. */
    private const BLOCK = 65_536;

    private ByteSource $source;

    public function __construct(private FileEnds $ends, private ExrHeader $file)
    {
        $this->source = $ends->source;
    }

    /**
     * @throws FileDamaged
     * @throws FileTooLarge in full depth only
     */
    public function check(ScanDepth $depth): void
    {
        $tables = $this->tables();
        if ($depth === ScanDepth::Full) {
            $this->refuseTooMany(array_sum(array_column($tables, 1)));
        }
        $data = $this->file->end + 8 * array_sum(array_column($tables, 1));
        $last = [0, 0, 0];
        foreach ($tables as $part => [$from, $count]) {
            // in blocks, so that a table of millions costs no more memory than one of thousands
            for ($first = 0; $first < $count; $first += self::BLOCK) {
                $offsets = $this->offsets($from + 8 * $first, min(self::BLOCK, $count - $first));
                if (min($offsets) < $data || max($offsets) >= $this->source->size()) {
                    $this->badTable($offsets, $data, $this->source->size(), $first);
                }
                foreach ($depth === ScanDepth::Full ? $offsets : [] as $number => $offset) {
                    $this->chunk($offset, $part, $first + $number - 1, true);
                }
                $most = max($offsets);
                if ($most > $last[0]) {
                    $last = [$most, $part, $first + (int) array_search($most, $offsets, true) - 1];
                }
            }
        }
        $this->chunk($last[0], $last[1], $last[2], false);
    }

    /** @return list<array{int, int}> where each part's table begins, and of how many chunks */
    private function tables(): array
    {
        $size = $this->source->size();
        $at = $this->file->end;
        $tables = [];
        foreach ($this->file->parts as $part) {
            $count = $part->chunks();
            if ($count < 1 || $count > self::MOST_CHUNKS) {
                throw FileDamaged::header("the header names {$count} chunks");
            }
            if ($at + 8 * $count > $size) {
                throw FileDamaged::cutShort("the file ends inside its offset table, after {$size} bytes");
            }
            $tables[] = [$at, $count];
            $at += 8 * $count;
        }

        return $tables;
    }

    /** @return non-empty-array<int, int> counted from one */
    private function offsets(int $at, int $count): array
    {
        $block = $this->ends->read($at, 8 * $count);
        if (strlen($block) < 8 * $count) {
            $size = $this->source->size();
            throw FileDamaged::cutShort("the file ends inside its offset table, after {$size} bytes");
        }
        /** @var non-empty-array<int, int> $offsets */
        $offsets = unpack('P*', $block);

        return $offsets;
    }

    /** What the headers claim, held against what there is time for. */
    private function refuseTooMany(int $chunks): void
    {
        if ($chunks > self::MOST_IN_FULL) {
            throw FileTooLarge::of(number_format($chunks).' chunks');
        }
        $bytes = 0;
        foreach ($this->file->parts as $part) {
            $bytes += $part->storage->isDeflated() ? $part->unpacked() : 0;
        }
        if ($bytes > self::MOST_UNPACKED) {
            throw FileTooLarge::of((string) ByteSize::of($bytes).' uncompressed');
        }
    }

    /** @param  array<int, int>  $offsets */
    private function badTable(array $offsets, int $least, int $size, int $before): never
    {
        foreach ($offsets as $i => $offset) {
            if ($offset === 0) {
                throw FileDamaged::cutShort(
                    'the offset table is incomplete from chunk '.($before + $i).' on: the file was not finished',
                );
            }
            if ($offset >= $size) {
                throw FileDamaged::cutShort(
                    'chunk '.($before + $i)." begins at byte {$offset} and the file ends after {$size}",
                );
            }
            if ($offset < $least) {
                throw FileDamaged::header('the offset table points into the header at chunk '.($before + $i));
            }
        }
        throw FileDamaged::header('the offset table is impossible');
    }

    /**
     * One chunk: its lead, that all of it is inside the file, and where asked that what is deflated unpacks.
     *
     * @param  int  $number  its place in the table, which goes down the picture whatever the order of writing
     *
     * @throws FileDamaged
     */
    private function chunk(int $offset, int $partNumber, int $number, bool $unpack): void
    {
        $part = $this->file->parts[$partNumber];
        $lead = ($this->file->multiPart ? 4 : 0) + ($part->isTiled() ? 16 : 4);
        $length = $lead + ($part->storage->deep ? 24 : 4);
        $bytes = $this->ends->read($offset, $length);
        if (strlen($bytes) < $length) {
            throw FileDamaged::cutShort("the file ends inside the chunk at byte {$offset}");
        }
        if ($this->file->multiPart && ExrHeader::int($bytes, 0) !== $partNumber) {
            throw FileDamaged::checksum("the chunk at byte {$offset} belongs to another part than its table says");
        }
        if (! $part->isTiled()) {
            $due = $part->data->top + $number * $part->storage->linesPerChunk();
            self::expectLine($due, ExrHeader::int($bytes, $lead - 4), $offset, trim($bytes, "\0") === '');
        }
        $packed = $this->packedLength($part, substr($bytes, $lead), $offset);
        if ($offset + $length + $packed > $this->source->size()) {
            throw FileDamaged::cutShort(
                "the chunk at byte {$offset} reaches past the end of the file, at {$this->source->size()}",
            );
        }
        if ($unpack && ! $part->storage->deep) {
            $area = $this->areaOf($part, $number, substr($bytes, $lead - 16, 16));
            $this->expectUnpacking($offset, $offset + $length, $packed, $part, $area);
        }
    }

    /** @param  string  $tile  of a tile: its place across and down, and its levels */
    private function areaOf(ExrPart $part, int $number, string $tile): ExrArea
    {
        $tiles = $part->storage->tiles;
        if ($tiles === null) {
            $top = $number * $part->storage->linesPerChunk();
            $lines = min($part->storage->linesPerChunk(), $part->data->height() - $top);

            return new ExrArea($part->data->left, $part->data->top + $top, $part->data->width(), max(0, $lines));
        }
        [$column, $row, $levelX, $levelY] = array_map(
            static fn (int $at): int => ExrHeader::int($tile, $at),
            [0, 4, 8, 12],
        );
        $size = $tiles->sizeOf($column, $row, $levelX, $levelY, $part->data->width(), $part->data->height());

        return new ExrArea($part->data->left, $part->data->top, ...$size);
    }

    private static function expectLine(int $due, int $line, int $offset, bool $isZeros): void
    {
        if ($line === $due) {
            return;
        }
        throw $isZeros
            ? FileDamaged::cutShort("nothing but zeros stands where the chunk of line {$due} should, at byte {$offset}")
            : FileDamaged::checksum("the chunk at byte {$offset} begins at line {$line} and not at {$due}");
    }

    /** @param  string  $bytes  of the chunk's lead, from its lengths on */
    private function packedLength(ExrPart $part, string $bytes, int $offset): int
    {
        $packed = $part->storage->deep ? self::deepLength($bytes) : ExrHeader::int($bytes, 0);
        if ($packed === 0 && ! $part->storage->deep) {
            throw FileDamaged::cutShort("the chunk at byte {$offset} is empty: the file was not finished");
        }
        if ($packed < 0) {
            throw FileDamaged::checksum("the chunk at byte {$offset} names an impossible length");
        }

        return $packed;
    }

    /** Of a deep chunk: its table of samples and its data; less than nothing where either is. */
    private static function deepLength(string $bytes): int
    {
        /** @var array{table: int, data: int} $sizes */
        $sizes = unpack('Ptable/Pdata', $bytes);
        $isPossible = $sizes['table'] >= 0 && $sizes['data'] >= 0 && $sizes['data'] <= PHP_INT_MAX - $sizes['table'];

        return $isPossible ? $sizes['table'] + $sizes['data'] : -1;
    }

    /** A chunk that did not get smaller is stored as it is; one that did comes to a length that is known. */
    private function expectUnpacking(int $offset, int $at, int $packed, ExrPart $part, ExrArea $area): void
    {
        $chunk = new ExrPackedChunk($this->source, $part->storage->compression, $part->channels->sizesIn($area));
        if ($chunk->rawBytes() <= self::LARGEST_UNPACKED && ! $chunk->isWhole($at, $packed)) {
            throw FileDamaged::checksum("the chunk at byte {$offset} does not unpack");
        }
    }
}
