<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Timecode;

/** Timecode beside a counter that only knows how to count on by one, as SMPTE ST 12-1 describes it. */
final class TimecodeCountingTest extends TestCase
{
    /** @return iterable<string, array{string, int, bool}> rate, frames a second by number, drop-frame */
    public static function counters(): iterable
    {
        foreach ([
            ['23.976', 24], ['24', 24], ['25', 25], ['29.97', 30], ['30', 30], ['48', 48], ['50', 50], ['59.94', 60],
            ['60', 60],
        ] as [$rate, $whole]) {
            yield "{$rate}, every number" => [$rate, $whole, false];
        }
        yield '29.97, drop-frame' => ['29.97', 30, true];
        yield '59.94, drop-frame' => ['59.94', 60, true];
    }

    #[DataProvider('counters')]
    public function test_twelve_minutes_frame_by_frame(string $rate, int $whole, bool $drop): void
    {
        $rate = FrameRate::parse($rate);
        [$h, $m, $s, $f] = [0, 0, 0, 0];
        $wrong = [];
        for ($frame = 0; $frame < 12 * 60 * $whole; $frame++) {
            $counted = sprintf('%02d:%02d:%02d%s%02d', $h, $m, $s, $drop ? ';' : ':', $f);
            [$now, $h, $m, $s, $f] = [[$h, $m, $s, $f], ...self::next($h, $m, $s, $f, $whole, $drop)];
            // around each minute every frame, elsewhere now and then
            if ($frame % 97 !== 0 && ! in_array($now[2], [0, 59], true)) {
                continue;
            }
            $timecode = Timecode::fromFrames($frame, $rate, $drop);
            if ((string) $timecode !== $counted || Timecode::parse($counted, $rate)->frames !== $frame) {
                $wrong[] = "{$frame}: {$counted}, {$timecode}";
            }
        }
        self::assertSame([], array_slice($wrong, 0, 5));
    }

    #[DataProvider('counters')]
    public function test_the_last_minutes_of_a_day(string $rate, int $whole, bool $drop): void
    {
        $rate = FrameRate::parse($rate);
        // frames of a day, by the numbers left out: two (or four) in each minute but every tenth
        $day = 24 * 3600 * $whole - ($drop ? 24 * 54 * intdiv($whole, 15) : 0);
        $last = sprintf('23:59:59%s%02d', $drop ? ';' : ':', $whole - 1);

        self::assertSame($last, (string) Timecode::fromFrames($day - 1, $rate, $drop));
        self::assertSame($day - 1, Timecode::parse($last, $rate)->frames);
        self::assertSame($drop ? '00:00:00;00' : '00:00:00:00', (string) Timecode::parse($last, $rate)->plus(1));
        self::assertSame($drop ? '00:00:00;02' : '00:00:00:02', (string) Timecode::parse($last, $rate)->plus(3));
    }

    /** @return array{int, int, int, int} */
    private static function next(int $h, int $m, int $s, int $f, int $whole, bool $drop): array
    {
        if (++$f < $whole) {
            return [$h, $m, $s, $f];
        }
        $f = 0;
        if (++$s < 60) {
            return [$h, $m, $s, $f];
        }
        $s = 0;
        $m++;
        if ($m === 60) {
            [$h, $m] = [$h + 1, 0];
        }

        return [$h, $m, $s, $drop && $m % 10 !== 0 ? intdiv($whole, 15) : 0];
    }

    /** An hour of drop-frame is an hour on the clock, to within two frames. */
    public function test_drop_frame_keeps_to_the_clock(): void
    {
        foreach ([['29.97', 107_892], ['59.94', 215_784]] as [$rate, $hour]) {
            $timecode = Timecode::fromFrames($hour, FrameRate::parse($rate), true);
            self::assertSame('01:00:00;00', (string) $timecode);
            // frames × 1001 ÷ (nominal × 1000), in thousandths of a second: nearly 3600 seconds
            $nominal = $rate === '29.97' ? 30 : 60;
            self::assertSame(3_599_996, intdiv($hour * 1001, $nominal));
        }
    }
}
