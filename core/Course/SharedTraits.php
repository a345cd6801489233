<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** What the deliveries of two people have in common that those of others do not. No verdict on why. */
final readonly class SharedTraits
{
    /**
     * @param  array-key  $a  whose the one is
     * @param  array-key  $b  whose the other is
     * @param  list<array{string, string}>  $files  paths of files with the same bytes, in the one and in the other
     * @param  list<array{string, string}>  $pictures  paths of pictures with the same pixels and other bytes
     * @param  list<array{string, string}>  $told  name and value of what both say of where they were made
     * @param  list<array{string, string}>  $times  paths of files that were written in the same second
     */
    public function __construct(
        public int|string $a,
        public int|string $b,
        public array $files,
        public array $pictures,
        public array $told,
        public array $times,
    ) {}

    /** For the order alone: bytes first, then pixels, then the rest. */
    public function weight(): int
    {
        return count($this->files) * 1000 + count($this->pictures) * 100 + count($this->told) * 10
            + count($this->times);
    }
}
