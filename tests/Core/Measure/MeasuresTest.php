<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Text\Text;

final class MeasuresTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function rates(): iterable
    {
        foreach ([
            '24' => '24', '23.976' => '24000/1001', '23.98' => '24000/1001', '23.976023976' => '24000/1001',
            '29.97' => '30000/1001', '59.94' => '60000/1001', '47.952' => '48000/1001', '119.88' => '120000/1001',
            '24000/1001' => '24000/1001', '24 fps' => '24', '25p' => '25', '12.5' => '25/2', '15' => '15',
            '24.0' => '24', '24.00' => '24', '30000/1000' => '30', '29.5' => '59/2', '23.9' => '239/10',
        ] as $typed => $exact) {
            yield "{$typed} is {$exact}" => [(string) $typed, $exact];
        }
    }

    #[DataProvider('rates')]
    public function test_rates_are_exact_fractions(string $typed, string $exact): void
    {
        $rate = FrameRate::parse($typed);

        self::assertSame($exact, (string) $rate);
        self::assertTrue(FrameRate::parse((string) $rate)->equals($rate));
    }

    public function test_a_rate_stored_as_a_float_is_the_fraction_it_stands_for(): void
    {
        foreach (['24000/1001', '30000/1001', '24', '25', '12', '60000/1001'] as $exact) {
            [$top, $bottom] = [...explode('/', $exact), '1'];
            $stored = unpack('g', pack('g', (int) $top / (int) $bottom))[1] ?? 0.0;
            self::assertSame($exact, (string) FrameRate::fromFloat($stored));
        }
        self::assertNull(FrameRate::fromFloat(NAN));
        self::assertNull(FrameRate::fromFloat(-1.0));
    }

    public function test_what_is_no_rate(): void
    {
        foreach (['0', '-24', 'fast', '24/0', '1e9', '', '24,5'] as $text) {
            try {
                FrameRate::parse($text);
                self::fail("“{$text}” was taken for a rate.");
            } catch (NotUnderstood $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function test_running_time(): void
    {
        self::assertSame('8 s 10 f, 8.342 s by the clock', FrameRate::parse('29.97')->runningTime(250));
        self::assertSame('4 s', FrameRate::parse('24')->runningTime(96));
        self::assertSame('1 min 1 f', FrameRate::parse('25')->runningTime(1501));
    }

    /** @return iterable<array{string, string, int}> rate, timecode, frames */
    public static function timecodes(): iterable
    {
        yield ['24', '01:00:00:00', 86400];
        yield ['24', '00:00:41:17', 1001];
        yield ['29.97', '00:00:59;29', 1799];
        yield ['29.97', '00:01:00;02', 1800];
        yield ['29.97', '00:10:00;00', 17982];
        yield ['29.97', '01:00:00;00', 107892];
        yield ['29.97', '23:59:59;29', 2589407];
        yield ['59.94', '00:01:00;04', 3600];
        yield ['59.94', '01:00:00;00', 215784];
        yield ['29.97', '01:00:00:00', 108000];
        yield ['23.976', '00:00:01:00', 24];
    }

    #[DataProvider('timecodes')]
    public function test_timecode_both_ways(string $rate, string $text, int $frames): void
    {
        $rate = FrameRate::parse($rate);
        $read = Timecode::parse($text, $rate);

        self::assertSame($frames, $read->frames);
        self::assertSame($text, (string) $read);
        self::assertSame($text, (string) Timecode::fromFrames($frames, $rate, str_contains($text, ';')));
    }

    public function test_drop_frame_counts_every_frame_once(): void
    {
        $rate = FrameRate::parse('29.97');
        $before = '';
        for ($n = 0; $n < 40_000; $n += 7) {
            $text = (string) Timecode::fromFrames($n, $rate, true);
            self::assertSame($n, Timecode::parse($text, $rate)->frames);
            self::assertGreaterThan(0, strcmp($text, $before));
            $before = $text;
        }
    }

    public function test_timecodes_that_do_not_exist(): void
    {
        foreach ([
            ['29.97', '00:01:00;00'], ['29.97', '00:01:00;01'], ['24', '00:00:00;05'], ['24', '00:00:00:24'],
            ['24', '24:00:00:00'], ['24', '1:2:3'],
        ] as [$rate, $text]) {
            try {
                Timecode::parse($text, FrameRate::parse($rate));
                self::fail("“{$text}” at {$rate} was taken for a timecode.");
            } catch (NotUnderstood $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function test_sizes_as_people_type_them(): void
    {
        foreach ([
            '1920x1080',
            '1920 x 1080',
            '1920 × 1080',
            '1920*1080',
            '1920 by 1080',
            '1920,1080',
            ' 1920X1080px',
        ] as $text) {
            self::assertSame('1920x1080', (string) Resolution::parse($text));
        }
        foreach (['1920', '0x10', '1920x', '-1x5', '9999999x1', 'x'] as $text) {
            try {
                Resolution::parse($text);
                self::fail("“{$text}” was taken for a size.");
            } catch (NotUnderstood $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    /** @return iterable<array{string, string, string, bool}> shape, size, pixel aspect, holds */
    public static function shapes(): iterable
    {
        yield ['16:9', '1920x1080', '1', true];
        yield ['16:9', '1366x768', '1', true];
        yield ['16:9', '1365x768', '1', true];
        yield ['16:9', '854x480', '1', true];
        yield ['16:9', '853x480', '1', true];
        yield ['16:9', '848x480', '1', false];
        yield ['2.39', '2048x858', '1', true];
        yield ['2.39', '2048x872', '1', false];
        yield ['2.387', '2048x858', '1', true];
        yield ['2.39:1', '2048x858', '1', true];
        yield ['1.85', '1998x1080', '1', true];
        yield ['4:3', '720x576', '12/11', true];
        yield ['4:3', '720x480', '10/11', true];
        yield ['16:9', '1440x1080', '4/3', true];
        yield ['16:9', '1440x1080', '1', false];
        yield ['2:1', '2048x1024', '1', true];
        yield ['1:1', '1080x1080', '1', true];
        yield ['9:16', '1080x1920', '1', true];
    }

    #[DataProvider('shapes')]
    public function test_shapes(string $shape, string $size, string $pixelAspect, bool $holds): void
    {
        self::assertSame(
            $holds,
            AspectRatio::parse($shape)->holdsFor(Resolution::parse($size), Fraction::parse($pixelAspect)),
        );
    }

    public function test_floats_in_files_stand_for_simple_fractions(): void
    {
        foreach (['10/11', '12/11', '4/3', '59/54', '1/1', '2/1', '16/11', '1457/1000'] as $exact) {
            [$top, $bottom] = explode('/', $exact);
            $stored = unpack('g', pack('g', (int) $top / (int) $bottom))[1] ?? 0.0;
            self::assertSame($exact, Fraction::writeFull(Fraction::fromFloat($stored)));
        }
        self::assertTrue(Fraction::near(BigRational::nd(9091, 10000), BigRational::nd(10, 11)));
        self::assertFalse(Fraction::near(BigRational::nd(912, 1000), BigRational::nd(10, 11)));
    }

    public function test_bytes(): void
    {
        self::assertSame(663_552_000, 1280 * 720 * 3 * 240);
        self::assertSame('664 MB', (string) ByteSize::of(663_552_000));
        self::assertSame('212 KB', (string) ByteSize::of(212_000));
        self::assertSame('1 MB', (string) ByteSize::of(999_999));
        self::assertSame('0 B', (string) ByteSize::of(0));
        foreach ([
            '25 MB' => 25_000_000,
            '1.5 GiB' => 1_610_612_736,
            '500' => 500,
            '4,000 KB' => 4_000_000,
            '0.5k' => 500,
        ] as $text => $bytes) {
            self::assertSame($bytes, ByteSize::parse((string) $text)->bytes);
        }
    }

    public function test_names_from_outside_are_made_fit_to_show(): void
    {
        self::assertSame('a\x0Ab\x1B[31m', Text::shown("a\nb\e[31m"));
        self::assertSame('x\xFFy', Text::shown("x\xFFy"));
        self::assertSame('\xE2\x80\xAEgnp', Text::shown("\u{202E}gnp"));
        self::assertSame('größe_日本', Text::shown('größe_日本'));
    }
}
