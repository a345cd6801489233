<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;

/** What the pixels of one picture come to; kept packed, one a file. */
final readonly class PixelSample
{
    /** Bytes of one without its sample. */
    public const PACKED = 58;

    /** Pixels a side of the sample by which pictures are compared. */
    public const SAMPLE_SIDE = 32;

    /**
     * @param  string  $print  sixteen bytes that two pictures share where all their pixels are the same
     * @param  Brightness|null  $brightness  null where they are packed in a way that is not decoded here
     * @param  bool|null  $seenThrough  whether any pixel is not opaque; null where the picture has no alpha
     * @param  string  $sample  the bytes of a small picture of it; empty where none was taken
     * @param  array{int, int, int, int}|null  $outline  left, top, width and height of what is within a surround of one
     *                                                   colour and fills all of its edges; null where there is no such
     * @param  string|null  $tooLarge  why its pixels were not unpacked, with the figure; not kept packed
     */
    public function __construct(
        public string $print,
        public ?Brightness $brightness,
        public ?bool $seenThrough,
        public string $sample = '',
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
        return new self($print, null, null, tooLarge: $why);
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
        $is = $this->brightness;

        return chr($is === null ? 2 : 1)
            .$this->print
            .pack('qqq', $is->light ?? 0, $is->pixels ?? 0, $is->dark ?? 0)
            .pack('V4', ...($this->outline ?? [0, 0, 0, 0]))
            .chr(match ($this->seenThrough) {
                null => 0,
                false => 1,
                true => 2,
            })
            .$this->sample;
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
        /** @var array{light: int, pixels: int, dark: int, x: int, y: int, w: int, h: int} $is */
        $is = unpack('qlight/qpixels/qdark/Vx/Vy/Vw/Vh', $packed, 17);

        return new self(
            substr($packed, 1, 16),
            $packed[0] === "\2" ? null : new Brightness($is['light'], $is['pixels'], $is['dark']),
            [null, false, true][ord($packed[57])] ?? null,
            substr($packed, self::PACKED),
            $is['w'] === 0 ? null : [$is['x'], $is['y'], $is['w'], $is['h']],
        );
    }
}
