<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigRational;

/** What a group of lines, or one line with points of its own, comes to. */
final readonly class PointLine
{
    /**
     * @param  string  $source  a group's name, a requirement's id, or `*`
     * @param  string  $label  the same in words
     * @param  BigRational  $open  what nobody could tell: for somebody who looks to give
     * @param  list<string>  $bad  labels of lines that differ
     * @param  list<string>  $untold  labels of lines that nothing told
     */
    public function __construct(
        public string $source,
        public string $label,
        public BigRational $earned,
        public BigRational $open,
        public BigRational $possible,
        public array $bad,
        public array $untold,
    ) {}
}
