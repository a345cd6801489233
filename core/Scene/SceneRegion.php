<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;

/** A render region as programs tell it: a flag, its sides, or a corner and a size; in pixels, or as fractions of the picture. */
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
        if ($box === null) {
            return $flag === true && ! isset($values[RequirementId::PICTURE_REGION])
                ? [RequirementId::PICTURE_REGION => 'on']
                : [];
        }
        $size = self::size($values);
        $within = array_filter($box, static fn (BigRational $v): bool => $v->isGreaterThan(1)) === [];
        if ($within && $size === null) {
            $whole = $box[0]->isZero() && $box[1]->isZero() && $box[2]->isEqualTo(1) && $box[3]->isEqualTo(1);

            return [RequirementId::PICTURE_REGION => $whole ? 'full' : 'on'];
        }
        if ($within) {
            $box = [
                $box[0]->multipliedBy($size[0]),
                $box[1]->multipliedBy($size[1]),
                $box[2]->multipliedBy($size[0]),
                $box[3]->multipliedBy($size[1]),
            ];
        }
        [$x, $y, $width, $height] = array_map(
            static fn (BigRational $v): int => $v->toScale(0, RoundingMode::HALF_UP)->toInt(),
            $box,
        );
        $full = $size !== null && $x === 0 && $y === 0 && $width === $size[0] && $height === $size[1];

        return [RequirementId::PICTURE_REGION => $full ? 'full' : "{$x},{$y},{$width},{$height}"];
    }

    /**
     * @param  array<string, string>  $values
     * @return array{BigRational, BigRational, BigRational, BigRational}|null left, top, width and height
     */
    private static function box(array $values): ?array
    {
        try {
            $number = static fn (string $field): ?BigRational => isset($values[$field])
                ? Fraction::parse((string) preg_replace('~\s*(?:px|pixels?)$~i', '', $values[$field]))
                : null;
            [$x, $y, $width, $height] = [
                $number('region.x'),
                $number('region.y'),
                $number('region.width'),
                $number('region.height'),
            ];
            if ($width !== null && $height !== null) {
                return [$x ?? BigRational::zero(), $y ?? BigRational::zero(), $width, $height];
            }
            [$left, $right, $top, $bottom] = [
                $number('region.left'),
                $number('region.right'),
                $number('region.top'),
                $number('region.bottom'),
            ];
        } catch (NotUnderstood) {
            return null;
        }

        return $left === null || $right === null || $top === null || $bottom === null ? null
            : [
                $left,
                $top->isLessThan($bottom) ? $top : $bottom,
                $right->minus($left)->abs(),
                $bottom->minus($top)->abs(),
            ];
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
