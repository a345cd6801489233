<?php

declare(strict_types=1);

namespace Tests\Core\Remedy;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Remedy\Tagging\CopyWriter;
use PlainLedger\Core\Remedy\Tagging\TaggedCopy;
use PlainLedger\Core\Remedy\Tagging\TagRefused;
use PlainLedger\Core\Remedy\Tagging\Tags;
use Tests\Core\Support\Workbench;

final class TaggedCopyTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/';

    /** @param  array<string, string>  $values */
    private static function tags(array $values): Tags
    {
        $tags = new Tags;
        foreach ($values as $id => $value) {
            $tags = $tags->with($id, $value);
        }

        return $tags;
    }

    /** @param  array<string, string>  $values */
    private static function copy(string $bytes, array $values): string
    {
        $source = new StringSource($bytes);

        return implode('', iterator_to_array(
            TaggedCopy::of($source, Probe::exact()->read($source), self::tags($values)),
            false,
        ));
    }

    private static function facts(string $bytes, ScanDepth $depth = ScanDepth::Full): MediaFacts
    {
        return Probe::exact()->read(new StringSource($bytes), $depth);
    }

    /** @return iterable<string, array{string}> every whole movie of boxes there is among the fixtures */
    public static function movies(): iterable
    {
        foreach (glob(self::FIXTURES.'movies/*.{mp4,mov}', GLOB_BRACE) ?: [] as $path) {
            $facts = Probe::exact()->read(FileSource::open($path));
            if ($facts->isWhole() && $facts->movie?->isFragmented !== true && $facts->timing->rate !== null) {
                yield basename($path) => [$path];
            }
        }
    }

    #[DataProvider('movies')]
    public function test_a_movie_tells_what_was_written_and_its_pictures_are_the_same(string $path): void
    {
        $bytes = (string) file_get_contents($path);
        $before = self::facts($bytes);
        $tags = [
            'picture.pixel_aspect' => '10/11', 'time.start_timecode' => '10:20:30:04', 'format.index' => 'first',
        ];
        $isFree = self::isColourFree($before);
        $copy = self::copy($bytes, $tags + ($isFree ? ['colour.encoding' => 'srgb'] : []));
        $after = self::facts($copy);
        self::assertTrue($after->isWhole(), (string) $after->wholeness->reason);
        self::assertSame(['10/11', '10:20:30:04', $isFree ? 'srgb' : $before->picture->colour, 'first'], [
            (string) $after->picture->pixelAspect, $after->movie?->startTimecode, $after->picture->colour,
            $after->movie?->index,
        ]);
        $alike = static fn (MediaFacts $facts): array => [
            $facts->picture->width, $facts->picture->height, (string) $facts->timing->rate, $facts->timing->frameCount,
            $facts->encoding->codec, (string) $facts->timing->duration, count($facts->movie->sound ?? []),
        ];
        self::assertSame($alike($before), $alike($after));
        if (is_executable('/usr/bin/ffmpeg')) {
            self::assertSame(self::hashes($bytes), self::hashes($copy));
            $elsewhere = self::elsewhere($copy);
            self::assertSame(['10:11', '10:20:30:04'], [$elsewhere[0], $elsewhere[2]], 'as another reader has it');
            self::assertTrue(! $isFree || $elsewhere[1] === 'iec61966-2-1', 'as another reader has it');
        }
    }

    #[DataProvider('movies')]
    public function test_a_movie_plays_at_another_rate_where_its_clock_allows_it(string $path): void
    {
        $bytes = (string) file_get_contents($path);
        $before = self::facts($bytes);
        foreach (['25', '24000/1001'] as $rate) {
            try {
                $copy = self::copy($bytes, ['time.rate' => $rate]);
            } catch (TagRefused $refused) {
                self::assertContains($refused->reason(), [
                    'sound or a timecode runs beside the pictures and would part from them',
                    'its pictures do not all stand for the same time', 'its clock does not count in whole pictures',
                ], basename($path));

                continue;
            }
            $after = self::facts($copy);
            self::assertSame([$rate, $before->timing->frameCount, true], [
                (string) $after->timing->rate, $after->timing->frameCount,
                $after->movie?->picture->timing->isConstant,
            ]);
            self::assertSame(
                (array) $before->movie?->picture->order->keyframes,
                (array) $after->movie?->picture->order->keyframes,
            );
            if (is_executable('/usr/bin/ffmpeg')) {
                self::assertSame(self::hashes($bytes), self::hashes($copy));
                [, , , $elsewhere] = self::elsewhere($copy);
                self::assertSame(str_contains($rate, '/') ? $rate : "{$rate}/1", $elsewhere, basename($path));
            }
        }
    }

    public function test_most_movies_without_sound_can_be_played_at_another_rate(): void
    {
        $done = [];
        foreach (['h264.mp4', 'hevc.mp4', 'film.mp4', 'raw.mov', 'turned.mp4'] as $name) {
            $bytes = (string) file_get_contents(self::FIXTURES."movies/{$name}");
            $done[$name] = (string) self::facts(self::copy($bytes, ['time.rate' => '25']))->timing->rate;
        }
        self::assertSame(['25'], array_values(array_unique($done)));
    }

    /** Whether nothing within the pictures says otherwise. */
    private static function isColourFree(MediaFacts $facts): bool
    {
        $family = explode(' ', (string) $facts->encoding->codec)[0];

        return ! in_array($family, ['prores', 'hevc', 'av1', 'vp9'], true)
            && ($family !== 'h264' || $facts->picture->colour === null);
    }

    /** Of every packet of pictures and sound, by another reader. */
    private static function hashes(string $bytes): string
    {
        $file = self::onDisk($bytes);
        exec('ffmpeg -v error -i '.escapeshellarg($file).' -map 0:v -map 0:a? -c copy -f streamhash - 2>&1', $out);
        unlink($file);

        return implode("\n", $out);
    }

    /** @return array{string, string, string, string} */
    private static function elsewhere(string $bytes): array
    {
        $file = self::onDisk($bytes);
        exec('ffprobe -v error -of json -show_streams '.escapeshellarg($file).' 2>&1', $out);
        unlink($file);
        /** @var array{streams: list<array<string, mixed>>} $read */
        $read = json_decode(implode('', $out), true);
        $of = static fn (string $type): array => array_values(
            array_filter($read['streams'], static fn (array $s): bool => $s['codec_type'] === $type),
        )[0] ?? [];

        return [
            $of('video')['sample_aspect_ratio'] ?? '',
            $of('video')['color_transfer'] ?? '',
            $of('data')['tags']['timecode'] ?? '',
            $of('video')['avg_frame_rate'] ?? '',
        ];
    }

    private static function onDisk(string $bytes): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pl-tag');
        file_put_contents($file, $bytes);

        return $file;
    }

    public function test_tags_that_are_there_are_written_over_and_others_stay(): void
    {
        $bytes = (string) file_get_contents(self::FIXTURES.'movies/wide.mov');
        $once = self::copy($bytes, ['time.start_timecode' => '01:00:00:00', 'colour.encoding' => 'rec709']);
        $twice = self::copy($once, ['time.start_timecode' => '02:00:00:00']);
        $facts = self::facts($twice);
        self::assertSame(['02:00:00:00', 'rec709'], [$facts->movie?->startTimecode, $facts->picture->colour]);
        self::assertSame(1, substr_count($twice, 'mhlrtmcd'));
    }

    public function test_a_sphere_is_told_where_its_pictures_can_be_one(): void
    {
        $bytes = (string) file_get_contents(self::FIXTURES.'movies/wide.mov');
        $projection = self::facts(self::copy($bytes, ['picture.projection' => 'lat-long']))->picture->projection;
        self::assertSame('lat-long', $projection);
        $this->expectException(TagRefused::class);
        $this->expectExceptionMessage('cannot be written for');
        self::copy($bytes, ['picture.projection' => 'lat-long stereo']);
    }

    /** @return iterable<string, array{string}> */
    public static function pictures(): iterable
    {
        foreach (['png', 'jpg'] as $end) {
            foreach (glob(self::FIXTURES."{stills,encoders}/*.{$end}", GLOB_BRACE) ?: [] as $path) {
                yield basename($path) => [$path];
            }
        }
    }

    #[DataProvider('pictures')]
    public function test_a_picture_tells_what_was_written(string $path): void
    {
        $bytes = (string) file_get_contents($path);
        $facts = self::facts($bytes);
        if (! $facts->isWhole()) {
            $this->expectException(TagRefused::class);
        }
        if (in_array(basename($path), ['kept-rgb.jpg', 'pil-cmyk.jpg'], true)) {
            // with a head of densities their colours would be taken for others
            $this->expectException(TagRefused::class);
        }
        $copy = self::copy($bytes, ['picture.projection' => 'lat-long', 'picture.pixel_aspect' => '2/1']);
        $after = self::facts($copy);
        self::assertTrue($after->isWhole(), (string) $after->wholeness->reason);
        self::assertSame(['lat-long', '2'], [$after->picture->projection, (string) $after->picture->pixelAspect]);
        self::assertSame($facts->encoding->compression, $after->encoding->compression);
        // what is packed is taken over
        self::assertSame(md5(substr($bytes, -60)), md5(substr($copy, -60)));
        // the same again changes nothing
        $again = self::copy($copy, ['picture.projection' => 'lat-long', 'picture.pixel_aspect' => '2/1']);
        self::assertSame(md5($copy), md5($again));
        $dense = self::facts(self::copy($bytes, ['picture.density' => '300']));
        self::assertSame(300, $dense->picture->density);
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function impossible(): iterable
    {
        $movie = static fn (string $name): string => (string) file_get_contents(self::FIXTURES."movies/{$name}");
        $png = Workbench::png(64, 36);
        yield 'a timecode in a picture' => [$png, ['time.start_timecode' => '01:00:00:00'], 'no place'];
        yield 'colour in a JPEG' => [
            (string) file_get_contents(self::FIXTURES.'encoders/exif-inch.jpg'),
            ['colour.encoding' => 'srgb'],
            'no place',
        ];
        yield 'a timecode that is none' => [$movie('wide.mov'), ['time.start_timecode' => '99:99:99:99'], 'is no'];
        yield 'a colour without a number' => [$movie('wide.mov'), ['colour.encoding' => 'linear'], 'code points'];
        yield 'colour in pictures that tell it' => [$movie('hq.mov'), ['colour.encoding' => 'srgb'], 'encode it'];
        yield 'pieces' => [$movie('fragments.mp4'), ['format.index' => 'first'], 'in pieces'];
        yield 'a rate in a picture' => [$png, ['time.rate' => '24'], 'no frame rate'];
        yield 'a rate beside sound' => [$movie('sound.mov'), ['time.rate' => '24'], 'would part'];
        yield 'density in a movie' => [$movie('wide.mov'), ['picture.density' => '72'], 'no density'];
        yield 'what is cut short' => [substr($movie('wide.mov'), 0, -600), ['format.index' => 'first'], 'damaged'];
        yield 'what is no tag' => [$png, ['picture.resolution' => '64x36'], 'no tag'];
    }

    /** @param  array<string, string>  $values */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_written_is_refused(string $bytes, array $values, string $says): void
    {
        $this->expectException(TagRefused::class);
        $this->expectExceptionMessage($says);
        self::copy($bytes, $values);
    }

    public function test_nothing_that_stands_in_a_file_does_harm(): void
    {
        mt_srand(11);
        $tags = [
            'time.start_timecode' => '01:00:00:00', 'format.index' => 'first', 'picture.pixel_aspect' => '2/1',
            'colour.encoding' => 'rec709',
        ];
        foreach (['movies/wide.mov', 'stills/profile.png', 'encoders/exif-inch.jpg'] as $name) {
            $path = is_file(self::FIXTURES.$name) ? self::FIXTURES.$name : self::FIXTURES.'encoders/'.basename($name);
            $bytes = (string) file_get_contents($path);
            $asked = str_ends_with($name, 'mov') ? $tags : ['picture.projection' => 'lat-long'];
            for ($i = 0; $i < 400; $i++) {
                $broken = $bytes;
                for ($n = mt_rand(1, 6); $n > 0; $n--) {
                    $broken[mt_rand(0, min(6000, strlen($broken) - 1))] = chr(mt_rand(0, 255));
                }
                try {
                    self::assertNotSame('', self::copy($broken, $asked));
                } catch (TagRefused $refused) {
                    self::assertNotSame('', $refused->reason());
                }
            }
        }
    }

    public function test_a_copy_takes_its_place_only_where_nothing_is_and_it_is_right(): void
    {
        $bench = new Workbench;
        $source = new StringSource(Workbench::png(64, 36));
        $writer = new CopyWriter("{$bench->folder}/tagged");
        $writer->write($source, 'a/b.png', self::tags(['picture.pixel_aspect' => '2/1']));
        $written = (string) file_get_contents("{$bench->folder}/tagged/a/b.png");
        self::assertSame('2', (string) self::facts($written)->picture->pixelAspect);
        self::assertSame(['b.png'], array_values(array_diff(scandir("{$bench->folder}/tagged/a") ?: [], ['.', '..'])));
        $wrong = ['a/b.png' => 'there already', '../c.png' => 'leads elsewhere', 'a//c.png' => 'leads elsewhere'];
        foreach ($wrong as $path => $says) {
            try {
                $writer->write($source, $path, self::tags(['picture.pixel_aspect' => '3/1']));
                self::fail($path);
            } catch (TagRefused $refused) {
                self::assertStringContainsString($says, $refused->getMessage());
            }
        }
        self::assertSame($written, file_get_contents("{$bench->folder}/tagged/a/b.png"));
    }
}
