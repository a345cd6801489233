<?php

declare(strict_types=1);

namespace Tests\Core\Shotlist;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Shotlist\Readers\Timeline;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Shotlist\Writers\TimelineWriter;
use PlainLedger\Core\Tabular\TableRefused;

/** Clips of a timeline as deliverables. */
final class TimelinesTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function time(int|float $value, int|float $rate = 24): array
    {
        return ['OTIO_SCHEMA' => 'RationalTime.1', 'value' => $value, 'rate' => $rate];
    }

    /** @return array<string, mixed> */
    private static function range(int|float $start, int|float $long, int|float $rate = 24): array
    {
        return [
            'OTIO_SCHEMA' => 'TimeRange.1',
            'start_time' => self::time($start, $rate),
            'duration' => self::time($long, $rate),
        ];
    }

    /**
     * @param  array<string, mixed>|null  $source
     * @param  array<string, mixed>|null  $available
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function clip(string $name, ?array $source, ?array $available = null, array $more = []): array
    {
        return $more + [
            'OTIO_SCHEMA' => 'Clip.1',
            'name' => $name,
            'source_range' => $source,
            'media_reference' => $available === null
                ? ['OTIO_SCHEMA' => 'MissingReference.1']
                : ['OTIO_SCHEMA' => 'ExternalReference.1', 'target_url' => 'x.mov', 'available_range' => $available],
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $children
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function track(array $children, array $more = []): array
    {
        return $more + ['OTIO_SCHEMA' => 'Track.1', 'kind' => 'Video', 'children' => $children];
    }

    /** @return array<string, mixed> */
    private static function timeline(array ...$tracks): array
    {
        return [
            'OTIO_SCHEMA' => 'Timeline.1',
            'name' => 'cut',
            'tracks' => ['OTIO_SCHEMA' => 'Stack.1', 'children' => array_values($tracks)],
        ];
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array{array<string, array<string, string>>, list<ShotRow>, list<string>}
     */
    private static function read(array $data): array
    {
        [$rows, $notes] = Timeline::read((string) json_encode($data), 'cut.otio');

        return [
            array_combine(
                array_map(static fn (ShotRow $r): string => $r->code, $rows),
                array_map(static fn (ShotRow $r): array => $r->overrides, $rows),
            ),
            $rows,
            $notes,
        ];
    }

    public function test_clips_become_ranges_and_rates(): void
    {
        [$asked, $rows, $notes] = self::read(self::timeline(self::track([
            self::clip('TC_010', self::range(1001, 96)),
            ['OTIO_SCHEMA' => 'Gap.1', 'source_range' => self::range(0, 12)],
            self::clip('TC_020.mov', self::range(1001.0, 48.0, 23.976)),
            self::clip('TC_030', null, self::range(1, 72, 25)),
        ])));

        self::assertSame(
            [
                'TC_010' => ['time.range' => '1001-1096', 'time.rate' => '24'],
                'TC_020' => ['time.range' => '1001-1048', 'time.rate' => '24000/1001'],
                'TC_030' => ['time.range' => '1-72', 'time.rate' => '25'],
            ],
            $asked,
        );
        self::assertSame(
            [[], []],
            [array_merge(...array_map(static fn (ShotRow $r): array => [...$r->faults, ...$r->notes], $rows)), $notes],
        );
    }

    public function test_handles_come_from_the_media_and_from_transitions(): void
    {
        $dissolve = ['OTIO_SCHEMA' => 'Transition.1', 'in_offset' => self::time(6), 'out_offset' => self::time(4)];
        [$asked] = self::read(self::timeline(self::track([
            self::clip('A', self::range(1009, 96), self::range(1001, 112)),
            $dissolve,
            self::clip('B', self::range(1001, 48)),
            self::clip('C', self::range(5000, 48), self::range(0, 90_000)),
        ])));

        // the media reaches further than the dissolve; a whole take is no handle
        self::assertSame(
            ['8+8', '6+0', null],
            [$asked['A']['time.handles'], $asked['B']['time.handles'], $asked['C']['time.handles'] ?? null],
        );
    }

    public function test_nested_stacks_are_cut_where_they_are(): void
    {
        $inner = ['OTIO_SCHEMA' => 'Stack.1', 'name' => 'nest', 'source_range' => self::range(12, 48), 'children' => [
            self::track(
                [
                    self::clip('A', self::range(1001, 24)),
                    self::clip('B', self::range(2001, 24)),
                    self::clip('C', self::range(3001, 24)),
                ],
            ),
            self::track([self::clip('D', self::range(101, 100))]),
        ]];
        [$asked] = self::read(self::timeline(self::track([self::clip('Z', self::range(1, 10)), $inner])));

        self::assertSame(
            ['Z' => '1-10', 'A' => '1013-1024', 'B' => '2001-2024', 'C' => '3001-3012', 'D' => '113-160'],
            array_map(static fn (array $a): string => $a['time.range'], $asked),
        );
    }

    public function test_what_is_not_understood_is_told(): void
    {
        [$asked, $rows, $notes] = self::read(self::timeline(
            self::track(
                [
                    self::clip('A', self::range(1, 10)),
                    ['OTIO_SCHEMA' => 'Cloud.3', 'name' => '<b>'],
                    self::clip('B', null),
                    self::clip('x/y', self::range(1, 5)),
                    self::clip('C', self::range(1, 20), self::range(1, 10)),
                    self::clip('E', self::range(0.5, 10)),
                ],
            ),
            self::track([self::clip('S', self::range(1, 10))], ['kind' => 'Audio']),
            self::track(
                [
                    self::clip(
                        'F',
                        self::range(1, 10),
                        null,
                        ['effects' => [['OTIO_SCHEMA' => 'LinearTimeWarp.1', 'time_scalar' => 2.0]]],
                    ),
                ],
            ),
        ));
        self::assertSame(['A', 'x/y', 'C', 'E', 'F'], array_keys($asked));
        self::assertSame(
            [
                '“Cloud” is not understood and was left out.',
                '“B” says nothing of its length, and its media is missing.',
                'Tracks of audio were left out.',
            ],
            $notes,
        );
        self::assertStringContainsString('is no code', $rows[1]->faults[0]);
        self::assertStringContainsString('does not reach', $rows[2]->notes[0]);
        self::assertStringContainsString('whole frames', $rows[3]->notes[0]);
        self::assertStringContainsString('2 of its speed', str_replace('2.0', '2', $rows[4]->notes[0]));
    }

    public function test_newer_clips_and_other_tops(): void
    {
        $clip = [
            'OTIO_SCHEMA' => 'Clip.2',
            'name' => 'A',
            'source_range' => null,
            'media_references' => [
                'DEFAULT_MEDIA' => [
                    'OTIO_SCHEMA' => 'ImageSequenceReference.1',
                    'available_range' => self::range(1001, 24),
                ],
            ],
            'active_media_reference_key' => 'DEFAULT_MEDIA',
        ];
        foreach ([
            self::timeline(self::track([$clip])),
            self::track([$clip]),
            ['OTIO_SCHEMA' => 'Stack.1', 'children' => [$clip]],
            $clip,
            ['OTIO_SCHEMA' => 'SerializableCollection.1', 'children' => [self::timeline(self::track([$clip]))]],
        ] as $data) {
            self::assertSame(['A' => ['time.range' => '1001-1024', 'time.rate' => '24']], self::read($data)[0]);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function noTimelines(): iterable
    {
        yield 'no JSON' => ['{', 'no JSON'];
        yield 'another JSON' => ['{"a": 1}', '“OTIO_SCHEMA” is missing'];
        yield 'nothing in it' => [(string) json_encode(self::timeline()), 'no clip'];
        yield 'no tracks' => ['{"OTIO_SCHEMA": "Timeline.1", "tracks": 4}', 'has no tracks'];
        yield 'too deep for JSON' => [str_repeat('[', 600).str_repeat(']', 600), 'nested deeper'];
        $deep = self::clip('A', self::range(1, 5));
        for ($i = 0; $i < 90; $i++) {
            $deep = ['OTIO_SCHEMA' => 'Stack.1', 'children' => [$deep]];
        }
        yield 'deep nesting' => [(string) json_encode($deep, 0, 2000), 'nested deeper than 60'];
        yield 'strange times' => [
            (string) json_encode(
                self::timeline(
                    self::track(
                        [
                            self::clip(
                                'A',
                                [
                                    'OTIO_SCHEMA' => 'TimeRange.1',
                                    'start_time' => self::time(0, 0),
                                    'duration' => ['value' => 'x'],
                                ],
                            ),
                        ],
                    ),
                ),
            ),
            'no clip',
        ];
        yield 'a negative length' => [
            (string) json_encode(self::timeline(self::track([self::clip('A', self::range(1, -5))]))),
            'no clip',
        ];
    }

    #[DataProvider('noTimelines')]
    public function test_what_is_no_timeline_is_refused(string $text, string $says): void
    {
        $this->expectException(TableRefused::class);
        $this->expectExceptionMessage($says);
        Timeline::read($text, 'cut.otio');
    }

    /** One after another at a rate that is not whole: sums of so many fractions stay small. */
    public function test_a_long_track_is_cut_where_it_is(): void
    {
        $clips = [];
        for ($i = 0; $i < 1500; $i++) {
            $clips[] = self::clip(sprintf('S_%04d', $i), self::range(1001, 24 + $i % 5, 23.976));
        }
        [$asked] = self::read(
            [
                'OTIO_SCHEMA' => 'Stack.1',
                'source_range' => self::range(12, 38_970, 23.976),
                'children' => [self::track($clips)],
            ],
        );

        self::assertCount(1500, $asked);
        // the first loses its first twelve frames, the last (28 long, the track 39,000) its last eighteen
        self::assertSame(
            ['1013-1024', '1001-1025', '1001-1010'],
            [$asked['S_0000']['time.range'], $asked['S_0001']['time.range'], $asked['S_1499']['time.range']],
        );
    }

    public function test_many_clips_in_many_levels_end(): void
    {
        // each level holds the one below it ten times: a million clips, if all of them were followed
        $level = self::clip('A', self::range(1, 5));
        for ($i = 0; $i < 6; $i++) {
            $level = self::track(array_fill(0, 4, $level));
        }
        [, $rows] = self::read($level);
        self::assertCount(4096, $rows);
    }

    public function test_a_timeline_written_and_read_again_is_the_same(): void
    {
        $clips = [
            [
                'code' => 'TC_010',
                'cut' => FrameRange::parse('1001-1096'),
                'delivered' => FrameRange::parse('993-1104'),
                'rate' => FrameRate::parse('23.976'),
                'folder' => 'TC_010',
                'pattern' => 'TC_010.####.exr',
            ],
            [
                'code' => 'TC_STILL',
                'cut' => FrameRange::parse('1'),
                'delivered' => FrameRange::parse('1'),
                'rate' => FrameRate::parse('25'),
                'folder' => '.',
                'pattern' => 'poster.tif',
            ],
        ];
        $text = TimelineWriter::write('Tide Clock', $clips);
        [$rows, $notes] = Timeline::read($text, 'again');

        self::assertSame([], $notes);
        self::assertSame(
            [
                ['time.range' => '1001-1096', 'time.rate' => '24000/1001', 'time.handles' => '8+8'],
                ['time.range' => '1', 'time.rate' => '25'],
            ],
            array_map(static fn (ShotRow $r): array => $r->overrides, $rows),
        );
        self::assertStringContainsString('"frame_zero_padding": 4', $text);
        self::assertStringContainsString('"value": 993.0', $text);
    }
}
