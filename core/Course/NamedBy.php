<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** By what a row of a gradebook says whose it is; the surest first. */
enum NamedBy: string
{
    case Number = 'number';
    case Address = 'address';
    case Handle = 'handle';
    case Name = 'name';

    /** A value of a column as learners are compared by it. */
    public function key(string $cell): string
    {
        return match ($this) {
            self::Number => trim($cell),
            self::Name => CourseLearner::nameKey($cell),
            default => mb_strtolower(trim($cell)),
        };
    }
}
