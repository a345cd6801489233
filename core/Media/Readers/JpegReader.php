<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\ScanDepth;

/** JPEG (ITU-T T.81) with JFIF density (ITU-T T.871): frame header, end mark; in full, the markers to the end. */
final readonly class JpegReader implements Reader
{
    private const TAIL = 64;

    private const MOST_SEGMENTS = 2000;

    /** Of the whole file, where they are followed to its end. */
    private const MOST_MARKERS = 200_000;

    /** How far the quick look searches for an end mark that is not at the end, in bytes. */
    private const QUICK_REACH = 32 << 20;

    /** Luminance quantisation of the standard's Annex K, in zigzag order; the measure that qualities scale. */
    private const STANDARD_LUMINANCE_SUM = 3688;

    public function kind(): Kind
    {
        return Kind::Jpeg;
    }

    public function headerKey(string $head): ?string
    {
        return null;
    }

    public function tailDamage(ByteSource $source, string $head): ?FileDamaged
    {
        $size = $source->size();
        $tail = $size <= strlen($head) ? substr($head, -self::TAIL) : $source->read($size - self::TAIL, self::TAIL);
        if (str_contains($tail, "\xFF\xD9")) {
            return null;
        }

        // something after the end mark: only a walk through the markers can tell it from a file cut short
        return $this->bodyDamage($source, self::QUICK_REACH);
    }

    /** @throws FileTooLarge */
    private function bodyDamage(ByteSource $source, int $reach): ?FileDamaged
    {
        try {
            return $this->walk($source, $reach) === null
                ? FileDamaged::cutShort('the end mark is missing after '.$source->size().' bytes')
                : null;
        } catch (FileDamaged $damaged) {
            return $damaged;
        }
    }

    public function read(ByteSource $source, string $head, ScanDepth $depth): MediaFacts
    {
        $facts = $this->header($source, $head);
        try {
            $damaged = $depth === ScanDepth::Full
                ? $this->bodyDamage($source, PHP_INT_MAX)
                : $this->tailDamage($source, $head);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->getMessage());
    }

    private function header(ByteSource $source, string $head): MediaFacts
    {
        $at = 2;
        $density = null;
        $header = [];
        $transform = null;
        [$ppi, $colour, $projection] = [null, null, null];
        for ($i = 0; $i < self::MOST_SEGMENTS; $i++) {
            $lead = $this->slice($source, $head, $at, 4);
            if (strlen($lead) < 4) {
                throw FileDamaged::cutShort('the file ends inside its header, after '.$source->size().' bytes');
            }
            if ($lead[0] !== "\xFF") {
                throw FileDamaged::header("a marker is expected at byte {$at} and something else stands there");
            }
            $marker = ord($lead[1]);
            if ($marker === 0xFF) {
                $at++;

                continue;
            }
            if ($marker === 0x01 || ($marker >= 0xD0 && $marker <= 0xD7)) {
                $at += 2;

                continue;
            }
            if ($marker === 0xD9 || $marker === 0xDA) {
                throw FileDamaged::header('the picture begins before any frame header');
            }
            $length = ord($lead[2]) << 8 | ord($lead[3]);
            if ($length < 2) {
                throw FileDamaged::header("the segment at byte {$at} names a length of {$length}");
            }
            if ($marker >= 0xC0 && $marker <= 0xCF && ! in_array($marker, [0xC4, 0xC8, 0xCC], true)) {
                return $this->frame(
                    $this->slice($source, $head, $at + 4, $length - 2),
                    $marker,
                    $density,
                    $transform,
                    $header,
                    $ppi,
                    $colour,
                    $projection,
                );
            }
            $data = $this->slice($source, $head, $at + 4, min($length - 2, 4096));
            if ($marker === 0xE0 && str_starts_with($data, "JFIF\0") && strlen($data) >= 12) {
                $density = [ord($data[7]), ord($data[8]) << 8 | ord($data[9]), ord($data[10]) << 8 | ord($data[11])];
            } elseif ($marker === 0xEE && str_starts_with($data, "\x41\x64\x6F\x62\x65") && strlen($data) >= 12) {
                $transform = ord($data[11]);
            } elseif ($marker === 0xDB) {
                $header += self::quality($data);
            } elseif ($marker === 0xE2 && str_starts_with($data, 'ICC_PROFILE')) {
                $header['colour profile'] = 'embedded';
                $colour = ColourEncoding::fromProfile('', substr($data, 14)) ?? $colour;
            } elseif ($marker === 0xE1 && str_starts_with($data, "Exif\0\0")) {
                [$exifDensity, $exifColour] = Exif::read(substr($data, 6));
                $ppi = $exifDensity ?? $ppi;
                $colour ??= $exifColour;
            } elseif ($marker === 0xE1) {
                $projection ??= ProjectionTag::in($data);
            }
            $at += 2 + $length;
        }
        throw FileDamaged::header('there is no frame header among the first '.self::MOST_SEGMENTS.' segments');
    }

    /**
     * @param  array{int, int, int}|null  $density
     * @param  array<string, string>  $header
     */
    private function frame(
        string $data,
        int $marker,
        ?array $density,
        ?int $transform,
        array $header,
        ?int $ppi,
        ?string $colour,
        ?string $projection,
    ): MediaFacts {
        if (strlen($data) < 6 || strlen($data) < 6 + 3 * ord($data[5])) {
            throw FileDamaged::cutShort('the file ends inside its frame header');
        }
        $bits = ord($data[0]);
        [$height, $width] = [ord($data[1]) << 8 | ord($data[2]), ord($data[3]) << 8 | ord($data[4])];
        $components = ord($data[5]);
        if ($width === 0 || ! in_array($components, [1, 2, 3, 4], true) || $bits < 2 || $bits > 16) {
            throw FileDamaged::header('the frame header names an impossible size, depth or count of components');
        }
        $channels = match ($components) {
            1 => ['Y'], 2 => ['Y', 'A'], 3 => ['R', 'G', 'B'], default => ['C', 'M', 'Y', 'K'],
        };
        $sampling = [];
        for ($i = 0; $i < $components; $i++) {
            $sampling[] = [ord($data[7 + 3 * $i]) >> 4, ord($data[7 + 3 * $i]) & 15];
        }
        $header['process'] = match ($marker) {
            0xC0 => 'baseline', 0xC1 => 'extended', 0xC2 => 'progressive', 0xC3 => 'lossless', 0xC9 => 'arithmetic',
            0xCA => 'arithmetic, progressive', default => 'other',
        };
        if ($transform !== null && $components === 4) {
            $header['ink'] = $transform === 2 ? 'YCCK' : 'CMYK';
        }
        $aspect = BigRational::one();
        if ($density !== null && $density[1] > 0 && $density[2] > 0) {
            // without a unit the two are the pixel aspect itself, as encoders write it; with one they are densities,
            // and the denser the rows, the wider each pixel (ITU-T T.871, 10.1)
            $aspect = (
                $density[0] === 0
                    ? BigRational::nd($density[1], $density[2])
                    : BigRational::nd($density[2], $density[1])
            )->simplified();
        }
        if ($density !== null && $density[0] > 0) {
            $ppi = $density[0] === 1 ? $density[1] : intdiv($density[1] * 254 + 50, 100);
            $header['density'] = "{$ppi} ppi";
        }

        return new MediaFacts(
            Kind::Jpeg, $width, $height === 0 ? null : $height, $aspect, $bits, 'uint', $channels, $components === 2,
            'jpeg', chroma: $components === 3 ? self::chroma($sampling) : null, complete: true, header: $header,
            density: $ppi,
            colour: $colour,
            projection: $projection,
            quality: isset($header['quality, estimated']) ? (int) $header['quality, estimated'] : null,
        );
    }

    /** @param  list<array{int, int}>  $sampling horizontal and vertical factors of each component */
    private static function chroma(array $sampling): ?string
    {
        [[$h, $v], [$ch, $cv]] = $sampling;
        if ($ch === 0 || $cv === 0 || $sampling[1] !== $sampling[2]) {
            return null;
        }

        return match ([$h / $ch, $v / $cv]) {
            [1, 1] => '4:4:4', [2, 1] => '4:2:2', [2, 2] => '4:2:0', [4, 1] => '4:1:1', [1, 2] => '4:4:0',
            [4, 2] => '4:1:0',
            default => null,
        };
    }

    /** @return array<string, string> the quality (1–100) at which the standard tables come to these, as an estimate */
    private static function quality(string $data): array
    {
        if (strlen($data) < 65 || ord($data[0]) !== 0) {
            return [];
        }
        $sum = 0;
        for ($i = 1; $i <= 64; $i++) {
            $sum += ord($data[$i]);
        }
        $scale = 100 * $sum / self::STANDARD_LUMINANCE_SUM;
        $quality = $sum <= 64 ? 100 : ($scale <= 100 ? (200 - $scale) / 2 : 5000 / $scale);

        return ['quality, estimated' => (string) max(1, min(100, (int) round($quality)))];
    }

    /**
     * Follows the markers and the entropy-coded data between them.
     *
     * @return int|null where the end mark ends; null if the file ends before it
     *
     * @throws FileDamaged where a segment is no segment
     * @throws FileTooLarge where there are more of them than any encoder writes
     */
    private function walk(ByteSource $source, int $reach): ?int
    {
        $size = min($source->size(), $reach);
        $at = 2;
        for ($markers = 0; $at + 2 <= $size; $markers++) {
            if ($markers > self::MOST_MARKERS) {
                throw FileTooLarge::of('more than '.number_format(self::MOST_MARKERS).' segments');
            }
            $lead = $source->read($at, 4);
            if ($lead === '' || $lead[0] !== "\xFF") {
                throw FileDamaged::checksum("a marker is expected at byte {$at} and something else stands there");
            }
            $marker = ord($lead[1] ?? "\0");
            if ($marker === 0xD9) {
                return $at + 2;
            }
            if ($marker === 0xFF || $marker === 0x01 || ($marker >= 0xD0 && $marker <= 0xD8)) {
                $at += $marker === 0xFF ? 1 : 2;

                continue;
            }
            if (strlen($lead) < 4) {
                return null;
            }
            $at += 2 + max(2, ord($lead[2]) << 8 | ord($lead[3]));
            if ($marker === 0xDA) {
                $next = $this->nextMarker($source, $at, $size);
                if ($next === null) {
                    return null;
                }
                $at = $next;
            }
        }

        return null;
    }

    /** The first marker after $at that is neither a stuffed byte nor a restart. */
    private function nextMarker(ByteSource $source, int $at, int $end): ?int
    {
        $step = 1 << 16;
        for (; $at < $end; $at += $step) {
            // one byte more, so that a marker across the seam is seen
            $block = $source->read($at, $step + 1);
            if (preg_match('~\xFF[^\x00\xD0-\xD7\xFF]~', $block, $m, PREG_OFFSET_CAPTURE) === 1) {
                return $at + $m[0][1];
            }
        }

        return null;
    }

    private function slice(ByteSource $source, string $head, int $offset, int $length): string
    {
        return $offset + $length <= strlen($head) ? substr($head, $offset, $length) : $source->read($offset, $length);
    }
}
