<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Readers\ExrChannels;
use PlainLedger\Core\Media\Readers\ExrHeader;
use PlainLedger\Core\Media\Readers\ExrPart;
use PlainLedger\Core\Media\Readers\ExrStorage;

/**
 * OpenEXR scanlines, unpacked or packed by run lengths or deflate, half or float (OpenEXR file layout; the
 * reordering and differences of its ZIP and RLE). Light is brought to eight bits as a screen shows it, by the curve of
 * sRGB (IEC 61966-2-1), so that a dark picture is no black one.
 */
final class ExrDecoder implements Decoder
{
    private const MOST_PIXELS = 12_000_000;

    private const LARGEST_CHUNK = 64 << 20;

    /** All chunks together, in bytes: half a minute of work. */
    private const MOST_UNPACKED = 800 << 20;

    /** @var array<string, list<string>> a byte for each sixteen bits, by what they stand for */
    private static array $tables = [];

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Exr;
    }

    /** Its packed pixels themselves: whoever packs the same picture twice gets the same bytes. */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        try {
            $file = ExrHeader::read($source, $source->read(0, 4096));
        } catch (FileDamaged) {
            return null;
        }
        $at = $file->end;
        foreach ($file->parts as $part) {
            $at += 8 * $part->chunks();
        }
        $print = hash_init('xxh128');
        for ($size = $source->size(); $at < $size; $at += 1 << 20) {
            hash_update($print, $source->read($at, 1 << 20));
        }

        return hash_final($print, true);
    }

    public function decode(ByteSource $source, MediaFacts $facts): ExrPixels
    {
        try {
            $file = ExrHeader::read($source, $source->read(0, 4096));
        } catch (FileDamaged $damaged) {
            throw PixelsRefused::because('its header is broken', $damaged);
        }
        $part = $file->parts[0];
        $this->refuseOthers($file, $part);
        [$places, $words] = self::places($part);
        $colour = self::colourPlaces($places);
        $alpha = $places['A'] ?? null;
        self::refuseLarge($part, 2 * $words);
        $width = $part->data->width();
        $lines = [];
        $coverage = [];
        foreach ($this->blocks($source, $file, $words) as [$block, $count]) {
            for ($line = 0; $line < $count; $line++) {
                $lines[] = $this->line($block, $line * $words, $width, $colour);
                if ($alpha !== null) {
                    $coverage[] = $this->coverage($block, $line * $words, $width, $alpha);
                }
            }
        }

        return new ExrPixels($width, $part->data->height(), $lines, $coverage);
    }

    /**
     * In words of sixteen bits, where each channel begins in a line.
     *
     * @return array{array<array-key, array{int, string}>, int} of each its place and type; the length of a line
     */
    private static function places(ExrPart $part): array
    {
        $at = 0;
        $places = [];
        foreach ($part->channels->types as $name => $type) {
            $isHalf = $type === ExrChannels::HALF;
            $places[$name] = [$at, $isHalf ? 'half' : 'float'];
            $at += $part->data->width() * ($isHalf ? 1 : 2);
        }

        return [$places, $at];
    }

    /**
     * @param  array<array-key, array{int, string}>  $places
     * @return array{array{int, string}, array{int, string}, array{int, string}} of blue, green and red
     */
    private static function colourPlaces(array $places): array
    {
        if (isset($places['R'], $places['G'], $places['B'])) {
            return [$places['B'], $places['G'], $places['R']];
        }
        $grey = $places['Y'] ?? throw PixelsRefused::because('it has no colour channels of its own');

        return [$grey, $grey, $grey];
    }

    /**
     * @param  int  $words  of a line
     * @return iterable<array{ExrBlock, int}> the lines of each chunk, and how many
     */
    private function blocks(ByteSource $source, ExrHeader $file, int $words): iterable
    {
        $part = $file->parts[0];
        $lines = $part->storage->linesPerChunk();
        for ($chunk = 0, $many = $part->chunks(); $chunk < $many; $chunk++) {
            $count = min($lines, $part->data->height() - $chunk * $lines);
            $entry = $file->end + 8 * $chunk;
            yield [$this->block($source, $entry, $part->storage->compression, 2 * $words * $count), $count];
        }
    }

    /** @param  int  $line  bytes of one */
    private static function refuseLarge(ExrPart $part, int $line): void
    {
        if ($part->data->width() * $part->data->height() > self::MOST_PIXELS) {
            throw FileTooLarge::pixels($part->data->width(), $part->data->height());
        }
        $all = $line * $part->data->height();
        if ($all > self::MOST_UNPACKED || $line * $part->storage->linesPerChunk() > self::LARGEST_CHUNK) {
            [$width, $height] = [number_format($part->data->width()), number_format($part->data->height())];
            $channels = count($part->channels->types);
            $size = (string) ByteSize::of($all);
            throw FileTooLarge::of("{$width} × {$height} pixels in {$channels} channels, {$size} unpacked");
        }
    }

    private function refuseOthers(ExrHeader $file, ExrPart $part): void
    {
        $why = match (true) {
            $file->multiPart || $part->isTiled() || $part->storage->deep => 'it is tiled, deep, or of several parts',
            $part->storage->compression > ExrStorage::ZIP => "what is packed by {$part->storage->name()}"
                .' is not unpacked here',
            ! $part->channels->allSampled => 'its channels are not all of one size',
            $part->channels->holdWholeNumbers() => 'it holds whole numbers',
            default => null,
        };
        if ($why !== null) {
            throw PixelsRefused::because($why);
        }
    }

    /** @param  int  $raw  bytes it unpacks to */
    private function block(ByteSource $source, int $entry, int $compression, int $raw): ExrBlock
    {
        try {
            /** @var array{1: int} $offset */
            $offset = unpack('P', str_pad($source->read($entry, 8), 8, "\0"));
            $packed = ExrHeader::int(str_pad($source->read($offset[1], 8), 8, "\0"), 4);
            if ($packed < 1 || $packed > $raw) {
                throw PixelsRefused::because('a chunk is of an impossible length');
            }
            $data = $source->read($offset[1] + 8, $packed);
        } catch (BytesMissing $missing) {
            throw PixelsRefused::because('its data breaks off', $missing);
        }
        if ($compression !== ExrStorage::NONE && $packed < $raw) {
            $unpacked = $compression === ExrStorage::RUN_LENGTHS
                ? self::runs($data, $raw)
                : @gzuncompress($data, $raw + 1);
            if ($unpacked === false || strlen($unpacked) !== $raw) {
                throw PixelsRefused::because('its data is broken');
            }

            return ExrBlock::ofDifferences($unpacked);
        }
        if (strlen($data) !== $raw) {
            throw PixelsRefused::because('its data breaks off');
        }

        return ExrBlock::plain($data);
    }

    /** A count below zero: so many bytes as they are; else the next byte so many times and once more. */
    private static function runs(string $data, int $raw): string|false
    {
        $out = '';
        for ($i = 0, $many = strlen($data); $i + 1 < $many;) {
            $count = ord($data[$i]);
            if ($count > 127) {
                $out .= substr($data, $i + 1, 256 - $count);
                $i += 257 - $count;
            } else {
                $out .= str_repeat($data[$i + 1], $count + 1);
                $i += 2;
            }
            if (strlen($out) > $raw) {
                return false;
            }
        }

        return $out;
    }

    /**
     * One channel of one line, for its table.
     *
     * @param  array{int, string}  $place
     * @return list<int>
     */
    private static function values(ExrBlock $block, int $from, int $width, array $place): array
    {
        [$at, $type] = $place;
        if ($type === 'half') {
            return $block->words($from + $at, $width);
        }
        $words = $block->words($from + $at, 2 * $width);
        $values = [];
        for ($i = 0; $i < 2 * $width; $i += 2) {
            // the upper sixteen bits, rounded by the lower
            $values[] = min(65535, $words[$i + 1] + ($words[$i] >> 15));
        }

        return $values;
    }

    /**
     * @param  array{array{int, string}, array{int, string}, array{int, string}}  $colour  blue, green, red
     */
    private function line(ExrBlock $block, int $from, int $width, array $colour): string
    {
        [$blue, $green, $red] = array_map(fn (array $place): array => $this->table($place[1]), $colour);
        [$b, $g, $r] = array_map(
            static fn (array $place): array => self::values($block, $from, $width, $place),
            $colour,
        );
        $line = '';
        foreach ($b as $x => $value) {
            $line .= $blue[$value].$green[$g[$x]].$red[$r[$x]];
        }

        return $line;
    }

    /** @param  array{int, string}  $alpha */
    private function coverage(ExrBlock $block, int $from, int $width, array $alpha): string
    {
        $table = $this->table("{$alpha[1]} alpha");
        $line = '';
        foreach (self::values($block, $from, $width, $alpha) as $value) {
            $line .= $table[$value];
        }

        return $line;
    }

    /** @return list<string> of a half, or of the upper sixteen bits of a float */
    private function table(string $of): array
    {
        if (isset(self::$tables[$of])) {
            return self::$tables[$of];
        }
        $table = [];
        for ($bits = 0; $bits < 65536; $bits++) {
            $value = str_starts_with($of, 'half') ? self::half($bits) : self::upperFloat($bits);
            $table[] = chr((int) round(255 * (str_ends_with($of, 'alpha') ? $value : self::shown($value))));
        }

        return self::$tables[$of] = $table;
    }

    /** From 0 to 1; what is no number is nothing. */
    private static function clamped(float $value): float
    {
        return is_nan($value) ? 0.0 : max(0.0, min(1.0, $value));
    }

    private static function shown(float $light): float
    {
        return $light <= 0.0031308 ? 12.92 * $light : 1.055 * $light ** (1 / 2.4) - 0.055;
    }

    private static function half(int $bits): float
    {
        $exponent = $bits >> 10 & 31;
        $fraction = $bits & 1023;
        $value = match ($exponent) {
            0 => $fraction * 2 ** -24,
            31 => $fraction === 0 ? INF : NAN,
            default => (1024 + $fraction) * 2 ** ($exponent - 25),
        };

        return self::clamped($bits & 0x8000 ? -$value : $value);
    }

    private static function upperFloat(int $bits): float
    {
        /** @var array{1: float} $float */
        $float = unpack('g', pack('V', $bits << 16));

        return self::clamped($float[1]);
    }
}
