<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;

/**
 * A render region as programs tell it: a flag, its sides, or a corner and a size; in pixels, or as fractions of the
 * picture.
 */
final readonly class SceneRegion
{
    /**
     * @param  array<string, string>  $values  by field
     * @return array{}|array{'picture.region': string}
     */
    public static function of(array $values): array
    {
        $flag = isset($values['region.on']) ? Spellings::truth($values['region.on']) : null;
        if ($flag === false) {
            return [RequirementId::PICTURE_REGION => 'full'];
        }
        $box = self::box($values);
        if ($box !== null) {
            return [RequirementId::PICTURE_REGION => self::within($box, self::size($values))];
        }
        $on = $flag === true && ! isset($values[RequirementId::PICTURE_REGION]);

        return $on ? [RequirementId::PICTURE_REGION => 'on'] : [];
    }

    /**
     * @param  array{BigRational, BigRational, BigRational, BigRational}  $box  in pixels, or as shares of the picture
     * @param  array{int, int}|null  $size
     */
    private static function within(array $box, ?array $size): string
    {
        $shares = array_filter($box, static fn (BigRational $v): bool => $v->isGreaterThan(1)) === [];
        $whole = $box[0]->isZero() && $box[1]->isZero() && $box[2]->isEqualTo(1) && $box[3]->isEqualTo(1);
        if ($shares && $size === null) {
            return $whole ? 'full' : 'on';
        }
        $factors = $shares ? [$size[0], $size[1], $size[0], $size[1]] : [1, 1, 1, 1];
        $pixels = array_map(
            static fn (BigRational $v, int $by): int => $v->multipliedBy($by)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toInt(),
            $box,
            $factors,
        );

        return $size !== null && $pixels === [0, 0, $size[0], $size[1]] ? 'full' : implode(',', $pixels);
    }

    /**
     * @param  array<string, string>  $values
     * @return array{BigRational, BigRational, BigRational, BigRational}|null left, top, width and height
     */
    private static function box(array $values): ?array
    {
        try {
            $number = static fn (string $side): ?BigRational => isset($values["region.{$side}"])
                ? Fraction::parse((string) preg_replace('~\s*(?:px|pixels?)$~i', '', $values["region.{$side}"]))
                : null;
            [$x, $y, $width, $height] = array_map($number, ['x', 'y', 'width', 'height']);
            if ($width !== null && $height !== null) {
                return [$x ?? BigRational::zero(), $y ?? BigRational::zero(), $width, $height];
            }
            [$left, $right, $top, $bottom] = array_map($number, ['left', 'right', 'top', 'bottom']);
        } catch (NotUnderstood) {
            return null;
        }
        if ($left === null || $right === null || $top === null || $bottom === null) {
            return null;
        }

        return [$left, BigRational::min($top, $bottom), $right->minus($left)->abs(), $bottom->minus($top)->abs()];
    }

    /**
     * @param  array<string, string>  $values
     * @return array{int, int}|null
     */
    private static function size(array $values): ?array
    {
        if (isset($values['width'], $values['height']) && (int) $values['width'] > 0 && (int) $values['height'] > 0) {
            return [(int) $values['width'], (int) $values['height']];
        }

        return preg_match(
            '~(\d{1,5})\s*[x×*]\s*(\d{1,5})~u',
            $values[RequirementId::PICTURE_RESOLUTION] ?? '',
            $m,
        ) === 1
            ? [(int) $m[1], (int) $m[2]]
            : null;
    }
}
