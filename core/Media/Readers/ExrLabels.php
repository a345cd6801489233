<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\SmpteTimecode;
use PlainLedger\Core\Text\Text;

/** What an OpenEXR header notes of its picture, beside where its pixels are. */
final readonly class ExrLabels
{
    private const CAMERA_KEYS = ['camera', 'cameraname', 'camera_name', 'cameralabel'];

    /** @param  array<string, string>  $texts */
    private function __construct(private ExrAttributes $attributes, public array $texts) {}

    public static function of(ExrAttributes $attributes): self
    {
        return new self($attributes, $attributes->texts());
    }

    /** @return array<array-key, array{int, int}> where the value of each attribute stands, and its length */
    public function places(): array
    {
        return $this->attributes->places;
    }

    /** The name of the part. */
    public function name(): ?string
    {
        return $this->attributes->has('name') ? Text::named($this->attributes->bytes('name')) : null;
    }

    public function camera(): ?string
    {
        foreach (self::CAMERA_KEYS as $key) {
            foreach ($this->texts as $name => $value) {
                if (strtolower((string) $name) === $key && trim($value) !== '') {
                    return trim($value);
                }
            }
        }

        return null;
    }

    public function pixelAspect(): BigRational
    {
        $aspect = $this->attributes->float('pixelAspectRatio') ?? 1.0;

        return $aspect > 0 ? Fraction::fromFloat($aspect) : BigRational::one();
    }

    public function frameRate(): ?FrameRate
    {
        $bytes = $this->attributes->bytes('framesPerSecond');
        if (strlen($bytes) !== 8) {
            return null;
        }
        [$top, $bottom] = [ExrHeader::int($bytes, 0), ExrHeader::int($bytes, 4) & 0xFFFFFFFF];

        return $top > 0 && $bottom > 0 ? FrameRate::of($top, $bottom) : null;
    }

    /** Pixels an inch, stored as a float. */
    public function density(): ?int
    {
        $value = strlen($this->attributes->bytes('xDensity')) === 4 ? $this->attributes->float('xDensity') : null;

        return $value !== null && $value >= 1 && $value < 1e6 ? (int) round($value) : null;
    }

    public function projection(): ?string
    {
        if (! $this->attributes->has('envmap')) {
            return null;
        }

        return ord($this->attributes->bytes('envmap')[0] ?? "\0") === 0 ? 'lat-long' : 'cube';
    }

    public function frameNumber(): ?int
    {
        return $this->attributes->frameNumber();
    }

    /** Two words, the first the time address. */
    public function timecode(): ?string
    {
        $bytes = $this->attributes->bytes('timeCode');
        if (strlen($bytes) !== 8) {
            return null;
        }

        return SmpteTimecode::ofWord(ExrHeader::int($bytes, 0) & 0xFFFFFFFF);
    }
}
