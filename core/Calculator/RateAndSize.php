<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
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
        $rate = self::rate($given, 'rate');
        $size = $given->text('size') === null ? null : ByteSize::parse((string) $given->text('size'));
        $length = $given->seconds('length');
        $sound = self::rate($given, 'sound')->bits ?? 0;

        return [
            ...($size === null || $length === null ? [] : self::rateThatFits($size, $length, $sound, $rate)),
            ...($rate === null || $length === null ? [] : [self::sizeOfFile($rate, $length, $sound)]),
            ...($rate === null || $size === null ? [] : [self::lengthThatFits($rate, $size, $sound)]),
        ];
    }

    private static function rate(Inputs $given, string $field): ?BitRate
    {
        $text = $given->text($field);

        return $text === null ? null : BitRate::parse($text);
    }

    /** @return list<Result> */
    private static function rateThatFits(ByteSize $size, BigRational $length, int $sound, ?BitRate $rate): array
    {
        $fits = BitRate::thatFits($size, $length, $sound, self::CONTAINER);
        $formula = 'size × 8 × 0.99 ÷ length − sound';
        if ($fits === null) {
            return [new Result('bit rate that fits', 'none: the sound alone is more', $formula)];
        }
        $results = [
            new Result('bit rate that fits', "{$fits} (".number_format($fits->bits).' bits a second)', $formula),
        ];
        if ($rate !== null) {
            $verdict = $rate->bits <= $fits->bits ? 'fits' : 'does not fit';
            $results[] = new Result('the given bit rate', $verdict, "{$rate} against {$fits}");
        }

        return $results;
    }

    private static function sizeOfFile(BitRate $rate, BigRational $length, int $sound): Result
    {
        $bits = BigRational::of($rate->bits + $sound)->multipliedBy(1000)->dividedBy(1000 - self::CONTAINER);
        $bytes = $bits->multipliedBy($length)->dividedBy(8)->toScale(0, RoundingMode::UP);
        if ($bytes->isGreaterThan(PHP_INT_MAX)) {
            throw NotUnderstood::because('That is more than any disk holds.');
        }
        $size = (string) ByteSize::of($bytes->toInt());

        return new Result('size of the file', $size, '(rate + sound) × length ÷ 8 ÷ 0.99');
    }

    private static function lengthThatFits(BitRate $rate, ByteSize $size, int $sound): Result
    {
        $seconds = BigRational::of($size->bytes)->multipliedBy(8)
            ->multipliedBy(1000 - self::CONTAINER)
            ->dividedBy(1000)
            ->dividedBy($rate->bits + $sound);

        return new Result(
            'length that fits',
            Fraction::decimal($seconds, 2).' s',
            'size × 8 × 0.99 ÷ (rate + sound)',
        );
    }
}
