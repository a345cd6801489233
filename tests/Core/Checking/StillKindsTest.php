<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;
use Tests\Core\Support\Workbench;

/** Every still format, judged: nothing is wrong with what is as asked, and what is not is told with its cause. */
final class StillKindsTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../fixtures/stills/';

    /** @return array<string, mixed> the document */
    private static function checked(string $fixture, array $require, string $extension): array
    {
        $bytes = (string) file_get_contents(self::FOLDER.$fixture);
        $bench = (new Workbench)->frames("a.%04d.{$extension}", '1-3', $bytes);

        return $bench->check(Workbench::specification($require + [
            'time.range' => '1-3', 'naming.pattern' => 'a.{frame:4}.{ext}', 'content.whole' => 'yes',
            'content.uniform' => 'yes', 'delivery.extras' => 'none',
        ]));
    }

    public function test_what_a_file_says_can_be_asked_of_it(): void
    {
        foreach (glob(self::FOLDER.'*.{tif,tga,dpx,bmp,webp,exr}', GLOB_BRACE) ?: [] as $path) {
            $facts = Probe::standard()->read(FileSource::open($path));
            $extension = pathinfo($path, PATHINFO_EXTENSION);
            $asked = array_filter([
                'picture.resolution' => "{$facts->picture->width}x{$facts->picture->height}",
                'picture.pixel_aspect' => (string) $facts->picture->pixelAspect,
                'format.kind' => $facts->kind?->value,
                'format.bit_depth' => $facts->encoding->bitDepth,
                'format.sample' => $facts->encoding->sample,
                'format.channels' => $facts->encoding->channelsText(),
                'format.compression' => $facts->encoding->compression,
                'format.chroma' => $facts->encoding->chroma,
                'format.alpha' => $facts->encoding->hasAlpha() === true ? $facts->labels->alphaKind ?? 'any' : 'none',
                'picture.density' => $facts->picture->density,
                'colour.encoding' => $facts->picture->colour,
                'time.rate' => $facts->timing->rate === null ? null : (string) $facts->timing->rate,
            ], static fn (mixed $value): bool => $value !== null);
            $document = self::checked(basename($path), $asked, $extension);
            self::assertSame('balanced', $document['verdict'], $path);
            self::assertSame([[], []], [$document['causes'], $document['fixes']], $path);
        }
    }

    public function test_the_wrong_kind_of_alpha_is_told_and_saved_again(): void
    {
        $document = self::checked('im-associated.tif', ['format.alpha' => 'straight', 'format.kind' => 'tiff'], 'tif');
        self::assertSame(['value-differs'], array_column($document['causes'], 'id'));
        self::assertSame(['encode'], array_column($document['fixes'], 'kind'));
        // of which kind it is, is not always said
        foreach (['straight', 'premultiplied', 'any'] as $asked) {
            $document = self::checked('im-unspecified.tif', ['format.alpha' => $asked, 'format.kind' => 'tiff'], 'tif');
            self::assertSame('balanced', $document['verdict']);
        }
        $document = self::checked('ffmpeg-raw.tif', ['format.alpha' => 'straight', 'format.kind' => 'tiff'], 'tif');
        self::assertSame(['alpha-not-saved'], array_column($document['causes'], 'id'));
    }

    public function test_packings_are_called_as_people_call_them(): void
    {
        foreach ([
            ['ffmpeg-deflate.tif', 'zip', 'balanced'], ['ffmpeg-deflate.tif', 'deflate', 'balanced'],
            ['ffmpeg-lzw.tif', 'lossless', 'balanced'], ['im-jpeg.tif', 'lossless', 'unbalanced'],
            ['im-zstd.tif', 'lossless', 'balanced'], ['lossless.webp', 'lossless', 'balanced'],
            ['lossy.webp', 'lossless', 'unbalanced'], ['im-rle.tga', 'rle', 'balanced'],
            ['ffmpeg-raw.tga', 'rle', 'unbalanced'], ['ffmpeg-packbits.tif', 'packbits', 'balanced'],
        ] as [$fixture, $asked, $verdict]) {
            $extension = pathinfo($fixture, PATHINFO_EXTENSION);
            $document = self::checked($fixture, ['format.compression' => $asked], $extension);
            self::assertSame($verdict, $document['verdict'], "{$fixture}, {$asked}");
        }
    }

    public function test_a_start_timecode_and_a_rate_in_a_header_are_compared(): void
    {
        $document = self::checked('im-noted.dpx', ['time.rate' => '25', 'time.start_timecode' => '01:02:03:04'], 'dpx');
        self::assertSame(
            ['time.rate' => 'unequal', 'time.start_timecode' => 'equal'],
            array_intersect_key(
                array_column($document['entries'], 'mark', 'id'),
                ['time.rate' => 1, 'time.start_timecode' => 1],
            ),
        );
        self::assertSame(['rate-of-another-standard'], array_column($document['causes'], 'id'));
        // one that says nothing of it has no line
        $document = self::checked('im-10.dpx', ['time.rate' => '25', 'format.kind' => 'dpx'], 'dpx');
        self::assertSame('balanced', $document['verdict']);
        self::assertSame(['time.rate'], array_column($document['not_checked'], 'id'));
    }

    public function test_sound_beside_frames_is_compared(): void
    {
        $bench = (new Workbench)->put('mix.wav', (string) file_get_contents(self::FOLDER.'pcm24.wav'));
        $ask = static fn (array $more): array => $bench->check(Workbench::specification($more + [
            'naming.pattern' => 'mix.{ext}', 'format.kind' => 'wav', 'content.whole' => 'yes',
        ], ['delivers' => 'file']));
        $right = ['audio.sample_rate' => 48000, 'audio.bit_depth' => 24, 'audio.channels' => 2];
        self::assertSame('balanced', $ask($right + ['audio.presence' => 'required'])['verdict']);
        $wrong = $ask(['audio.sample_rate' => 44100, 'audio.channels' => 6]);
        self::assertSame(['audio-format-differs'], array_column($wrong['causes'], 'id'));
        self::assertSame(['audio.sample_rate', 'audio.channels'], $wrong['causes'][0]['explains']);

        $bench->put('mix.wav', substr((string) file_get_contents(self::FOLDER.'pcm24.wav'), 0, 9000));
        self::assertSame(['cut-short'], array_column($ask($right)['causes'], 'id'));
    }
}
