<?php

declare(strict_types=1);

namespace Tests\Core\RenderLog;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\RenderLog\LogPatternRefused;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogReading;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\RenderLog\RenderProgress;

/** Logs of renders: their lines, their pace, and what is left. */
final class LogTest extends TestCase
{
    private static function read(string $log, ?LogShape $shape = null, int $piece = 1_000_000): LogReading
    {
        $reader = new LogReader($shape ?? LogReader::guess($log, LogShape::standard()) ?? LogShape::standard()[0]);
        foreach (str_split($log, $piece) as $bytes) {
            $reader->feed($bytes);
        }

        return $reader->close();
    }

    /** @return iterable<string, array{string, string, array<string, string>|null}> */
    public static function lines(): iterable
    {
        yield 'frame and seconds' => [
            'frame {frame} done in {seconds} s',
            '[12:00] Frame 1001 done in 61.5 s (2 threads)',
            ['frame' => '1001', 'seconds' => '61.5'],
        ];
        yield 'spaces run together' => ['frame {frame} done', "frame\t 7   done", ['frame' => '7']];
        yield 'a negative frame' => ['frame {frame}', 'frame -12', ['frame' => '-12']];
        yield 'no part of a longer number' => ['frame {frame}', 'frame 123456789012', null];
        yield 'signs of its own' => ['(frame {frame}) [ok]', 'x (frame 5) [ok]', ['frame' => '5']];
        yield 'a file with spaces' => [
            "wrote '{file}'",
            "wrote 'a b/TC 010.1001.png' now",
            ['file' => 'a b/TC 010.1001.png'],
        ];
        yield 'a file at the end of the line' => [
            'wrote {file}',
            'wrote a b/TC 010.1001.png  ',
            ['file' => 'a b/TC 010.1001.png'],
        ];
        yield 'a clock time' => ['took {time}', 'took 1:02:03.5', ['time' => '1:02:03.5']];
        yield 'a spoken time' => ['took {time}', 'took 2m 3s', ['time' => '2m 3s']];
        yield 'anything between' => [
            'frame {frame} {*} time {time}',
            'frame 4 | mem 12 | time 0:59',
            ['frame' => '4', 'time' => '0:59'],
        ];
        yield 'another line' => ['frame {frame} done', 'loading textures', null];
        yield 'an expression' => ['/F(?<frame>\d+)~(?<seconds>\d+)/', 'xF12~9', ['frame' => '12', 'seconds' => '9']];
    }

    /** @param  array<string, string>|null  $expected */
    #[DataProvider('lines')]
    public function test_a_line_reads_by_a_pattern(string $pattern, string $line, ?array $expected): void
    {
        self::assertSame($expected, LogPattern::parse($pattern)->in($line));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing' => ['  ', 'A pattern is a line as it stands'];
        yield 'no such piece' => ['frame {number}', 'There is no piece {number}'];
        yield 'a piece twice' => ['{frame} of {frame}', '{frame} stands in it twice'];
        yield 'an open brace' => ['frame {frame', 'A brace in it is not closed'];
        yield 'too long' => [str_repeat('x', 501), 'at most 500'];
        yield 'no expression' => ['/(frame/', 'This is no regular expression'];
        yield 'a group of another name' => ['/(?<number>\d+)/', 'There is no piece “number”'];
        yield 'one that never ends' => ['/^(a+)+$/', 'takes too long'];
        yield 'another' => ['/(?<frame>\d+)*(\d+)*(\d+)*x/', 'takes too long'];
        yield 'spaces in too many ways' => ['/(\s*)*(\s|\s\s)*(?<frame>\d+)!/', 'takes too long'];
        yield 'one that calls itself' => ['/(a|(?R))*b/', 'takes too long'];
        yield 'orders to the matcher' => ['/(*LIMIT_MATCH=99999999)(a+)+$/', 'cannot give orders'];
        yield 'a call' => ['/a(?C1)b/', 'cannot give orders'];
        yield 'too many gaps' => ['a {*} b {*} c {*} d {*} e {*} f', 'More than four'];
    }

    #[DataProvider('refused')]
    public function test_a_pattern_that_cannot_be_used_is_refused_at_once(string $pattern, string $says): void
    {
        $began = hrtime(true);
        try {
            LogPattern::parse($pattern);
            self::fail('taken');
        } catch (LogPatternRefused $refused) {
            self::assertStringContainsString($says, $refused->getMessage());
        }
        // a pattern without a limit would take years: seconds are wide enough to tell
        self::assertLessThan(20, intdiv(hrtime(true) - $began, 1_000_000_000));
    }

    /** @return iterable<string, array{string, string}> */
    public static function shapes(): iterable
    {
        yield 'in seconds' => [
            'frame done in seconds',
            "2026-11-25 21:00:00 frame 1001 begins\n2026-11-25 21:01:00 frame 1001 done in 60.0 s\n2026-11-25 "
                ."21:01:00 wrote out/a.1001.png\n2026-11-25 21:01:00 frame 1002 begins\n2026-11-25 21:02:10 frame "
                ."1002 done in 70.0 s\n2026-11-25 21:02:10 wrote out/a.1002.png\n2026-11-25 21:02:10 frame "
                ."1003 begins\n",
        ];
        yield 'with its time' => [
            'frame and its time',
            "Rendering frame 1001\nFrame: 1001 | mem 200 | Time: 01:00\nRendering frame 1002\nFrame: 1002 | mem 200 "
                ."| Time: 1:10.0\nRendering frame 1003\n",
        ];
        yield 'finished first' => [
            'finished frame, seconds after it',
            "Starting frame 1001\r\nFinished frame 1001 (60 s)\r\nStarting frame 1002\r\nFinished frame 1002 "
                ."(70.000 sec)\r\nStarting frame 1003\r\n",
        ];
        yield 'files alone' => ['saved files alone', "Saved: 'out/a.1001.png'\nSaved: 'out/a.1002.png'\n"];
    }

    #[DataProvider('shapes')]
    public function test_common_shapes_are_told_apart_and_read(string $name, string $log): void
    {
        self::assertSame($name, LogReader::guess($log, LogShape::standard())?->name);
        foreach ([
            $log,
            "\xFF\xFE".mb_convert_encoding($log, 'UTF-16LE', 'UTF-8'),
            "\xFE\xFF".mb_convert_encoding($log, 'UTF-16BE', 'UTF-8'),
        ] as $text) {
            foreach ([1, 7, 1_000_000] as $piece) {
                $reader = new LogReader(
                    array_values(
                        array_filter(LogShape::standard(), static fn (LogShape $s): bool => $s->name === $name),
                    )[0],
                );
                // the mark of an encoding comes whole
                $reader->feed(substr($text, 0, 2));
                foreach (str_split(substr($text, 2), $piece) as $bytes) {
                    $reader->feed($bytes);
                }
                $reading = $reader->close();
                self::assertSame('1001-1002', (string) $reading->frames->finished);
                self::assertSame($name === 'saved files alone' ? [] : [60_000, 70_000], $reading->times());
                self::assertSame($name === 'saved files alone' ? '' : '1003', (string) $reading->frames->begun);
                self::assertSame(1002, $reading->frames->last);
            }
        }
    }

    public function test_how_far_it_is_and_where_to_go_on(): void
    {
        $log = '';
        foreach (range(1001, 1048) as $frame) {
            $log .= "frame {$frame} begins\n";
            $log .= $frame === 1030
                ? ''
                : 'frame '.$frame.' done in '.($frame === 1020 ? 300 : 60 + 2 * ($frame % 2))." s\n";
        }
        $log .= "warning: no light on layer 3\nwarning: no light on layer 9\nERROR: machine 4 lost\n";
        $reading = self::read($log);
        $progress = RenderProgress::of($reading, FrameRange::parse('1001-1096'));

        self::assertSame(
            ['1001-1029,1031-1048', '1030', 62_000, [1020 => 300_000]],
            [(string) $progress->done, (string) $reading->frames->begun, $reading->median(), $reading->slow()],
        );
        self::assertSame(
            ['1030,1049-1096', 1030, 1],
            [(string) $progress->left, $progress->resume, $progress->machines],
        );
        // a mean of 66.1 s, and two standard errors about it
        self::assertNotNull($progress->secondsLeft);
        [$least, $most] = $progress->secondsLeft;
        self::assertGreaterThan(49 * 55, $least);
        self::assertLessThan(49 * 80, $most);
        self::assertLessThanOrEqual(49 * 67, $least);
        self::assertGreaterThanOrEqual(49 * 66, $most);
        self::assertSame(
            [2, ['no light on layer 3' => 2], 1, ['machine 4 lost' => 1]],
            [$reading->warnings->count, $reading->warnings->said, $reading->errors->count, $reading->errors->said],
        );
    }

    public function test_machines_beside_each_other_are_seen_by_the_clock(): void
    {
        $log = '';
        foreach (range(1, 40) as $n) {
            $log .= gmdate('Y-m-d H:i:s', 1_790_000_000 + 15 * $n)." frame {$n} done in 60 s\n";
        }
        $progress = RenderProgress::of(self::read($log), FrameRange::parse('1-80'));
        self::assertSame([4, [600, 600]], [$progress->machines, $progress->secondsLeft]);
    }

    public function test_a_clock_stands_where_the_pattern_has_it(): void
    {
        $shape = LogShape::of('ours', [['event' => 'finished', 'pattern' => 'ok {frame} {seconds} s at {clock}']]);
        $log = '';
        foreach (range(1, 20) as $n) {
            $log .= "ok {$n} 60 s at ".gmdate('Y-m-d\\TH:i:s', 1_790_000_000 + 30 * $n)."\n";
        }
        $reading = self::read($log, $shape);
        self::assertSame(
            ['1-20', 2, gmdate('Y-m-d H:i:s', 1_790_000_600)],
            [(string) $reading->frames->finished, $reading->besideEachOther(), $reading->clock->last],
        );
        self::assertNull(self::read("frame 1 done in 5 s\n")->clock->last);
        // what only looks like a clock brings nothing down
        self::assertGreaterThanOrEqual(
            1,
            self::read(
                "2026-99-99 99:99:99 frame 1 done in 5 s\n0000-00-00 00:00:00 frame 2 done in 5 s\n",
            )->besideEachOther(),
        );
    }

    public function test_a_render_that_went_on_and_frames_beyond(): void
    {
        $reading = self::read("frame 3 done in 5 s\nframe 1 done in 5 s\nframe 3 done in 6 s\nframe 99 done in 5 s\n");
        $progress = RenderProgress::of($reading, FrameRange::parse('1-4'));
        self::assertSame(
            ['1,3', '2,4', 2, '99', [1 => 5000, 3 => 6000, 99 => 5000]],
            [
                (string) $progress->done,
                (string) $progress->left,
                $progress->resume,
                (string) $progress->beyond,
                array_replace(array_fill_keys([1, 3, 99], 0), $reading->frames->milliseconds),
            ],
        );
        $all = RenderProgress::of($reading, FrameRange::parse('1,3'));
        self::assertSame([null, [0, 0]], [$all->resume, $all->secondsLeft]);
    }

    public function test_a_log_of_any_length_takes_no_room(): void
    {
        $reader = new LogReader(LogShape::standard()[0]);
        $block = str_repeat(str_repeat('x', 200)."\n", 200)."frame %d done in 1 s\n";
        $reader->feed('frame 0 done in 1 s'."\n");
        $before = memory_get_usage();
        memory_reset_peak_usage();
        foreach (range(1, 300) as $frame) {
            $reader->feed(sprintf($block, $frame));
        }
        self::assertSame('0-300', (string) $reader->reading()->frames->finished);
        self::assertLessThan(3_000_000, memory_get_peak_usage() - $before);
    }

    public function test_a_line_without_end_and_bytes_that_are_no_text(): void
    {
        $reader = new LogReader(LogShape::standard()[0]);
        $reader->feed("frame 1 done in 1 s\n".str_repeat('a', 40_000));
        foreach (range(1, 20) as $i) {
            $reader->feed(str_repeat("\x00\xFF", 50_000));
        }
        $reader->feed("frame 9 done in 1 s\nframe 2 done in 1 s\nerror: \xFF\xFE\x00 broken\n");
        $reading = $reader->close();
        self::assertSame(['1-2', 1], [(string) $reading->frames->finished, $reading->errors->count]);
        self::assertTrue(mb_check_encoding((string) array_key_first($reading->errors->said), 'UTF-8'));
    }

    public function test_a_shape_needs_patterns_and_known_events(): void
    {
        self::assertSame(
            [['event' => 'finished', 'pattern' => 'done {frame}']],
            LogShape::of('mine', [['event' => 'finished', 'pattern' => 'done {frame}']])->toArray(),
        );
        $this->expectException(LogPatternRefused::class);
        $this->expectExceptionMessage('A line tells one of started, finished, file, warning, error.');
        LogShape::of('mine', [['event' => 'frame', 'pattern' => 'done {frame}']]);
    }
}
