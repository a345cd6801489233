<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Media\ByteSource;

/**
 * Writes an archive as it goes: each file's bytes pass through once, as they are, and none is held. Sums stand behind
 * the bytes (APPNOTE 4.3.9), sizes of 64 bits where they are needed (4.5.3), names in UTF-8 (bit 11).
 */
final class ZipWriter
{
    private const PIECE = 1 << 18;

    private const LONG = 0xFFFFFFFF;

    /** Sums behind the bytes, names in UTF-8. */
    private const FLAGS = 0x0808;

    private const LOCAL = 30;

    private const CENTRAL = 46;

    private int $at = 0;

    private int $count = 0;

    private string $directory = '';

    /**
     * @param  iterable<array{string, int, ByteSource}>  $files  path with slashes, seconds since 1970, bytes
     * @return \Generator<int, string> pieces of the archive
     */
    public static function write(iterable $files): \Generator
    {
        $writer = new self;
        foreach ($files as [$path, $modified, $source]) {
            yield from $writer->file($path, $modified, $source);
        }
        yield $writer->end();
    }

    /**
     * How long it will be.
     *
     * @param  iterable<array{string, int}>  $files  path and size in bytes
     */
    public static function length(iterable $files): int
    {
        [$local, $central, $count] = [0, 0, 0];
        foreach ($files as [$path, $size]) {
            $isLong = $size >= self::LONG;
            $central += self::CENTRAL + strlen($path) + self::extraLength($isLong, $local >= self::LONG);
            $local += self::LOCAL + strlen($path) + ($isLong ? 20 : 0) + $size + ($isLong ? 24 : 16);
            $count++;
        }

        return $local + $central + (self::needsLongEnd($local, $central, $count) ? 76 : 0) + 22;
    }

    /** @return \Generator<int, string> */
    private function file(string $path, int $modified, ByteSource $source): \Generator
    {
        $size = $source->size();
        $isLong = $size >= self::LONG;
        $began = $this->at;
        yield $this->count($this->local($path, $modified, $isLong));
        $hash = hash_init('crc32b');
        for ($at = 0; $at < $size; $at += strlen($piece)) {
            $piece = $source->read($at, min(self::PIECE, $size - $at));
            if ($piece === '') {
                throw ArchiveRefused::because($path, 'became shorter while it was packed');
            }
            hash_update($hash, $piece);
            yield $this->count($piece);
        }
        $sum = (int) hexdec(hash_final($hash));
        $sizes = $isLong ? pack('PP', $size, $size) : pack('VV', $size, $size);
        yield $this->count("PK\x07\x08".pack('V', $sum).$sizes);
        $this->directory .= $this->central($path, $modified, $sum, $size, $began);
        $this->count++;
    }

    private function count(string $bytes): string
    {
        $this->at += strlen($bytes);

        return $bytes;
    }

    private function local(string $path, int $modified, bool $isLong): string
    {
        $told = $isLong ? self::LONG : 0;

        return "PK\x03\x04".pack('vvv', $isLong ? 45 : 20, self::FLAGS, 0).self::dosTime($modified)
            .pack('VVVvv', 0, $told, $told, strlen($path), $isLong ? 20 : 0).$path
            .($isLong ? pack('vvPP', 1, 16, 0, 0) : '');
    }

    private function central(string $path, int $modified, int $sum, int $size, int $began): string
    {
        $isLong = $size >= self::LONG;
        $isFar = $began >= self::LONG;
        $fields = ($isLong ? pack('PP', $size, $size) : '').($isFar ? pack('P', $began) : '');
        $extra = $fields === '' ? '' : pack('vv', 1, strlen($fields)).$fields;
        $version = $extra === '' ? 20 : 45;

        // made on Unix, a regular file that all may read
        return "PK\x01\x02".pack('vvvv', 0x0300 | $version, $version, self::FLAGS, 0).self::dosTime($modified)
            .pack('VVV', $sum, $isLong ? self::LONG : $size, $isLong ? self::LONG : $size)
            .pack('vvvvvVV', strlen($path), strlen($extra), 0, 0, 0, 0o100644 << 16, $isFar ? self::LONG : $began)
            .$path.$extra;
    }

    private function end(): string
    {
        $length = strlen($this->directory);
        $long = '';
        if (self::needsLongEnd($this->at, $length, $this->count)) {
            $long = "PK\x06\x06".pack('PvvVVPPPP', 44, 0x032D, 45, 0, 0, $this->count, $this->count, $length, $this->at)
                ."PK\x06\x07".pack('VPV', 0, $this->at + $length, 1);
        }
        $count = min($this->count, 0xFFFF);

        return $this->directory.$long."PK\x05\x06"
            .pack('vvvvVVv', 0, 0, $count, $count, min($length, self::LONG), min($this->at, self::LONG), 0);
    }

    private static function needsLongEnd(int $at, int $length, int $count): bool
    {
        return $count >= 0xFFFF || $at >= self::LONG || $length >= self::LONG;
    }

    private static function extraLength(bool $isLong, bool $isFar): int
    {
        return $isLong || $isFar ? 4 + ($isLong ? 16 : 0) + ($isFar ? 8 : 0) : 0;
    }

    /** Two seconds are the least it can tell apart, in UTC; nothing is older than 1980. */
    private static function dosTime(int $modified): string
    {
        [$year, $month, $day, $hour, $minute, $second] = array_map(
            intval(...),
            explode(' ', gmdate('Y n j G i s', max($modified, 315_532_800))),
        );

        return pack(
            'vv',
            ($hour << 11) | ($minute << 5) | intdiv($second, 2),
            (min($year - 1980, 127) << 9) | ($month << 5) | $day,
        );
    }
}
