<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Delivery\ArrivalGap;
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
        $all = $pass->frames->times;
        if ($scannedAt === null || $all->isEmpty()) {
            return new self(null, 0, false);
        }
        [$oldest, $newest] = [PHP_INT_MAX, PHP_INT_MIN];
        foreach ($all as $time) {
            $oldest = min($oldest, $time);
            $newest = max($newest, $time);
        }
        $age = $scannedAt - $newest;

        // a clock that is an hour ahead says nothing about what is happening now
        return new self(
            $age < -3600 ? null : max(0, $age),
            ArrivalGap::of($all),
            count($all) > 1 && $newest - $oldest <= self::COPIED,
        );
    }

    public function isStillArriving(): bool
    {
        $patience = max(self::LEAST, ArrivalGap::patience($this->gap));

        return $this->age !== null && ! $this->copied && $this->age < $patience;
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
