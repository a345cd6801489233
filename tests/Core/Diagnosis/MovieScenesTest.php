<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** Scenes that make movies: each cause with its evidence, and with evidence that only nearly is one. */
final class MovieScenesTest extends TestCase
{
    private const ASKED = [
        'format.kind' => 'mov', 'format.codec' => 'prores', 'format.keyframe_interval' => 48,
        'format.b_frames' => 'none', 'time.rate' => 24, 'time.speed' => '1/1', 'audio.presence' => 'required',
        'audio.sample_rate' => 48000, 'audio.bit_depth' => 24, 'audio.channels' => 2,
        'colour.view' => 'none', 'colour.look' => 'none', 'render.post_effects' => 'off', 'format.alpha' => 'none',
    ];

    private const RIGHT = [
        'format.kind' => 'mov', 'format.codec' => 'prores', 'format.keyframe_interval' => 24, 'format.b_frames' => 0,
        'time.rate' => 24, 'time.speed' => 1, 'audio.presence' => 'yes', 'audio.sample_rate' => 48000,
        'audio.bit_depth' => 24, 'audio.channels' => 2,
        'colour.view' => 'none', 'colour.look' => 'none', 'render.post_effects' => false, 'format.alpha' => 'none',
    ];

    /**
     * @param  array<string, mixed>  $asked
     * @param  array<string, mixed>|null  $frames  what is asked of the frames it is made from; null: of none
     */
    private static function specification(array $asked, ?array $frames = null): Specification
    {
        return $frames === null ? Workbench::specification($asked + self::ASKED, ['delivers' => 'movie'])
            : Workbench::specification(
                [],
                [
                    'parts' => [
                        ['name' => 'frames', 'delivers' => 'frames', 'require' => $frames],
                        [
                            'name' => 'film',
                            'delivers' => 'movie',
                            'made_from' => 'frames',
                            'require' => $asked + self::ASKED,
                        ],
                    ],
                ],
            );
    }

    /**
     * @return iterable<string, array{array<string, mixed>, array<string, list<string>>, list<string>,
     *   3?: array<string, mixed>, 4?: array<string, mixed>|null}> settings, causes with what they explain, what the
     *   fixes set, what is asked otherwise, frames
     */
    public static function scenes(): iterable
    {
        $display = ['format.kind' => 'png', 'colour.encoding' => 'srgb'];
        $linear = ['format.kind' => 'exr'];
        yield 'right' => [[], [], []];
        yield 'half as fast' => [['time.speed' => '1/2'], ['speed-changed' => ['time.speed']], ['time.speed']];
        yield 'twice as fast, as percent' => [
            ['time.speed' => '200 %'],
            ['speed-changed' => ['time.speed']],
            ['time.speed'],
        ];
        yield 'not slowed down as asked' => [
            ['time.speed' => 1],
            ['value-differs' => ['time.speed']],
            ['time.speed'],
            ['time.speed' => '1/2'],
        ];
        yield 'slowed down as asked' => [['time.speed' => '50/100'], [], [], ['time.speed' => '1/2']];
        yield 'another codec' => [['format.codec' => 'h264'], ['codec-differs' => ['format.codec']], ['format.codec']];
        yield 'one of two codecs' => [['format.codec' => 'hevc'], [], [], ['format.codec' => ['h264', 'hevc']]];
        yield 'keyframes too far apart' => [
            ['format.keyframe_interval' => 250],
            ['keyframes-too-far-apart' => ['format.keyframe_interval']],
            ['format.keyframe_interval'],
        ];
        yield 'keyframes just near enough' => [['format.keyframe_interval' => 48], [], []];
        yield 'keyframes too near' => [
            ['format.keyframe_interval' => 10],
            ['value-differs' => ['format.keyframe_interval']],
            ['format.keyframe_interval'],
            ['format.keyframe_interval' => ['min' => 12, 'max' => 48]],
        ];
        yield 'B-frames where none are asked' => [
            ['format.b_frames' => 2],
            ['b-frames-left-on' => ['format.b_frames']],
            ['format.b_frames'],
        ];
        yield 'B-frames, more than asked' => [
            ['format.b_frames' => 3],
            ['b-frames-left-on' => ['format.b_frames']],
            ['format.b_frames'],
            ['format.b_frames' => 2],
        ];
        yield 'B-frames, as many as asked' => [['format.b_frames' => 2], [], [], ['format.b_frames' => 2]];
        yield 'no sound' => [['audio.presence' => 'off'], ['audio-missing' => ['audio.presence']], ['audio.presence']];
        yield 'no sound, and another rate' => [
            ['audio.presence' => 'off', 'audio.sample_rate' => 44100],
            ['audio-missing' => ['audio.presence']],
            ['audio.presence'],
        ];
        yield 'sound that nobody asked for' => [
            ['audio.presence' => 'on'],
            ['audio-not-asked' => ['audio.presence']],
            ['audio.presence'],
            ['audio.presence' => 'none'],
        ];
        yield 'another sound rate' => [
            ['audio.sample_rate' => 44100],
            ['audio-format-differs' => ['audio.sample_rate']],
            ['audio.sample_rate'],
        ];
        yield 'another sound altogether' => [
            ['audio.sample_rate' => 44100, 'audio.bit_depth' => 16, 'audio.channels' => 'mono'],
            ['audio-format-differs' => ['audio.sample_rate', 'audio.bit_depth', 'audio.channels']],
            ['audio.sample_rate', 'audio.bit_depth', 'audio.channels'],
        ];
        yield 'effects, of a scene of its own' => [
            ['render.post_effects' => 'on'],
            ['value-differs' => ['render.post_effects']],
            ['render.post_effects'],
        ];
        yield 'effects once more' => [
            ['render.post_effects' => 'on'],
            ['effects-applied-twice' => ['render.post_effects']],
            ['render.post_effects'],
            [],
            $display,
        ];
        yield 'effects asked for and off' => [
            [],
            ['value-differs' => ['render.post_effects']],
            ['render.post_effects'],
            ['render.post_effects' => 'on'],
            $display,
        ];
        yield 'a view once more' => [
            ['colour.view' => 'film'],
            ['view-applied-twice' => ['colour.view']],
            ['colour.view'],
            [],
            $display,
        ];
        yield 'a look once more' => [
            ['colour.look' => 'warm'],
            ['view-applied-twice' => ['colour.look']],
            ['colour.look'],
            [],
            $display,
        ];
        yield 'view and look once more' => [
            ['colour.view' => 'film', 'colour.look' => 'warm'],
            ['view-applied-twice' => ['colour.view', 'colour.look']],
            ['colour.view', 'colour.look'],
            [],
            $display,
        ];
        yield 'a view on linear frames, where none is asked' => [
            ['colour.view' => 'film'],
            ['value-differs' => ['colour.view']],
            ['colour.view'],
            [],
            $linear,
        ];
        yield 'a view, of a scene of its own' => [
            ['colour.view' => 'film'],
            ['value-differs' => ['colour.view']],
            ['colour.view'],
        ];
        yield 'no view for linear frames' => [
            [],
            ['view-missing' => ['colour.view']],
            ['colour.view'],
            ['colour.view' => 'film'],
            $linear,
        ];
        yield 'no view for frames that say they are linear' => [
            ['colour.view' => 'off'],
            ['view-missing' => ['colour.view']],
            ['colour.view'],
            ['colour.view' => 'film'],
            ['format.kind' => 'tiff', 'colour.encoding' => 'linear'],
        ];
        yield 'no view for frames that have one' => [
            [],
            ['value-differs' => ['colour.view']],
            ['colour.view'],
            ['colour.view' => 'film'],
            $display,
        ];
        yield 'another view for linear frames' => [
            ['colour.view' => 'video'],
            ['value-differs' => ['colour.view']],
            ['colour.view'],
            ['colour.view' => 'film'],
            $linear,
        ];
        yield 'alpha in a codec that has none' => [
            ['format.codec' => 'h264', 'format.kind' => 'mov'],
            ['alpha-cannot-live-here' => ['format.alpha']],
            ['format.codec', 'format.alpha'],
            ['format.alpha' => 'straight', 'format.codec' => ['h264', 'prores']],
        ];
        yield 'alpha in a codec that could carry it' => [
            ['format.codec' => 'prores 4444'],
            ['alpha-not-saved' => ['format.alpha']],
            ['format.alpha'],
            ['format.alpha' => 'straight', 'format.codec' => 'prores 4444'],
        ];
        yield 'frames where a movie is asked' => [
            ['format.kind' => 'png', 'format.codec' => null],
            ['frames-instead-of-movie' => ['format.kind']],
            ['format.kind'],
        ];
        yield 'several at once, none hiding another' => [
            ['format.codec' => 'h264', 'audio.presence' => 'no', 'time.rate' => 25, 'format.b_frames' => 2],
            [
                'rate-of-another-standard' => ['time.rate'],
                'codec-differs' => ['format.codec'],
                'b-frames-left-on' => ['format.b_frames'],
                'audio-missing' => ['audio.presence'],
            ],
            ['time.rate', 'format.codec', 'format.b_frames', 'audio.presence'],
        ];
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, list<string>>  $causes
     * @param  list<string>  $sets
     * @param  array<string, mixed>  $asked
     * @param  array<string, mixed>|null  $frames
     */
    #[DataProvider('scenes')]
    public function test_a_setting_of_a_movie_is_named(
        array $settings,
        array $causes,
        array $sets,
        array $asked = [],
        ?array $frames = null,
    ): void {
        $account = CheckReport::of(
            self::specification($asked, $frames),
            Workbench::scene($settings + self::RIGHT),
            null,
        );
        $of = array_values(array_filter($account->causes, static fn (Cause $c): bool => $c->part !== 'frames'));

        self::assertSame(
            $causes,
            array_combine(
                array_map(static fn (Cause $c): string => $c->finding->id->value, $of),
                array_map(static fn (Cause $c): array => $c->explains, $of),
            ),
        );
        self::assertSame(
            $sets,
            array_map(
                static fn (Fix $f): string => (string) $f->details['id'],
                array_values(array_filter($account->remedy->fixes, static fn (Fix $f): bool => $f->part !== 'frames')),
            ),
        );
        foreach ($of as $cause) {
            self::assertSame(Side::Scene, $cause->finding->side);
            self::assertMatchesRegularExpression('~^[A-Z].+\.$~u', $cause->finding->says);
        }
    }

    public function test_a_name_that_is_another_deliverable_s(): void
    {
        $asked = Workbench::specification(
            [
                'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
                'format.kind' => 'png',
                'time.range' => '1001-1004',
            ],
        );
        $scene = static fn (string $name): SceneSettings => Workbench::scene(
            ['naming.pattern' => $name, 'format.kind' => 'png', 'time.range' => '1001-1004'],
        );
        $first = static fn (string $name, array $others): ?Cause => CheckReport::of(
            $asked,
            $scene($name),
            null,
            [],
            null,
            $others,
        )->causes[0]
            ?? null;

        $cause = $first('TC_020_light_v003.####.png', ['shot' => ['TC_020', 'TC_030']]);
        self::assertSame(['value-of-another', ['naming.pattern']], [$cause?->finding->id->value, $cause?->explains]);
        self::assertStringStartsWith('“TC_020” is another’s shot, and “TC_010” is asked.', $cause->finding->says ?? '');
        // whoever is called so: what differs in its digits is no slip of the pen
        self::assertSame('value-of-another', $first('TC_020_light_v003.####.png', [])?->finding->id->value);
        self::assertSame(
            'value-misspelled',
            $first('TC_O10_light_v003.####.png', ['shot' => ['TC_040']])?->finding->id->value,
        );
        self::assertSame(
            'value-misspelled',
            $first('TC_O10_light_v003.####.png', ['learner' => ['TC_O10']])?->finding->id->value,
        );
        self::assertNull($first('TC_010_light_v003.####.png', ['shot' => ['TC_020']]));

        $bench = (new Workbench)->frames('TC_020_light_v003.%04d.png', '1001-1004', Workbench::png());
        $account = CheckReport::of($asked, null, $bench->scan(), [], null, ['shot' => ['TC_020']]);
        // they are no frames of this one, and nothing is renamed to it
        self::assertSame(
            [['nothing-delivered', ['value-of-another']]],
            array_map(
                static fn (Cause $c): array => [
                    $c->finding->id->value,
                    array_map(static fn (CauseId $id): string => $id->value, $c->or),
                ],
                $account->causes,
            ),
        );
        self::assertSame(
            [['render', '1001-1004']],
            array_map(static fn (Fix $f): array => [$f->kind->value, $f->details['frames']], $account->remedy->fixes),
        );
        $strict = Workbench::specification(
            [
                'delivery.extras' => 'none',
                'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
                'format.kind' => 'png',
                'time.range' => '1001-1004',
            ],
        );
        $account = CheckReport::of($strict, null, $bench->scan());
        self::assertSame(
            [['nothing-delivered', ['time.range']], ['value-of-another', ['delivery.extras']]],
            array_map(static fn (Cause $c): array => [$c->finding->id->value, $c->explains], $account->causes),
        );
    }

    /** A size and a bit rate that are both too large are set right by one bit rate, the smaller that either allows. */
    public function test_a_size_and_a_bit_rate_are_set_once(): void
    {
        $document = static function (string $cap, string $most, string $rate): array {
            $asked = Workbench::specification(
                [
                    'time.rate' => '24',
                    'time.range' => '1-240',
                    'format.bit_rate' => ['max' => $most],
                    'format.file_size' => ['max' => $cap],
                ],
                ['delivers' => 'movie'],
            );

            return CheckReport::of(
                $asked,
                Workbench::scene(['time.rate' => 24, 'time.range' => '1-240', 'format.bit_rate' => $rate]),
                null,
            )->toArray();
        };
        foreach ([
            ['30 MB', '20 Mbit/s', '30 Mbit/s', '20000000', 2],
            ['20 MB', '20 Mbit/s', '30 Mbit/s', '15840000', 2],
            ['20 MB', '20 Mbit/s', '18 Mbit/s', '15840000', 1],
            ['100 MB', '20 Mbit/s', '30 Mbit/s', '20000000', 1],
        ] as [$cap, $most, $rate, $set, $explains]) {
            $told = $document($cap, $most, $rate);
            self::assertSame(
                [['set', 'format.bit_rate', $set]],
                array_map(static fn (array $f): array => [$f['kind'], $f['id'], $f['to']], $told['fixes']),
                "{$cap} {$most} {$rate}",
            );
            self::assertCount(1, $told['causes']);
            self::assertCount($explains, $told['causes'][0]['explains']);
            // carried out, it balances
            self::assertSame('balanced', $document($cap, $most, "{$set} bit/s")['verdict']);
        }
    }
}
