<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Text\Text;

/** What the chunks before the picture of a PNG tell (ISO/IEC 15948, 11.3). */
final class PngChunks
{
    public const LARGEST_TEXT = 8192;

    public const LARGEST_PACKET = 65_536;

    private const MOST_TEXTS = 60;

    /** @var array<string, string> */
    public array $header = [];

    public bool $transparent = false;

    /** Pixels an inch, across. */
    public ?int $density = null;

    public ?string $projection = null;

    /** @var array{int, int} pixels a unit, across and down */
    private array $pixelsPerUnit = [0, 0];

    private ?string $named = null;

    private ?string $gamma = null;

    private ?string $profile = null;

    private bool $hasProfile = false;

    private ?string $exifColour = null;

    /** @param  int  $length  as the chunk tells it; longer ones come without their data */
    public function take(string $type, string $data, int $length): void
    {
        match ($type) {
            'tEXt' => $length > self::LARGEST_TEXT ? null : $this->takeLatinText($data),
            'iTXt' => $this->takeText($data),
            'zTXt' => $this->takePackedText($data),
            default => $this->takeFact($type, $data),
        };
    }

    private function takeFact(string $type, string $data): void
    {
        match ($type) {
            'pHYs' => $this->takeDensity($data),
            'tRNS' => $this->transparent = true,
            'sRGB' => $this->takeMark(),
            'cICP' => $this->takeCodePoints($data),
            'gAMA' => $this->takeGamma($data),
            'iCCP' => $this->takeProfile($data),
            'eXIf' => $this->takeExif($data),
            'acTL' => $this->takeAnimation($data),
            default => null,
        };
    }

    /** Pixels a unit: the denser the rows, the wider each pixel. */
    public function pixelAspect(): BigRational
    {
        [$across, $down] = $this->pixelsPerUnit;

        return $across > 0 && $down > 0 ? BigRational::nd($down, $across)->simplified() : BigRational::one();
    }

    /** An embedded profile stands above a gamma; code points and the sRGB mark above both. */
    public function colour(): ?string
    {
        return $this->named ?? ($this->hasProfile ? $this->profile : $this->gamma ?? $this->exifColour);
    }

    public function camera(): ?string
    {
        $camera = null;
        foreach ($this->header as $key => $value) {
            if (strtolower((string) $key) === 'camera' && trim($value) !== '') {
                $camera = trim($value);
            }
        }

        return $camera;
    }

    private function takeDensity(string $data): void
    {
        if (strlen($data) !== 9) {
            return;
        }
        /** @var array{across: int, down: int, unit: int} $values */
        $values = unpack('Nacross/Ndown/Cunit', $data);
        $this->pixelsPerUnit = [$values['across'], $values['down']];
        if ($values['unit'] === 1 && $values['across'] > 0) {
            // 39.37 pixels a metre are one an inch
            $this->density = intdiv($values['across'] * 254 + 5000, 10_000);
            $this->header['density'] = "{$this->density} ppi";
        }
    }

    private function takeMark(): void
    {
        $this->header['colour'] = 'sRGB';
        $this->named = 'srgb';
    }

    /** Code points of ITU-T H.273: colour primaries and transfer characteristics. */
    private function takeCodePoints(string $data): void
    {
        if (strlen($data) === 4) {
            $this->header['colour code points'] = ord($data[0]).'/'.ord($data[1]);
            $this->named = ColourEncoding::fromCodePoints(ord($data[0]), ord($data[1])) ?? $this->named;
        }
    }

    /** A gamma alone names an encoding only where it is that of sRGB as PNG writes it, or none at all. */
    private function takeGamma(string $data): void
    {
        if (strlen($data) !== 4) {
            return;
        }
        /** @var array{gamma: int} $value in 1/100,000 */
        $value = unpack('Ngamma', $data);
        $this->header['gamma'] = rtrim(rtrim(number_format($value['gamma'] / 100000, 5, '.', ''), '0'), '.');
        $this->gamma = match ($value['gamma']) {
            45455 => 'srgb',
            100_000 => 'linear',
            default => null,
        };
    }

    private function takeProfile(string $data): void
    {
        $name = Text::shown(substr($data, 0, (int) strpos($data."\0", "\0")));
        $packed = str_contains($data, "\0") ? substr($data, strpos($data, "\0") + 2) : '';
        $this->header['colour profile'] = $name;
        $this->profile = ColourEncoding::fromProfile(
            $name,
            $packed === '' ? '' : (string) @gzuncompress($packed, 1 << 20),
        );
        $this->hasProfile = true;
    }

    private function takeExif(string $data): void
    {
        [$density, $colour] = Exif::read($data);
        $this->density ??= $density;
        $this->exifColour = $colour;
    }

    private function takeAnimation(string $data): void
    {
        if (strlen($data) === 8) {
            /** @var array{frames: int} $value */
            $value = unpack('Nframes', $data);
            $this->header['animation frames'] = (string) $value['frames'];
        }
    }

    private function takeLatinText(string $data): void
    {
        if (str_contains($data, "\0")) {
            [$key, $value] = explode("\0", $data, 2);
            $this->note($key, mb_convert_encoding($value, 'UTF-8', 'ISO-8859-1') ?: '');
        }
    }

    private function takePackedText(string $data): void
    {
        if (preg_match('~^([^\0]{1,79})\0\0(.+)$~s', $data, $m) === 1) {
            $value = (string) @gzuncompress($m[2], 1 << 16);
            $this->note($m[1], mb_convert_encoding($value, 'UTF-8', 'ISO-8859-1') ?: '');
        }
    }

    private function takeText(string $data): void
    {
        if (preg_match('~^([^\0]{1,79})\0(.)(.)[^\0]*\0[^\0]*\0(.*)$~s', $data, $m) !== 1) {
            return;
        }
        $value = $m[2] === "\1" ? (string) @gzuncompress($m[4], 1 << 16) : $m[4];
        if (str_ends_with(strtolower($m[1]), '.xmp')) {
            // a packet of many facts, long and unreadable as a whole
            $this->projection = ProjectionTag::in($value) ?? $this->projection;

            return;
        }
        $this->note($m[1], $value);
    }

    private function note(string $key, string $value): void
    {
        $key = Text::shown($key);
        if (count($this->header) < self::MOST_TEXTS && ! isset($this->header[$key])) {
            $this->header[$key] = Text::shown(mb_strcut($value, 0, 400));
        }
    }
}
