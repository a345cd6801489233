<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Matroska;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** Elements in a row (RFC 8794): a number of one to four bytes, a length of one to eight, data. */
final class Ebml
{
    /** What is read at once, since most elements are short. */
    private const PIECE = 4096;

    private const LONGEST_LEAD = 12;

    private string $bytes = '';

    private int $from = 0;

    public function __construct(private readonly FileEnds $file) {}

    public function size(): int
    {
        return $this->file->size();
    }

    /**
     * The element at a place.
     *
     * @return EbmlElement|null null where the file ends there
     *
     * @throws FileDamaged where there is none
     */
    public function at(int $place): ?EbmlElement
    {
        $lead = $this->read($place, self::LONGEST_LEAD);
        if (strlen($lead) < 2) {
            return null;
        }
        $idLength = self::width(ord($lead[0]));
        if ($idLength > 4) {
            throw FileDamaged::header("what stands at byte {$place} is no element");
        }
        $sizeLength = self::width(ord($lead[$idLength] ?? "\0"));
        if ($sizeLength > 8 || strlen($lead) < $idLength + $sizeLength) {
            throw strlen($lead) < self::LONGEST_LEAD
                ? FileDamaged::cutShort("the file ends inside an element, after {$this->size()} bytes")
                : FileDamaged::header("the element at byte {$place} has no length that one can have");
        }
        $size = self::number($lead, $idLength, $sizeLength) & ((1 << 7 * $sizeLength) - 1);
        $isUnknown = $size === (1 << 7 * $sizeLength) - 1;
        $body = $place + $idLength + $sizeLength;

        return new EbmlElement(
            self::number($lead, 0, $idLength),
            $body,
            $isUnknown || $size > PHP_INT_MAX - $body ? null : $body + $size,
        );
    }

    /**
     * @return \Generator<int, EbmlElement> those within a place and another; one of unknown length ends them
     *
     * @throws FileDamaged
     */
    public function within(int $from, int $to): \Generator
    {
        while ($from < $to) {
            $element = $this->at($from);
            if ($element === null) {
                return;
            }
            if ($element->end === null || $element->end > $to) {
                throw FileDamaged::header("an element at byte {$from} reaches beyond the one that it lies in");
            }
            yield $element;
            $from = $element->end;
        }
    }

    public function data(EbmlElement $element, int $most = 65536): string
    {
        return $this->read($element->body, min($most, ($element->end ?? $this->size()) - $element->body));
    }

    /** A whole number of up to eight bytes. */
    public function whole(EbmlElement $element): int
    {
        $bytes = $this->data($element, 8);

        return self::number($bytes, 0, strlen($bytes));
    }

    public function float(EbmlElement $element): float
    {
        $bytes = $this->data($element, 8);
        /** @var array{1: float} $number */
        $number = match (strlen($bytes)) {
            4 => unpack('G', $bytes),
            8 => unpack('E', $bytes),
            default => [1 => 0.0],
        };

        return $number[1];
    }

    public function text(EbmlElement $element): string
    {
        return rtrim($this->data($element, 1024), "\0");
    }

    public function read(int $place, int $length): string
    {
        $end = min($place + $length, $this->size());
        if ($place < $this->from || $end > $this->from + strlen($this->bytes)) {
            $this->bytes = $this->file->read($place, max($length, self::PIECE));
            $this->from = $place;
        }

        return substr($this->bytes, $place - $this->from, $length);
    }

    /** How many bytes a number takes, by its first; 9 where that says nothing. */
    private static function width(int $first): int
    {
        for ($width = 1; $width <= 8; $width++) {
            if (($first & 0x100 >> $width) !== 0) {
                return $width;
            }
        }

        return 9;
    }

    private static function number(string $bytes, int $at, int $length): int
    {
        return $length < 1 ? 0 : ByteOrder::Big->u64(str_pad(substr($bytes, $at, $length), 8, "\0", STR_PAD_LEFT));
    }
}
