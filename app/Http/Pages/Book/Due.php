<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Http\Moment;
use DateTimeImmutable;
use Illuminate\Support\Carbon;

/** When something is due, and how long that is from now. */
final readonly class Due
{
    public string $at;

    public string $words;

    public bool $late;

    /** @param  int  $stamp  seconds since 1970 */
    private function __construct(private int $stamp)
    {
        $minutes = (int) floor(($stamp - Carbon::now()->getTimestamp()) / 60);
        $this->at = Moment::due(new DateTimeImmutable("@{$stamp}"));
        $this->words = $minutes < 0 ? self::long(-$minutes).' late' : 'in '.self::long($minutes);
        $this->late = $minutes < 0;
    }

    /** @param  int|null  $stamp  seconds since 1970 */
    public static function at(?int $stamp): ?self
    {
        return $stamp === null ? null : new self($stamp);
    }

    /** Seconds since 1970. */
    public function stamp(): int
    {
        return $this->stamp;
    }

    private static function long(int $minutes): string
    {
        [$number, $unit] = match (true) {
            $minutes < 60 => [$minutes, 'minute'],
            $minutes < 48 * 60 => [intdiv($minutes, 60), 'hour'],
            default => [intdiv($minutes, 1440), 'day'],
        };

        return "{$number} {$unit}".($number === 1 ? '' : 's');
    }
}
