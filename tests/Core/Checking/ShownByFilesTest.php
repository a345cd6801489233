<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\ApprovedComparison;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationRefused;
use Tests\Core\Support\Workbench;

/**
 * What only many files together show: cadences, holds, loops; approved pictures, checksums, timecode, what was saved
 * again.
 */
final class ShownByFilesTest extends TestCase
{
    /** A picture of its own, by a number; with a little of render noise where that is wanted. */
    private static function picture(int $which, int $noise = 0, int $dark = 0): string
    {
        $image = imagecreatetruecolor(64, 36) ?: self::fail('no image');
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 60, 80, 100));
        imagefilledrectangle(
            $image,
            ($which * 5) % 50,
            6 + $which % 7,
            ($which * 5) % 50 + 9,
            22,
            (int) imagecolorallocate($image, 210, 180, 30),
        );
        imagefilledrectangle($image, 0, 0, 63, $dark - 1, (int) imagecolorallocate($image, 0, 0, 0));
        mt_srand($noise * 7919 + $which);
        for ($i = 0; $i < ($noise === 0 ? 0 : 400); $i++) {
            [$x, $y] = [mt_rand(0, 63), mt_rand($dark, 35)];
            $at = (int) imagecolorat($image, $x, $y);
            imagesetpixel($image, $x, $y, $at ^ 0x010101);
        }
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /** @param  array<int, string>  $pictures  by frame */
    private static function bench(array $pictures): Workbench
    {
        $bench = new Workbench;
        foreach ($pictures as $frame => $bytes) {
            $bench->put(sprintf('a.%04d.png', $frame), $bytes);
        }

        return $bench;
    }

    /** @param  list<int>  $which  pictures of the frames from 1 on */
    private static function shown(array $which): Workbench
    {
        $pictures = [];
        foreach ($which as $i => $picture) {
            $pictures[$i + 1] = self::picture($picture);
        }

        return self::bench($pictures);
    }

    /** @param  array<string, mixed>  $require */
    private static function asked(array $require, int $last): Specification
    {
        return Workbench::specification(
            $require + ['time.range' => "1-{$last}", 'naming.pattern' => 'a.{frame:4}.{ext}'],
            ['values' => []],
        );
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{string, string|null, string}
     */
    private static function line(array $document, string $id): array
    {
        $line = array_column($document['entries'], null, 'id')[$id];

        return [$line['mark'], $line['files']['found'], $document['causes'][0]['id'] ?? ''];
    }

    /**
     * @return iterable<string, array{string, list<int>, string, string, string}> asked, pictures, mark, found, cause
     */
    public static function cadences(): iterable
    {
        $twos = [1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6];
        $pulled = [1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5, 5, 6, 6, 6, 7, 7];
        yield 'each its own' => ['every', range(1, 12), 'equal', 'every', ''];
        yield 'on twos, and each its own is asked' => ['every', $twos, 'unequal', '2', 'pictures-repeated'];
        yield 'on twos as asked' => ['2', $twos, 'equal', '2', ''];
        yield 'on twos, cut at both ends' => ['2', [1, 2, 2, 3, 3, 4, 4, 5, 5, 6], 'equal', '2', ''];
        yield 'on threes' => [
            'every',
            [1, 1, 1, 2, 2, 2, 3, 3, 3, 4, 4, 4, 5, 5, 5],
            'unequal',
            '3',
            'pictures-repeated',
        ];
        yield 'two and three in turn' => ['every', $pulled, 'unequal', '2-3', 'pictures-repeated'];
        yield 'two and three in turn, as asked' => ['2-3', $pulled, 'equal', '2-3', ''];
        yield 'one still for a moment is no cadence' => ['every', [1, 2, 3, 3, 3, 4, 5, 6, 7, 8], 'equal', 'every', ''];
        yield 'each its own, and twos are asked' => ['2', range(1, 12), 'unequal', 'every', 'value-differs'];
    }

    /** @param  list<int>  $which */
    #[DataProvider('cadences')]
    public function test_how_many_frames_each_picture_stands(
        string $asked,
        array $which,
        string $mark,
        string $found,
        string $cause,
    ): void {
        $document = self::shown($which)->check(self::asked(['content.cadence' => $asked], count($which)));

        self::assertSame([$mark, $found, $cause], self::line($document, 'content.cadence'));
    }

    /** @return iterable<string, array{mixed, array<int, string>, string}> */
    public static function holds(): iterable
    {
        $move = static function (int $head, int $tail, int $noise = 0): array {
            $pictures = [];
            for ($frame = 1; $frame <= 12; $frame++) {
                $which = min(max($frame, $head), 13 - $tail);
                $pictures[$frame] = self::picture($which, $noise === 0 ? 0 : $frame);
            }

            return $pictures;
        };
        yield 'as asked' => ['3+2', $move(3, 2), 'equal'];
        yield 'longer than asked' => ['2+2', $move(4, 3), 'equal'];
        yield 'too short at its tail' => ['3+3', $move(3, 2), 'unequal'];
        yield 'too short at its head' => ['3+2', $move(2, 2), 'unequal'];
        yield 'none' => ['2+2', $move(1, 1), 'unequal'];
        yield 'with noise, and no tolerance' => ['3+2', $move(3, 2, 1), 'unequal'];
        yield 'with noise, within a tolerance' => [
            ['head' => 3, 'tail' => 2, 'tolerance' => '2/255'],
            $move(3, 2, 1),
            'equal',
        ];
        yield 'within a tolerance, and too short all the same' => [
            ['head' => 4, 'tail' => 2, 'tolerance' => '1/255'],
            $move(2, 2, 1),
            'unequal',
        ];
    }

    /** @param  array<int, string>  $pictures */
    #[DataProvider('holds')]
    public function test_holds_of_at_least_so_many_frames(mixed $asked, array $pictures, string $mark): void
    {
        $document = self::bench($pictures)->check(self::asked(['content.hold' => $asked], 12));

        self::assertSame(
            $mark,
            self::line($document, 'content.hold')[0],
            json_encode($document['causes'], JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT),
        );
        self::assertSame($mark === 'equal' ? [] : ['hold-too-short'], array_column($document['causes'], 'id'));
        self::assertNotContains('encode', array_column($document['fixes'], 'kind'));
    }

    public function test_frozen_beside_a_hold(): void
    {
        // the hold stands still on purpose; in the middle nothing may
        $held = self::shown([1, 1, 1, 2, 3, 4, 5, 6, 7, 7, 7])->check(
            self::asked(['content.hold' => '3+3', 'content.frozen' => 'none'], 11),
        );
        self::assertSame(['balanced', []], [$held['verdict'], $held['causes']]);
        $frozen = self::shown([1, 1, 1, 2, 3, 4, 4, 6, 7, 7, 7])->check(
            self::asked(['content.hold' => '3+3', 'content.frozen' => 'none'], 11),
        );
        self::assertSame(['frozen-frames'], array_column($frozen['causes'], 'id'));
        self::assertSame('6-7', $frozen['sequences'][0]['rerender']);
    }

    public function test_a_loop_that_ends_with_its_first_picture_shows_it_twice(): void
    {
        $document = self::shown([1, 2, 3, 4, 5, 6, 7, 1])->check(self::asked(['content.loop' => 'yes'], 8));
        self::assertSame(['seam-shown-twice'], array_column($document['causes'], 'id'));
        self::assertStringContainsString('Leave frame 8 out', $document['causes'][0]['says']);
    }

    /** @return iterable<string, array{string|int, int, string}> at most percent, dark lines of 36, mark */
    public static function darkness(): iterable
    {
        yield 'none' => ['10', 0, 'equal'];
        yield 'a quarter, a third allowed' => ['33.4', 9, 'equal'];
        yield 'a quarter to the pixel' => ['25', 9, 'equal'];
        yield 'one line more than a quarter' => ['25', 10, 'unequal'];
        yield 'all dark' => ['50', 36, 'unequal'];
    }

    #[DataProvider('darkness')]
    public function test_how_much_of_a_picture_may_be_dark(string|int $most, int $lines, string $mark): void
    {
        $pictures = [];
        for ($frame = 1; $frame <= 6; $frame++) {
            $pictures[$frame] = self::picture($frame, 0, $frame === 4 ? $lines : 0);
        }
        $document = self::bench($pictures)->check(
            self::asked(['content.black' => ['value' => 'none', 'dark_share' => $most]], 6),
        );

        self::assertSame($mark, self::line($document, 'content.black')[0]);
        self::assertSame($mark === 'equal' ? '' : '4', $document['sequences'][0]['rerender']);
    }

    /** @return iterable<string, array{string, string, string}> bytes of the approved picture, tolerance, mark */
    public static function approved(): iterable
    {
        yield 'the very same' => [self::picture(3), '1/255', 'equal'];
        yield 'another picture' => [self::picture(9), '1/255', 'unequal'];
        yield 'noise within' => [self::picture(3, 1), '1/255', 'equal'];
        yield 'another size' => [Workbench::png(32, 18), '4/255', 'unequal'];
        yield 'no picture' => ['not a picture at all', '4/255', 'unknown'];
        yield 'an empty file' => ['', '4/255', 'unknown'];
        $image = imagecreatefromstring(self::picture(3)) ?: self::fail('no image');
        ob_start();
        imagejpeg($image, null, 96);
        yield 'saved with loss' => [(string) ob_get_clean(), '6/255', 'equal'];
    }

    #[DataProvider('approved')]
    public function test_a_frame_agrees_with_an_approved_picture(string $bytes, string $tolerance, string $mark): void
    {
        $bench = self::shown(range(1, 6));
        $other = (new Workbench)->put('approved.pic', $bytes);
        $asked = self::asked(
            ['content.reference' => [['frame' => 3, 'picture' => 'approved.pic', 'tolerance' => $tolerance]]],
            6,
        );
        $pictures = ApprovedComparison::pictures(
            ApprovedPicture::in($asked),
            static fn (string $path): FileSource => FileSource::open("{$other->folder}/{$path}"),
        );
        $document = CheckReport::of(
            $asked,
            null,
            $bench->scan(ScanDepth::Quick, looksFor: $asked, approved: $pictures),
        )->toArray();

        $line = self::line($document, 'content.reference');
        self::assertSame($mark, $line[0], (string) $line[1]);
        self::assertSame($mark === 'unequal' ? '3' : '', $document['sequences'][0]['rerender']);
    }

    public function test_a_distance_is_zero_of_the_same_and_says_where(): void
    {
        self::assertTrue(class_exists(PictureDistance::class));
        $bench = self::shown([1, 2, 3]);
        $asked = self::asked(['content.reference' => [['frame' => 2, 'picture' => 'x']]], 3);
        $document = CheckReport::of($asked, null, $bench->scan(ScanDepth::Quick, looksFor: $asked))->toArray();
        // an approved picture that nobody gave is no mistake of the frame
        self::assertSame(['unknown', 'open'], [self::line($document, 'content.reference')[0], $document['verdict']]);
    }

    public function test_more_approved_pictures_than_can_be_held_are_refused_or_left_unread(): void
    {
        $many = array_map(static fn (int $f): array => ['frame' => $f, 'picture' => "{$f}.png"], range(1, 51));
        try {
            self::asked(['content.reference' => $many], 60);
            self::fail('They were taken.');
        } catch (SpecificationRefused $refused) {
            self::assertStringContainsString('at most 50 frames', $refused->getMessage());
        }
        // a header that promises ten thousand by ten thousand pixels is not believed into memory
        $huge = Workbench::png();
        $header = 'IHDR'.pack('NN', 10_000, 10_000).substr($huge, 24, 5);
        $bench = (new Workbench)->put(
            'huge.png',
            substr($huge, 0, 12).$header.pack('N', crc32($header)).substr($huge, 33),
        )->put('small.png', Workbench::png());
        $pictures = ApprovedComparison::pictures(
            [1 => 'huge.png', 2 => 'small.png'],
            static fn (string $path): FileSource => FileSource::open("{$bench->folder}/{$path}"),
        );
        self::assertNull($pictures[1]);
        self::assertSame([64, 36], [$pictures[2]?->width(), $pictures[2]?->height()]);
    }

    /** @return iterable<string, array{\Closure(Workbench, list<string>): mixed, string, string}> */
    public static function checksums(): iterable
    {
        $list = static fn (array $names, \Closure $sum, string $form = "%s  %s\n"): string => implode(
            '',
            array_map(static fn (string $n): string => sprintf($form, $sum($n), $n), $names),
        );
        $sha = static fn (Workbench $b): \Closure => static fn (string $n): string => (string) hash_file(
            'sha256',
            "{$b->folder}/{$n}",
        );
        $md5 = static fn (Workbench $b): \Closure => static fn (string $n): string => (string) md5_file(
            "{$b->folder}/{$n}",
        );
        yield 'SHA-256, all listed' => [
            static fn (Workbench $b, array $n) => $b->put('frames.sha256', $list($n, $sha($b))),
            'equal',
            'present',
        ];
        yield 'MD5, all listed, marked binary' => [
            static fn (Workbench $b, array $n) => $b->put('checksums.md5', $list($n, $md5($b), "%s *%s\n")),
            'equal',
            'present',
        ];
        yield 'in capitals' => [
            static fn (Workbench $b, array $n) => $b->put(
                'checksums.md5',
                $list($n, static fn (string $f): string => strtoupper($md5($b)($f))),
            ),
            'equal',
            'present',
        ];
        yield 'with ./ and lines that end as elsewhere' => [
            static fn (Workbench $b, array $n) => $b->put('checksums.md5', $list($n, $md5($b), "%s  ./%s\r\n")),
            'equal',
            'present',
        ];
        $xx = static fn (Workbench $b, string $how): \Closure => static fn (string $n): string => (string) hash_file(
            $how,
            "{$b->folder}/{$n}",
        );
        yield 'xxHash 64, and a file that a system left' => [
            static fn (Workbench $b, array $n) => $b->put('.DS_Store', 'x')
                ->put('all.xxh64', $list($n, $xx($b, 'xxh64'))),
            'equal',
            'present',
        ];
        yield 'xxHash 128, told by the name of the list' => [
            static fn (Workbench $b, array $n) => $b->put('all.xxh128', $list($n, $xx($b, 'xxh128'))),
            'equal',
            'present',
        ];
        $manifest = static fn (array $names, \Closure $sum): string => '<hashlist version="2.0" '
            .'xmlns="urn:ASC:MHL:v2.0"><hashes>'.implode('', array_map(static fn (string $n): string => '<hash><path>'
            ."{$n}</path><xxh128 action=\"original\">{$sum($n)}</xxh128></hash>", $names)).'</hashes></hashlist>';
        yield 'ASC MHL in its folder, with its chain' => [
            static fn (Workbench $b, array $n) => $b->put('ascmhl/ascmhl_chain.xml', '<ascmhldirectory/>')
                ->put('ascmhl/0001_x_2026-11-29_090000Z.mhl', $manifest($n, $xx($b, 'xxh128'))),
            'equal',
            'present',
        ];
        yield 'ASC MHL that does not agree' => [
            static fn (Workbench $b, array $n) => $b->put('ascmhl/ascmhl_chain.xml', '<ascmhldirectory/>')->put(
                'ascmhl/0001_x_2026-11-29_090000Z.mhl',
                $manifest($n, static fn (string $f): string => $f === $n[0]
                    ? str_repeat('0', 32)
                    : $xx($b, 'xxh128')($f)),
            ),
            'unequal',
            '1 file does not agree',
        ];
        yield 'no list' => [static fn (Workbench $b) => $b, 'unequal', 'none'];
        yield 'one is not listed' => [
            static fn (Workbench $b, array $n) => $b->put('frames.sha256', $list(array_slice($n, 1), $sha($b))),
            'unequal',
            '1 file is not listed',
        ];
        yield 'one does not agree' => [
            static fn (Workbench $b, array $n) => $b->put(
                'frames.sha256',
                $list($n, static fn (string $f): string => $f === $n[2] ? str_repeat('0', 64) : $sha($b)($f)),
            ),
            'unequal',
            '1 file does not agree',
        ];
        yield 'one that is listed is gone' => [
            static fn (Workbench $b, array $n) => $b->put(
                'frames.sha256',
                $list($n, $sha($b)).str_repeat('a', 64)."  a.0099.png\n",
            ),
            'unequal',
            '1 listed file is not there',
        ];
    }

    /** @param  \Closure(Workbench, list<string>): mixed  $list */
    #[DataProvider('checksums')]
    public function test_lists_of_checksums_agree_with_the_files(\Closure $list, string $mark, string $found): void
    {
        $bench = self::shown(range(1, 5));
        $list($bench, array_map(static fn (int $f): string => sprintf('a.%04d.png', $f), range(1, 5)));
        $document = $bench->check(self::asked(['delivery.checksums' => 'present', 'delivery.extras' => 'none'], 5));

        self::assertSame([$mark, $found], array_slice(self::line($document, 'delivery.checksums'), 0, 2));
        // the list itself is nothing left over
        self::assertSame('equal', self::line($document, 'delivery.extras')[0]);
    }

    /** An EXR with one more attribute, its table of offsets moved along. */
    private static function withAttribute(string $name, string $type, string $value): string
    {
        $exr = Workbench::exr();
        $at = 8;
        while ($exr[$at] !== "\0") {
            $at = (int) strpos($exr, "\0", (int) strpos($exr, "\0", $at) + 1) + 1;
            $size = (array) unpack('V', $exr, $at);
            $at += 4 + (int) $size[1];
        }
        $attribute = "{$name}\0{$type}\0".pack('V', strlen($value)).$value;
        $table = '';
        for ($chunk = 0; $chunk < 3; $chunk++) {
            $offset = (array) unpack('P', $exr, $at + 1 + 8 * $chunk);
            $table .= pack('P', (int) $offset[1] + strlen($attribute));
        }

        return substr($exr, 0, $at).$attribute."\0".$table.substr($exr, $at + 1 + 24);
    }

    /** A timecode as headers pack it, two digits a byte, frames in the lowest. */
    private static function timecode(int $hours, int $minutes, int $seconds, int $frames): string
    {
        $packed = static fn (int $n): int => intdiv($n, 10) << 4 | $n % 10;

        return pack(
            'VV',
            $packed($hours) << 24 | $packed($minutes) << 16 | $packed($seconds) << 8 | $packed($frames),
            0,
        );
    }

    public function test_timecode_of_headers(): void
    {
        $bench = new Workbench;
        for ($frame = 1; $frame <= 4; $frame++) {
            $bench->put(
                sprintf('a.%04d.exr', $frame),
                self::withAttribute('timeCode', 'timecode', self::timecode(1, 0, 0, $frame - 1)),
            );
        }
        $line = static fn (string $asked): array => self::line(
            $bench->check(
                self::asked(['time.start_timecode' => $asked, 'time.rate' => '24', 'content.whole' => 'yes'], 4),
            ),
            'time.start_timecode',
        );
        self::assertSame(['equal', '01:00:00:00', ''], $line('01:00:00:00'));
        self::assertSame(['unequal', '01:00:00:00'], array_slice($line('10:00:00:00'), 0, 2));
        // the first is missing: that of the second tells it all the same
        $bench->without('a.0001.exr');
        self::assertSame(['equal', '01:00:00:00'], array_slice($line('01:00:00:00'), 0, 2));
    }

    public function test_another_frame_number_in_the_header_is_told(): void
    {
        $bench = new Workbench;
        for ($frame = 1; $frame <= 4; $frame++) {
            $bench->put(
                sprintf('a.%04d.exr', $frame),
                self::withAttribute('frameNumber', 'int', pack('V', $frame + 1000)),
            );
        }
        $document = $bench->check(self::asked(['content.whole' => 'yes'], 4));
        $line = array_column($document['entries'], null, 'id')['time.frame_in_header'] ?? null;
        self::assertSame(
            ['should', 'unequal', '1 tells 1001'],
            [$line['level'] ?? null, $line['mark'] ?? null, $line['files']['found'] ?? null],
        );
        self::assertSame('balanced', $document['verdict']);
    }

    public function test_a_few_that_were_saved_again_later(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-24', Workbench::png(), 90_000);
        $bench->frames('a.%04d.png', '7,15', Workbench::png(bits: 16), 3_600);
        $document = $bench->check(self::asked(['format.bit_depth' => 8, 'content.uniform' => 'yes'], 24));
        self::assertSame(
            'resaved-later',
            $document['causes'][0]['id'],
            json_encode($document['causes'], JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT),
        );
        self::assertStringContainsString('7,15 were worked on after the render', $document['causes'][0]['says']);
        self::assertSame(
            [['encode', '7,15']],
            array_map(
                static fn (array $f): array => [$f['kind'], $f['frames'] ?? ''],
                array_values(array_filter($document['fixes'], static fn (array $f): bool => $f['kind'] !== 'set')),
            ),
        );
    }

    public function test_one_picture_without_a_number_stands_for_one_frame(): void
    {
        $document = (new Workbench)->put('a.png', Workbench::png())->check(self::asked([], 24));
        self::assertSame(
            'single-frame-mode',
            $document['causes'][0]['id'],
            json_encode($document['causes'], JSON_UNESCAPED_UNICODE),
        );
        self::assertSame(
            [['render', '1-24']],
            array_map(
                static fn (array $f): array => [$f['kind'], $f['frames'] ?? ''],
                array_values(array_filter($document['fixes'], static fn (array $f): bool => $f['kind'] === 'render')),
            ),
        );
    }

    /**
     * @return iterable<string, array{array<string, mixed>, int, int, string, string}> asked, width, height, cause,
     *   part of the sentence
     */
    public static function sizes(): iterable
    {
        yield 'a third' => [['picture.resolution' => '1920x1080'], 640, 360, 'scale-below-full', '33.333 %'];
        yield 'two thirds' => [['picture.resolution' => '1920x1080'], 1280, 720, 'scale-below-full', '66.667 %'];
        yield 'a tenth' => [['picture.resolution' => '1920x1080'], 192, 108, 'scale-below-full', '10 %'];
        yield 'twice' => [['picture.resolution' => '64x36'], 128, 72, 'scale-above-full', ''];
        yield 'square pixels for an anamorphic shape' => [
            ['picture.resolution' => '720x576', 'picture.pixel_aspect' => '16/15'],
            768,
            576,
            'square-pixel-size',
            'square',
        ];
    }

    /** @param  array<string, mixed>  $asked */
    #[DataProvider('sizes')]
    public function test_sizes_are_told_as_what_they_are(
        array $asked,
        int $width,
        int $height,
        string $cause,
        string $says,
    ): void {
        $document = (new Workbench)->frames(
            'a.%04d.png',
            '1-4',
            Workbench::png($width, $height),
        )->check(self::asked($asked, 4));
        self::assertSame($cause, $document['causes'][0]['id'], (string) $document['causes'][0]['says']);
        self::assertStringContainsString($says, $document['causes'][0]['says']);
        self::assertStringNotContainsString(' 0 %', $document['causes'][0]['says']);
    }
}
