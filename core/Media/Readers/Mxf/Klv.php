<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Mxf;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;

/** A key of 16 bytes, a length, and where the value is (SMPTE ST 336). */
final readonly class Klv
{
    public const KEY = 16;

    private function __construct(public string $key, public int $start, public int $body, public int $end) {}

    /** The one at a place; null where the file ends there, or none stands there. */
    public static function at(FileEnds $file, int $place): ?self
    {
        $lead = $place + self::KEY < $file->size() ? $file->read($place, self::KEY + 9) : '';
        if (strlen($lead) <= self::KEY || ! str_starts_with($lead, "\x06\x0E\x2B\x34")) {
            return null;
        }
        $first = ord($lead[self::KEY]);
        $bytes = $first < 0x80 ? 0 : $first & 0x7F;
        if ($bytes > 8 || strlen($lead) < self::KEY + 1 + $bytes) {
            return null;
        }
        $length = $bytes === 0
            ? $first & 0x7F
            : ByteOrder::Big->u64(str_pad(substr($lead, self::KEY + 1, $bytes), 8, "\0", STR_PAD_LEFT));
        $body = $place + self::KEY + 1 + $bytes;

        return $length < 0 || $length > PHP_INT_MAX - $body
            ? null
            : new self(substr($lead, 0, self::KEY), $place, $body, $body + $length);
    }

    public function length(): int
    {
        return $this->end - $this->body;
    }

    private function isOf(string $from): bool
    {
        // the eighth byte is the version of the register
        return substr($this->key, 4, 3) === substr($from, 0, 3)
            && str_starts_with(substr($this->key, 8), substr($from, 4));
    }

    /** 2 header, 3 body, 4 footer; null where it is no partition (SMPTE ST 377-1, 7.1). */
    public function partition(): ?int
    {
        $kind = ord($this->key[13]);

        return $this->isOf("\x02\x05\x01\x01\x0D\x01\x02\x01\x01") && $kind >= 2 && $kind <= 4 ? $kind : null;
    }

    /** Whether a partition was closed, and whether what it tells is complete. */
    public function isClosed(): bool
    {
        return ord($this->key[14]) % 2 === 0;
    }

    /** The kind of a set of metadata; null where it is none. */
    public function set(): ?int
    {
        return $this->isOf("\x02\x53\x01\x01\x0D\x01\x01\x01\x01\x01") ? ord($this->key[14]) : null;
    }

    public function isIndex(): bool
    {
        return $this->isOf("\x02\x53\x01\x01\x0D\x01\x02\x01\x01\x10");
    }

    /** A picture, whatever wraps it (SMPTE ST 379-2, 7.1). */
    public function isPicture(): bool
    {
        return $this->isOf("\x01\x02\x01\x01\x0D\x01\x03\x01") && in_array(ord($this->key[12]), [0x05, 0x15], true);
    }
}
