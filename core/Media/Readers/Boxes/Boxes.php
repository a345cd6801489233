<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** Boxes in a row (ISO/IEC 14496-12, 4.2): a length of 32 or 64 bits, or to the end; four letters; data. */
final readonly class Boxes
{
    /** A file of more boxes in a row has none that a person wrote. */
    private const MOST = 400_000;

    private const LEAD = 8;

    private const LONG_LEAD = 16;

    /**
     * @return \Generator<int, Box> the last may reach beyond $to
     *
     * @throws FileDamaged where a length is none
     */
    public static function in(FileEnds $file, int $from, int $to): \Generator
    {
        for ($at = $from, $i = 0; $at + self::LEAD <= $to; $i++) {
            if ($i === self::MOST) {
                throw FileDamaged::header('it has more than '.self::MOST.' boxes in a row');
            }
            $lead = $file->read($at, min(self::LONG_LEAD, $to - $at));
            $length = ByteOrder::Big->u32($lead);
            $head = $length === 1 ? self::LONG_LEAD : self::LEAD;
            $length = match ($length) {
                0 => $to - $at,
                1 => ByteOrder::Big->u64($lead, self::LEAD),
                default => $length,
            };
            if ($length < $head || $length > PHP_INT_MAX - $at) {
                throw FileDamaged::header("the box at byte {$at} claims a length that none has");
            }
            yield new Box(substr($lead, 4, 4), $at, $at + $head, $at + $length);
            $at += $length;
        }
    }

    /**
     * The boxes within one, by their types; of several of a type the first.
     *
     * @param  int  $skip  bytes of data before them
     * @return array<string, Box>
     *
     * @throws FileDamaged where one reaches beyond the one it lies in
     */
    public static function within(FileEnds $file, Box $box, int $skip = 0): array
    {
        $found = [];
        foreach (self::in($file, $box->body + $skip, $box->end) as $inner) {
            if ($inner->end > $box->end) {
                throw FileDamaged::header(
                    "the box at byte {$inner->start} reaches beyond the one that it lies in",
                );
            }
            $found[$inner->type] ??= $inner;
        }

        return $found;
    }
}
