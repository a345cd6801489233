<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;

/** What the pixels of one picture come to; kept packed, one a file. */
final readonly class PixelSample
{
    /** Bytes of one without its sample. */
    public const PACKED = 58;

    /** Weights of blue, green and red in luminance, in ten-thousandths (ITU-R BT.709, 3.2). */
    public const WEIGHTS = [722, 7152, 2126];

    private const WHITE = 255 * 10_000;

    /** Pixels a side of the sample by which pictures are compared. */
    public const SAMPLE_SIDE = 32;

    /**
     * @param  string  $print  sixteen bytes that two pictures share where all their pixels are the same
     * @param  int|null  $light  luminance of all pixels together, in 1/2,550,000 of white each; null where they are packed in a way that is not unpacked here
     * @param  bool|null  $seenThrough  whether any pixel is not opaque; null where the picture has no alpha
     * @param  string  $sample  the bytes of a small picture of it; empty where none was taken
     * @param  int  $dark  pixels that count as dark, where they were counted
     * @param  array{int, int, int, int}|null  $outline  left, top, width and height of what is within a surround of one colour and fills all of its edges; null where there is no such
     * @param  string|null  $tooLarge  why its pixels were not unpacked, with the figure; not kept packed
     */
    public function __construct(
        public string $print,
        public ?int $light,
        public int $pixels,
        public ?bool $seenThrough,
        public string $sample = '',
        public int $dark = 0,
        public ?array $outline = null,
        public ?string $tooLarge = null,
    ) {}

    /**
     * Of a picture whose pixels are more than there is time or memory for.
     *
     * @param  string  $print  empty where it is not known either
     */
    public static function tooLarge(string $why, string $print): self
    {
        return new self($print, null, 0, null, tooLarge: $why);
    }

    /** Mean luminance as a fraction of white: 0 is black. */
    public function meanLight(): ?BigRational
    {
        return $this->light === null ? null : BigRational::nd($this->light, self::WHITE * max(1, $this->pixels));
    }

    /** The share of its pixels that are dark, as a fraction. */
    public function darkShare(): ?BigRational
    {
        return $this->light === null ? null : BigRational::nd($this->dark, max(1, $this->pixels));
    }

    /** Whether the two are the same, or their samples no further apart on the mean; null where that cannot be told. */
    public function isLike(self $other, BigRational $tolerance): ?bool
    {
        if ($this->print === $other->print) {
            return true;
        }
        if ($tolerance->isZero()) {
            return false;
        }
        $apart = $this->apart($other);

        return $apart === null
            ? null
            : BigRational::nd($apart, 255 * strlen($this->sample))->isLessThanOrEqualTo($tolerance);
    }

    /** How far two samples are apart, summed over their bytes; null where either has none. */
    public function apart(self $other): ?int
    {
        if ($this->sample === '' || strlen($this->sample) !== strlen($other->sample)) {
            return null;
        }
        $sum = 0;
        for ($i = 0, $many = strlen($this->sample); $i < $many; $i++) {
            $sum += abs(ord($this->sample[$i]) - ord($other->sample[$i]));
        }

        return $sum;
    }

    public function packed(): string
    {
        return chr($this->light === null ? 2 : 1)
            .$this->print
            .pack('qqq', $this->light ?? 0, $this->pixels, $this->dark)
            .pack('V4', ...($this->outline ?? [0, 0, 0, 0]))
            .chr(match ($this->seenThrough) {
                null => 0, false => 1, true => 2,
            }).$this->sample;
    }

    /** The packed form of a picture that could not be looked at. */
    public static function none(int $sample): string
    {
        return str_repeat("\0", self::PACKED + $sample);
    }

    /** Null for the packed form of none. */
    public static function unpacked(string $packed): ?self
    {
        if (strlen($packed) < self::PACKED || $packed[0] === "\0") {
            return null;
        }
        /** @var array{light: int, pixels: int, dark: int, x: int, y: int, w: int, h: int} $numbers */
        $numbers = unpack('qlight/qpixels/qdark/Vx/Vy/Vw/Vh', $packed, 17);
        $outline = $numbers['w'] === 0 ? null : [$numbers['x'], $numbers['y'], $numbers['w'], $numbers['h']];

        return new self(
            substr($packed, 1, 16),
            $packed[0] === "\2" ? null : $numbers['light'],
            $numbers['pixels'],
            [null, false, true][ord($packed[57])] ?? null,
            substr($packed, self::PACKED),
            $numbers['dark'],
            $outline,
        );
    }
}
