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
        $text = $given->text('pixels');
        $pixels = $text === null || strtolower($text) === 'square'
            ? BigRational::one()
            : Fraction::parse($text, 'a pixel aspect');
        if ($pixels->isLessThanOrEqualTo(0) || $pixels->isGreaterThan(1000)) {
            throw NotUnderstood::as('a pixel aspect', (string) $text, '16/11');
        }
        $aspect = $size->displayAspect($pixels);
        $nearest = NamedShape::nearest($size, $pixels);
        $results = [
            new Result(
                'shape on screen',
                Fraction::decimal($aspect, 4).' to 1',
                "{$size->width} × ".Fraction::write($pixels)." ÷ {$size->height}",
            ),
            new Result(
                'named shape',
                ($nearest->shape()->holdsFor($size, $pixels) ? '' : 'none; nearest ').$nearest->spoken(),
                'the width it would have, rounded to a whole or even number',
            ),
        ];
        $wanted = $given->text('shape');
        if ($wanted !== null) {
            $shape = AspectRatio::parse($wanted)->value;
            $even = static fn (BigRational $side): int => 2 * $side->dividedBy(2)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toInt();
            $height = $even(BigRational::of($size->width)->multipliedBy($pixels)->dividedBy($shape));
            $width = $even(BigRational::of($size->height)->multipliedBy($shape)->dividedBy($pixels));
            $results[] = new Result(
                "height for {$wanted}",
                $height < 2 ? 'none' : (string) $height,
                "{$size->width} × ".Fraction::write($pixels).' ÷ '.Fraction::decimal($shape, 4).', rounded to even',
            );
            $results[] = new Result(
                "width for {$wanted}",
                $width < 2 ? 'none' : (string) $width,
                "{$size->height} × ".Fraction::decimal($shape, 4).' ÷ '.Fraction::write($pixels).', rounded to even',
            );
            $results[] = new Result(
                "pixel aspect for {$wanted}",
                Fraction::write(
                    BigRational::of($size->height)->multipliedBy($shape)->dividedBy($size->width)->simplified(),
                ),
                Fraction::decimal($shape, 4)." × {$size->height} ÷ {$size->width}",
            );
        }
        $frame = $given->size('frame');
        if ($frame instanceof Resolution) {
            $results[] = new Result(
                "in {$frame->spoken()}",
                Letterbox::of($aspect, $frame)->spoken(),
                'the largest of its shape inside, rounded to even',
            );
        }

        return $results;
    }
}
