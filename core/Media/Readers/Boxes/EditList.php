<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;

/** Which stretches of a track are shown (ISO/IEC 14496-12, 8.6.6). */
final readonly class EditList
{
    private const MOST = 1000;

    private const NOTHING = -1;

    /** @param  list<array{int, int}>  $edits  ticks that are shown (0: to the end), from which tick of the track on */
    private function __construct(private array $edits, private int $tolerance) {}

    /** @param  int  $movieScale  ticks a second of the movie, by which lengths are told; $scale: of the track */
    public static function read(FileEnds $file, ?Box $box, int $scale, int $movieScale): self
    {
        $edits = [];
        if ($box !== null && $movieScale > 0) {
            $isLong = ord($file->read($box->body, 1) ?: "\0") === 1;
            [$row, $word] = $isLong ? [20, 8] : [12, 4];
            $told = ByteOrder::Big->u32($file->read($box->body + 4, 4));
            $count = min(self::MOST, intdiv($box->length() - 8, $row), $told);
            for ($i = 0; $i < $count; $i++) {
                $bytes = $file->read($box->body + 8 + $row * $i, $row);
                $length = $isLong ? ByteOrder::Big->u64($bytes) : ByteOrder::Big->u32($bytes);
                $from = $isLong ? ByteOrder::Big->u64($bytes, $word) : ByteOrder::Big->i32($bytes, $word);
                if ($from !== self::NOTHING && $length >= 0) {
                    $edits[] = [self::ticks($length, $scale, $movieScale), $from];
                }
            }
        }

        return new self($edits, $movieScale > 0 ? intdiv($scale, $movieScale) + 1 : 1);
    }

    private static function ticks(int $length, int $scale, int $movieScale): int
    {
        return BigRational::nd($length, $movieScale)
            ->multipliedBy($scale)
            ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
            ->toInt();
    }

    public function isEmpty(): bool
    {
        return $this->edits === [];
    }

    /**
     * Whether all of a track is shown, once.
     *
     * @param  int  $first  when its first picture is shown, and $end when its last one ends, in ticks
     */
    public function showsAll(int $first, int $end): bool
    {
        if ($this->edits === []) {
            return true;
        }
        [$length, $from] = $this->edits[0];

        return count($this->edits) === 1
            && $from <= $first + $this->tolerance
            && ($length === 0 || $from + $length >= $end - $this->tolerance);
    }

    /**
     * How many pictures are shown of those given.
     *
     * @param  iterable<array{int, int}>  $pictures  when each is shown, and for how long, in ticks
     */
    public function count(iterable $pictures): int
    {
        $count = 0;
        foreach ($pictures as [$at, $length]) {
            // an end that was rounded to the movie's clock cuts no picture off
            $slack = min($this->tolerance, intdiv($length, 2));
            foreach ($this->edits as [$shown, $from]) {
                $isBefore = $at + $length <= $from + $slack;
                $isAfter = $shown > 0 && $at >= $from + $shown - $slack;
                $count += $isBefore || $isAfter ? 0 : 1;
            }
        }

        return $count;
    }
}
