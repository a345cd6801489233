<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigRational;

/** One hand-in, and what it came to. */
final readonly class Attempt
{
    /**
     * @param  int  $number  from 1
     * @param  BigRational|null  $given  points that somebody gave instead of those that are worked out
     */
    public function __construct(
        public int $number,
        public Points $points,
        public Lateness $lateness,
        public ?BigRational $given = null,
    ) {}

    /** Points in the end: those given by hand stand, whatever lateness takes off. */
    public function total(): BigRational
    {
        return $this->given ?? $this->points->total();
    }

    /**
     * The one that a learner's points are those of; of equal ones the later.
     *
     * @param  list<self>  $attempts
     */
    public static function counting(array $attempts, CountingAttempt $rule): ?self
    {
        usort($attempts, static fn (self $a, self $b): int => $a->number <=> $b->number);
        $found = null;
        foreach ($attempts as $each) {
            $isBetter = $found === null || ! $each->total()->isLessThan($found->total());
            if ($rule === CountingAttempt::Last || $isBetter) {
                $found = $each;
            }
        }

        return $found;
    }
}
