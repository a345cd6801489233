<?php

declare(strict_types=1);

namespace Tests\Core\Calculator;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Calculator\Calculator;
use PlainLedger\Core\Calculator\Field;
use PlainLedger\Core\Calculator\Inputs;
use PlainLedger\Core\Calculator\Result;
use PlainLedger\Core\Measure\NotUnderstood;

/** The sums, by figures worked out by hand. */
final class CalculatorTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, string>, array<string, string>}> */
    public static function sums(): iterable
    {
        yield 'frames at two rates' => [
            'lengths',
            ['length' => '240', 'rate' => '24', 'other' => '25'],
            [
                'frames' => '240',
                'time' => '10 s',
                'timecode' => '00:00:10:00',
                'as long, at 25' => '250 frames',
                'as many, at 25' => '9.6 s',
            ],
        ];
        yield 'at 29.97' => [
            'lengths',
            ['length' => '250', 'rate' => '29.97'],
            [
                'frames' => '250',
                'time' => '8.341667 s',
                'timecode' => '00:00:08:10',
                'timecode, drop-frame' => '00:00:08;10',
            ],
        ];
        yield 'a minute of drop-frame' => [
            'lengths',
            ['length' => '00:01:00;02', 'rate' => '29.97'],
            ['frames' => '1800', 'timecode' => '00:01:00:00', 'timecode, drop-frame' => '00:01:00;02'],
        ];
        yield 'a time' => [
            'lengths',
            ['length' => '1 min 30 s', 'rate' => '25', 'other' => '23.976'],
            ['frames' => '2250', 'as long, at 23.976' => '2158 frames'],
        ];
        yield 'a picture' => [
            'picture-data',
            ['size' => '1280x720', 'channels' => 'RGB', 'bits' => '8', 'frames' => '240', 'rate' => '24'],
            [
                'one frame' => '2,764,800 bytes (2.76 MB)',
                'all frames' => '663,552,000 bytes (664 MB)',
                'to play it' => '531 Mbit/s',
            ],
        ];
        yield 'passes of a range' => [
            'picture-data',
            ['size' => '2048x858', 'channels' => '4', 'bits' => '16', 'frames' => '1001-1096', 'passes' => '3'],
            ['one frame' => '14,057,472 bytes (14.1 MB)', 'all frames' => '4,048,551,936 bytes (4.05 GB)'],
        ];
        yield 'odd bits' => [
            'picture-data',
            ['size' => '3x1', 'channels' => 'Y', 'bits' => '1'],
            ['one frame' => '1 bytes'],
        ];
        yield 'a sample' => [
            'from-sample',
            ['sizes' => '10 MB, 12 MB; 14 MB', 'frames' => '100'],
            ['one frame, in the mean' => '12 MB', 'all frames' => '1.2 GB', 'and between' => '1 GB and 1.4 GB'],
        ];
        yield 'the rate that fits' => [
            'rate-and-size',
            ['size' => '25 MB', 'length' => '30 s', 'sound' => '192 kbit/s'],
            ['bit rate that fits' => '6.41 Mbit/s (6,408,000 bits a second)'],
        ];
        yield 'the size that comes' => [
            'rate-and-size',
            ['rate' => '8 Mbit/s', 'length' => '60 s'],
            ['size of the file' => '60.6 MB'],
        ];
        yield 'the length that fits' => [
            'rate-and-size',
            ['rate' => '8 Mbit/s', 'size' => '10 MB'],
            ['length that fits' => '9.9 s'],
        ];
        yield 'a rate that does not fit' => [
            'rate-and-size',
            ['rate' => '8 Mbit/s', 'size' => '25 MB', 'length' => '30 s'],
            ['the given bit rate' => 'does not fit'],
        ];
        yield 'more sound than room' => [
            'rate-and-size',
            ['size' => '100 KB', 'length' => '60 s', 'sound' => '192k'],
            ['bit rate that fits' => 'none: the sound alone is more'],
        ];
        yield 'half a second between keyframes' => [
            'keyframes',
            ['every' => '0.5 s', 'rate' => '24', 'length' => '10 s'],
            ['frames from one to the next, at most' => '12', 'that is' => '0.5 s', 'keyframes, at least' => '20'],
        ];
        yield 'half of a rate that is not whole' => [
            'keyframes',
            ['every' => 'half the rate', 'rate' => '29.97', 'length' => '100'],
            ['frames from one to the next, at most' => '15', 'that is' => '0.501 s', 'keyframes, at least' => '7'],
        ];
        yield 'SD' => [
            'shapes',
            ['size' => '720x576', 'pixels' => '16/11', 'shape' => '16:9', 'frame' => '1920x1080'],
            [
                'shape on screen' => '1.8182 to 1',
                'named shape' => '16:9, high definition',
                'height for 16:9' => '590',
                'width for 16:9' => '704',
                'pixel aspect for 16:9' => '64/45',
                'in 1920 × 1080' => 'letterboxed to 1920 × 1056, bars of 12 above and below',
            ],
        ];
        yield 'square' => [
            'shapes',
            ['size' => '1000x1000', 'pixels' => 'square'],
            ['shape on screen' => '1 to 1', 'named shape' => '1:1, square'],
        ];
        yield 'half' => [
            'scales',
            ['size' => '1920x1080', 'percent' => '50 %', 'seconds' => '4 min'],
            ['size that comes out' => '960 × 540', 'share of the pixels' => '25 %', 'time for such a frame' => '1 min'],
        ];
        yield 'a third' => [
            'scales',
            ['size' => '2048x858', 'percent' => '33'],
            ['size that comes out' => '676 × 283 or 675 × 283', 'share of the pixels' => '10.89 %'],
        ];
        yield 'a night' => [
            'render-times',
            [
                'seconds' => '4 min 30 s',
                'frames' => '1001-1096',
                'machines' => '4',
                'start' => '2026-12-01 18:00',
                'due' => '2026-12-01 19:00',
            ],
            [
                'machine time' => '7 h 12 min',
                'ready after' => '1 h 48 min',
                'ready by' => '2026-12-01 19:48',
                'late by' => '48 min',
                'machines needed' => '8',
            ],
        ];
        yield 'time to spare' => [
            'render-times',
            [
                'seconds' => '10',
                'frames' => '10',
                'machines' => '3',
                'start' => '2026-12-31 23:59',
                'due' => '2027-01-01 00:09',
            ],
            [
                'ready after' => '40 s',
                'ready by' => '2026-12-31 23:59',
                'to spare' => '9 min 20 s',
                'machines needed' => '1',
            ],
        ];
        yield 'no machine would do' => [
            'render-times',
            ['seconds' => '2 h', 'frames' => '2', 'start' => '2026-12-01 18:00', 'due' => '2026-12-01 19:00'],
            ['machines needed' => 'none would do'],
        ];
    }

    /**
     * @param  array<string, string>  $given
     * @param  array<string, string>  $expected
     */
    #[DataProvider('sums')]
    public function test_a_sum(string $word, array $given, array $expected): void
    {
        $calculation = Calculator::standard()->find($word);
        self::assertNotNull($calculation);
        $results = $calculation->work(new Inputs($given));
        $found = array_combine(
            array_map(static fn (Result $r): string => $r->label, $results),
            array_map(static fn (Result $r): string => $r->value, $results),
        );
        self::assertSame($expected, array_intersect_key($found, $expected));
        foreach ($results as $result) {
            self::assertNotSame('', $result->formula);
        }
    }

    public function test_each_begins_with_something_and_bears_nothing(): void
    {
        foreach (Calculator::standard()->calculations as $calculation) {
            $start = [];
            foreach ($calculation->fields() as $field) {
                $start[$field->name] = $field->start;
                self::assertNotSame('', $field->example);
            }
            self::assertNotSame([], $calculation->work(new Inputs($start)), $calculation->word());
            self::assertSame([], $calculation->work(new Inputs([])));
        }
        self::assertNull(Calculator::standard()->find('no such'));
    }

    /** Whatever is typed into any field, there is a result or a sentence. */
    public function test_odd_things_typed(): void
    {
        $odd = [
            '0', '-1', '1e99', '999999999999', '0x0', 'x', '<b>', '=1', "\0", '1/0', '99:99:99:99',
            str_repeat('9', 300), '1-100000000', '2026-99-99', '0.0000001', '1,1,1', '٣',
        ];
        $refused = 0;
        foreach (Calculator::standard()->calculations as $calculation) {
            $start = array_combine(
                array_map(static fn (Field $f): string => $f->name, $calculation->fields()),
                array_map(static fn (Field $f): string => $f->start, $calculation->fields()),
            );
            foreach (array_keys($start) as $name) {
                foreach ($odd as $text) {
                    try {
                        $calculation->work(new Inputs([$name => $text] + $start));
                    } catch (NotUnderstood $sentence) {
                        self::assertNotSame('', $sentence->getMessage());
                        $refused++;
                    }
                }
            }
        }
        self::assertGreaterThan(200, $refused);
    }
}
