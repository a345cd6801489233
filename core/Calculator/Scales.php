<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;

/** A render scale: the size that comes out, and the share of pixels and of time. */
final readonly class Scales implements Calculation
{
    public function word(): string
    {
        return 'scales';
    }

    public function title(): string
    {
        return 'Render scale';
    }

    public function fields(): array
    {
        return [
            new Field('size', 'Full size', '1920x1080', '1920x1080'),
            new Field('percent', 'Scale in percent', '50', '50'),
            new Field('seconds', 'Time for a full frame', '4 min', '4 min'),
        ];
    }

    public function work(Inputs $given): array
    {
        $size = $given->size('size');
        $percent = $given->positive('percent', 'a percentage');
        if ($size === null || $percent === null) {
            return [];
        }
        $near = $size->scaled($percent);
        $down = $size->scaled($percent, RoundingMode::DOWN);
        $share = $percent->multipliedBy($percent)->dividedBy(10_000);
        $results = [
            new Result(
                'size that comes out',
                $near->spoken().($near->equals($down) ? '' : " or {$down->spoken()}"),
                "{$size->width} and {$size->height} × "
                    .Fraction::write($percent)
                    .' ÷ 100, rounded'
                    .($near->equals($down) ? '' : ' to the nearest, or down'),
            ),
            new Result('share of the pixels', Fraction::decimal($share->multipliedBy(100), 3).' %', '(scale ÷ 100)²'),
        ];
        $seconds = $given->seconds('seconds');
        if ($seconds !== null) {
            $results[] = new Result(
                'time for such a frame',
                RenderTimes::spoken($seconds->multipliedBy($share)),
                'time × share of the pixels; what does not hang on pixels stays',
            );
        }

        return $results;
    }
}
