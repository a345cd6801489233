<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceUnreadable;

/**
 * A deflated entry. It is unpacked once from its start to its end, which also shows whether it is what was packed;
 * small ones are kept, of large ones the head and the tail, and what lies between is unpacked anew as it is asked for.
 */
final class DeflatedSource implements ByteSource
{
    /** Entries up to so many bytes are kept whole. */
    private const SMALL = 32 << 20;

    /** Kept of larger ones at either end. */
    private const END = 1 << 20;

    /** Packed bytes at a time, which come to a thousand times as much at most. */
    private const PIECE = 1 << 13;

    /** So often a large one is unpacked from its start. */
    private const MOST_STARTS = 12;

    private ?string $head = null;

    private string $tail = '';

    private ?\InflateContext $stream = null;

    /** Bytes of the packed data that were given to the stream, and of what came out before what is held. */
    private int $given = 0;

    private int $base = 0;

    private string $held = '';

    private int $starts = 0;

    public function __construct(
        private readonly ByteSource $archive,
        private readonly int $from,
        private readonly ZipEntry $entry,
    ) {}

    public function size(): int
    {
        return $this->entry->span->size;
    }

    public function read(int $offset, int $length): string
    {
        $length = min($length, $this->entry->span->size - $offset);
        if ($offset < 0 || $length <= 0) {
            return '';
        }
        $head = $this->head ??= $this->unpackAll();
        if ($offset + $length <= strlen($head)) {
            return substr($head, $offset, $length);
        }
        $tailFrom = $this->entry->span->size - strlen($this->tail);

        return $offset >= $tailFrom
            ? substr($this->tail, $offset - $tailFrom, $length)
            : $this->between($offset, $length);
    }

    /** @return string the head */
    private function unpackAll(): string
    {
        $most = $this->entry->span->size <= self::SMALL ? $this->entry->span->size : self::END;
        $sum = hash_init('crc32b');
        $head = '';
        $came = 0;
        $this->start();
        while (($piece = $this->next()) !== null) {
            hash_update($sum, $piece);
            $came += strlen($piece);
            $head .= strlen($head) < $most ? substr($piece, 0, $most - strlen($head)) : '';
            $this->tail = substr($this->tail.$piece, -self::END);
        }
        if ($came !== $this->entry->span->size || hexdec(hash_final($sum)) !== $this->entry->crc) {
            throw $this->unreadable('it is damaged in the archive');
        }
        $this->stream = null;
        $this->tail = $most === $this->entry->span->size ? '' : $this->tail;

        return $head;
    }

    private function between(int $offset, int $length): string
    {
        if ($this->stream === null || $offset < $this->base) {
            $this->start();
        }
        while ($this->base + strlen($this->held) < $offset + $length) {
            $behind = max(0, min(strlen($this->held), $offset - $this->base));
            $this->held = substr($this->held, $behind);
            $this->base += $behind;
            $piece = $this->next() ?? throw $this->unreadable('it is damaged in the archive');
            $this->held .= $piece;
        }

        return substr($this->held, $offset - $this->base, $length);
    }

    private function start(): void
    {
        if (++$this->starts > self::MOST_STARTS) {
            throw $this->unreadable('it is packed, and its parts lie too far apart to be read in it');
        }
        $this->stream = inflate_init(ZLIB_ENCODING_RAW) ?: null;
        [$this->given, $this->base, $this->held] = [0, 0, ''];
    }

    /** The next piece of what it unpacks to; null at its end. Never more than it says that there is. */
    private function next(): ?string
    {
        if ($this->stream === null || $this->given >= $this->entry->span->packed) {
            return null;
        }
        $packed = $this->archive->read(
            $this->from + $this->given,
            min(self::PIECE, $this->entry->span->packed - $this->given),
        );
        $this->given += strlen($packed);
        $piece = $packed === '' ? false : @inflate_add($this->stream, $packed);
        if ($piece === false) {
            throw $this->unreadable('it is damaged in the archive');
        }

        return $piece;
    }

    private function unreadable(string $why): SourceUnreadable
    {
        return SourceUnreadable::file($this->entry->name, $why);
    }
}
