<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigRational;

/** What lateness costs. */
final readonly class LateRule
{
    /**
     * @param  int  $grace  minutes after the due time that count as in time
     * @param  BigRational  $percent  off the points for each day begun
     * @param  BigRational  $most  percent off at most
     * @param  int|null  $closes  days after the due time when nothing is taken any more; null: never
     */
    public function __construct(
        public int $grace,
        public BigRational $percent,
        public BigRational $most,
        public ?int $closes,
    ) {}

    public static function none(): self
    {
        return new self(0, BigRational::zero(), BigRational::of(100), null);
    }

    /**
     * @param  array<string, mixed>  $data  `grace`, `percent`, `most`, `closes`, each may be absent
     *
     * @throws CourseRefused
     */
    public static function fromArray(array $data, string $label): self
    {
        $grace = $data['grace'] ?? 0;
        if (! is_int($grace) || $grace < 0 || $grace > 60 * 24 * 30) {
            throw CourseRefused::because($label, 'the grace time is whole minutes, at most thirty days of them.');
        }
        $closes = $data['closes'] ?? null;
        if ($closes !== null && (! is_int($closes) || $closes < 0 || $closes > 366)) {
            throw CourseRefused::because($label, 'it closes so many whole days after the due time, at most 366.');
        }

        return new self(
            $grace,
            self::percent($data['percent'] ?? 0, $label),
            self::percent($data['most'] ?? 100, $label),
            $closes,
        );
    }

    /** @return array{grace: int, percent: string, most: string, closes: int|null} */
    public function toArray(): array
    {
        return [
            'grace' => $this->grace,
            'percent' => Decimal::shown($this->percent),
            'most' => Decimal::shown($this->most),
            'closes' => $this->closes,
        ];
    }

    /** @throws CourseRefused */
    private static function percent(mixed $written, string $label): BigRational
    {
        $value = Decimal::read($written);
        if ($value === null || $value->isGreaterThan(100)) {
            throw CourseRefused::because($label, 'what lateness costs is a percentage from 0 to 100.');
        }

        return $value;
    }
}
