<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;

/**
 * Whether one chunk of OpenEXR is what its compression makes: by its own lengths and counts, and where it is a zlib
 * stream by unpacking it, whose checksum stands at its end.
 */
final readonly class ExrPackedChunk
{
    /** So much is unpacked at a time. */
    private const PIECE = 1 << 16;

    /** Bytes of a block of four by four halves, and of one whose values are all the same. */
    private const BLOCK = 14;

    private const FLAT_BLOCK = 3;

    /** The mark of a flat block, in its third byte. */
    private const FLAT = 13 << 2;

    /** Eleven numbers stand before what is packed by cosines. */
    private const COSINE_HEADER = 88;

    /** @param  list<array{int, int, int}>  $channels  type of each, and how many values it has across and down */
    public function __construct(private ByteSource $source, private int $compression, private array $channels) {}

    /** What it comes to, in bytes. */
    public function rawBytes(): int
    {
        return $this->bytes(static fn (int $type): int => $type === ExrChannels::HALF ? 2 : 4);
    }

    /** @param  \Closure(int): int  $of  bytes of a value of this type */
    private function bytes(\Closure $of): int
    {
        $bytes = 0;
        foreach ($this->channels as [$type, $across, $down]) {
            $bytes += $of($type) * $across * $down;
        }

        return $bytes;
    }

    /** @param  int  $packed  its length, in bytes */
    public function isWhole(int $at, int $packed): bool
    {
        $raw = $this->rawBytes();
        if ($packed >= $raw || $this->compression === ExrStorage::NONE) {
            return $packed === $raw;
        }

        return match ($this->compression) {
            ExrStorage::RUN_LENGTHS => $this->runs($this->source->read($at, $packed)) === $raw,
            2, ExrStorage::ZIP => $this->inflated($at, $packed, $raw) === $raw,
            ExrStorage::PXR24 => $this->inflated($at, $packed, $raw) === $this->columns(),
            ExrStorage::PIZ => self::isCoded($this->source->read($at, 8192 + 28), $packed),
            ExrStorage::B44, ExrStorage::B44A => $this->blocks($this->source->read($at, $packed)) === $packed,
            default => ! in_array($this->compression, ExrStorage::DWA, true) || $this->isCosines($at, $packed),
        };
    }

    /** Floats are kept without their lowest byte. */
    private function columns(): int
    {
        return $this->bytes(static fn (int $type): int => match ($type) {
            ExrChannels::HALF => 2,
            ExrChannels::FLOAT => 3,
            default => 4,
        });
    }

    private function runs(string $data): int
    {
        $length = 0;
        for ($i = 0, $many = strlen($data); $i < $many;) {
            $count = ord($data[$i]);
            if ($count > 127) {
                $length += min(256 - $count, $many - $i - 1);
                $i += 257 - $count;
            } else {
                $length += $i + 1 < $many ? $count + 1 : 0;
                $i += 2;
            }
        }

        return $length;
    }

    /** Bytes that it unpacks to, piece by piece, so that it is never there whole; less than nothing if it fails. */
    private function inflated(int $at, int $packed, int $most): int
    {
        $stream = inflate_init(ZLIB_ENCODING_DEFLATE);
        $came = 0;
        for ($read = 0; $stream !== false && $read < $packed; $read += self::PIECE) {
            $bytes = @inflate_add($stream, $this->source->read($at + $read, min(self::PIECE, $packed - $read)));
            $came += $bytes === false ? $most + 1 : strlen($bytes);
            if ($came > $most) {
                return -1;
            }
        }

        return $stream !== false && inflate_get_status($stream) === ZLIB_STREAM_END ? $came : -1;
    }

    /** Wavelets: a span of used values, their marks, and the length of the code behind them; its own counts agree. */
    private static function isCoded(string $head, int $packed): bool
    {
        if (strlen($head) < 4) {
            return false;
        }
        /** @var array{1: int, 2: int} $span */
        $span = unpack('v2', $head);
        $code = 4 + ($span[1] <= $span[2] ? $span[2] - $span[1] + 1 : 0);
        if ($span[2] > 8191 || $code + 4 > $packed) {
            return false;
        }
        /** @var array{length: int, first: int, last: int, bits: int} $is */
        $is = unpack('Vlength/Vfirst/Vlast/x4/Vbits', str_pad(substr($head, $code, 20), 20, "\0"));

        return $code + 4 + $is['length'] === $packed
            && ($is['length'] === 0 || (
                $is['first'] <= $is['last']
                && $is['last'] <= 65536
                && 20 + intdiv($is['bits'] + 7, 8) <= $is['length']
            ));
    }

    /** Where the blocks of all halves, and the other values as they are, end. */
    private function blocks(string $data): int
    {
        $at = 0;
        foreach ($this->channels as [$type, $across, $down]) {
            if ($type !== ExrChannels::HALF) {
                $at += 4 * $across * $down;

                continue;
            }
            for ($left = intdiv($across + 3, 4) * intdiv($down + 3, 4); $left > 0 && $at < strlen($data); $left--) {
                $at += ord($data[$at + 2] ?? "\0") >= self::FLAT ? self::FLAT_BLOCK : self::BLOCK;
            }
            if ($left > 0) {
                return -1;
            }
        }

        return $at;
    }

    /**
     * Its numbers: version, raw and packed bytes of what is kept otherwise, packed bytes of the two kinds of waves and
     * of runs, the runs' bytes packed and raw, and counts of waves. What they say is there comes to its length.
     */
    private function isCosines(int $at, int $packed): bool
    {
        $head = $this->source->read($at, self::COSINE_HEADER + 2);
        if (strlen($head) < self::COSINE_HEADER + 2 || $packed < self::COSINE_HEADER) {
            return false;
        }
        /** @var array<int, int> $is */
        $is = unpack('P11', $head);
        foreach ($is as $number) {
            if ($number < 0 || $number > 1 << 40) {
                return false;
            }
        }
        // from version 2 on, rules for channels stand between, with their length first
        $rules = $is[1] >= 2 ? ord($head[self::COSINE_HEADER]) | ord($head[self::COSINE_HEADER + 1]) << 8 : 0;
        $other = $at + self::COSINE_HEADER + $rules;

        return self::COSINE_HEADER + $rules + $is[3] + $is[4] + $is[5] + $is[6] === $packed
            && ($is[3] === 0 || $this->inflated($other, $is[3], $is[2]) === $is[2])
            && ($is[6] === 0 || $this->inflated($other + $is[3] + $is[4] + $is[5], $is[6], $is[7]) === $is[7]);
    }
}
