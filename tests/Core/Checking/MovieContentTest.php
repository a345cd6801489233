<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Media\Decoders\GdPixels;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** What is in the pictures of a movie, in every codec that is decoded here; the movies come from an encoder. */
final class MovieContentTest extends TestCase
{
    private const COUNT = 12;

    /** How each is asked of the encoder, and what the file is called. */
    private const FORMS = [
        'mjpeg' => ['-c:v mjpeg -q:v 2 -pix_fmt yuvj444p', 'reel.mov'],
        'png' => ['-c:v png -pix_fmt rgb24', 'reel.mov'],
        'png with alpha' => ['-c:v png -pix_fmt rgba', 'reel.mov'],
        'animation' => ['-c:v qtrle -pix_fmt rgb24', 'reel.mov'],
        'animation with alpha' => ['-c:v qtrle -pix_fmt argb', 'reel.mov'],
        'raw, lines from the bottom' => ['-c:v rawvideo -pix_fmt bgr24', 'reel.avi'],
        'raw, red first' => ['-c:v rawvideo -pix_fmt rgb24', 'reel.mov'],
        'raw with alpha' => ['-c:v rawvideo -pix_fmt argb', 'reel.mov'],
        'raw, light last in pairs' => ['-c:v rawvideo -pix_fmt uyvy422', 'reel.mov'],
        'raw, light first' => ['-c:v rawvideo -pix_fmt yuv420p', 'reel.avi'],
        'ten bits' => ['-c:v v210', 'reel.mov'],
    ];

    protected function setUp(): void
    {
        if (! is_executable('/usr/bin/ffmpeg')) {
            self::markTestSkipped('No encoder is installed.');
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function forms(): iterable
    {
        yield from self::FORMS;
    }

    /** A square that goes to the right over a grey ground; black where it is asked. */
    private static function picture(int $at, bool $isBlack = false, bool $isClear = false): \GdImage
    {
        $image = imagecreatetruecolor(50, 26) ?: self::fail('no image');
        imagealphablending($image, false);
        imagesavealpha($image, true);
        $ground = $isBlack ? 0 : 90;
        $clear = $isClear ? 127 : 0;
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, $ground, $ground, $ground, $clear));
        if (! $isBlack) {
            imagefilledrectangle($image, $at, 4, $at + 8, 14, (int) imagecolorallocate($image, 230, 180, 20));
        }

        return $image;
    }

    /**
     * @param  list<int>  $places  where the square stands in each picture; negative: a black one
     * @param  array{string, string}  $form
     */
    private static function bench(array $places, array $form, bool $isClear = false): Workbench
    {
        $bench = new Workbench;
        $from = new Workbench;
        foreach ($places as $i => $at) {
            imagepng(self::picture($at, $at < 0, $isClear), sprintf('%s/%03d.png', $from->folder, $i));
        }
        exec(
            "ffmpeg -v error -framerate 24 -i {$from->folder}/%03d.png {$form[0]} {$bench->folder}/{$form[1]} 2>&1",
            $says,
            $code,
        );
        self::assertSame(0, $code, implode("\n", $says));

        return $bench;
    }

    /**
     * @param  array<string, mixed>  $require
     * @return array<string, mixed>
     */
    private static function checked(Workbench $bench, array $require): array
    {
        return $bench->check(self::asked($require));
    }

    /** @param  array<string, mixed>  $require */
    private static function asked(array $require): Specification
    {
        return Workbench::specification($require + ['time.rate' => '24'], ['delivers' => 'movie']);
    }

    /**
     * @param  array<string, mixed>  $check
     * @return array{string, string|null}
     */
    private static function line(array $check, string $id): array
    {
        foreach ($check['entries'] as $entry) {
            if ($entry['id'] === $id) {
                return [$entry['mark'], $entry['files']['found'] ?? null];
            }
        }
        self::fail("{$id} has no line: ".json_encode($check['not_checked']));
    }

    /** @return list<int> */
    private static function moving(): array
    {
        return array_map(static fn (int $i): int => 3 * $i, range(0, self::COUNT - 1));
    }

    #[DataProvider('forms')]
    public function test_a_clean_one(string $how, string $name): void
    {
        $check = self::checked(self::bench(self::moving(), [$how, $name]), [
            'content.black' => 'none', 'content.frozen' => 'none', 'content.cadence' => 'every',
        ]);

        self::assertSame('balanced', $check['verdict']);
        self::assertSame(['equal', 'none'], self::line($check, 'content.black'));
        self::assertSame(['equal', 'none'], self::line($check, 'content.frozen'));
        self::assertSame(['equal', 'every'], self::line($check, 'content.cadence'));
        self::assertSame([], $check['causes']);
    }

    #[DataProvider('forms')]
    public function test_black_and_still_ones(string $how, string $name): void
    {
        $places = [0, 3, -1, -1, 12, 15, 15, 15, 24, 27, 30, 33];
        $check = self::checked(
            self::bench($places, [$how, $name]),
            ['content.black' => 'none', 'content.frozen' => 'none'],
        );

        self::assertSame(['unequal', '3-4'], self::line($check, 'content.black'));
        self::assertSame(['unequal', '3-4,6-8'], self::line($check, 'content.frozen'));
        self::assertSame(['black-frames', 'frozen-frames'], array_column($check['causes'], 'id'));
        self::assertSame(['encode', 'encode'], array_column($check['fixes'], 'kind'));
        self::assertStringContainsString('Pictures 3-4 of the movie are black', $check['causes'][0]['says']);
    }

    public function test_its_pictures_go_by_the_numbers_of_the_frames_that_are_asked(): void
    {
        $check = self::checked(self::bench([0, -1, ...range(3, 12)], self::FORMS['png']), [
            'time.range' => '1001-1012', 'content.black' => 'none',
        ]);
        self::assertSame(['unequal', '1002'], self::line($check, 'content.black'));

        $allowed = self::checked(self::bench([0, -1, ...range(3, 12)], self::FORMS['png']), [
            'time.range' => '1001-1012', 'content.black' => '1002',
        ]);
        self::assertSame('balanced', $allowed['verdict']);
    }

    public function test_drawn_on_twos(): void
    {
        $twos = array_map(static fn (int $i): int => 5 * intdiv($i, 2), range(0, 11));
        $check = self::checked(self::bench($twos, self::FORMS['mjpeg']), ['content.cadence' => 'every']);
        self::assertSame(['unequal', '2'], self::line($check, 'content.cadence'));
        self::assertSame(['pictures-repeated'], array_column($check['causes'], 'id'));

        $meant = self::checked(self::bench($twos, self::FORMS['mjpeg']), ['content.cadence' => '2']);
        self::assertSame('balanced', $meant['verdict']);
    }

    /** Rate control packs the same picture otherwise each time: then nobody can say that it does not stand. */
    public function test_a_codec_with_losses_does_not_tell_that_pictures_do_not_stand(): void
    {
        $bench = self::bench(self::moving(), self::FORMS['mjpeg']);
        $asked = self::checked($bench, ['content.cadence' => '2']);
        self::assertSame('unknown', self::line($asked, 'content.cadence')[0]);
        self::assertSame([[], 'open'], [$asked['causes'], $asked['verdict']]);
        $lossless = self::checked(self::bench(self::moving(), self::FORMS['png']), ['content.cadence' => '2']);
        self::assertSame(['unequal', 'every'], self::line($lossless, 'content.cadence'));
    }

    public function test_held_at_its_ends(): void
    {
        $places = [0, 0, 0, 6, 10, 14, 18, 22, 26, 30, 30, 30];
        foreach (['png', 'mjpeg'] as $form) {
            $bench = self::bench($places, self::FORMS[$form]);
            $right = self::checked($bench, ['content.hold' => '3+3', 'content.frozen' => 'none']);
            self::assertSame('balanced', $right['verdict'], $form);
            $short = self::checked($bench, ['content.hold' => '5+3']);
            self::assertSame(['unequal', '3+3'], self::line($short, 'content.hold'));
            self::assertSame(['hold-too-short'], array_column($short['causes'], 'id'));
        }
    }

    public function test_a_loop_whose_seam_is_shown_twice(): void
    {
        $round = [0, 6, 12, 18, 24, 30, 30, 24, 18, 12, 6, 0];
        $check = self::checked(self::bench($round, self::FORMS['animation']), ['content.loop' => 'yes']);
        self::assertSame(['unequal', 'no, the first picture is shown twice'], self::line($check, 'content.loop'));
        self::assertSame(['seam-shown-twice'], array_column($check['causes'], 'id'));
        self::assertStringContainsString('ask for 11 pictures', $check['fixes'][0]['says']);

        $right = self::checked(
            self::bench(array_slice($round, 0, -1), self::FORMS['animation']),
            ['content.loop' => 'yes'],
        );
        self::assertSame('balanced', $right['verdict']);
    }

    public function test_whether_its_alpha_is_used(): void
    {
        foreach (['png with alpha', 'animation with alpha', 'raw with alpha'] as $form) {
            $asked = ['content.alpha_used' => 'yes'];
            $clear = self::checked(self::bench(self::moving(), self::FORMS[$form], true), $asked);
            self::assertSame(['equal', 'yes'], self::line($clear, 'content.alpha_used'), $form);
            $opaque = self::checked(self::bench(self::moving(), self::FORMS[$form]), $asked);
            self::assertSame(['unequal', 'no'], self::line($opaque, 'content.alpha_used'), $form);
            self::assertSame(['alpha-all-opaque'], array_column($opaque['causes'], 'id'), $form);
        }
    }

    public function test_beside_an_approved_picture(): void
    {
        $asked = self::asked([
            'time.range' => '1001-1012',
            'content.reference' => ['frame' => 1005, 'picture' => 'approved.png', 'tolerance' => '2/255'],
        ]);
        $bench = self::bench(self::moving(), self::FORMS['png']);
        $right = $bench->scan(looksFor: $asked, approved: [1005 => GdPixels::of(self::picture(12))]);
        self::assertSame('balanced', CheckReport::of($asked, null, $right)->check->verdict->value);

        $other = $bench->scan(looksFor: $asked, approved: [1005 => GdPixels::of(self::picture(30))]);
        $check = CheckReport::of($asked, null, $other)->toArray();
        self::assertSame('unequal', self::line($check, 'content.reference')[0]);
        self::assertSame(['value-differs'], array_column($check['causes'], 'id'));
        // of another size they are not compared
        $small = imagescale(self::picture(12), 25, 13) ?: self::fail('no image');
        $smaller = $bench->scan(looksFor: $asked, approved: [1005 => GdPixels::of($small)]);
        $check = CheckReport::of($asked, null, $smaller)->toArray();
        self::assertSame(['content.reference'], array_column($check['not_checked'], 'id'));
        self::assertSame('balanced', $check['verdict']);
    }

    /** What was seen is kept with the delivery, and two files that say the same of themselves are two. */
    public function test_two_movies_that_only_their_pictures_tell_apart(): void
    {
        $bench = self::bench(self::moving(), [self::FORMS['raw, red first'][0], 'a.mov']);
        $black = self::bench([0, 3, -1, ...range(4, 12)], [self::FORMS['raw, red first'][0], 'b.mov']);
        $bench->put('b.mov', (string) file_get_contents("{$black->folder}/b.mov"));
        $parts = array_map(static fn (string $name): array => [
            'name' => $name, 'delivers' => 'movie',
            'require' => ['content.black' => 'none', 'naming.pattern' => "{$name}.{ext}"],
        ], ['a', 'b']);
        $asked = Workbench::specification([], ['parts' => $parts]);
        $delivery = Delivery::fromArray(
            (array) json_decode((string) json_encode($bench->scan(looksFor: $asked)->toArray()), true),
        );
        $marks = [];
        foreach (CheckReport::of($asked, null, $delivery)->toArray()['entries'] as $entry) {
            $marks[$entry['id'].' '.$entry['part']] = $entry['mark'];
        }
        self::assertSame('equal', $marks['content.black a']);
        self::assertSame('unequal', $marks['content.black b']);
    }

    public function test_what_cannot_be_unpacked_is_told(): void
    {
        $bench = self::bench(self::moving(), ['-c:v libx264 -pix_fmt yuv420p', 'reel.mp4']);
        $check = self::checked($bench, ['content.black' => 'none']);

        self::assertSame('h264 is not decoded here', $check['not_checked'][0]['why']);
        self::assertSame('content.black', $check['not_checked'][0]['id']);
    }
}
