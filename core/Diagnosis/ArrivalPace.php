<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Matching\PassMatch;

/** How files came in: how old the newest was at the scan, and the usual time between two of them, both in seconds. */
final readonly class ArrivalPace
{
    /** All within so many seconds were copied or unpacked, and not rendered. */
    private const COPIED = 5;

    private const LEAST = 60;

    /** @param  int|null  $age  null where the clock that wrote the files says nothing about now */
    private function __construct(public ?int $age, public int $gap, private bool $copied) {}

    public static function of(PassMatch $pass, ?int $scannedAt): self
    {
        $times = $pass->frames->times;
        if ($scannedAt === null || $times === []) {
            return new self(null, 0, false);
        }
        sort($times);
        $gaps = [];
        for ($i = 1, $many = count($times); $i < $many; $i++) {
            $gaps[] = $times[$i] - $times[$i - 1];
        }
        sort($gaps);
        $age = $scannedAt - $times[count($times) - 1];

        // a clock that is an hour ahead says nothing about what is happening now
        return new self(
            $age < -3600 ? null : max(0, $age),
            $gaps === [] ? 0 : $gaps[intdiv(count($gaps), 2)],
            count($times) > 1 && $times[count($times) - 1] - $times[0] <= self::COPIED,
        );
    }

    public function isStillArriving(): bool
    {
        return $this->age !== null && ! $this->copied && $this->age < max(self::LEAST, 5 * $this->gap);
    }

    public function says(): string
    {
        return "the newest file is {$this->age} s old"
            .($this->gap > 0 ? ", and one came about every {$this->gap} s" : '');
    }

    public static function duration(int $seconds): string
    {
        return match (true) {
            $seconds < 120 => "{$seconds} s",
            $seconds < 7200 => intdiv($seconds + 30, 60).' min',
            default => intdiv($seconds, 3600).' h '.intdiv($seconds % 3600, 60).' min',
        };
    }
}
