<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** A gradebook with points in it, and what could not be filled. */
final readonly class FilledGradebook
{
    /**
     * @param  string  $bytes  written as it came
     * @param  list<int>  $filled  ids of learners
     * @param  list<string>  $unknown  rows of nobody who is known here
     * @param  list<string>  $twice  learners who stand in several rows; none of them was filled
     * @param  list<string>  $absent  learners with points whom no row is for
     * @param  list<string>  $pointless  learners with a row and without points; it was left as it is
     * @param  int  $changed  rows that had other points before
     */
    public function __construct(
        public string $bytes,
        public array $filled,
        public array $unknown,
        public array $twice,
        public array $absent,
        public array $pointless,
        public int $changed,
    ) {}
}
