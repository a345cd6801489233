<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Avi;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Readers\Codecs\CodecCode;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;

/** One stream of an AVI: its header, its format, the shape it names, and where an index of its own is. */
final readonly class AviStream
{
    public const PICTURES = 'vids';

    public const SOUND = 'auds';

    /** The format of a picture, before what the codec adds. */
    private const FORMAT = 40;

    private const MOST_READ = 65536;

    /** @param  array<string, array{int, int}>  $chunks  where each begins and its length, by type */
    private function __construct(
        public int $number,
        private string $header,
        private string $format,
        private string $shape,
        public array $chunks,
    ) {}

    /** @param  iterable<array{string, int, int}>  $chunks */
    public static function read(FileEnds $file, int $number, iterable $chunks): self
    {
        $found = [];
        foreach ($chunks as [$type, $at, $length]) {
            $found[$type] ??= [$at, $length];
        }
        $data = static fn (string $type): string => isset($found[$type])
            ? $file->read($found[$type][0], min(self::MOST_READ, $found[$type][1]))
            : '';

        return new self($number, $data('strh'), $data('strf'), $data('vprp'), $found);
    }

    public function type(): string
    {
        return substr($this->header, 0, 4);
    }

    public function format(): string
    {
        return $this->format;
    }

    public function rate(): ?FrameRate
    {
        [$scale, $rate] = [ByteOrder::Little->u32($this->header, 20), ByteOrder::Little->u32($this->header, 24)];

        return $scale > 0 && $rate > 0 ? FrameRate::of($rate, $scale) : null;
    }

    /** Pictures, as its header claims. */
    public function length(): int
    {
        return ByteOrder::Little->u32($this->header, 32);
    }

    public function width(): int
    {
        return ByteOrder::Little->u32($this->format, 4);
    }

    /** Whether lines are kept from the top down, which a height below nothing says. */
    public function isTopDown(): bool
    {
        return ByteOrder::Little->i32($this->format, 8) < 0;
    }

    public function height(): int
    {
        return abs(ByteOrder::Little->i32($this->format, 8));
    }

    public function codec(): CodecHeaders
    {
        $code = substr($this->format, 16, 4);
        $bits = ByteOrder::Little->u16($this->format, 14);
        $codec = in_array($code, ["\0\0\0\0", "\3\0\0\0", 'DIB '], true) ? 'raw' : CodecCode::picture($code);

        return new CodecHeaders($codec, $code, substr($this->format, self::FORMAT), $bits);
    }

    /** By the shape of the whole picture that the stream names; null where it names none. */
    public function pixelAspect(): ?BigRational
    {
        [$down, $across] = [ByteOrder::Little->u16($this->shape, 20), ByteOrder::Little->u16($this->shape, 22)];
        [$width, $height] = [$this->width(), $this->height()];

        return $across < 1 || $down < 1 || $width < 1 || $height < 1
            ? null
            : BigRational::nd($across * $height, $down * $width)->simplified();
    }

    public function scan(): ?string
    {
        return match (ByteOrder::Little->u32($this->shape, 32)) {
            1 => 'progressive',
            2 => 'interlaced',
            default => null,
        };
    }
}
