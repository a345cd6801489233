<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;

/** One sample of a run in a fragment (ISO/IEC 14496-12, 8.8.8). */
final readonly class FragmentSample
{
    /**
     * @param  int  $duration  ticks
     * @param  int  $offset  ticks by which it is shown later than it is decoded
     */
    private function __construct(
        public int $place,
        public int $size,
        public int $duration,
        public int $offset,
        public bool $isKeyframe,
    ) {}

    /**
     * @param  string  $row  what the run tells of it
     * @param  array{int, int, int}  $defaults  duration, size and flags, for what it does not tell
     */
    public static function read(string $row, int $flags, array $defaults, int $place): self
    {
        $at = 0;
        $values = $defaults;
        foreach ([0x100, 0x200, 0x400] as $i => $flag) {
            if (($flags & $flag) !== 0) {
                $values[$i] = ByteOrder::Big->u32($row, $at);
                $at += 4;
            }
        }
        $offset = ($flags & 0x800) !== 0 ? ByteOrder::Big->i32($row, $at) : 0;

        return new self($place, $values[1], $values[0], $offset, ($values[2] & 0x10000) === 0);
    }

    public function flagged(bool $isKeyframe): self
    {
        return new self($this->place, $this->size, $this->duration, $this->offset, $isKeyframe);
    }
}
