<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** The bytes of a TIFF by their places, in its byte order; what was read last is kept: directories stand together. */
final class TiffFile
{
    /** Read at a time where a directory or its values stand. */
    public const WINDOW = 8192;

    /** Values stand before their directory as often as behind it. */
    private const BEFORE = 3072;

    private string $window = '';

    private int $from = 0;

    private function __construct(
        private readonly FileEnds $file,
        public readonly ByteOrder $order,
        public readonly bool $isBig,
    ) {}

    /** @throws FileDamaged */
    public static function open(FileEnds $file): self
    {
        $order = str_starts_with($file->head, 'II') ? ByteOrder::Little : ByteOrder::Big;
        $isBig = $order->u16($file->head, 2) === 43;
        if (strlen($file->head) < ($isBig ? 16 : 8)) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$file->size().' bytes');
        }
        if ($isBig && $order->u16($file->head, 4) !== 8) {
            throw FileDamaged::header('its places are not of eight bytes each');
        }

        return new self($file, $order, $isBig);
    }

    /** Where the first directory stands. */
    public function firstDirectory(): int
    {
        return $this->isBig ? $this->order->u64($this->file->head, 8) : $this->order->u32($this->file->head, 4);
    }

    public function size(): int
    {
        return $this->file->size();
    }

    /** Bytes of a place in the file. */
    public function placeLength(): int
    {
        return $this->isBig ? 8 : 4;
    }

    public function place(string $bytes, int $at): int
    {
        return $this->isBig ? $this->order->u64($bytes, $at) : $this->order->u32($bytes, $at);
    }

    /** From where on to read around a place. */
    public static function windowAt(int $place, int $size): int
    {
        return max(0, min($place - self::BEFORE, $size - self::WINDOW));
    }

    /** So many bytes, or fewer where the file ends. */
    public function bytes(int $at, int $length): string
    {
        if ($at < 0 || $length <= 0) {
            return '';
        }
        if ($at + $length <= strlen($this->file->head)) {
            return substr($this->file->head, $at, $length);
        }
        if ($length > self::WINDOW - self::BEFORE) {
            return $this->file->read($at, $length);
        }
        if ($at < $this->from || $at + $length > $this->from + strlen($this->window)) {
            $this->from = self::windowAt($at, $this->file->size());
            $this->window = $this->file->read($this->from, self::WINDOW);
        }

        return substr($this->window, $at - $this->from, $length);
    }
}
