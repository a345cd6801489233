<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** The file header of fourteen bytes and the information header behind it, in any of its lengths. */
final readonly class BmpHeader
{
    private const FILE = 14;

    /** The oldest, whose sides have sixteen bits and whose palette three bytes a colour. */
    private const CORE = 12;

    /** Headers from here on have a mask of alpha; from the next on a colour space. */
    private const WITH_ALPHA = 56;

    private const WITH_COLOUR = 108;

    private const PLAIN = 0;

    private const MASKED = 3;

    private const MASKED_ALPHA = 6;

    private const COMPRESSIONS = [
        self::PLAIN => 'none', 1 => 'rle', 2 => 'rle', self::MASKED => 'none', 4 => 'jpeg', 5 => 'deflate',
        self::MASKED_ALPHA => 'none',
    ];

    /** The same numbers mean others in the header of another system, of which 16 to 64 bytes may be there. */
    private const OTHER = [self::PLAIN => 'none', 1 => 'rle', 2 => 'rle', 3 => 'ccitt', 4 => 'rle'];

    private const BITS = [0, 1, 2, 4, 8, 16, 24, 32];

    private const SRGB = 'BGRs';

    private const EMBEDDED = 'DEBM';

    private const LARGEST_PROFILE = 1 << 20;

    private function __construct(
        private string $bytes,
        private int $length,
        private int $width,
        private int $height,
        private int $bits,
        private int $packing,
        private int $pixelPlace,
    ) {}

    /** @throws FileDamaged */
    public static function read(FileEnds $file): self
    {
        $bytes = substr($file->head, 0, 14 + 124 + 16);
        $length = ByteOrder::Little->u32($bytes, self::FILE);
        if (strlen($file->head) < self::FILE + $length) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$file->size().' bytes');
        }
        $isCore = $length === self::CORE;
        $width = $isCore ? ByteOrder::Little->u16($bytes, 18) : ByteOrder::Little->i32($bytes, 18);
        $height = $isCore ? ByteOrder::Little->u16($bytes, 20) : ByteOrder::Little->i32($bytes, 22);
        foreach ([$width, abs($height)] as $side) {
            if ($side < 1 || $side > Resolution::LARGEST) {
                throw FileDamaged::header("the header names an impossible size, a side of {$side} pixels");
            }
        }
        $bits = ByteOrder::Little->u16($bytes, $isCore ? 24 : 28);
        $packing = $isCore || $length < 20 ? 0 : ByteOrder::Little->u32($bytes, 30);
        if (! self::isPacking(self::packings($length)[$packing] ?? null, $bits)) {
            throw FileDamaged::header("the header names {$bits} bits a pixel, or a packing, that there is not");
        }

        return new self($bytes, $length, $width, $height, $bits, $packing, self::place($bytes, $length));
    }

    private static function isOther(int $length): bool
    {
        return $length === 16 || $length === 64;
    }

    private static function place(string $bytes, int $length): int
    {
        $told = ByteOrder::Little->u32($bytes, 10);

        return $told === 0 ? self::FILE + $length : $told;
    }

    public function length(): int
    {
        return $this->length;
    }

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return abs($this->height);
    }

    public function isFromTop(): bool
    {
        return $this->height < 0;
    }

    /** @return array<int, string> the words for packings by their number, which depends on the size of the header */
    private static function packings(int $length): array
    {
        return self::isOther($length) ? self::OTHER : self::COMPRESSIONS;
    }

    /** A pixel has no bits of its own only where a whole JPEG or PNG is embedded. */
    private static function isPacking(?string $packing, int $bits): bool
    {
        return $packing !== null
            && in_array($bits, self::BITS, true)
            && ($bits > 0 || in_array($packing, ['jpeg', 'deflate'], true));
    }

    public function bits(): int
    {
        return $this->bits;
    }

    public function pixelPlace(): int
    {
        return $this->pixelPlace;
    }

    public function hasPalette(): bool
    {
        return $this->bits > 0 && $this->bits <= 8;
    }

    /** Neither packed nor another file inside. */
    public function isPlain(): bool
    {
        return $this->compression() === 'none';
    }

    public function isRuns(): bool
    {
        return $this->compression() === 'rle';
    }

    /** Of four bits two pixels in a byte, of eight one, of twenty-four three bytes each. */
    public function runBits(): int
    {
        return match ($this->packing) {
            1 => 8,
            2 => 4,
            default => 24,
        };
    }

    public function compression(): string
    {
        return self::packings($this->length)[$this->packing];
    }

    /** Bytes of a line, filled up to whole four. */
    public function lineBytes(): int
    {
        return intdiv($this->width * $this->bits + 31, 32) * 4;
    }

    /** What the picture takes: by its size, or as told where it is packed; 0 where neither is known. */
    public function pixelBytes(): int
    {
        if ($this->isPlain()) {
            return $this->lineBytes() * $this->height();
        }

        return $this->length >= 24 ? ByteOrder::Little->u32($this->bytes, 34) : 0;
    }

    /** Bits of one channel; of a palette those of its numbers. */
    public function depth(): int
    {
        if ($this->hasPalette()) {
            return $this->bits;
        }
        $masks = $this->masks();

        return match (true) {
            $this->isMasked() && $masks[0] > 0 => substr_count(decbin($masks[0]), '1'),
            $this->bits === 16 => 5,
            default => 8,
        };
    }

    private function isMasked(): bool
    {
        return ! self::isOther($this->length) && in_array($this->packing, [self::MASKED, self::MASKED_ALPHA], true);
    }

    /** @return array{int, int, int, int} of red, green, blue and alpha */
    public function masks(): array
    {
        $mask = fn (int $at): int => ByteOrder::Little->u32($this->bytes, self::FILE + 40 + $at);
        if (! $this->isMasked()) {
            return match ($this->bits) {
                16 => [0x7C00, 0x03E0, 0x001F, 0],
                default => [0xFF0000, 0x00FF00, 0x0000FF, 0],
            };
        }
        // in the header itself, or right behind the shorter one
        $hasAlpha = $this->length >= self::WITH_ALPHA || $this->packing === self::MASKED_ALPHA;

        return [$mask(0), $mask(4), $mask(8), $hasAlpha ? $mask(12) : 0];
    }

    /** @return array<string, string> */
    public function masksText(): array
    {
        if (! $this->isMasked()) {
            return [];
        }
        $bits = array_map(static fn (int $mask): int => substr_count(decbin($mask), '1'), $this->masks());

        return ['bits' => implode('-', $bits[3] === 0 ? array_slice($bits, 0, 3) : $bits)];
    }

    /** @return list<string> a palette of greys alone is how greys are kept here */
    public function channels(FileEnds $file): array
    {
        $alpha = $this->masks()[3] > 0 && ! $this->hasPalette() ? ['A'] : [];

        return [...($this->hasGreys($file) ? ['Y'] : ['R', 'G', 'B']), ...$alpha];
    }

    private function hasGreys(FileEnds $file): bool
    {
        if (! $this->hasPalette()) {
            return false;
        }
        foreach ($this->palette($file) as $colour) {
            if ($colour[0] !== $colour[1] || $colour[1] !== $colour[2]) {
                return false;
            }
        }

        return true;
    }

    /** @return list<string> three bytes each: blue, green and red */
    public function palette(FileEnds $file): array
    {
        $length = $this->length === self::CORE ? 3 : 4;
        $told = $this->length >= 36 ? ByteOrder::Little->u32($this->bytes, 46) : 0;
        $most = 1 << min(8, $this->bits);
        $from = self::FILE + $this->length;
        $room = intdiv(max(0, $this->pixelPlace - $from), $length);
        $colours = $file->read($from, $length * min($told === 0 ? $most : min($told, $most), $room));

        return array_map(
            static fn (string $colour): string => str_pad(substr($colour, 0, 3), 3, "\0"),
            $colours === '' ? [] : str_split($colours, $length),
        );
    }

    /** Pixels an inch, across. */
    public function density(): ?int
    {
        $metre = $this->perMetre()[0];

        return $metre > 0 ? intdiv($metre * 254 + 5000, 10_000) : null;
    }

    public function pixelAspect(): BigRational
    {
        [$across, $down] = $this->perMetre();

        return $across > 0 && $down > 0 ? BigRational::nd($down, $across)->simplified() : BigRational::one();
    }

    /** @return array{int, int} */
    private function perMetre(): array
    {
        return $this->length < 40
            ? [0, 0]
            : [ByteOrder::Little->i32($this->bytes, 38), ByteOrder::Little->i32($this->bytes, 42)];
    }

    public function hasProfile(): bool
    {
        return $this->length >= 124 && substr($this->bytes, 70, 4) === self::EMBEDDED;
    }

    public function colour(FileEnds $file): ?string
    {
        if ($this->length < self::WITH_COLOUR) {
            return null;
        }
        if (substr($this->bytes, 70, 4) === self::SRGB) {
            return 'srgb';
        }
        if (! $this->hasProfile()) {
            return null;
        }
        $length = min(self::LARGEST_PROFILE, ByteOrder::Little->u32($this->bytes, 130));

        return ColourEncoding::fromProfile(
            '',
            $file->read(self::FILE + ByteOrder::Little->u32($this->bytes, 126), $length),
        );
    }
}
