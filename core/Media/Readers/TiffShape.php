<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;

/** How a TIFF writes its directory: in which byte order, and with places of four or eight bytes. */
final readonly class TiffShape
{
    /** How whole numbers of places and lengths are unpacked, by type: of the one byte order and of the other. */
    private const CODES = [3 => ['v*', 'n*'], 4 => ['V*', 'N*'], 13 => ['V*', 'N*'], 16 => ['P*', 'J*']];

    private const MOST_ENTRIES = 200;

    /**
     * @param  int  $room  bytes of a place, and of a value that stands in its entry
     * @param  int  $least  bytes that each strip or tile takes at least; 0 where they are packed
     * @param  int  $last  that the last of them takes at least
     */
    private function __construct(
        private ByteOrder $order,
        public int $room,
        public int $least,
        public int $last,
    ) {}

    public static function of(string $head, int $least, int $last): self
    {
        $order = str_starts_with($head, 'II') ? ByteOrder::Little : ByteOrder::Big;

        return new self($order, $order->u16($head, 2) === 43 ? 8 : 4, $least, $last);
    }

    public function directory(string $head): int
    {
        return $this->place($head, $this->room);
    }

    public function place(string $bytes, int $at): int
    {
        return $this->room === 8 ? $this->order->u64($bytes, $at) : $this->order->u32($bytes, $at);
    }

    /** Of a directory of so many entries, in bytes. */
    public function length(int $entries): int
    {
        return $this->counted() + $entries * $this->entry() + $this->room;
    }

    /** Of the count that stands first. */
    private function counted(): int
    {
        return $this->room === 8 ? 8 : 2;
    }

    private function entry(): int
    {
        return 4 + 2 * $this->room;
    }

    /** @return list<TiffEntry> */
    public function entries(string $bytes, int $from): array
    {
        $many = $this->room === 8 ? $this->order->u64($bytes, $from) : $this->order->u16($bytes, $from);
        $entries = [];
        for ($i = 0; $i < min($many, self::MOST_ENTRIES); $i++) {
            $at = $this->counted() + $i * $this->entry();
            $entries[] = new TiffEntry(
                $this->order->u16($bytes, $from + $at),
                $this->order->u16($bytes, $from + $at + 2),
                $this->place($bytes, $from + $at + 4),
                $at + 4 + $this->room,
            );
        }

        return $many > self::MOST_ENTRIES ? [] : $entries;
    }

    /**
     * The whole numbers of one entry.
     *
     * @return list<int>
     */
    public function table(FileEnds $file, string $bytes, int $from, TiffEntry $entry): array
    {
        $code = self::CODES[$entry->type][$this->order === ByteOrder::Little ? 0 : 1] ?? null;
        $values = $entry->isAside($this->room)
            ? $file->read($this->place($bytes, $from + $entry->field), $entry->length)
            : substr($bytes, $from + $entry->field, $entry->length);
        if ($code === null || strlen($values) < $entry->length) {
            return [];
        }
        /** @var array<int, int> $numbers */
        $numbers = unpack($code, $values);

        return array_values($numbers);
    }
}
