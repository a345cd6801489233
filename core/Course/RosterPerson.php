<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** Somebody on a roster. */
final readonly class RosterPerson
{
    /**
     * @param  string  $number  what the other system calls them; `""` where it does not say
     * @param  string  $email  `""` where it does not say
     * @param  string  $handle  a name to sign in by there; `""` where it does not say
     * @param  bool  $teaches  everybody else learns
     */
    public function __construct(
        public string $number,
        public string $name,
        public string $email,
        public string $handle,
        public bool $teaches = false,
    ) {}

    public function isSameAs(self $other): bool
    {
        return CourseLearner::nameKey($this->name) === CourseLearner::nameKey($other->name)
            && mb_strtolower($this->email) === mb_strtolower($other->email);
    }
}
