<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;

/** How an assignment is judged, the same for everybody. */
final readonly class AssignmentRules
{
    public const FORMAT = 'plain-ledger/assignment';

    private const MOST_ATTEMPTS = 100;

    /** @param  int|null  $attempts  how often something may be handed in; null: as often as one likes */
    public function __construct(
        public PointScheme $points,
        public LateRule $late,
        public ?int $attempts,
        public CountingAttempt $counts,
        public Needed $needed,
    ) {}

    public static function plain(): self
    {
        return new self(PointScheme::plain(), LateRule::none(), null, CountingAttempt::Last, Needed::Files);
    }

    /**
     * @throws CourseRefused
     * @throws JsonRefused
     */
    public static function read(string $text, string $label): self
    {
        return self::fromArray(JsonDocument::parse($text, $label, self::FORMAT)->data, $label);
    }

    /**
     * @param  array<string, mixed>  $data
     *
     * @throws CourseRefused
     */
    public static function fromArray(array $data, string $label = 'rules'): self
    {
        $attempts = $data['attempts'] ?? null;
        if ($attempts !== null && (! is_int($attempts) || $attempts < 1 || $attempts > self::MOST_ATTEMPTS)) {
            throw CourseRefused::because($label, 'attempts are a whole number from 1 to '.self::MOST_ATTEMPTS.'.');
        }

        return new self(
            PointScheme::fromArray(self::part($data, 'points'), $label),
            LateRule::fromArray(self::part($data, 'late'), $label),
            $attempts,
            self::counting($data['counts'] ?? CountingAttempt::Last->value, $label),
            self::needed($data['needed'] ?? Needed::Files->value, $label),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => 1,
            'points' => $this->points->toArray(),
            'late' => $this->late->toArray(),
            'attempts' => $this->attempts,
            'counts' => $this->counts->value,
            'needed' => $this->needed->value,
        ];
    }

    /** @throws CourseRefused */
    private static function counting(mixed $word, string $label): CountingAttempt
    {
        return (is_string($word) ? CountingAttempt::tryFrom($word) : null)
            ?? throw CourseRefused::because($label, 'the attempt that counts is the “last” or the “best”.');
    }

    /** @throws CourseRefused */
    private static function needed(mixed $word, string $label): Needed
    {
        return (is_string($word) ? Needed::tryFrom($word) : null)
            ?? throw CourseRefused::because($label, 'what is needed is “files”, “scene” or “both”.');
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     *
     * @throws CourseRefused
     */
    private static function part(array $data, string $key): array
    {
        $part = $data[$key] ?? [];
        if (! is_array($part)) {
            throw CourseRefused::because('rules', "“{$key}” is an object.");
        }

        /** @var array<string, mixed> $part */
        return $part;
    }
}
