<?php

declare(strict_types=1);

namespace Tests\Core\RenderLog;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\RenderLog\RenderProgress;

/**
 * Random renders written as logs in every shape that ships, cut into random pieces: what is read is what was written.
 */
final class LogAgainstLinesTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 30) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_what_is_read_is_what_was_written(int $seed): void
    {
        mt_srand($seed);
        $first = mt_rand(-20, 2000);
        $expected = FrameRange::of($first, $first + mt_rand(5, 60));
        $frames = iterator_to_array($expected->numbers(), false);
        if (mt_rand(0, 1) === 1) {
            // machines beside each other finish in no order
            shuffle($frames);
        }
        $done = array_slice($frames, 0, mt_rand(1, count($frames)));
        $times = [];
        foreach ($done as $frame) {
            $times[$frame] = mt_rand(1, 9999) * 100;
        }
        [$warnings, $errors] = [mt_rand(0, 5), mt_rand(0, 3)];
        foreach (LogShape::standard() as $n => $shape) {
            $end = ["\n", "\r\n", "\r"][mt_rand(0, 2)];
            // a log that begins with the mark of an encoding is of that encoding
            $log = "log of a render{$end}";
            foreach ($done as $frame) {
                $log .= self::noise().$end.self::lines($n, $frame, $times[$frame], $end).$end;
            }
            $log .= str_repeat("warning: no light{$end}", $warnings).str_repeat("ERROR - machine lost{$end}", $errors);
            $reader = new LogReader($shape);
            for ($at = 0; $at < strlen($log); $at += $long) {
                $long = mt_rand(1, 200);
                // a break between CR and LF makes no line more
                $reader->feed(substr($log, $at, $long));
                if (mt_rand(0, 9) === 0) {
                    // put aside and taken up again
                    $reader = unserialize(serialize($reader));
                    self::assertInstanceOf(LogReader::class, $reader);
                }
            }
            $reading = $reader->close();
            $what = "{$shape->name}, seed {$seed}";
            $finished = (string) $reading->frames->finished;
            self::assertSame((string) FrameRange::fromNumbers(self::sorted($done)), $finished, $what);
            self::assertSame([$warnings, $errors], [$reading->warnings->count, $reading->errors->count], $what);
            $last = $done[count($done) - 1];
            self::assertSame($last, $reading->frames->last, $what);
            if ($n < 3) {
                $told = $reading->frames->milliseconds;
                ksort($told);
                ksort($times);
                self::assertSame($times, $told, $what);
                $sorted = self::sorted(array_values($times));
                self::assertSame($sorted[intdiv(count($sorted) - 1, 2)], $reading->median(), $what);
            }
            $progress = RenderProgress::of($reading, $expected);
            $left = array_values(array_diff(self::sorted($frames), $done));
            self::assertSame((string) FrameRange::fromNumbers($left), (string) $progress->left, $what);
            self::assertSame($left[0] ?? null, $progress->resume, $what);
        }
    }

    private static function lines(int $shape, int $frame, int $ms, string $end): string
    {
        $seconds = sprintf('%d.%d', intdiv($ms, 1000), intdiv($ms % 1000, 100));
        $minutes = sprintf('%d:%02d.%d', intdiv($ms, 60_000), intdiv($ms, 1000) % 60, intdiv($ms % 1000, 100));
        $file = 'out/TC 010.'.($frame < 0 ? '-' : '').sprintf('%04d', abs($frame)).'.png';

        return match ($shape) {
            0 => "frame {$frame} begins{$end}2026-11-25 frame {$frame} done in {$seconds} s",
            1 => "Rendering frame {$frame}{$end}Frame: {$frame} | memory 200 MB | Time: {$minutes}",
            2 => "Starting frame {$frame}{$end}Finished frame {$frame} ({$seconds} s)",
            default => "Saved: '{$file}'",
        };
    }

    private static function noise(): string
    {
        return [
            '', 'loading textures 12 of 90', 'memory 1001 MB', str_repeat('.', mt_rand(0, 300)), "\xFF\xFE not text",
            'bucket 3 done', 'the frame is fine',
        ][mt_rand(0, 6)];
    }

    /**
     * @param  list<int>  $numbers
     * @return list<int>
     */
    private static function sorted(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }
}
