<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** What is in the pictures: black, frozen, held, looping, seen through; by pixels, whatever their files say. */
final class PixelsTest extends TestCase
{
    /**
     * A picture of its own colour, with a square that stands where it is told.
     *
     * @param  array{int, int, int}  $ground
     * @param  int  $alpha  0 opaque to 127
     */
    private static function picture(
        array $ground,
        int $at = 0,
        int $alpha = 0,
        string $as = 'png',
        bool $withAlpha = false,
    ): string {
        $image = imagecreatetruecolor(40, 24) ?: self::fail('no image');
        imagealphablending($image, false);
        imagesavealpha($image, $withAlpha);
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, $ground[0], $ground[1], $ground[2], $alpha));
        if ($at > 0) {
            imagefilledrectangle($image, $at, 4, $at + 6, 12, (int) imagecolorallocate($image, 200, 180, 20));
        }
        ob_start();
        $as === 'png' ? imagepng($image) : imagejpeg($image, null, 92);

        return (string) ob_get_clean();
    }

    /** @param  array<int, string>  $pictures bytes by frame */
    private static function bench(array $pictures, string $as = 'png', string $name = 'a'): Workbench
    {
        $bench = new Workbench;
        foreach ($pictures as $frame => $bytes) {
            $bench->put(sprintf('%s.%04d.%s', $name, $frame, $as), $bytes);
        }

        return $bench;
    }

    /** @return array<int, string> twelve frames in which a square goes to the right */
    private static function moving(int $first = 1, int $last = 12): array
    {
        $pictures = [];
        for ($frame = $first; $frame <= $last; $frame++) {
            $pictures[$frame] = self::picture([40, 60, 80], 1 + $frame);
        }

        return $pictures;
    }

    /**
     * @return iterable<string, array{mixed, array<int, string>, string, string|null, string}> asked, pictures, mark,
     *   found, rerender
     */
    public static function black(): iterable
    {
        $black = self::picture([0, 0, 0]);
        yield 'none of them' => ['none', self::moving(), 'equal', 'none', ''];
        yield 'one' => ['none', [5 => $black] + self::moving(), 'unequal', '5', '5'];
        yield 'two runs' => [
            'none',
            [1 => $black, 2 => $black, 9 => $black] + self::moving(),
            'unequal',
            '1-2,9',
            '1-2,9',
        ];
        yield 'where they may be' => ['1-3', [1 => $black, 2 => $black] + self::moving(), 'equal', '1-2', ''];
        yield 'where they may be, and elsewhere' => [
            '1-3',
            [1 => $black, 7 => $black] + self::moving(),
            'unequal',
            '1,7',
            '7',
        ];
        yield 'all of them' => ['none', array_fill(1, 12, $black), 'unequal', '1-12', '1-12'];
        // one level of 255 everywhere is still black; two are not
        yield 'one level' => ['none', [5 => self::picture([1, 1, 1])] + self::moving(), 'unequal', '5', '5'];
        yield 'two levels' => ['none', [5 => self::picture([2, 2, 2])] + self::moving(), 'equal', 'none', ''];
        yield 'a little blue' => ['none', [5 => self::picture([0, 0, 13])] + self::moving(), 'unequal', '5', '5'];
        yield 'more blue' => ['none', [5 => self::picture([0, 0, 14])] + self::moving(), 'equal', 'none', ''];
        yield 'dark, by a higher threshold' => [
            ['value' => 'none', 'threshold' => 0.1],
            [5 => self::picture([20, 20, 20])] + self::moving(),
            'unequal',
            '5',
            '5',
        ];
        yield 'dark, by the usual one' => [
            'none',
            [5 => self::picture([20, 20, 20])] + self::moving(),
            'equal',
            'none',
            '',
        ];
        yield 'dark and not black by a threshold of nothing' => [
            ['value' => 'none', 'threshold' => 0],
            [5 => self::picture([1, 0, 0])] + self::moving(),
            'equal',
            'none',
            '',
        ];
        yield 'a bright square on black' => [
            'none',
            [5 => self::picture([0, 0, 0], 3)] + self::moving(),
            'equal',
            'none',
            '',
        ];
    }

    /** @param  array<int, string>  $pictures */
    #[DataProvider('black')]
    public function test_black_frames(
        mixed $asked,
        array $pictures,
        string $mark,
        ?string $found,
        string $rerender,
    ): void {
        self::assertSeen(['content.black' => $asked], self::bench($pictures), $mark, $found, $rerender, 'black-frames');
    }

    /** @return iterable<string, array{mixed, array<int, string>, string, string|null, string}> */
    public static function frozen(): iterable
    {
        $moving = self::moving();
        yield 'none of them' => ['none', $moving, 'equal', 'none', ''];
        yield 'two in a row' => ['none', [6 => $moving[5]] + $moving, 'unequal', '5-6', '5-6'];
        yield 'many in a row' => [
            'none',
            [6 => $moving[5], 7 => $moving[5], 8 => $moving[5]] + $moving,
            'unequal',
            '5-8',
            '5-8',
        ];
        yield 'the same again later' => ['none', [9 => $moving[5]] + $moving, 'equal', 'none', ''];
        yield 'three in a row are allowed' => [3, [6 => $moving[5], 7 => $moving[5]] + $moving, 'equal', 'none', ''];
        yield 'four are not' => [
            3,
            [6 => $moving[5], 7 => $moving[5], 8 => $moving[5]] + $moving,
            'unequal',
            '5-8',
            '5-8',
        ];
        yield 'where they may' => ['5-8', [6 => $moving[5], 7 => $moving[5]] + $moving, 'equal', 'none', ''];
        yield 'where they may, and further' => [
            '5-8',
            [6 => $moving[5], 11 => $moving[10]] + $moving,
            'unequal',
            '10-11',
            '10-11',
        ];
        yield 'to the end' => [
            'none',
            [10 => $moving[9], 11 => $moving[9], 12 => $moving[9]] + $moving,
            'unequal',
            '9-12',
            '9-12',
        ];
    }

    /** @param  array<int, string>  $pictures */
    #[DataProvider('frozen')]
    public function test_frozen_frames(
        mixed $asked,
        array $pictures,
        string $mark,
        ?string $found,
        string $rerender,
    ): void {
        self::assertSeen(
            ['content.frozen' => $asked],
            self::bench($pictures),
            $mark,
            $found,
            $rerender,
            'frozen-frames',
        );
    }

    public function test_files_that_differ_and_pictures_that_do_not(): void
    {
        // the same pixels, packed otherwise and with another note in the file: still frozen
        $image = imagecreatefromstring(self::moving()[5]) ?: self::fail('no image');
        ob_start();
        imagepng($image, null, 1);
        $other = (string) ob_get_clean();
        self::assertNotSame($other, self::moving()[5]);
        self::assertSeen(
            ['content.frozen' => 'none'],
            self::bench([6 => $other] + self::moving()),
            'unequal',
            '5-6',
            '5-6',
            'frozen-frames',
        );
    }

    public function test_a_frame_that_is_not_there_ends_a_run(): void
    {
        $moving = self::moving();
        $pictures = [7 => $moving[5]] + $moving;
        unset($pictures[6]);
        $document = self::bench($pictures)->check(
            self::specification(['content.frozen' => 'none', 'time.range' => '1-12']),
        );
        self::assertSame('equal', array_column($document['entries'], 'mark', 'id')['content.frozen']);
        // by twos there is nothing between them
        $twos = [1 => $moving[1], 3 => $moving[3], 5 => $moving[3], 7 => $moving[7]];
        $document = self::bench($twos)->check(
            self::specification(['content.frozen' => 'none', 'time.step' => 2, 'time.range' => '1-7']),
        );
        self::assertSame('3,5', array_column($document['entries'], 'files', 'id')['content.frozen']['found']);
    }

    /** @return iterable<string, array{mixed, array<int, string>, string, string|null}> */
    public static function held(): iterable
    {
        $moving = self::moving();
        $head = [2 => $moving[1], 3 => $moving[1]];
        $tail = [11 => $moving[10], 12 => $moving[10]];
        yield 'both ends' => ['3+3', $head + $tail + $moving, 'equal', '3+3'];
        yield 'less is asked than stands' => ['2+2', $head + $tail + $moving, 'equal', '2+2'];
        yield 'the head is short' => ['4+3', $head + $tail + $moving, 'unequal', '3+3'];
        yield 'the tail is short' => [['head' => 3, 'tail' => 8], $head + $tail + $moving, 'unequal', '3+3'];
        yield 'nothing stands' => ['3+3', $moving, 'unequal', '1+1'];
        yield 'only the head is asked' => ['3+0', $head + $moving, 'equal', '3+0'];
    }

    /** @param  array<int, string>  $pictures */
    #[DataProvider('held')]
    public function test_held_frames(mixed $asked, array $pictures, string $mark, ?string $found): void
    {
        $document = self::bench($pictures)->check(self::specification(['content.hold' => $asked]));
        self::assertSame(
            [$mark, $found],
            [self::lines($document)[0]['files']['mark'], self::lines($document)[0]['files']['found']],
        );
        self::assertSame($mark === 'unequal' ? ['hold-too-short'] : [], array_column($document['causes'], 'id'));
    }

    public function test_black_ones_are_not_told_as_standing_still_besides(): void
    {
        $asked = self::specification(
            ['content.black' => 'none', 'content.frozen' => 'none', 'time.range' => '1-12'],
        );
        $black = [5 => self::picture([0, 0, 0]), 6 => self::picture([0, 0, 0])];
        $document = self::bench($black + self::moving())->check($asked);
        self::assertSame(['black-frames'], array_column($document['causes'], 'id'));
        self::assertSame(['content.black', 'content.frozen'], $document['causes'][0]['explains']);
        $still = self::moving();
        $document = self::bench($black + [9 => $still[8]] + $still)->check($asked);
        self::assertSame(['black-frames', 'frozen-frames'], array_column($document['causes'], 'id'));
    }

    public function test_what_is_to_be_held_is_not_frozen(): void
    {
        $moving = self::moving();
        $held = [2 => $moving[1], 3 => $moving[1], 11 => $moving[10], 12 => $moving[10]] + $moving;
        self::assertSame(
            'balanced',
            self::bench($held)->check(
                self::specification(['content.hold' => '3+3', 'content.frozen' => 'none']),
            )['verdict'],
        );
        $document = self::bench([7 => $moving[6]] + $held)->check(
            self::specification(['content.hold' => '3+3', 'content.frozen' => 'none']),
        );
        self::assertSame(
            ['equal', '6-7'],
            [
                array_column($document['entries'], 'mark', 'id')['content.hold'],
                array_column($document['entries'], 'files', 'id')['content.frozen']['found'],
            ],
        );
    }

    public function test_loops(): void
    {
        $there = self::moving();
        $back = [];
        for ($frame = 13; $frame <= 22; $frame++) {
            $back[$frame] = self::picture([40, 60, 80], 25 - $frame);
        }
        $loop = static fn (array $pictures, string $asked = 'yes'): array => self::lines(
            self::bench($pictures)->check(self::specification(['content.loop' => $asked])),
        )[0]['files'];

        self::assertSame(['equal', 'yes'], [$loop($there + $back)['mark'], $loop($there + $back)['found']]);
        self::assertSame(['unequal', 'no'], [$loop($there)['mark'], $loop($there)['found']]);
        self::assertSame('equal', $loop($there, 'no')['mark']);
        self::assertSame('unknown', $loop([1 => $there[1], 2 => $there[2]])['mark']);
    }

    public function test_alpha_in_use(): void
    {
        $opaque = self::picture([40, 60, 80], 3, 0, 'png', true);
        $through = self::picture([40, 60, 80], 3, 100, 'png', true);
        $check = static fn (
            array $pictures,
            mixed $asked = 'yes',
            array $more = [],
        ): array => self::bench($pictures)->check(
            self::specification(['content.alpha_used' => $asked] + $more),
        );

        self::assertSame('balanced', $check([1 => $through, 2 => $through])['verdict']);
        // a frame that is covered whole is no mistake among others
        self::assertSame('balanced', $check([1 => $opaque, 2 => $through, 3 => $opaque])['verdict']);
        $wrong = $check([1 => $opaque, 2 => $opaque], 'yes', ['format.channels' => 'RGBA']);
        self::assertSame(
            ['unbalanced', ['alpha-all-opaque'], '1-2'],
            [$wrong['verdict'], array_column($wrong['causes'], 'id'), $wrong['sequences'][0]['rerender']],
        );
        // and where there is no alpha at all, that is the cause
        self::assertSame(
            ['alpha-not-saved'],
            array_column($check([1 => self::picture([1, 2, 3]), 2 => self::picture([4, 5, 6])])['causes'], 'id'),
        );
        $both = $check(
            [1 => self::picture([1, 2, 3]), 2 => self::picture([4, 5, 6])],
            'yes',
            ['format.alpha' => 'straight', 'format.channels' => 'RGBA'],
        );
        self::assertSame(
            [['alpha-not-saved', ['format.channels', 'format.alpha', 'content.alpha_used']]],
            array_map(static fn (array $c): array => [$c['id'], $c['explains']], $both['causes']),
        );
        self::assertSame('equal', self::lines($check([1 => $opaque, 2 => $opaque], 'no'))[0]['mark']);
    }

    public function test_jpeg_is_looked_at_too(): void
    {
        $pictures = [];
        foreach ([1, 2, 3, 4] as $frame) {
            $pictures[$frame] = self::picture(
                $frame === 3 ? [0, 0, 0] : [90, 60, 80],
                $frame === 3 ? 0 : 4 * $frame,
                0,
                'jpg',
            );
        }
        $document = self::bench($pictures, 'jpg')->check(
            self::specification(['content.black' => 'none', 'content.frozen' => 'none']),
        );
        self::assertSame(['3', 'none'], array_column(array_column(self::lines($document), 'files'), 'found'));
    }

    public function test_sixteen_bits_palettes_and_storage_in_passes(): void
    {
        $fixtures = __DIR__.'/../../fixtures/encoders/';
        foreach ([
            'rgb16.png', 'rgba16.png', 'grey8.png', 'palette8.png', 'pil-palette.png', 'interlaced.png',
            'pil-grey16.png', 'mono1.png', 'progressive-422.jpg', 'grey.jpg', 'restart-422.jpg',
        ] as $name) {
            $as = pathinfo($name, PATHINFO_EXTENSION);
            $bytes = (string) file_get_contents($fixtures.$name);
            $document = self::bench([1 => $bytes, 2 => $bytes], $as)->check(
                self::specification(['content.black' => 'none', 'content.frozen' => 'none']),
            );
            self::assertSame(
                ['none', '1-2'],
                array_column(array_column(self::lines($document), 'files'), 'found'),
                $name,
            );
        }
    }

    public function test_what_cannot_be_decoded_here_is_not_passed(): void
    {
        $packed = (string) file_get_contents(__DIR__.'/../../fixtures/encoders/tiled-dwaa.exr');
        $exr = self::bench([1 => $packed, 2 => $packed], 'exr')->check(
            self::specification(['content.black' => 'none', 'content.alpha_used' => 'yes']),
        );
        self::assertSame(
            ['open', [null, null]],
            [$exr['verdict'], array_column(array_column(self::lines($exr), 'files'), 'found')],
        );
        // that two are the same is told by their packed bytes
        self::assertSame(
            '1-2',
            self::lines(
                self::bench([1 => $packed, 2 => $packed], 'exr')->check(
                    self::specification(['content.frozen' => 'none']),
                ),
            )[0]['files']['found'],
        );
        // one that breaks off tells of its damage, and the others of their pixels
        $moving = self::moving();
        $broken = self::bench([3 => substr($moving[3], 0, 60)] + $moving)->check(
            self::specification(['content.black' => 'none', 'content.whole' => 'yes']),
        );
        self::assertSame(['unequal', 'equal'], array_column(self::lines($broken), 'mark'));
    }

    public function test_float_pictures(): void
    {
        // thirty-six lines of light, each frame otherwise
        $bench = new Workbench;
        foreach (range(1, 4) as $frame) {
            $bench->put(
                sprintf('a.%04d.exr', $frame),
                (new \PlainLedger\Demo\ExrWriter(64, 36))->write(
                    (new \PlainLedger\Demo\Painter(64, 36))->lines($frame),
                ),
            );
        }
        $asked = self::specification(['content.black' => 'none', 'content.frozen' => 'none', 'content.loop' => 'yes']);
        self::assertSame(
            ['equal', 'equal'],
            array_slice(array_column(self::lines($bench->check($asked)), 'mark'), 0, 2),
        );
        $bench->put('a.0003.exr', (string) file_get_contents("{$bench->folder}/a.0002.exr"));
        self::assertSame(
            '2-3',
            array_column(self::lines($bench->check($asked)), 'files', 'id')['content.frozen']['found'],
        );
    }

    public function test_only_the_colour_pass_is_asked_for_light(): void
    {
        $black = self::picture([0, 0, 0]);
        $bench = self::bench(self::moving(), 'png', 'a_beauty');
        foreach (range(1, 12) as $frame) {
            $bench->put(sprintf('a_mask.%04d.png', $frame), $black);
        }
        $document = $bench->check(
            self::specification(
                [
                    'content.black' => 'none',
                    'passes' => ['mask', 'beauty'],
                    'naming.pattern' => 'a_{pass}.{frame:4}.{ext}',
                ],
            ),
        );
        self::assertSame(['balanced', []], [$document['verdict'], $document['causes']]);
        // everything else holds for each pass
        $still = $bench->check(
            self::specification(
                [
                    'content.frozen' => 'none',
                    'passes' => ['mask', 'beauty'],
                    'naming.pattern' => 'a_{pass}.{frame:4}.{ext}',
                ],
            ),
        );
        self::assertSame(
            [['frozen-frames', 'mask']],
            array_map(static fn (array $c): array => [$c['id'], $c['pass'] ?? null], $still['causes']),
        );
    }

    public function test_nothing_is_decoded_where_nothing_asks(): void
    {
        self::assertNull(PixelRules::sampler(self::specification(['content.whole' => 'yes'])));
        self::assertNotNull(PixelRules::sampler(self::specification(['content.black' => 'none'])));
        // and files scanned without a look leave the line open
        $bench = self::bench(self::moving());
        $account = CheckReport::of(self::specification(['content.black' => 'none']), null, $bench->scan())->toArray();
        self::assertSame('open', $account['verdict']);
    }

    public function test_a_scan_that_is_taken_up_again_has_looked_at_all_of_it(): void
    {
        $moving = self::moving();
        $bench = self::bench([4 => $moving[3], 9 => self::picture([0, 0, 0])] + $moving);
        $specification = self::specification(
            ['content.black' => 'none', 'content.frozen' => 'none', 'content.loop' => 'yes'],
        );
        $scan = static fn (): Scan => new Scan(
            FolderListing::of($bench->folder),
            Probe::standard(),
            sampler: PixelRules::sampler($specification),
        );
        $first = $scan();
        foreach ($first->steps(2) as $progress) {
            if ($progress->done >= 5) {
                break;
            }
        }
        $kept = json_decode((string) json_encode($first->checkpoint()), true);
        $delivery = $scan()->resume($kept)->run(Workbench::NOW);
        $again = Delivery::fromArray(json_decode((string) json_encode($delivery->toArray()), true));
        foreach ([$delivery, $again] as $each) {
            // beside a black frame no other two are far apart
            self::assertSame(
                ['9', '3-4', 'yes'],
                array_column(
                    array_column(self::lines(CheckReport::of($specification, null, $each)->toArray()), 'files'),
                    'found',
                ),
            );
        }
    }

    /**
     * @param  array<string, mixed>  $document
     * @return list<array<string, mixed>> its lines of content
     */
    private static function lines(array $document): array
    {
        return array_values(
            array_filter($document['entries'], static fn (array $e): bool => str_starts_with($e['id'], 'content.')),
        );
    }

    /** @param  array<string, mixed>  $require */
    private static function specification(array $require): Specification
    {
        return Specification::fromDocument(
            JsonDocument::parse(
                (string) json_encode(
                    [
                        'format' => Specification::FORMAT,
                        'version' => 1,
                        'delivers' => 'frames',
                        'require' => $require + ['naming.pattern' => 'a.{frame:4}.{ext}'],
                    ],
                ),
                'spec.json',
                Specification::FORMAT,
            ),
        );
    }

    /** @param  array<string, mixed>  $require */
    private static function assertSeen(
        array $require,
        Workbench $bench,
        string $mark,
        ?string $found,
        string $rerender,
        string $cause,
    ): void {
        $document = $bench->check(self::specification($require + ['time.range' => '1-12']));
        $entry = array_column($document['entries'], null, 'id')[array_key_first($require)];

        self::assertSame([$mark, $found], [$entry['files']['mark'], $entry['files']['found']]);
        self::assertSame($rerender, $document['sequences'][0]['rerender']);
        self::assertSame($mark === 'unequal' ? [$cause] : [], array_column($document['causes'], 'id'));
        self::assertSame($mark === 'unequal' ? 'unbalanced' : 'balanced', $document['verdict']);
    }
}
