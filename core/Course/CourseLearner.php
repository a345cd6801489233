<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** Somebody of a course, as rosters and gradebooks may name them. */
final readonly class CourseLearner
{
    /** @param  string|null  $number  what they are called elsewhere: a student's number, an id of another system */
    public function __construct(
        public int $id,
        public string $name,
        public string $handle,
        public string $email,
        public ?string $number = null,
    ) {}

    /** @return list<string> what may stand for them by each way of naming */
    public function called(NamedBy $by): array
    {
        $words = match ($by) {
            NamedBy::Number => [$this->number ?? ''],
            NamedBy::Address => [mb_strtolower($this->email)],
            NamedBy::Handle => [mb_strtolower($this->handle), mb_strtolower((string) strstr($this->email, '@', true))],
            NamedBy::Name => [self::nameKey($this->name)],
        };

        return array_values(array_unique(array_filter($words, static fn (string $word): bool => $word !== '')));
    }

    /** Words of a name in any order: `Reed, Wren` and `Wren Reed` are the same. */
    public static function nameKey(string $name): string
    {
        $words = preg_split('~[\s,;]+~u', mb_strtolower($name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        sort($words);

        return implode(' ', $words);
    }
}
