<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\RequirementId;

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
            RequirementId::PICTURE_SCALE, RequirementId::TIME_SPEED, RequirementId::FORMAT_QUALITY => [
                self::Percent,
                self::Factor,
            ],
            RequirementId::FORMAT_BIT_RATE => [self::BitsPerSecond, self::KilobitsPerSecond, self::MegabitsPerSecond],
            RequirementId::AUDIO_SAMPLE_RATE => [self::Hertz, self::Kilohertz],
            RequirementId::PICTURE_DENSITY => [self::PerInch, self::PerCentimetre],
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

        return match ($this) {
            self::PerCentimetre => Fraction::decimal($value->multipliedBy(BigRational::nd(254, 100)), 0),
            self::CountedFromZero => Fraction::write($value->plus(1)),
            default => Fraction::write($value->multipliedBy($this->factor($field === RequirementId::TIME_SPEED))),
        };
    }

    /** A speed is a factor already, and written as one. */
    private function factor(bool $isSpeed): BigRational
    {
        return match ($this) {
            self::Factor => BigRational::of($isSpeed ? 1 : 100),
            self::Percent => BigRational::of($isSpeed ? '1/100' : 1),
            self::KilobitsPerSecond, self::Kilohertz => BigRational::of(1000),
            self::MegabitsPerSecond => BigRational::of(1_000_000),
            default => BigRational::one(),
        };
    }
}
