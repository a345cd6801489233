<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** Where the samples of a track are, how large, how long, and which are keyframes (ISO/IEC 14496-12, 8.6 and 8.7). */
final readonly class SampleTable
{
    /** @param  array<string, Box>  $boxes  of `stbl`, by type */
    public function __construct(private FileEnds $file, private array $boxes) {}

    public function count(): int
    {
        $box = $this->boxes['stsz'] ?? $this->boxes['stz2'] ?? null;

        return $box === null ? 0 : ByteOrder::Big->u32($this->file->read($box->body + 8, 4));
    }

    /** A picture takes a byte at least. */
    public function expectRoom(): void
    {
        if ($this->count() > $this->file->size()) {
            throw FileDamaged::header(
                "a track claims {$this->count()} pictures in a file of {$this->file->size()} bytes",
            );
        }
    }

    /** Whether its samples are all of one size, and need no table. */
    public function isUniform(): bool
    {
        return $this->sizeOfEach() > 0;
    }

    /** @return iterable<array{int, int}> samples, and ticks that each of them lasts */
    public function durations(): iterable
    {
        return $this->runs('stts');
    }

    /** @return iterable<array{int, int}> samples, and ticks by which each is shown later than it is decoded */
    public function offsets(): iterable
    {
        foreach ($this->runs('ctts') as [$count, $ticks]) {
            yield [$count, $ticks >= 1 << 31 ? $ticks - (1 << 32) : $ticks];
        }
    }

    /**
     * The same, as flat lists of a count and ticks in turn, since there may be one of them for each picture.
     *
     * @return iterable<non-empty-list<int>> ticks below nothing as they are kept: from 2^32 down
     */
    public function offsetWords(): iterable
    {
        return isset($this->boxes['ctts']) ? BoxTable::of($this->file, $this->boxes['ctts'], 2)->pieces() : [];
    }

    public function hasOffsets(): bool
    {
        return isset($this->boxes['ctts']) && BoxTable::of($this->file, $this->boxes['ctts'], 2)->count > 0;
    }

    /** @return iterable<array{int, int}> */
    private function runs(string $type): iterable
    {
        if (! isset($this->boxes[$type])) {
            return;
        }
        foreach (BoxTable::of($this->file, $this->boxes[$type], 2)->pieces() as $words) {
            for ($i = 0, $many = count($words); $i < $many; $i += 2) {
                yield [$words[$i], $words[$i + 1]];
            }
        }
    }

    /** @return iterable<int>|null numbers of samples, counted from 1; null where every one is a keyframe */
    public function keyframes(): ?iterable
    {
        if (! isset($this->boxes['stss'])) {
            return null;
        }
        $whole = $this->numbers(BoxTable::of($this->file, $this->boxes['stss'], 1));
        $partial = $this->boxes['stps'] ?? null;

        return $partial === null
            ? $whole
            : self::merged($whole, $this->numbers(BoxTable::of($this->file, $partial, 1)));
    }

    /**
     * Keyframes that pictures before them are led into stand in a table of their own.
     *
     * @param  \Generator<int>  $a  rising; likewise $b
     * @param  \Generator<int>  $b
     * @return \Generator<int>
     */
    private static function merged(\Generator $a, \Generator $b): \Generator
    {
        while ($a->valid() || $b->valid()) {
            $next = ! $b->valid() || ($a->valid() && $a->current() <= $b->current()) ? $a : $b;
            yield $next->current();
            $next->next();
        }
    }

    /** @return \Generator<int> */
    private function numbers(BoxTable $table): \Generator
    {
        foreach ($table->pieces() as $words) {
            yield from $words;
        }
    }

    /** In bytes, of all samples. */
    public function bytes(): int
    {
        $each = $this->sizeOfEach();
        if ($each > 0) {
            return $each * $this->count();
        }
        $sum = 0;
        foreach ($this->sizes() as $sizes) {
            $sum += array_sum($sizes);
        }

        return $sum;
    }

    private function sizeOfEach(): int
    {
        return isset($this->boxes['stsz'])
            ? ByteOrder::Big->u32($this->file->read($this->boxes['stsz']->body + 4, 4))
            : 0;
    }

    /** @return \Generator<int, list<int>> bytes of samples in a row, a piece at a time */
    private function sizes(int $from = 0): \Generator
    {
        $each = $this->sizeOfEach();
        if ($each > 0) {
            for ($left = $this->count() - $from; $left > 0; $left -= 4096) {
                yield array_fill(0, min(4096, $left), $each);
            }
        } elseif (isset($this->boxes['stsz'])) {
            yield from BoxTable::of($this->file, $this->boxes['stsz'], 1, 8)->pieces($from);
        } elseif (isset($this->boxes['stz2'])) {
            yield from $this->compactSizes($this->boxes['stz2'], $from);
        }
    }

    /** @return \Generator<int, list<int>> of fields of 4, 8 or 16 bits */
    private function compactSizes(Box $box, int $from): \Generator
    {
        $bits = ord($this->file->read($box->body + 7, 1) ?: "\0");
        $count = $this->count();
        if (! in_array($bits, [4, 8, 16], true) || $count * $bits > 8 * ($box->end - $box->body - 12)) {
            throw FileDamaged::header('the table “stz2” does not fit into its box');
        }
        $bytes = $this->file->read($box->body + 12, intdiv($count * $bits + 7, 8));
        $sizes = [];
        for ($i = $from; $i < $count; $i++) {
            $sizes[] = match ($bits) {
                16 => ByteOrder::Big->u16($bytes, 2 * $i),
                8 => ord($bytes[$i]),
                default => ord($bytes[$i >> 1]) >> ($i % 2 === 0 ? 4 : 0) & 15,
            };
        }
        yield $sizes;
    }

    /** How many chunks there are. */
    private function chunks(): BoxTable
    {
        $box = $this->boxes['stco'] ?? $this->boxes['co64'] ?? null;
        if ($box === null) {
            throw FileDamaged::header('a track does not say where its samples are');
        }

        return BoxTable::of($this->file, $box, isset($this->boxes['stco']) ? 1 : 2);
    }

    /** @return \Generator<int, int> where each chunk begins, in bytes */
    private function chunkPlaces(): \Generator
    {
        $isLong = ! isset($this->boxes['stco']);
        foreach ($this->chunks()->pieces() as $words) {
            for ($i = 0, $many = count($words); $i < $many; $i += $isLong ? 2 : 1) {
                yield $isLong ? $words[$i] << 32 | $words[$i + 1] : $words[$i];
            }
        }
    }

    /** @return \Generator<int, array{int, int}> chunks in a row, and samples in each */
    private function chunkRuns(): \Generator
    {
        $all = $this->chunks()->count;
        $before = null;
        $rows = isset($this->boxes['stsc']) ? BoxTable::of($this->file, $this->boxes['stsc'], 3)->pieces() : [];
        foreach ($rows as $w) {
            for ($i = 0, $many = count($w); $i < $many; $i += 3) {
                if ($before !== null) {
                    yield [max(0, $w[$i] - $before[0]), $before[1]];
                }
                $before = [$w[$i], $w[$i + 1]];
            }
        }
        if ($before !== null) {
            yield [max(0, $all + 1 - $before[0]), $before[1]];
        }
    }

    /** Where the first sample begins; null where there is none. */
    public function firstPlace(): ?int
    {
        foreach ($this->count() > 0 ? $this->chunkPlaces() : [] as $place) {
            return $place;
        }

        return null;
    }

    /**
     * Where the samples of the last chunk end, which is the end of the track where it was written in one go.
     *
     * @return int|null null where there are no samples
     */
    public function lastEnd(): ?int
    {
        $chunks = $this->chunks()->count;
        if ($chunks === 0 || $this->count() === 0) {
            return null;
        }
        $before = 0;
        $inLast = 0;
        $left = $chunks;
        foreach ($this->chunkRuns() as [$many, $each]) {
            $many = min($many, $left);
            $before += $many * $each;
            $left -= $many;
            $inLast = $many > 0 ? $each : $inLast;
        }
        $row = $this->chunks()->row($chunks - 1);
        $end = count($row) === 2 ? $row[0] << 32 | $row[1] : $row[0];
        $from = max(0, $before - $inLast);
        if ($this->isUniform()) {
            return $end + $this->sizeOfEach() * max(0, $this->count() - $from);
        }
        foreach ($this->sizes($from) as $sizes) {
            $end += array_sum($sizes);
        }

        return $end;
    }

    /** @return \Generator<int, array{int, int}> where each sample begins, and its bytes, in order */
    public function samples(): \Generator
    {
        $sizes = $this->eachSize();
        $places = $this->chunkPlaces();
        foreach ($this->chunkRuns() as [$many, $each]) {
            for (; $many > 0 && $places->valid(); $many--, $places->next()) {
                $at = $places->current();
                for ($i = 0; $i < $each && $sizes->valid(); $i++, $sizes->next()) {
                    yield [$at, $sizes->current()];
                    $at += $sizes->current();
                }
            }
        }
    }

    /** @return \Generator<int, int> */
    private function eachSize(): \Generator
    {
        foreach ($this->sizes() as $sizes) {
            foreach ($sizes as $size) {
                yield $size;
            }
        }
    }
}
