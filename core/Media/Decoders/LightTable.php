<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/**
 * A byte for each sixteen bits of a float: of a half, or of the upper half of one of thirty-two bits. Light is brought
 * to what a screen shows by the curve of sRGB (IEC 61966-2-1), so that a dark picture is no black one.
 */
final readonly class LightTable
{
    /** @param  list<string>  $bytes */
    private function __construct(public array $bytes) {}

    public static function ofHalf(bool $isAlpha = false): self
    {
        /** @var array<int, self> $made */
        static $made = [];

        return $made[(int) $isAlpha] ??= self::make(self::half(...), $isAlpha);
    }

    public static function ofUpperFloat(bool $isAlpha = false): self
    {
        /** @var array<int, self> $made */
        static $made = [];

        return $made[(int) $isAlpha] ??= self::make(self::upperFloat(...), $isAlpha);
    }

    /** @param  \Closure(int): float  $value */
    private static function make(\Closure $value, bool $isAlpha): self
    {
        $bytes = [];
        for ($bits = 0; $bits < 65536; $bits++) {
            $light = $value($bits);
            $bytes[] = chr((int) round(255 * ($isAlpha ? $light : self::shown($light))));
        }

        return new self($bytes);
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
