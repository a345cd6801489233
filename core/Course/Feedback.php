<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** What a learner is told of one attempt: points and why, and what to do next time. Texts as they are shown. */
final readonly class Feedback
{
    /**
     * @param  array<string, string>  $about  in words, by what each is called: whose, of what, when
     * @param  list<array{label: string, earned: string, of: string, open: string, bad: list<string>,
     *   untold: list<string>}>  $lines
     * @param  list<array{label: string, points: string}>  $sums  what is added to them, and taken off
     * @param  string|null  $total  null where those who mark do not agree yet
     * @param  list<array{says: string, next: string}>  $causes
     * @param  list<array{by: string, text: string}>  $remarks
     */
    private function __construct(
        public array $about,
        public array $lines,
        public array $sums,
        public ?string $total,
        public string $possible,
        public array $causes,
        public array $remarks,
    ) {}

    /**
     * @param  array<string, string>  $about
     * @param  list<array{id: string, says: string}>  $causes  the likeliest first
     * @param  list<array{by: string, text: string}>  $remarks
     */
    public static function of(
        array $about,
        Attempt $attempt,
        bool $isDisputed,
        array $causes,
        FeedbackPhrases $phrases,
        array $remarks,
    ): self {
        $points = $attempt->points;

        return new self(
            $about,
            array_map(static fn (PointLine $line): array => [
                'label' => $line->label, 'earned' => Decimal::shown($line->earned),
                'of' => Decimal::shown($line->possible),
                'open' => $line->open->isZero() ? '' : Decimal::shown($line->open),
                'bad' => $line->bad, 'untold' => $line->untold,
            ], $points->lines),
            self::sums($attempt),
            $isDisputed ? null : Decimal::shown($attempt->total()),
            Decimal::shown($points->possible()),
            array_map(static fn (array $cause): array => [
                'says' => $cause['says'], 'next' => $phrases->for($cause['id']) ?? '',
            ], $causes),
            array_values(array_filter($remarks, static fn (array $r): bool => trim($r['text']) !== '')),
        );
    }

    /** @return list<array{label: string, points: string}> */
    private static function sums(Attempt $attempt): array
    {
        $points = $attempt->points;
        $sums = [];
        if (! $points->bonusPossible->isZero()) {
            $sums[] = ['label' => 'Lines that only should hold', 'points' => '+'.Decimal::shown($points->bonus)];
        }
        if ($attempt->given !== null) {
            return [...$sums, ['label' => 'Given by hand instead', 'points' => Decimal::shown($attempt->given)]];
        }
        if ($attempt->lateness->isLate() && ! $points->off()->isZero()) {
            $sums[] = ['label' => ucfirst($attempt->lateness->says()), 'points' => '−'.Decimal::shown($points->off())];
        }

        return $sums;
    }
}
