<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * A shape that was asked for: a ratio (`16:9`), which is exact up to the rounding of a width to whole or even
 * pixels, or a decimal (`2.39`), which says no more than its written places.
 */
final readonly class AspectRatio implements \Stringable
{
    private function __construct(public BigRational $value, private string $text, private ?int $places) {}

    /** @throws NotUnderstood unless it is two numbers with `:` or `/` between, or one decimal above zero */
    public static function parse(string $text): self
    {
        $plain = str_replace([' ', '×', 'x'], ['', ':', ':'], trim($text));
        if (preg_match('~^(\d{1,5})[:/](\d{1,5})$~', $plain, $m) === 1 && (int) $m[1] > 0 && (int) $m[2] > 0) {
            // 2:1 is a ratio, and 185:100 is as well
            return new self(Fraction::of((int) $m[1], (int) $m[2]), "{$m[1]}:{$m[2]}", null);
        }
        if (preg_match('~^(\d{1,4}(?:\.(\d{1,8}))?)(?:[:/]1(?:\.0+)?)?$~', $plain, $m) === 1) {
            $value = Fraction::parse($m[1]);
            if ($value->isGreaterThan(0)) {
                return new self($value, $m[1], strlen($m[2] ?? ''));
            }
        }
        throw NotUnderstood::as('a shape', $text, '16:9 or 2.39');
    }

    public function __toString(): string
    {
        return $this->text;
    }

    /**
     * Whether pictures of this size and pixel aspect have the shape. A decimal holds to its written places. A ratio
     * holds if the width is the exact width for this height, rounded to a whole or an even number, or the height
     * that of the width. Standard-definition pictures 720 wide count by their clean width of 704
     * (ITU-R BT.601 sampling, where 720 samples overscan the 704 of the active picture), and 486 lines by the 480 of
     * it.
     */
    public function holdsFor(Resolution $size, BigRational $pixelAspect): bool
    {
        if ($this->fits($size->width, $size->height, $pixelAspect)) {
            return true;
        }

        return $size->width === 720 && in_array($size->height, [480, 486, 576], true)
            && (
                $this->fits(704, $size->height, $pixelAspect)
                || $this->fits(704, $size->height === 486 ? 480 : $size->height, $pixelAspect)
            );
    }

    private function fits(int $width, int $height, BigRational $pixelAspect): bool
    {
        if ($this->places !== null) {
            $found = BigRational::nd($width, $height)->multipliedBy($pixelAspect);

            return $found->minus($this->value)
                ->abs()
                ->isLessThanOrEqualTo(BigRational::nd(5, 10 ** ($this->places + 1)));
        }
        $exact = $this->value->multipliedBy($height)->dividedBy($pixelAspect);
        foreach ([RoundingMode::HALF_UP, RoundingMode::HALF_DOWN] as $rounding) {
            $whole = $exact->toScale(0, $rounding)->toInt();
            $even = 2 * $exact->dividedBy(2)->toScale(0, $rounding)->toInt();
            if ($width === $whole || $width === $even) {
                return true;
            }
        }

        return false;
    }

    /** The named shape that a picture has to its rounding, as it is written; null where it has none of them. */
    public static function nearestNamed(Resolution $size, BigRational $pixelAspect): ?string
    {
        $nearest = NamedShape::nearest($size, $pixelAspect);

        return $nearest->shape()->holdsFor($size, $pixelAspect) ? $nearest->value : null;
    }
}
