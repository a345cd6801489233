<?php

declare(strict_types=1);

namespace PlainLedger\Core\Practice;

/** One thing of an answer, or one it leaves out, and what it is worth. */
final readonly class MarkedPoint
{
    /**
     * @param  'verdict'|'line'|'cause'|'frames'|'delivery'|'conflict'  $about
     * @param  string  $key  the id of the line or cause; the part of frames; which delivery or conflict
     * @param  'right'|'near'|'missed'|'wrong'  $mark
     * @param  int  $earned  points; below zero for what is wrong
     * @param  int  $possible  points
     */
    public function __construct(
        public string $about,
        public string $key,
        public string $mark,
        public int $earned,
        public int $possible,
        public string $says,
    ) {}
}
