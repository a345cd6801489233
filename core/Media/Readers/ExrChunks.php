<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
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

    /** So much of a chunk is unpacked at a time. */
    private const PIECE = 1 << 16;

    public function __construct(private ByteSource $source, private ExrHeader $file) {}

    /**
     * @throws FileDamaged
     * @throws FileTooLarge in full depth only
     */
    public function check(ScanDepth $depth): void
    {
        $size = $this->source->size();
        $at = $this->file->end;
        $tables = [];
        foreach ($this->file->parts as $n => $part) {
            $count = $part->chunks();
            if ($count < 1 || $count > self::MOST_CHUNKS) {
                throw FileDamaged::header("the header names {$count} chunks");
            }
            if ($at + 8 * $count > $size) {
                throw FileDamaged::cutShort("the file ends inside its offset table, after {$size} bytes");
            }
            $tables[$n] = [$at, $count];
            $at += 8 * $count;
        }
        if ($depth === ScanDepth::Full) {
            $this->hold(array_sum(array_column($tables, 1)));
        }
        $last = [0, 0, 0];
        foreach ($tables as $n => [$from, $count]) {
            // in blocks, so that a table of millions costs no more memory than one of thousands
            for ($i = 0; $i < $count; $i += 65536) {
                $block = $this->source->read($from + 8 * $i, 8 * min(65536, $count - $i));
                if (strlen($block) < 8 * min(65536, $count - $i)) {
                    throw FileDamaged::cutShort("the file ends inside its offset table, after {$size} bytes");
                }
                /** @var non-empty-array<int, int> $offsets */
                $offsets = unpack('P*', $block);
                $least = min($offsets);
                $most = max($offsets);
                if ($least < $at || $most >= $size) {
                    $this->badTable($offsets, $at, $size, $i);
                }
                if ($depth === ScanDepth::Full) {
                    foreach ($offsets as $k => $offset) {
                        $this->chunk($offset, $n, $i + $k - 1, true);
                    }
                }
                $last = $most > $last[0] ? [$most, $n, $i + (int) array_search($most, $offsets, true) - 1] : $last;
            }
        }
        $this->chunk($last[0], $last[1], $last[2], false);
    }

    /** What the headers claim, held against what there is time for. */
    private function hold(int $chunks): void
    {
        if ($chunks > self::MOST_IN_FULL) {
            throw FileTooLarge::of(number_format($chunks).' chunks');
        }
        $bytes = 0;
        foreach ($this->file->parts as $part) {
            $bytes += in_array($part->compression, [2, 3], true)
                ? self::bytesOfPixel($part) * $part->width() * $part->height()
                : 0;
        }
        if ($bytes > self::MOST_UNPACKED) {
            throw FileTooLarge::of((string) ByteSize::of($bytes).' unpacked');
        }
    }

    private static function bytesOfPixel(ExrPart $part): int
    {
        $pixel = 0;
        foreach ($part->channels as $type) {
            $pixel += $type === 1 ? 2 : 4;
        }

        return $pixel;
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
        $length = $lead + ($part->deep ? 24 : 4);
        $bytes = $this->source->read($offset, $length);
        if (strlen($bytes) < $length) {
            throw FileDamaged::cutShort("the file ends inside the chunk at byte {$offset}");
        }
        if ($this->file->multiPart && ExrHeader::int($bytes, 0) !== $partNumber) {
            throw FileDamaged::checksum("the chunk at byte {$offset} belongs to another part than its table says");
        }
        if (! $part->isTiled()) {
            $y = ExrHeader::int($bytes, $lead - 4);
            $due = $part->dataWindow[1] + $number * $part->linesPerChunk();
            if ($y !== $due) {
                throw trim($bytes, "\0") === ''
                    ? FileDamaged::cutShort(
                        "nothing but zeros stands where the chunk of line {$due} should, at byte {$offset}",
                    )
                    : FileDamaged::checksum("the chunk at byte {$offset} begins at line {$y} and not at {$due}");
            }
        }
        if ($part->deep) {
            /** @var array{table: int, data: int} $sizes */
            $sizes = unpack('Ptable/Pdata', $bytes, $lead);
            $packed = $sizes['table'] < 0 || $sizes['data'] < 0 ? -1 : $sizes['table'] + $sizes['data'];
        } else {
            $packed = ExrHeader::int($bytes, $lead);
        }
        if ($packed === 0 && ! $part->deep) {
            throw FileDamaged::cutShort("the chunk at byte {$offset} is empty: the file was not finished");
        }
        if ($packed < 0) {
            throw FileDamaged::checksum("the chunk at byte {$offset} names an impossible length");
        }
        if ($offset + $length + $packed > $this->source->size()) {
            throw FileDamaged::cutShort(
                "the chunk at byte {$offset} reaches past the end of the file, at {$this->source->size()}",
            );
        }
        if ($unpack && ! $part->deep && in_array($part->compression, [2, 3], true)) {
            $this->unpack($offset, $offset + $length, $packed, $part, $number);
        }
    }

    /** A chunk that did not get smaller is stored as it is; one that did is a zlib stream with its own checksum. */
    private function unpack(int $offset, int $at, int $packed, ExrPart $part, int $number): void
    {
        $pixel = self::bytesOfPixel($part);
        $lines = min($part->linesPerChunk(), $part->height() - $number * $part->linesPerChunk());
        $raw = $pixel * (
            $part->isTiled() ? ($part->tiles[0] ?? 1) * ($part->tiles[1] ?? 1) : $part->width() * max(1, $lines)
        );
        // a tile at the edge, and a channel that is not sampled everywhere, hold less than this
        $exact = ! $part->isTiled()
            && array_filter($part->sampling, static fn (array $s): bool => $s !== [1, 1]) === [];
        if ($packed >= $raw || $raw > self::LARGEST_UNPACKED) {
            return;
        }
        if ($this->unpacks($at, $packed, $raw)) {
            return;
        }
        $data = $this->source->read($at, 2);
        $deflated = (ord($data[0]) & 15) === 8 && (ord($data[0]) << 8 | ord($data[1] ?? "\0")) % 31 === 0;
        if ($exact || $deflated) {
            throw FileDamaged::checksum("the chunk at byte {$offset} does not unpack");
        }
    }

    /** Piece by piece, so that a chunk that comes to much is never there as a whole. */
    private function unpacks(int $at, int $packed, int $raw): bool
    {
        $stream = inflate_init(ZLIB_ENCODING_DEFLATE);
        $came = 0;
        for ($read = 0; $stream !== false && $read < $packed; $read += self::PIECE) {
            $bytes = @inflate_add($stream, $this->source->read($at + $read, min(self::PIECE, $packed - $read)));
            $came += $bytes === false ? $raw + 1 : strlen($bytes);
            if ($came > $raw) {
                return false;
            }
        }

        return $stream !== false && inflate_get_status($stream) === ZLIB_STREAM_END;
    }
}
