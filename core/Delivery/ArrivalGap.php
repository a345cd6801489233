<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** The usual time between two files of a render, in seconds, by when they were changed. */
final readonly class ArrivalGap
{
    /** Of more files every so manieth tells it. */
    private const MOST = 20_000;

    /** So many times as long nothing has come before a render is taken to have ended. */
    private const OVER = 5;

    public static function of(IntColumn $changed): int
    {
        $times = $changed->some(self::MOST);
        sort($times);
        $gaps = [];
        for ($i = 1, $many = count($times); $i < $many; $i++) {
            $gaps[] = $times[$i] - $times[$i - 1];
        }
        sort($gaps);

        return $gaps === [] ? 0 : intdiv($gaps[intdiv(count($gaps), 2)] * count($times), count($changed));
    }

    /** Seconds without a file after which a render of that pace is over. */
    public static function patience(int $gap): int
    {
        return self::OVER * $gap;
    }
}
