<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigRational;
use PlainLedger\Core\Text\Text;

/**
 * How late something was handed in. A day late begins at the due time and ends at the same time of day on the next day
 * of the course's zone, so a day on which clocks change has 23 hours or 25.
 */
final readonly class Lateness
{
    /** Further on than any course is; nothing beyond is counted day by day. */
    private const MOST_DAYS = 1000;

    /**
     * @param  int  $seconds  after the due time; below zero before it
     * @param  int  $days  begun after it; 0 in time and within the grace time
     * @param  bool  $isClosed  nothing is taken any more
     */
    private function __construct(
        public int $seconds,
        public int $days,
        public bool $inGrace,
        public bool $isClosed,
        public BigRational $percentOff,
    ) {}

    /** @param  \DateTimeImmutable|null  $due  null: whenever it comes, it is in time */
    public static function of(
        \DateTimeImmutable $handedIn,
        ?\DateTimeImmutable $due,
        LateRule $rule,
        \DateTimeZone $zone,
    ): self {
        $none = BigRational::zero();
        if ($due === null) {
            return new self(0, 0, false, false, $none);
        }
        $seconds = $handedIn->getTimestamp() - $due->getTimestamp();
        if ($seconds <= $rule->grace * 60) {
            return new self($seconds, 0, $seconds > 0, false, $none);
        }
        $days = self::daysBegun($handedIn, $due->setTimezone($zone));
        $off = $rule->percent->multipliedBy($days);

        return new self(
            $seconds,
            $days,
            false,
            $rule->closes !== null && $days > $rule->closes,
            $off->isGreaterThan($rule->most) ? $rule->most : $off,
        );
    }

    public function isLate(): bool
    {
        return $this->days > 0;
    }

    public function says(): string
    {
        return match (true) {
            $this->days > 0 => self::long($this->seconds).' late'.($this->percentOff->isZero()
                ? ''
                : ', '.Text::ordinal($this->days).' day: '.Decimal::shown($this->percentOff).' % off'),
            $this->inGrace => self::long($this->seconds).' after the due time, within the grace time',
            default => 'in time',
        };
    }

    private static function daysBegun(\DateTimeImmutable $handedIn, \DateTimeImmutable $due): int
    {
        // never fewer than whole spans of 25 hours, never more than of 23
        $passed = $handedIn->getTimestamp() - $due->getTimestamp();
        $days = max(1, min(self::MOST_DAYS, intdiv($passed, 90_000)));
        while ($days < self::MOST_DAYS && $due->modify("+{$days} days")->getTimestamp() < $handedIn->getTimestamp()) {
            $days++;
        }

        return $days;
    }

    private static function long(int $seconds): string
    {
        $minutes = intdiv($seconds, 60);

        return match (true) {
            $minutes < 1 => Text::count($seconds, 'second'),
            $minutes < 60 => Text::count($minutes, 'minute'),
            $minutes < 48 * 60 => Text::count(intdiv($minutes, 60), 'hour'),
            default => Text::count(intdiv($minutes, 1440), 'day'),
        };
    }
}
