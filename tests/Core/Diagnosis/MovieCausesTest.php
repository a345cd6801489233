<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Demo\MovieTraits;
use PlainLedger\Demo\MovieWriter;
use PlainLedger\Demo\Painter;
use PlainLedger\Demo\PngWriter;
use Tests\Core\Support\Workbench;

/** A movie beside the frames it is made from: each mistake an assembly makes, and what is nearly one and is none. */
final class MovieCausesTest extends TestCase
{
    private const COUNT = 24;

    private const MOVIES = __DIR__.'/../../fixtures/movies/';

    /** @var array<string, string> pictures by size and number, since drawing takes its time */
    private static array $drawn = [];

    private static function picture(int $number, int $width = 64, int $height = 36): string
    {
        return self::$drawn["{$number} {$width} {$height}"] ??= (new PngWriter($width, $height, 'RGB', 8))
            ->write((new Painter($width, $height))->lines($number * 7));
    }

    /** Something that no frame shows. */
    private static function stripes(int $n): string
    {
        $line = [];
        for ($i = 0; $i < 16; $i++) {
            $light = ($i * $n) % 5 / 4;
            $line[] = [4, [$light, 1 - $light, $light, 1.0]];
        }

        return (new PngWriter(64, 36, 'RGB', 8))->write((static function () use ($line): \Generator {
            for ($y = 0; $y < 36; $y++) {
                yield $line;
            }
        })());
    }

    /**
     * @param  list<int>|null  $shows  numbers of the frames it shows; null: each once
     * @param  array{int, int}  $size
     */
    private static function movie(
        ?array $shows = null,
        MovieTraits $traits = new MovieTraits,
        array $size = [64, 36],
    ): string {
        $pictures = array_map(
            static fn (int $n): string => self::picture($n, ...$size),
            $shows ?? range(1, self::COUNT),
        );

        return (new MovieWriter($size[0], $size[1], $traits, 'qt  '))->write($pictures);
    }

    /** @param  array<string, mixed>  $require  of the movie */
    private static function checked(
        string $movie,
        array $require = [],
        string $extension = 'mov',
        string $without = '',
    ): array {
        $bench = new Workbench;
        foreach (range(1, self::COUNT) as $n) {
            $bench->put(sprintf('TC_010.%04d.png', 1000 + $n), self::picture($n));
        }
        $bench->put("TC_010_reel.{$extension}", $movie);
        if ($without !== '') {
            $bench->without($without);
        }

        return $bench->check(self::specification($require));
    }

    /** @param  array<string, mixed>  $require */
    private static function specification(array $require): \PlainLedger\Core\Specification\Specification
    {
        return Workbench::specification([], ['parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                'format.kind' => 'png', 'picture.resolution' => '64x36', 'time.range' => '1001-1024',
                'time.rate' => '24', 'naming.pattern' => '{shot}.{frame:4}.{ext}',
            ]],
            ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => $require + [
                'format.kind' => 'mov', 'naming.pattern' => '{shot}_reel.{ext}',
            ]],
        ]]);
    }

    /** @return iterable<string, array{\Closure(): array<string, mixed>, list<string>, string}> causes; a fix */
    public static function mistakes(): iterable
    {
        $all = range(1, self::COUNT);
        $of = static fn (
            ?array $shows,
            array $require = [],
            MovieTraits $traits = new MovieTraits,
        ): \Closure => static fn (): array => self::checked(self::movie($shows, $traits), $require);

        yield 'short' => [$of(range(1, 20)), ['movie-short'], 'Make the movie again from frames 1001-1024'];
        yield 'the last left out' => [$of(range(1, 23)), ['last-frame-left-out'], 'each still one frame'];
        yield 'the first left out' => [$of(range(2, 24)), ['last-frame-left-out'], 'each still one frame'];
        yield 'long' => [$of([...$all, 24, 24, 24, 24, 24]), ['movie-long'], 'each still one frame'];
        yield 'held twice' => [
            $of(array_merge(...array_map(static fn (int $n): array => [$n, $n], $all))),
            ['stills-held'],
            'each still one frame',
        ];
        yield 'backwards' => [$of(array_reverse($all)), ['frames-in-wrong-order'], 'Sort the frames by number'];
        $asText = $all;
        sort($asText, SORT_STRING);
        yield 'sorted as text' => [$of($asText), ['frames-in-wrong-order'], 'Sort the frames by number'];
        yield 'another rate' => [
            $of(null, [], new MovieTraits([25, 1])),
            ['rate-of-another-standard'],
            'with the frame rate 24',
        ];
        yield 'a thousandth less' => [
            $of(null, [], new MovieTraits([24000, 1001])),
            ['rate-of-another-standard'],
            'with the frame rate 24',
        ];
        yield 'made into another rate' => [
            $of([...range(1, 12), 12, ...range(13, 24)], [], new MovieTraits([25, 1])),
            ['rate-of-another-standard'],
            'with the frame rate 24',
        ];
        yield 'one stands longer' => [
            $of(null, [], new MovieTraits([24, 1], held: [9 => 4])),
            ['variable-rate'],
            'constant frame rate',
        ];
        yield 'turned' => [
            $of(null, [], new MovieTraits(rotation: 90)),
            ['turned-by-metadata'],
            'without turning it by its metadata',
        ];
        yield 'pixels that are not square' => [
            $of(null, [], new MovieTraits(pixels: [4, 3])),
            ['stretched-in-assembly'],
            'Set the assembly’s size to that of its frames',
        ];
        yield 'no timecode' => [
            $of(null, ['time.start_timecode' => '01:00:00:00']),
            ['no-start-timecode'],
            'Write the start timecode 01:00:00:00',
        ];
        yield 'another timecode' => [
            $of(null, ['time.start_timecode' => '01:00:00:00'], new MovieTraits(timecode: 24 * 7200)),
            ['value-differs'],
            'Write the start timecode 01:00:00:00',
        ];
        yield 'index last' => [$of(null, ['format.index' => 'first']), ['index-last'], 'Write the index first'];
        yield 'keyframes' => [
            $of(null, ['format.keyframe_interval' => '0.5 s'], new MovieTraits(keyframes: 24)),
            ['keyframes-too-far-apart'],
            'keyframe interval 12',
        ];
        yield 'over the cap' => [
            $of(null, ['format.file_size' => ['max' => 2000]]),
            ['over-size-cap'],
            'in two passes',
        ];
        yield 'no sound' => [$of(null, ['audio.presence' => 'required']), ['audio-missing'], 'sound'];
        yield 'another codec' => [$of(null, ['format.codec' => 'prores']), ['codec-differs'], 'the codec prores'];
        yield 'no alpha' => [$of(null, ['format.alpha' => 'straight']), ['alpha-not-saved'], 'alpha'];
        yield 'other pictures' => [
            static fn (): array => self::checked(
                (new MovieWriter(64, 36, brand: 'qt  '))->write(array_map(self::stripes(...), range(1, 24))),
            ),
            ['value-differs'],
            'Make the movie again from the frames',
        ];
        yield 'half the size' => [
            static fn (): array => self::checked(
                self::movie(null, new MovieTraits, [32, 18]),
                ['picture.resolution' => '64x36'],
            ),
            ['scale-below-full'],
            'with the resolution 64x36',
        ];
        yield 'named as another' => [
            static fn (): array => self::checked(self::movie(), ['format.kind' => 'mp4'], 'mp4'),
            ['extension-lies'],
            'with the format mp4',
        ];
        yield 'cut short' => [
            static fn (): array => self::checked(
                substr(self::movie(null, new MovieTraits(indexFirst: true)), 0, -500),
                ['content.whole' => 'yes'],
            ),
            ['cut-short'],
            'Make the movie again from frames',
        ];
    }

    /**
     * @param  \Closure(): array<string, mixed>  $check
     * @param  list<string>  $causes
     */
    #[DataProvider('mistakes')]
    public function test_each_mistake_has_its_cause_and_its_work(\Closure $check, array $causes, string $work): void
    {
        $document = $check();

        self::assertSame('unbalanced', $document['verdict'], (string) json_encode($document['entries']));
        self::assertSame($causes, array_column($document['causes'], 'id'), (string) json_encode($document['causes']));
        self::assertStringContainsString($work, implode(' ', array_column($document['fixes'], 'says')));
        self::assertNotContains('render', array_column($document['fixes'], 'kind'), 'a movie is never rendered again');
        self::assertNotContains('set', array_column($document['fixes'], 'kind'), 'nothing is set in a movie');
    }

    /** @return iterable<string, array{\Closure(): array<string, mixed>}> */
    public static function right(): iterable
    {
        yield 'as it should be' => [static fn (): array => self::checked(self::movie())];
        yield 'index first, where it is asked' => [
            static fn (): array => self::checked(
                self::movie(null, new MovieTraits(indexFirst: true)),
                ['format.index' => 'first'],
            ),
        ];
        yield 'keyframes near enough' => [
            static fn (): array => self::checked(
                self::movie(null, new MovieTraits(keyframes: 12)),
                ['format.keyframe_interval' => '1/2 rate', 'format.b_frames' => 'none'],
            ),
        ];
        yield 'its own count, asked' => [
            static fn (): array => self::checked(
                self::movie(null, new MovieTraits(timecode: 24 * 3600)),
                ['time.duration' => '1 s', 'time.start_timecode' => '01:00:00:00'],
            ),
        ];
        yield 'lossless' => [
            static fn (): array => self::checked(
                self::movie(),
                ['format.compression' => 'lossless', 'format.codec' => 'png'],
            ),
        ];
        yield 'smaller, where no size is asked' => [
            static fn (): array => self::checked(self::movie(null, new MovieTraits, [32, 18])),
        ];
        yield 'a rate of its own' => [
            static fn (): array => self::checked(self::movie(null, new MovieTraits([25, 1])), ['time.rate' => '25']),
        ];
        yield 'colours that are not tagged' => [
            static fn (): array => self::checked(self::movie(), ['colour.encoding' => 'rec709']),
        ];
    }

    /** @param  \Closure(): array<string, mixed>  $check */
    #[DataProvider('right')]
    public function test_what_is_right_balances_without_a_word(\Closure $check): void
    {
        $document = $check();

        self::assertSame('balanced', $document['verdict'], (string) json_encode($document['causes']));
        self::assertSame([], $document['causes']);
        self::assertSame([], $document['fixes']);
    }

    public function test_a_hole_in_the_frames_is_not_held_against_the_movie(): void
    {
        $document = self::checked(self::movie(), without: 'TC_010.1012.png');

        self::assertSame(['frames-dropped'], array_column($document['causes'], 'id'));
        self::assertSame('equal', self::line($document, 'content.source')['mark']);
    }

    public function test_what_a_movie_owes_its_frames_is_asked_without_being_asked(): void
    {
        $document = self::checked(self::movie());
        $owed = array_filter($document['entries'], static fn (array $e): bool => $e['part'] === 'reel');

        self::assertSame(
            ['format.kind', 'naming.pattern', 'picture.display_aspect', 'time.rate', 'time.count', 'content.source'],
            array_column(array_values($owed), 'id'),
        );
        self::assertSame('24', self::line($document, 'time.count')['required']);
        self::assertSame(
            [
                'part' => 'frames', 'frames' => '1001-1024', 'looked' => 'pictures', 'order' => 'right',
                'shows' => '1001-1024', 'repeated' => 1, 'through' => null, 'apart' => '', 'why_not' => null,
                'newer' => '',
            ],
            $document['movies'][0]['against'],
        );
    }

    public function test_where_a_codec_is_not_unpacked_it_is_said_and_nothing_is_equal(): void
    {
        $document = self::checked((string) file_get_contents(self::MOVIES.'hq.mov'));
        $left = array_values(array_filter(
            $document['not_checked'],
            static fn (array $n): bool => $n['id'] === 'content.source',
        ));

        self::assertSame([['id' => 'content.source', 'part' => 'reel', 'why' => 'prores is not decoded here']], $left);
        self::assertNull(self::line($document, 'content.source'));
        self::assertSame(['counts', 'prores is not decoded here'], [
            $document['movies'][0]['against']['looked'], $document['movies'][0]['against']['why_not'],
        ]);
    }

    public function test_a_movie_that_is_written_anew_is_tagged_afterwards(): void
    {
        $document = self::checked(
            (string) file_get_contents(self::MOVIES.'sound.mov'),
            ['audio.presence' => 'none', 'format.index' => 'first', 'time.start_timecode' => '01:00:00:00'],
        );
        $kinds = array_column(array_filter(
            $document['fixes'],
            static fn (array $fix): bool => $fix['part'] === 'reel',
        ), 'kind');
        self::assertSame(['encode', 'retag'], array_values(array_unique($kinds)));
        $says = implode(' ', array_column($document['fixes'], 'says'));
        self::assertStringContainsString('Write the movie again without its sound', $says);
    }

    public function test_frames_that_were_written_after_the_movie_are_told(): void
    {
        $bench = (new Workbench)->put('TC_010_reel.mov', (string) file_get_contents(self::MOVIES.'hq.mov'), 5000);
        foreach (range(1, self::COUNT) as $n) {
            $bench->put(sprintf('TC_010.%04d.png', 1000 + $n), self::picture($n), match (true) {
                $n > 20 => 100,
                // within a minute: they may have been copied together
                $n > 10 => 4950,
                default => 9000,
            });
        }
        $document = $bench->check(self::specification([]));
        self::assertSame('1021-1024', $document['movies'][0]['against']['newer']);
    }

    public function test_a_picture_of_another_size_than_its_track_is_not_unpacked(): void
    {
        $large = self::picture(1, 640, 360);
        $pictures = [$large, ...array_map(self::picture(...), range(2, 24))];
        $movie = (new MovieWriter(64, 36, brand: 'qt  '))->write($pictures);
        $document = self::checked($movie);

        self::assertNull(self::line($document, 'content.source'));
        self::assertSame('counts', $document['movies'][0]['against']['looked']);
        self::assertStringContainsString('another size', $document['movies'][0]['against']['why_not']);
    }

    public function test_a_movie_of_one_still_stands_as_long_as_it_stands(): void
    {
        $bench = (new Workbench)->put('card.png', self::picture(1))->put('card.mov', self::movie([1, 1, 1, 1, 1, 1]));
        $document = $bench->check(Workbench::specification([], ['parts' => [
            ['name' => 'card', 'delivers' => 'still', 'require' => [
                'format.kind' => 'png', 'picture.resolution' => '64x36', 'naming.pattern' => 'card.{ext}',
            ]],
            ['name' => 'movie', 'delivers' => 'movie', 'made_from' => 'card', 'require' => [
                'format.kind' => 'mov', 'naming.pattern' => 'card.{ext}',
            ]],
        ]]));

        self::assertSame('balanced', $document['verdict'], (string) json_encode($document['causes']));
    }

    /**
     * Tones from dark to light, as wide bars that move with the frame.
     *
     * @param  \Closure(float): float  $curve  what becomes of each
     */
    private static function tones(int $n, \Closure $curve): string
    {
        $line = [];
        for ($i = 0; $i < 16; $i++) {
            $light = $curve((($i + $n) % 16) / 15);
            $line[] = [4, [$light, $light, $light, 1.0]];
        }

        return (new PngWriter(64, 36, 'RGB', 8))->write((static function () use ($line): \Generator {
            for ($y = 0; $y < 36; $y++) {
                yield $line;
            }
        })());
    }

    /** @return iterable<string, array{\Closure(float): float, list<string>, string}> curve, causes, what is found */
    public static function lights(): iterable
    {
        yield 'as they are' => [static fn (float $v): float => $v, [], 'yes'];
        yield 'brighter' => [static fn (float $v): float => $v ** 0.6, ['view-applied-twice'], 'brighter throughout'];
        yield 'darker' => [static fn (float $v): float => $v ** 1.8, ['view-missing'], 'darker throughout'];
        yield 'of more contrast' => [
            static fn (float $v): float => max(0.0, min(1.0, ($v - 0.5) * 1.5 + 0.5)),
            ['view-applied-twice'],
            'of more contrast throughout',
        ];
        yield 'hardly brighter' => [static fn (float $v): float => min(1.0, $v + 0.015), [], 'yes'];
    }

    /**
     * @param  \Closure(float): float  $curve
     * @param  list<string>  $causes
     */
    #[DataProvider('lights')]
    public function test_a_view_laid_over_all_of_them_is_measured(\Closure $curve, array $causes, string $found): void
    {
        $bench = new Workbench;
        foreach (range(1, self::COUNT) as $n) {
            $bench->put(sprintf('TC_010.%04d.png', 1000 + $n), self::tones($n, static fn (float $v): float => $v));
        }
        $pictures = array_map(static fn (int $n): string => self::tones($n, $curve), range(1, self::COUNT));
        $bench->put('TC_010_reel.mov', (new MovieWriter(64, 36, brand: 'qt  '))->write($pictures));
        $document = $bench->check(self::specification([]));

        self::assertSame($causes, array_column($document['causes'], 'id'), (string) json_encode($document['causes']));
        self::assertSame($found, self::line($document, 'content.source')['files']['found'] ?? null);
        foreach ($document['causes'] as $cause) {
            self::assertStringContainsString('of 255 in the frames is', implode(' ', $cause['evidence']));
        }
    }

    /** @return iterable<string, array{\Closure(Workbench): Workbench, string}> the delivery, and why nothing is seen */
    public static function unseen(): iterable
    {
        yield 'frames of floats' => [
            static function (Workbench $bench): Workbench {
                foreach (range(1, self::COUNT) as $n) {
                    $bench->put(sprintf('TC_010.%04d.exr', 1000 + $n), Workbench::exr());
                }

                return $bench;
            },
            'its frames are linear',
        ];
        yield 'no frame is whole' => [
            static function (Workbench $bench): Workbench {
                foreach (range(1, self::COUNT) as $n) {
                    $bench->put(sprintf('TC_010.%04d.png', 1000 + $n), substr(self::picture($n), 0, 50));
                }

                return $bench;
            },
            'no whole frame is there',
        ];
    }

    /** @param  \Closure(Workbench): Workbench  $fill */
    #[DataProvider('unseen')]
    public function test_what_cannot_be_seen_is_said(\Closure $fill, string $why): void
    {
        $document = $fill(new Workbench)->put('TC_010_reel.mov', self::movie())->check(Workbench::specification([], [
            'parts' => [
                ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                    'time.range' => '1001-1024', 'naming.pattern' => '{shot}.{frame:4}.{ext}',
                ]],
                ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => [
                    'format.kind' => 'mov', 'naming.pattern' => '{shot}_reel.{ext}',
                ]],
            ],
        ]));

        self::assertStringContainsString($why, (string) $document['movies'][0]['against']['why_not']);
    }

    public function test_what_is_in_pictures_is_looked_at_beside_their_frames_too(): void
    {
        $document = self::checked(self::movie(), ['content.black' => 'none']);
        $marks = array_column($document['entries'], 'mark', 'id');

        self::assertSame('equal', $marks['content.black']);
        self::assertSame('equal', $marks['content.source']);
    }

    /** @return iterable<string, array{string, int, string, list<string>}> how it is tagged, its height, what is asked */
    public static function spheres(): iterable
    {
        yield 'tagged' => ['mono', 36, 'lat-long', []];
        yield 'not tagged' => ['', 36, 'lat-long', ['spherical-not-tagged']];
        yield 'for two eyes' => ['stereo', 72, 'lat-long stereo', []];
        yield 'for one eye, where two are asked' => ['mono', 72, 'lat-long stereo', ['value-differs']];
        yield 'flat, where flat is asked' => ['', 36, 'flat', []];
        yield 'a sphere, where flat is asked' => ['mono', 36, 'flat', ['value-differs']];
    }

    /** @param  list<string>  $causes */
    #[DataProvider('spheres')]
    public function test_a_sphere_is_one_by_its_tag_and_its_shape(
        string $tag,
        int $height,
        string $asked,
        array $causes,
    ): void {
        $pictures = [self::picture(1, 72, $height), self::picture(2, 72, $height)];
        $movie = (new MovieWriter(72, $height, brand: 'qt  ', spherical: $tag))->write($pictures);
        $document = (new Workbench)->put('a.mov', $movie)->check(
            Workbench::specification(
                ['format.kind' => 'mov', 'picture.projection' => $asked],
                ['delivers' => 'movie'],
            ),
        );

        self::assertSame($causes, array_column($document['causes'], 'id'), (string) json_encode($document['entries']));
    }

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> file, what is asked, causes */
    public static function alone(): iterable
    {
        yield 'interlaced' => ['fields.mov', ['picture.scan' => 'progressive'], ['value-differs']];
        yield 'progressive' => ['h264.mp4', ['picture.scan' => 'progressive'], []];
        yield 'chroma' => ['h264.mp4', ['format.chroma' => '4:2:2'], ['chroma-halved']];
        yield 'depth' => ['h264.mp4', ['format.bit_depth' => 10], ['depth-dropped']];
        yield 'ten bits' => ['hevc.mp4', ['format.bit_depth' => 10, 'format.codec' => 'hevc'], []];
        yield 'B-frames' => ['mpeg2.mov', ['format.b_frames' => 'none'], ['b-frames-left-on']];
        yield 'two are allowed' => ['mpeg2.mov', ['format.b_frames' => 2], []];
        yield 'a codec without alpha' => ['h264.mp4', ['format.alpha' => 'straight'], ['alpha-cannot-live-here']];
        yield 'a kind of alpha that is not told' => ['alpha.mov', ['format.alpha' => 'premultiplied'], []];
        yield 'alpha that nobody asks' => ['alpha.mov', ['format.alpha' => 'none'], ['alpha-not-asked']];
        yield 'opaque by its codec' => ['opaque.mov', ['format.alpha' => 'straight'], ['alpha-not-saved']];
        yield 'a family' => ['hq.mov', ['format.codec' => 'prores'], []];
        yield 'one of a family' => ['hq.mov', ['format.codec' => 'ProRes 422 HQ'], []];
        yield 'another of it' => ['hq.mov', ['format.codec' => 'prores 4444'], ['codec-differs']];
        yield 'by its four letters' => ['v210.mov', ['format.codec' => 'v210'], []];
        yield 'lossy' => ['h264.mp4', ['format.compression' => 'lossless'], ['lossy-instead-of-lossless']];
        yield 'without loss' => ['full.mp4', ['format.compression' => 'lossless'], []];
        yield 'colour' => ['srgb.mov', ['colour.encoding' => 'rec709'], ['value-differs']];
        yield 'sound' => ['sound.mov', ['audio.presence' => 'none'], ['audio-not-asked']];
        yield 'its rate' => [
            'sound.mkv',
            ['audio.presence' => 'required', 'audio.sample_rate' => 48000],
            ['audio-format-differs'],
        ];
        yield 'sound that is packed has no depth' => [
            'sound.mp4',
            ['audio.presence' => 'required', 'audio.bit_depth' => 24, 'audio.sample_rate' => 48000],
            [],
        ];
        yield 'no sound, and its rate is asked' => [
            'h264.mp4',
            ['audio.sample_rate' => 48000],
            ['audio-format-differs'],
        ];
        yield 'drop-frame' => ['ntsc.mov', ['time.start_timecode' => '01:00:00;00', 'time.rate' => '29.97'], []];
        yield 'its other flag' => [
            'ntsc.mov',
            ['time.start_timecode' => '01:00:00:00', 'time.rate' => '29.97'],
            ['value-differs'],
        ];
        yield 'not tagged as spherical' => [
            'h264.mp4',
            ['picture.projection' => 'lat-long'],
            ['not-two-to-one'],
        ];
        yield 'no index to stand first' => ['jpeg.avi', ['format.index' => 'first'], []];
        yield 'a range, by its count' => ['h264.mp4', ['time.range' => '1-48'], []];
        yield 'another range' => ['h264.mp4', ['time.range' => '1001-1049'], ['last-frame-left-out']];
        yield 'without its handles' => [
            'h264.mp4',
            ['time.range' => '1001-1048', 'time.handles' => 8],
            ['handles-left-out'],
        ];
        yield 'too many' => ['h264.mp4', ['time.count' => ['max' => 40]], ['movie-long']];
        yield 'pixels that are not square' => ['pal.mkv', ['picture.pixel_aspect' => '16/15'], []];
        yield 'pixels that are square' => ['wide.mov', ['picture.pixel_aspect' => '1/1'], ['pixel-aspect-differs']];
        yield 'shown upright' => [
            'turned.mp4',
            ['picture.display_aspect' => '9:16', 'picture.resolution' => '64x36'],
            [],
        ];
        yield 'of single pictures nothing is asked' => ['h264.mp4', ['content.black' => 'none'], []];
        yield 'a density is a picture’s' => ['h264.mp4', ['picture.density' => 72, 'format.bit_depth' => 8], []];
    }

    /**
     * @param  array<string, mixed>  $require
     * @param  list<string>  $causes
     */
    #[DataProvider('alone')]
    public function test_a_movie_by_itself(string $file, array $require, array $causes): void
    {
        $bench = (new Workbench)->put($file, (string) file_get_contents(self::MOVIES.$file));
        $kind = pathinfo($file, PATHINFO_EXTENSION);
        $document = $bench->check(
            Workbench::specification(['format.kind' => $kind] + $require, ['delivers' => 'movie']),
        );

        self::assertSame($causes, array_column($document['causes'], 'id'), (string) json_encode($document['entries']));
        self::assertSame($causes === [] ? 'balanced' : 'unbalanced', $document['verdict']);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>|null
     */
    private static function line(array $document, string $id): ?array
    {
        foreach ($document['entries'] as $entry) {
            if ($entry['part'] === 'reel' && $entry['id'] === $id) {
                return $entry;
            }
        }

        return null;
    }
}
