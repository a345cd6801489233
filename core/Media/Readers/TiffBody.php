<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Compression\Lzw;
use PlainLedger\Core\Media\Compression\PackBits;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\ScanDepth;

/** Whether the strips or tiles of one page are all there, and in full whether they unpack to what they should. */
final readonly class TiffBody
{
    /** What all segments may come to where they are unpacked, in bytes: some minutes. */
    private const MOST_UNPACKED = 16 << 30;

    private const LARGEST_SEGMENT = 256 << 20;

    public function __construct(
        private ByteSource $source,
        private TiffPicture $picture,
        private TiffSegments $segments,
    ) {}

    /** @throws FileDamaged|FileTooLarge */
    public function check(ScanDepth $depth): void
    {
        $all = $this->segments->lineBytes() * $this->picture->height;
        if ($depth === ScanDepth::Full && $all > self::MOST_UNPACKED) {
            throw FileTooLarge::of((string) ByteSize::of($all).' uncompressed');
        }
        $size = $this->source->size();
        foreach ($this->segments->places() as $number => [$place, $length]) {
            if ($place < 0 || $length < 0) {
                throw FileDamaged::header("its {$this->word()} {$number} has an impossible place");
            }
            if ($place + $length > $size) {
                $end = $place + $length;
                throw FileDamaged::cutShort(
                    "its {$this->word()} {$number} reaches to byte {$end} and the file ends after {$size}",
                );
            }
            // tiles with nothing in them may be left out
            if ($length === 0 && (! $this->segments->isTiled || $place !== 0)) {
                throw FileDamaged::cutShort("its {$this->word()} {$number} is empty: the file was not finished");
            }
            $this->checkLength($number, $length);
            if ($depth === ScanDepth::Full && $length > 0) {
                $this->unpack($number, $place, $length);
            }
        }
    }

    private function word(): string
    {
        return $this->segments->isTiled ? 'tile' : 'strip';
    }

    /** What is not packed has a length that its size tells. */
    private function checkLength(int $number, int $length): void
    {
        $due = $this->segments->rawBytes($number);
        if ($this->picture->compression === TiffPicture::UNPACKED && $length > 0 && $length < $due) {
            throw FileDamaged::cutShort("its {$this->word()} {$number} has {$length} bytes of {$due}");
        }
    }

    private function unpack(int $number, int $place, int $length): void
    {
        $due = $this->segments->rawBytes($number);
        if (max($due, $length) > self::LARGEST_SEGMENT) {
            throw FileTooLarge::of((string) ByteSize::of(max($due, $length)).' in one piece');
        }
        $isWhole = match (true) {
            $this->picture->compression === TiffPicture::LZW => Lzw::length(
                $this->bytes($place, $length),
                $due,
            ) >= $due,
            $this->picture->compression === TiffPicture::PACK_BITS => PackBits::length(
                $this->bytes($place, $length),
            ) >= $due,
            in_array($this->picture->compression, TiffPicture::DEFLATE, true) => $this->inflates(
                $this->bytes($place, $length),
                $due,
            ),
            $this->picture->compression === TiffPicture::JPEG => $this->isJpeg($place, $length),
            default => true,
        };
        if (! $isWhole) {
            throw FileDamaged::checksum("its {$this->word()} {$number} at byte {$place} does not unpack");
        }
    }

    private function bytes(int $place, int $length): string
    {
        return $this->source->read($place, $length);
    }

    /** A stream with its own checksum. Some writers leave the last bytes of it out. */
    private function inflates(string $packed, int $due): bool
    {
        $stream = inflate_init(ZLIB_ENCODING_DEFLATE);
        if ($stream === false) {
            return false;
        }
        $came = 0;
        foreach (str_split($packed, 1 << 16) as $piece) {
            $bytes = @inflate_add($stream, $piece);
            if ($bytes === false) {
                return false;
            }
            $came += strlen($bytes);
            if ($came > $due + self::LARGEST_SEGMENT) {
                return false;
            }
        }

        return $came >= $due;
    }

    private function isJpeg(int $place, int $length): bool
    {
        return $this->source->read($place, 2) === "\xFF\xD8"
            && str_contains($this->source->read($place + max(0, $length - 16), 16), "\xFF\xD9");
    }
}
