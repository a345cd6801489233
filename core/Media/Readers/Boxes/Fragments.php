<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** Samples that are told fragment by fragment, beside them (ISO/IEC 14496-12, 8.8). */
final readonly class Fragments
{
    private const NOT_A_KEYFRAME = 0x10000;

    /** Of one run; more are none that a writer makes. */
    private const MOST_SAMPLES = 1_000_000;

    /**
     * @param  list<Box>  $fragments
     * @param  array<int, array{int, int, int}>  $defaults  duration, size and flags, by track
     */
    private function __construct(private FileEnds $file, private array $fragments, private array $defaults) {}

    /** @param  list<Box>  $fragments */
    public static function of(FileEnds $file, array $fragments, ?Box $extends): self
    {
        $defaults = [];
        foreach ($extends === null ? [] : Boxes::in($file, $extends->body, $extends->end) as $box) {
            if ($box->type === 'trex') {
                $bytes = $file->read($box->body, 24);
                $defaults[ByteOrder::Big->u32($bytes, 4)] = [
                    ByteOrder::Big->u32($bytes, 12), ByteOrder::Big->u32($bytes, 16), ByteOrder::Big->u32($bytes, 20),
                ];
            }
        }

        return new self($file, $fragments, $defaults);
    }

    public function isEmpty(): bool
    {
        return $this->fragments === [];
    }

    /** @return \Generator<int, FragmentSample> of one track, in order */
    public function samples(int $track): \Generator
    {
        foreach ($this->fragments as $fragment) {
            // read once, all of it
            $this->file->read($fragment->start, min(1 << 20, $fragment->end - $fragment->start));
            foreach (Boxes::in($this->file, $fragment->body, $fragment->end) as $box) {
                if ($box->type === 'traf') {
                    yield from $this->ofTrack($box, $track, $fragment->start);
                }
            }
        }
    }

    /** @return \Generator<int, FragmentSample> */
    private function ofTrack(Box $box, int $track, int $base): \Generator
    {
        $header = Boxes::within($this->file, $box)['tfhd'] ?? throw FileDamaged::header('a fragment has no header');
        $bytes = $this->file->read($header->body, min(64, $header->length()));
        $number = ByteOrder::Big->u32($bytes, 4);
        if ($number !== $track) {
            return;
        }
        [$defaults, $base] = $this->headed($bytes, $this->defaults[$number] ?? [0, 0, 0], $base);
        $next = null;
        foreach (Boxes::in($this->file, $box->body, $box->end) as $inner) {
            if ($inner->type === 'trun') {
                $next = yield from $this->run($inner, $defaults, $base, $next);
            }
        }
    }

    /**
     * @param  array{int, int, int}  $defaults
     * @return array{array{int, int, int}, int} those of this fragment; from where its places are counted
     */
    private function headed(string $bytes, array $defaults, int $base): array
    {
        $flags = ByteOrder::Big->u32($bytes) & 0xFFFFFF;
        $at = 8;
        if (($flags & 1) !== 0) {
            $base = ByteOrder::Big->u64($bytes, $at);
            $at += 8;
        }
        $at += ($flags & 2) !== 0 ? 4 : 0;
        foreach ([8, 16, 32] as $i => $flag) {
            if (($flags & $flag) !== 0) {
                $defaults[$i] = ByteOrder::Big->u32($bytes, $at);
                $at += 4;
            }
        }

        return [$defaults, $base];
    }

    /**
     * @param  array{int, int, int}  $defaults
     * @return \Generator<int, FragmentSample, mixed, int> and where the run ends
     */
    private function run(Box $box, array $defaults, int $base, ?int $next): \Generator
    {
        $lead = $this->file->read($box->body, min(16, $box->length()));
        $flags = ByteOrder::Big->u32($lead) & 0xFFFFFF;
        $count = ByteOrder::Big->u32($lead, 4);
        $at = 8;
        $place = $next ?? $base;
        if (($flags & 1) !== 0) {
            $place = $base + ByteOrder::Big->i32($lead, $at);
            $at += 4;
        }
        $first = null;
        if (($flags & 4) !== 0) {
            $first = ByteOrder::Big->u32($lead, $at);
            $at += 4;
        }
        $row = 4 * count(array_filter([0x100, 0x200, 0x400, 0x800], static fn (int $f): bool => ($flags & $f) !== 0));
        if ($count > self::MOST_SAMPLES || $count * $row > $box->length() - $at) {
            throw FileDamaged::header("a fragment claims {$count} samples and has no room for them");
        }
        $bytes = $this->file->read($box->body + $at, $count * $row);
        for ($i = 0; $i < $count; $i++) {
            $sample = FragmentSample::read(substr($bytes, $row * $i, $row), $flags, $defaults, $place);
            yield $i === 0 && $first !== null ? $sample->flagged(($first & self::NOT_A_KEYFRAME) === 0) : $sample;
            $place += $sample->size;
        }

        return $place;
    }
}
