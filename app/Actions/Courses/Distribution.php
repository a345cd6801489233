<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use Brick\Math\RoundingMode;
use PlainLedger\Core\Course\Attempt;

/** How points are spread over those who handed in, in tenths of what can be earned. */
final readonly class Distribution
{
    /** Rounded down; null where nothing can be earned. */
    public static function percent(Attempt $attempt): ?int
    {
        $possible = $attempt->points->possible();

        return $possible->isZero()
            ? null
            : $attempt->total()->multipliedBy(100)->dividedBy($possible)->toScale(0, RoundingMode::DOWN)->toInt();
    }

    /**
     * @param  list<int|null>  $percents
     * @return list<array{from: int, to: int, count: int}> the last with all that is 90 % or more
     */
    public static function of(array $percents): array
    {
        $counts = array_fill(0, 10, 0);
        foreach ($percents as $percent) {
            if ($percent !== null) {
                $counts[min(9, intdiv($percent, 10))]++;
            }
        }
        $bins = [];
        foreach ($counts as $tenth => $count) {
            $bins[] = ['from' => $tenth * 10, 'to' => $tenth * 10 + 10, 'count' => $count];
        }

        return $bins;
    }
}
