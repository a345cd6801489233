<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigRational;

/** Shapes that have a name in the trade, as they are asked for. */
enum NamedShape: string
{
    private const MEANINGS = [
        '9:16' => 'a tall screen',
        '4:5' => 'a portrait',
        '1:1' => 'square',
        '4:3' => 'standard television',
        '3:2' => 'still photography',
        '16:10' => 'a computer screen',
        '16:9' => 'high definition',
        '1.85' => 'cinema flat',
        '256:135' => 'the whole digital cinema picture',
        '2.39' => 'cinema scope',
        '21:9' => 'a very wide screen',
    ];

    case Tall = '9:16';
    case Portrait = '4:5';
    case Square = '1:1';
    case FiveFour = '5:4';
    case FourThree = '4:3';
    case Photo = '3:2';
    case SixteenTen = '16:10';
    case Wide = '16:9';
    case Flat = '1.85';
    case Container = '256:135';
    case TwoToOne = '2:1';
    case Scope = '2.39';
    case UltraWide = '21:9';

    public function shape(): AspectRatio
    {
        return AspectRatio::parse($this->value);
    }

    public function spoken(): string
    {
        $meaning = self::MEANINGS[$this->value] ?? null;

        return $meaning === null ? $this->value : "{$this->value}, {$meaning}";
    }

    /** The one whose sides are nearest, counted in how much wider the one is than the other. */
    public static function nearest(Resolution $size, BigRational $pixelAspect): self
    {
        $found = $size->displayAspect($pixelAspect);
        $best = self::Square;
        $least = null;
        foreach (self::cases() as $case) {
            $value = $case->shape()->value;
            $far = ($found->isGreaterThan($value) ? $found->dividedBy($value) : $value->dividedBy($found))->minus(1);
            if ($case->shape()->holdsFor($size, $pixelAspect)) {
                return $case;
            }
            if ($least === null || $far->isLessThan($least)) {
                [$best, $least] = [$case, $far];
            }
        }

        return $best;
    }
}
