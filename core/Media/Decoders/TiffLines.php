<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Compression\Lzw;
use PlainLedger\Core\Media\Compression\PackBits;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\Readers\TiffPicture;
use PlainLedger\Core\Media\Readers\TiffSegments;

/**
 * The lines of a TIFF out of its strips or tiles: unpacked, differences undone, planes put together, the upper byte of
 * each sample first. Of samples of thirty-two bits the upper sixteen are given.
 */
final readonly class TiffLines
{
    private const DIFFERENCES = 2;

    private const FLOAT_DIFFERENCES = 3;

    public function __construct(
        private ByteSource $source,
        private ByteOrder $order,
        private TiffPicture $picture,
        private TiffSegments $segments,
    ) {}

    /** Whether its lines are given as they are kept: each byte the difference to that of the pixel before. */
    public function areDifferences(): bool
    {
        return $this->picture->predictor === self::DIFFERENCES
            && $this->picture->bits[0] === 8
            && ! $this->picture->isPlanar
            && ! $this->picture->isWhiteZero()
            && ! $this->segments->isTiled;
    }

    /**
     * @return \Generator<int, string>
     *
     * @throws FileDamaged
     */
    public function lines(): \Generator
    {
        $places = [];
        foreach ($this->segments->places() as $number => $place) {
            $places[$number] = $place;
        }
        $across = $this->segments->across();
        $planes = $this->picture->isPlanar ? $this->picture->samples : 1;
        for ($row = 0, $down = $this->segments->down(); $row < $down; $row++) {
            $parts = [];
            for ($plane = 0; $plane < $planes; $plane++) {
                for ($column = 0; $column < $across; $column++) {
                    $number = ($plane * $down + $row) * $across + $column;
                    $parts[$plane][] = $this->segment($number, ...$places[$number]);
                }
            }
            yield from $this->together($parts, min(
                $this->segments->height,
                $this->picture->height - $row * $this->segments->height,
            ));
        }
    }

    /**
     * @param  array<int, list<list<string>>>  $parts  lines of each segment across, by plane
     * @return \Generator<int, string>
     */
    private function together(array $parts, int $lines): \Generator
    {
        for ($y = 0; $y < $lines; $y++) {
            $planes = array_map(
                static fn (array $row): string => implode('', array_map(static fn (array $s): string => $s[$y], $row)),
                $parts,
            );
            yield count($planes) === 1 ? $planes[0] : $this->interleaved($planes);
        }
    }

    /** @param  array<int, string>  $planes */
    private function interleaved(array $planes): string
    {
        $length = $this->picture->bits[0] === 8 ? 1 : 2;
        $columns = array_map(static fn (string $plane): array => str_split($plane, $length), $planes);

        return implode('', array_map(static fn (string ...$samples): string => implode('', $samples), ...$columns));
    }

    /** @return list<string> its lines, each of whole samples */
    private function segment(int $number, int $place, int $length): array
    {
        $due = $this->segments->rawBytes($number);
        $packed = $this->source->read($place, $length);
        $bytes = match (true) {
            $length === 0 => str_repeat("\0", $due),
            $this->picture->compression === TiffPicture::LZW => Lzw::unpack($packed, $due),
            $this->picture->compression === TiffPicture::PACK_BITS => PackBits::unpack($packed, $due),
            $this->picture->compression === TiffPicture::UNPACKED => $packed,
            default => self::inflated($packed, $due),
        };
        if (strlen($bytes) < $due) {
            throw FileDamaged::checksum("strip or tile {$number} does not unpack");
        }
        $lines = str_split(substr($bytes, 0, $due), max(1, $this->segments->lineBytes()));

        return array_map($this->line(...), $lines);
    }

    private static function inflated(string $packed, int $due): string
    {
        $stream = inflate_init(ZLIB_ENCODING_DEFLATE);
        $bytes = '';
        if ($stream === false) {
            return '';
        }
        foreach (str_split($packed, 1 << 16) as $piece) {
            $more = @inflate_add($stream, $piece);
            $bytes .= $more === false ? '' : $more;
            if ($more === false || strlen($bytes) > $due) {
                break;
            }
        }

        return $bytes;
    }

    private function line(string $line): string
    {
        $bits = $this->picture->bits[0];
        if ($this->picture->predictor === self::FLOAT_DIFFERENCES) {
            return $this->floats($line);
        }
        if ($this->picture->predictor === self::DIFFERENCES && $bits >= 8 && ! $this->areDifferences()) {
            return $this->summed($line);
        }
        $line = match (true) {
            $bits === 32 => $this->upperHalves($line),
            $bits === 16 && $this->order === ByteOrder::Little => SampleOrder::turnedTwos($line),
            default => $line,
        };

        return $this->picture->isWhiteZero() && ! $this->picture->isFloat() ? ~$line : $line;
    }

    private function upperHalves(string $line): string
    {
        return $this->order === ByteOrder::Little
            ? (string) preg_replace('~..(.)(.)~s', '$2$1', $line)
            : (string) preg_replace('~(..)..~s', '$1', $line);
    }

    /** Each sample was written as its difference to that of the pixel before. */
    private function summed(string $line): string
    {
        $bits = $this->picture->bits[0];
        $isLittle = $this->order === ByteOrder::Little;
        $code = match ($bits) {
            8 => 'C*',
            16 => $isLittle ? 'v*' : 'n*',
            default => $isLittle ? 'V*' : 'N*',
        };
        $step = $this->picture->isPlanar ? 1 : $this->picture->samples;
        $most = (1 << $bits) - 1;
        /** @var array<int, int> $values */
        $values = unpack($code, $line);
        for ($i = $step + 1, $many = count($values); $i <= $many; $i++) {
            $values[$i] = $values[$i] + $values[$i - $step] & $most;
        }
        if ($bits === 32) {
            $values = array_map(static fn (int $value): int => $value >> 16, $values);
        }

        return $bits === 8 ? pack('C*', ...$values) : pack('n*', ...$values);
    }

    /** The bytes of a line's floats stand apart by their weight, the upper ones first, as differences of bytes. */
    private function floats(string $line): string
    {
        $step = $this->picture->isPlanar ? 1 : $this->picture->samples;
        /** @var array<int, int> $values */
        $values = unpack('C*', $line);
        for ($i = $step + 1, $many = count($values); $i <= $many; $i++) {
            $values[$i] = $values[$i] + $values[$i - $step] & 255;
        }
        $bytes = pack('C*', ...$values);
        $count = intdiv(strlen($bytes), max(1, intdiv($this->picture->bits[0], 8)));
        $out = '';
        for ($i = 0; $i < $count; $i++) {
            $out .= $bytes[$i].$bytes[$count + $i];
        }

        return $out;
    }
}
