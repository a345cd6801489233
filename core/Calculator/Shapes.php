<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Letterbox;
use PlainLedger\Core\Measure\NamedShape;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;

/** Size, pixel aspect and shape on screen. */
final readonly class Shapes implements Calculation
{
    public function word(): string
    {
        return 'shapes';
    }

    public function title(): string
    {
        return 'Pixels and shape on screen';
    }

    public function fields(): array
    {
        return [
            new Field('size', 'Size', '720x576', '720x576'),
            new Field('pixels', 'Pixel aspect', '16/11 or square', '16/11'),
            new Field('shape', 'Wanted shape', '16:9', '16:9'),
            new Field('frame', 'Shown in', '1920x1080', '1920x1080'),
        ];
    }

    public function work(Inputs $given): array
    {
        $size = $given->size('size');
        if ($size === null) {
            return [];
        }
        $pixels = self::pixelAspect($given->text('pixels'));
        $wanted = $given->text('shape');
        $frame = $given->size('frame');

        return [
            ...self::shapeOnScreen($size, $pixels),
            ...($wanted === null ? [] : self::toReach($wanted, $size, $pixels)),
            ...($frame === null ? [] : [self::shownIn($frame, $size->displayAspect($pixels))]),
        ];
    }

    private static function pixelAspect(?string $text): BigRational
    {
        $pixels = $text === null || strtolower($text) === 'square'
            ? BigRational::one()
            : Fraction::parse($text, 'a pixel aspect');
        if ($pixels->isLessThanOrEqualTo(0) || $pixels->isGreaterThan(1000)) {
            throw NotUnderstood::as('a pixel aspect', (string) $text, '16/11');
        }

        return $pixels;
    }

    /** @return list<Result> */
    private static function shapeOnScreen(Resolution $size, BigRational $pixels): array
    {
        $nearest = NamedShape::nearest($size, $pixels);

        return [
            new Result(
                'shape on screen',
                Fraction::decimal($size->displayAspect($pixels), 4).' to 1',
                "{$size->width} × ".Fraction::write($pixels)." ÷ {$size->height}",
            ),
            new Result(
                'named shape',
                ($nearest->shape()->holdsFor($size, $pixels) ? '' : 'none; nearest ').$nearest->spoken(),
                'the width it would have, rounded to a whole or even number',
            ),
        ];
    }

    /** @return list<Result> what of the three would have to change, each alone */
    private static function toReach(string $wanted, Resolution $size, BigRational $pixels): array
    {
        $shape = AspectRatio::parse($wanted)->value;
        [$aspect, $ratio] = [Fraction::write($pixels), Fraction::decimal($shape, 4)];
        $height = self::even(BigRational::of($size->width)->multipliedBy($pixels)->dividedBy($shape));
        $width = self::even(BigRational::of($size->height)->multipliedBy($shape)->dividedBy($pixels));
        $square = BigRational::of($size->height)->multipliedBy($shape)->dividedBy($size->width)->simplified();

        return [
            new Result("height for {$wanted}", $height, "{$size->width} × {$aspect} ÷ {$ratio}, rounded to even"),
            new Result("width for {$wanted}", $width, "{$size->height} × {$ratio} ÷ {$aspect}, rounded to even"),
            new Result(
                "pixel aspect for {$wanted}",
                Fraction::write($square),
                "{$ratio} × {$size->height} ÷ {$size->width}",
            ),
        ];
    }

    private static function even(BigRational $side): string
    {
        $even = 2 * $side->dividedBy(2)->toScale(0, RoundingMode::HALF_UP)->toInt();

        return $even < 2 ? 'none' : (string) $even;
    }

    private static function shownIn(Resolution $frame, BigRational $aspect): Result
    {
        return new Result(
            "in {$frame->spoken()}",
            Letterbox::of($aspect, $frame)->spoken(),
            'the largest of its shape inside, rounded to even',
        );
    }
}
