<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;

/** What a number under another name counts, where it is not what the requirement counts. */
enum FieldUnit: string
{
    case Factor = 'factor';
    case Percent = 'percent';
    case BitsPerSecond = 'bit/s';
    case KilobitsPerSecond = 'kbit/s';
    case MegabitsPerSecond = 'Mbit/s';
    case Kilohertz = 'kHz';
    case Hertz = 'Hz';
    case PerCentimetre = 'per cm';
    case PerInch = 'per inch';
    case CountedFromZero = 'counted from 0';

    /**
     * The units that make a difference to a field.
     *
     * @return list<self>
     */
    public static function of(string $field): array
    {
        return match ($field) {
            'picture.scale', 'time.speed', 'format.quality' => [self::Percent, self::Factor],
            'format.bit_rate' => [self::BitsPerSecond, self::KilobitsPerSecond, self::MegabitsPerSecond],
            'audio.sample_rate' => [self::Hertz, self::Kilohertz],
            'picture.density' => [self::PerInch, self::PerCentimetre],
            'first', 'last' => [self::CountedFromZero],
            default => [],
        };
    }

    /**
     * The number as the requirement counts it, as text; exact. What is no number stays as it is.
     *
     * @param  string  $field  whose number it is
     */
    public function counted(string $field, string $text): string
    {
        try {
            $value = Fraction::parse((string) preg_replace('~\s*%$~', '', trim($text)));
        } catch (NotUnderstood) {
            return $text;
        }
        $times = fn (int|BigRational $by): string => Fraction::write($value->multipliedBy($by));

        return match ($this) {
            // a speed is a factor already, and written as one
            self::Factor => $field === 'time.speed' ? Fraction::write($value) : $times(100),
            self::Percent => $field === 'time.speed' ? Fraction::write($value->dividedBy(100)) : Fraction::write($value),
            self::KilobitsPerSecond, self::Kilohertz => $times(1000),
            self::MegabitsPerSecond => $times(1_000_000),
            self::PerCentimetre => Fraction::decimal($value->multipliedBy(BigRational::nd(254, 100)), 0),
            self::CountedFromZero => Fraction::write($value->plus(1)),
            self::BitsPerSecond, self::Hertz, self::PerInch => Fraction::write($value),
        };
    }
}
