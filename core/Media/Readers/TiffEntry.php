<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** One entry of a TIFF directory. */
final readonly class TiffEntry
{
    /** Bytes of a value, by its type. */
    public const LENGTHS = [
        1 => 1, 2 => 1, 3 => 2, 4 => 4, 5 => 8, 6 => 1, 7 => 1, 8 => 2, 9 => 4, 10 => 8, 11 => 4, 12 => 8, 13 => 4,
        16 => 8, 17 => 8, 18 => 8,
    ];

    /** Of all its values, in bytes. */
    public int $length;

    /** @param  int  $field  where its value stands, or where that is told, in bytes from the directory's beginning */
    public function __construct(public int $tag, public int $type, public int $count, public int $field)
    {
        $this->length = (self::LENGTHS[$type] ?? 1) * max(0, $count);
    }

    /** Whether its values stand elsewhere. */
    public function isAside(int $room): bool
    {
        return $this->length > $room;
    }
}
