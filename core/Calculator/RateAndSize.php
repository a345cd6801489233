<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;

/** Bit rate, size and length of a movie: of any two, the third. */
final readonly class RateAndSize implements Calculation
{
    /** Parts in a thousand that a container takes, to be on the safe side. */
    private const CONTAINER = 10;

    public function word(): string
    {
        return 'rate-and-size';
    }

    public function title(): string
    {
        return 'Bit rate, size and length of a movie';
    }

    public function fields(): array
    {
        return [
            new Field('rate', 'Bit rate of the picture', '8 Mbit/s'),
            new Field('size', 'Size of the file', '25 MB', '25 MB'),
            new Field('length', 'Length', '1 min 30 s', '30 s'),
            new Field('sound', 'Bit rate of the sound', '192 kbit/s', '192 kbit/s'),
        ];
    }

    public function work(Inputs $given): array
    {
        $rate = $given->text('rate') === null ? null : BitRate::parse((string) $given->text('rate'));
        $size = $given->text('size') === null ? null : ByteSize::parse((string) $given->text('size'));
        $length = $given->seconds('length');
        $sound = $given->text('sound') === null ? 0 : BitRate::parse((string) $given->text('sound'))->bits;
        $results = [];
        if ($size !== null && $length !== null) {
            $fits = BitRate::thatFits($size, $length, $sound, self::CONTAINER);
            $results[] = new Result(
                'bit rate that fits',
                $fits === null
                    ? 'none: the sound alone is more'
                    : "{$fits} (".number_format($fits->bits).' bits a second)',
                'size × 8 × 0.99 ÷ length − sound',
            );
            if ($fits !== null && $rate !== null) {
                $results[] = new Result(
                    'the given bit rate',
                    $rate->bits <= $fits->bits ? 'fits' : 'does not fit',
                    "{$rate} against {$fits}",
                );
            }
        }
        if ($rate !== null && $length !== null) {
            $bits = BigRational::of($rate->bits + $sound)->multipliedBy(1000)->dividedBy(1000 - self::CONTAINER);
            $bytes = $bits->multipliedBy($length)->dividedBy(8)->toScale(0, \Brick\Math\RoundingMode::UP);
            $results[] = new Result(
                'size of the file',
                (string) ByteSize::of(
                    $bytes->isGreaterThan(PHP_INT_MAX)
                        ? throw NotUnderstood::because('That is more than any disk holds.')
                        : $bytes->toInt(),
                ),
                '(rate + sound) × length ÷ 8 ÷ 0.99',
            );
        }
        if ($rate !== null && $size !== null) {
            $seconds = BigRational::of($size->bytes)->multipliedBy(8)
                ->multipliedBy(1000 - self::CONTAINER)
                ->dividedBy(1000)
                ->dividedBy($rate->bits + $sound);
            $results[] = new Result(
                'length that fits',
                Fraction::decimal($seconds, 2).' s',
                'size × 8 × 0.99 ÷ (rate + sound)',
            );
        }

        return $results;
    }
}
