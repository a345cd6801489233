<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ColourEncoding;

/** What the segments before the frame header of a JPEG tell. */
final class JpegSegments
{
    private const JFIF = 0xE0;

    private const EXIF_OR_PACKET = 0xE1;

    private const PROFILE = 0xE2;

    private const INK = 0xEE;

    private const QUANTISATION = 0xDB;

    /** Luminance quantisation of the standard's Annex K, in zigzag order; the measure that qualities scale. */
    private const STANDARD_LUMINANCE_SUM = 3688;

    /** @var array<string, string> */
    public array $header = [];

    public ?int $quality = null;

    public ?string $colour = null;

    public ?string $projection = null;

    /** Whether four inks are kept as luminance and differences. */
    public ?bool $inksTransformed = null;

    private ?int $exifDensity = null;

    /** @var array{int, int, int}|null unit (0 none, 1 inch, 2 centimetre), across, down */
    private ?array $jfif = null;

    public function take(int $marker, string $data): void
    {
        match ($marker) {
            self::JFIF => $this->takeDensity($data),
            self::EXIF_OR_PACKET => $this->takeExifOrPacket($data),
            self::PROFILE => $this->takeProfile($data),
            self::INK => $this->takeInk($data),
            self::QUANTISATION => $this->takeQuantisation($data),
            default => null,
        };
    }

    /**
     * Without a unit the two numbers are the pixel aspect itself, as encoders write it; with one they are densities,
     * and the denser the rows, the wider each pixel (ITU-T T.871, 10.1).
     */
    public function pixelAspect(): BigRational
    {
        if ($this->jfif === null || $this->jfif[1] === 0 || $this->jfif[2] === 0) {
            return BigRational::one();
        }
        [$unit, $across, $down] = $this->jfif;
        $aspect = $unit === 0 ? BigRational::nd($across, $down) : BigRational::nd($down, $across);

        return $aspect->simplified();
    }

    /** Pixels an inch, across. */
    public function density(): ?int
    {
        return $this->jfifDensity() ?? $this->exifDensity;
    }

    /** The one of the file's own head alone. */
    public function jfifDensity(): ?int
    {
        if ($this->jfif === null || $this->jfif[0] === 0) {
            return null;
        }

        return $this->jfif[0] === 1 ? $this->jfif[1] : intdiv($this->jfif[1] * 254 + 50, 100);
    }

    private function takeDensity(string $data): void
    {
        if (str_starts_with($data, "JFIF\0") && strlen($data) >= 12) {
            $short = static fn (int $at): int => ord($data[$at]) << 8 | ord($data[$at + 1]);
            $this->jfif = [ord($data[7]), $short(8), $short(10)];
        }
    }

    private function takeExifOrPacket(string $data): void
    {
        if (! str_starts_with($data, "Exif\0\0")) {
            $this->projection ??= ProjectionTag::in($data);

            return;
        }
        [$density, $colour] = Exif::read(substr($data, 6));
        $this->exifDensity = $density ?? $this->exifDensity;
        $this->colour ??= $colour;
    }

    private function takeProfile(string $data): void
    {
        if (str_starts_with($data, 'ICC_PROFILE')) {
            $this->header['colour profile'] = 'embedded';
            $this->colour = ColourEncoding::fromProfile('', substr($data, 14)) ?? $this->colour;
        }
    }

    private function takeInk(string $data): void
    {
        if (str_starts_with($data, "\x41\x64\x6F\x62\x65") && strlen($data) >= 12) {
            $this->inksTransformed = ord($data[11]) === 2;
        }
    }

    /** The quality (1–100) at which the standard tables come to these, as an estimate. */
    private function takeQuantisation(string $data): void
    {
        if ($this->quality !== null || strlen($data) < 65 || ord($data[0]) !== 0) {
            return;
        }
        $sum = 0;
        for ($i = 1; $i <= 64; $i++) {
            $sum += ord($data[$i]);
        }
        $this->quality = max(1, min(100, (int) round(self::qualityOf($sum))));
        $this->header['quality, estimated'] = (string) $this->quality;
    }

    private static function qualityOf(int $sum): float
    {
        $scale = 100 * $sum / self::STANDARD_LUMINANCE_SUM;

        return match (true) {
            $sum <= 64 => 100.0,
            $scale <= 100 => (200 - $scale) / 2,
            default => 5000 / $scale,
        };
    }
}
