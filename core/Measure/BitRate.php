<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** Bits a second. Prefixes are decimal, as data rates are told (IEC 80000-13, 13-9). */
final readonly class BitRate implements \Stringable
{
    private const LARGEST = 1_000_000_000_000;

    private function __construct(public int $bits) {}

    /** @throws NotUnderstood unless above zero and at most 10^12 */
    public static function of(int $bits): self
    {
        return $bits >= 1 && $bits <= self::LARGEST
            ? new self($bits)
            : throw NotUnderstood::because('A bit rate is from 1 to 1,000,000,000,000 bits a second.');
    }

    /**
     * Reads `8000000`, `8 Mbit/s`, `8 Mbps`, `8M`, `8000k`, `1.5 MB/s` (of eight bits).
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text): self
    {
        if (
            preg_match(
                '~^\s*(\d{1,15}(?:[.]\d{1,6})?)\s*([kmg]?)\s*(bits?|b|bytes?|)\s*(?:(?:/|p'
                    .'|per)\s*s(?:ec(?:ond)?)?)?\s*$~i',
                $text,
                $m,
            ) !== 1
        ) {
            throw NotUnderstood::as('a bit rate', $text, '8 Mbit/s or 8000000');
        }
        $factor = [
            '' => 1,
            'k' => 1000,
            'm' => 1_000_000,
            'g' => 1_000_000_000,
        ][strtolower($m[2])] * ($m[3] === 'B' || stripos($m[3], 'byte') === 0 ? 8 : 1);

        return self::of(BigDecimal::of($m[1])->multipliedBy($factor)->toScale(0, RoundingMode::HALF_UP)->toInt());
    }

    /**
     * The rate at which so many bytes last so long, rounded down; what stands beside the picture is taken off first.
     *
     * @param  BigRational  $seconds  above zero
     * @param  int  $beside  bits a second of sound
     * @param  int  $container  parts in a thousand that the container takes
     * @return self|null null where nothing is left
     */
    public static function thatFits(ByteSize $cap, BigRational $seconds, int $beside = 0, int $container = 10): ?self
    {
        $bits = BigRational::of($cap->bytes)->multipliedBy(8)
            ->multipliedBy(1000 - $container)
            ->dividedBy(1000)
            ->dividedBy($seconds)
            ->toScale(0, RoundingMode::DOWN)
            ->toInt() - $beside;

        return $bits >= 1 ? new self(min($bits, self::LARGEST)) : null;
    }

    /** Bytes that so long takes, rounded up. */
    public function bytesIn(BigRational $seconds): ByteSize
    {
        return ByteSize::of(
            BigRational::of($this->bits)->multipliedBy($seconds)->dividedBy(8)->toScale(0, RoundingMode::UP)->toInt(),
        );
    }

    /** `8 Mbit/s`, with three figures. For display only. */
    public function __toString(): string
    {
        foreach ([[1_000_000_000, 'Gbit/s'], [1_000_000, 'Mbit/s'], [1000, 'kbit/s']] as [$unit, $word]) {
            if ($this->bits >= $unit) {
                $places = max(0, 3 - strlen((string) intdiv($this->bits, $unit)));

                return Fraction::decimal(BigRational::nd($this->bits, $unit), $places)." {$word}";
            }
        }

        return "{$this->bits} bit/s";
    }
}
