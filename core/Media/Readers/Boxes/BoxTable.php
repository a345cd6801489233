<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** A table of rows of one length in a box, read a piece at a time: it may be long, and may lie about its length. */
final readonly class BoxTable
{
    /** Rows that are read together, in bytes about. */
    private const PIECE = 65536;

    /**
     * @param  int  $at  of the first row
     * @param  int  $words  of 32 bits in a row
     */
    private function __construct(
        private FileEnds $file,
        private int $at,
        public int $count,
        private int $words,
    ) {}

    /**
     * @param  int  $before  bytes of data before the count
     *
     * @throws FileDamaged where it claims more rows than its box has room for
     */
    public static function of(FileEnds $file, Box $box, int $words, int $before = 4): self
    {
        $count = ByteOrder::Big->u32($file->read($box->body + $before, 4));
        $first = $box->body + $before + 4;
        if ($count * 4 * $words > $box->end - $first) {
            throw FileDamaged::header(
                "the table “{$box->type}” claims {$count} rows and has room for "
                    .intdiv(max(0, $box->end - $first), 4 * $words),
            );
        }

        return new self($file, $first, $count, $words);
    }

    /**
     * Every word of all rows, from a row on, a piece at a time.
     *
     * @param  int  $from  counted from 0
     * @return \Generator<int, non-empty-list<int>> whole rows
     */
    public function pieces(int $from = 0): \Generator
    {
        $row = 4 * $this->words;
        $rows = intdiv(self::PIECE, $row);
        for ($i = $from; $i < $this->count; $i += $rows) {
            $many = min($rows, $this->count - $i);
            $bytes = $this->file->read($this->at + $row * $i, $row * $many);
            if (strlen($bytes) < $row * $many) {
                throw FileDamaged::cutShort('the file ends inside one of its tables');
            }
            /** @var array<int, int> $words */
            $words = unpack('N*', $bytes);
            $list = array_values($words);
            if ($list !== []) {
                yield $list;
            }
        }
    }

    /** @return list<int> the words of one row */
    public function row(int $number): array
    {
        /** @var array<int, int> $words */
        $words = unpack('N*', $this->file->read($this->at + 4 * $this->words * $number, 4 * $this->words));

        return array_values($words);
    }
}
