<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Mxf;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;

/** A set of metadata: values by tags of two bytes (SMPTE ST 377-1, 9.3). */
final readonly class MxfSet
{
    private const LONGEST = 4 << 20;

    /** @param  array<int, string>  $values  by tag */
    private function __construct(public int $kind, private array $values) {}

    public static function read(FileEnds $file, Klv $klv, int $kind): self
    {
        $bytes = $file->read($klv->body, min(self::LONGEST, $klv->length()));
        $values = [];
        for ($at = 0; $at + 4 <= strlen($bytes); $at += 4 + $length) {
            $length = ByteOrder::Big->u16($bytes, $at + 2);
            $values[ByteOrder::Big->u16($bytes, $at)] ??= substr($bytes, $at + 4, $length);
        }

        return new self($kind, $values);
    }

    public function bytes(int $tag): string
    {
        return $this->values[$tag] ?? '';
    }

    /** A whole number of one to eight bytes; null where it is not told. */
    public function whole(int $tag): ?int
    {
        $bytes = $this->bytes($tag);

        return $bytes === '' || strlen($bytes) > 8
            ? null
            : ByteOrder::Big->u64(str_pad($bytes, 8, "\0", STR_PAD_LEFT));
    }

    public function fraction(int $tag): ?BigRational
    {
        $bytes = $this->bytes($tag);
        [$over, $under] = [ByteOrder::Big->i32($bytes), ByteOrder::Big->i32($bytes, 4)];

        return $over > 0 && $under > 0 ? BigRational::nd($over, $under)->simplified() : null;
    }

    /** @return list<string> references to other sets */
    public function references(int $tag): array
    {
        $bytes = $this->bytes($tag);
        $count = min(ByteOrder::Big->u32($bytes), intdiv(max(0, strlen($bytes) - 8), 16));

        return $count < 1 ? [] : str_split(substr($bytes, 8, 16 * $count), 16);
    }
}
