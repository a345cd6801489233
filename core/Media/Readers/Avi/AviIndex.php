<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Avi;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** Where a stream's pictures are: by one index at the end, or by those that lie among the pictures (OpenDML 1.02). */
final readonly class AviIndex
{
    private const PIECE = 65536;

    private const KEYFRAME = 0x10;

    private const NOT_A_KEYFRAME = 0x80000000;

    private const INDEX_OF_INDEXES = 0;

    /** @param  \Closure(): \Generator<int, array{int, int, bool}>  $entries */
    private function __construct(private \Closure $entries) {}

    /**
     * @param  array{int, int}|null  $plain  the index at the end: where it begins, and its length
     * @param  int  $movie  where the letters of the list of pictures are
     */
    public static function of(FileEnds $file, AviStream $stream, ?array $plain, int $movie): ?self
    {
        if (isset($stream->chunks['indx'])) {
            return new self(static fn (): \Generator => self::ofStream($file, ...$stream->chunks['indx']));
        }

        return $plain === null
            ? null
            : new self(static fn (): \Generator => self::ofFile($file, $stream->number, $plain, $movie));
    }

    /** @return \Generator<int, array{int, int, bool}> where each picture begins, its bytes, whether it is a keyframe */
    public function entries(): \Generator
    {
        return ($this->entries)();
    }

    /**
     * @param  array{int, int}  $plain
     * @return \Generator<int, array{int, int, bool}>
     */
    private static function ofFile(FileEnds $file, int $number, array $plain, int $movie): \Generator
    {
        $base = null;
        foreach (self::rows($file, $plain[0], min($plain[1], $file->size() - $plain[0]), 16) as $row) {
            if (substr($row, 0, 2) !== sprintf('%02d', $number) || ! in_array(substr($row, 2, 2), ['dc', 'db'], true)) {
                continue;
            }
            $place = ByteOrder::Little->u32($row, 8);
            // some writers count from the start of the file, others from the letters of the list
            $base ??= $place > $movie ? 0 : $movie;
            yield [
                $base + $place + 8,
                ByteOrder::Little->u32($row, 12),
                (ByteOrder::Little->u32($row, 4) & self::KEYFRAME) !== 0,
            ];
        }
    }

    /** @return \Generator<int, array{int, int, bool}> */
    private static function ofStream(FileEnds $file, int $at, int $length): \Generator
    {
        $head = $file->read($at, 24);
        $count = ByteOrder::Little->u32($head, 4);
        if (ord($head[3] ?? "\0") !== self::INDEX_OF_INDEXES) {
            yield from self::standard($file, $at, $length);

            return;
        }
        foreach (self::rows($file, $at + 24, min($length - 24, 16 * $count), 16) as $row) {
            $place = ByteOrder::Little->u64($row);
            if ($place > 0) {
                yield from self::standard($file, $place + 8, ByteOrder::Little->u32($row, 8) - 8);
            }
        }
    }

    /** @return \Generator<int, array{int, int, bool}> */
    private static function standard(FileEnds $file, int $at, int $length): \Generator
    {
        if ($at + 24 > $file->size()) {
            throw FileDamaged::cutShort("an index is told at byte {$at} and the file ends after {$file->size()}");
        }
        $head = $file->read($at, 24);
        $base = ByteOrder::Little->u64($head, 12);
        foreach (self::rows($file, $at + 24, min($length - 24, 8 * ByteOrder::Little->u32($head, 4)), 8) as $row) {
            $size = ByteOrder::Little->u32($row, 4);
            yield [
                $base + ByteOrder::Little->u32($row),
                $size & ~self::NOT_A_KEYFRAME,
                ($size & self::NOT_A_KEYFRAME) === 0,
            ];
        }
    }

    /** @return \Generator<int, string> */
    private static function rows(FileEnds $file, int $at, int $length, int $row): \Generator
    {
        $end = $at + intdiv(max(0, $length), $row) * $row;
        while ($at < $end) {
            $bytes = $file->read($at, min(self::PIECE, $end - $at));
            for ($i = 0; $i + $row <= strlen($bytes); $i += $row) {
                yield substr($bytes, $i, $row);
            }
            if (strlen($bytes) < $row) {
                return;
            }
            $at += strlen($bytes) - strlen($bytes) % $row;
        }
    }
}
