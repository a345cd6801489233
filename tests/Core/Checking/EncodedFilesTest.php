<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Support\Workbench;

/** Requirements beside files that encoders in daily use wrote: what each tells, and what it leaves open. */
final class EncodedFilesTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/';

    /** By file: requirement, asked, mark, found. */
    private const CELLS = [
        'encoders/rgb8.png' => [
            ['picture.resolution', '66x38', 'equal', '66x38'],
            ['picture.resolution', '38x66', 'unequal', '66x38'],
            ['picture.resolution', ['1920x1080', '66x38'], 'equal', '66x38'],
            ['picture.pixel_aspect', '1/1', 'equal', '1/1'],
            ['picture.display_aspect', '33:19', 'equal', '33:19'],
            ['picture.display_aspect', '16:9', 'unequal', '33:19'],
            ['picture.display_aspect', '1.74', 'equal', '33:19'],
            ['picture.density', 72, 'unknown', null],
            ['format.kind', 'png', 'equal', 'png'],
            ['format.kind', ['exr', 'png'], 'equal', 'png'],
            ['format.kind', 'exr', 'unequal', 'png'],
            ['format.bit_depth', 8, 'equal', '8'],
            ['format.bit_depth', 16, 'unequal', '8'],
            ['format.sample', 'uint', 'equal', 'uint'],
            ['format.sample', 'float', 'unequal', 'uint'],
            ['format.channels', 'RGB', 'equal', 'RGB'],
            ['format.channels', 'RGBA', 'unequal', 'RGB'],
            ['format.alpha', 'none', 'equal', 'none'],
            ['format.alpha', 'straight', 'unequal', 'none'],
            ['format.alpha', 'any', 'unequal', 'none'],
            ['format.compression', 'deflate', 'equal', 'deflate'],
            ['format.compression', 'lossless', 'equal', 'deflate'],
            ['format.compression', 'zip', 'unequal', 'deflate'],
            ['colour.encoding', 'srgb', 'unknown', null],
            ['content.whole', 'yes', 'equal', 'yes'],
        ],
        'encoders/rgba16.png' => [
            ['format.bit_depth', [8, 16], 'equal', '16'],
            ['format.channels', 'RGBA', 'equal', 'RGBA'],
            ['format.alpha', 'any', 'equal', 'alpha'],
            ['format.alpha', 'none', 'unequal', 'alpha'],
        ],
        'encoders/palettealpha.png' => [
            ['format.channels', 'RGBA', 'equal', 'RGBA'],
            ['format.alpha', 'straight', 'equal', 'alpha'],
        ],
        'encoders/pil-palette.png' => [
            ['format.bit_depth', 4, 'equal', '4'],
            ['format.channels', 'RGB', 'equal', 'RGB'],
        ],
        'encoders/pil-grey16.png' => [
            ['format.channels', 'grey', 'equal', 'Y'],
            ['format.channels', 'RGB', 'unequal', 'Y'],
            ['format.bit_depth', 16, 'equal', '16'],
        ],
        'encoders/density.png' => [
            ['picture.density', '300 dpi', 'equal', '300'],
            ['picture.density', 299, 'unequal', '300'],
            ['colour.encoding', 'srgb', 'equal', 'srgb'],
        ],
        'encoders/tall-pixels.png' => [
            ['picture.pixel_aspect', '1.1', 'equal', '11/10'],
            ['picture.pixel_aspect', '1/1', 'unequal', '11/10'],
            ['picture.density', 72, 'unknown', null],
        ],
        'encoders/profile.png' => [
            ['colour.encoding', 'srgb', 'equal', 'srgb'],
            ['colour.encoding', 'rec709', 'unequal', 'srgb'],
            ['picture.density', 240, 'equal', '240'],
        ],
        'encoders/linear-profile.png' => [['colour.encoding', 'linear', 'unknown', null]],
        'encoders/linear-gamma.png' => [
            ['colour.encoding', 'linear', 'equal', 'linear'],
            ['colour.encoding', 'srgb', 'unequal', 'linear'],
            ['picture.density', 72, 'equal', '72'],
        ],
        'encoders/srgb-gamma.png' => [['colour.encoding', 'srgb', 'equal', 'srgb']],
        'encoders/q90-420.jpg' => [
            ['format.kind', 'jpg', 'equal', 'jpeg'],
            ['format.quality', 90, 'equal', '90'],
            ['format.quality', '>= 91', 'unequal', '90'],
            ['format.chroma', '4:2:0', 'equal', '4:2:0'],
            ['format.chroma', ['4:4:4', '4:2:2'], 'unequal', '4:2:0'],
            ['format.compression', 'jpeg', 'equal', 'jpeg'],
            ['format.compression', 'lossless', 'unequal', 'jpeg'],
            ['format.alpha', 'none', 'equal', 'none'],
        ],
        'encoders/q75-444.jpg' => [['format.quality', 75, 'equal', '75'], ['format.chroma', '4:4:4', 'equal', '4:4:4']],
        'encoders/restart-422.jpg' => [
            ['format.quality', 50, 'equal', '50'],
            ['format.chroma', '4:2:2', 'equal', '4:2:2'],
        ],
        'encoders/sample-411.jpg' => [['format.chroma', '4:2:0', 'unequal', '4:1:1']],
        'encoders/pil-grey.jpg' => [['format.quality', 36, 'unequal', '35'], ['format.channels', 'Y', 'equal', 'Y']],
        'encoders/pil-cmyk.jpg' => [
            ['format.channels', 'CMYK', 'equal', 'CMYK'],
            ['format.channels', 'RGB', 'unequal', 'CMYK'],
        ],
        'encoders/exif-inch.jpg' => [
            ['picture.density', 300, 'equal', '300'],
            ['colour.encoding', 'srgb', 'equal', 'srgb'],
            ['picture.pixel_aspect', '1/1', 'equal', '1/1'],
            ['picture.projection', 'lat-long', 'unequal', null],
        ],
        'encoders/exif-cm.jpg' => [
            ['picture.density', 300, 'equal', '300'],
            ['picture.density', 118, 'unequal', '300'],
        ],
        'encoders/profile.jpg' => [
            ['colour.encoding', 'srgb', 'equal', 'srgb'],
            ['picture.density', 240, 'equal', '240'],
            ['format.quality', 92, 'equal', '92'],
        ],
        'encoders/sar-10-11.jpg' => [
            ['picture.pixel_aspect', '10/11', 'equal', '10/11'],
            ['picture.pixel_aspect', '1/1', 'unequal', '10/11'],
            ['picture.density', 72, 'unknown', null],
        ],
        'encoders/float-zip1.exr' => [
            ['format.compression', 'zips', 'equal', 'zips'],
            ['format.compression', ['zip', 'zips'], 'equal', 'zips'],
            ['format.compression', 'zip', 'unequal', 'zips'],
            ['format.bit_depth', 32, 'equal', '32'],
            ['format.bit_depth', 'half', 'unequal', '32'],
            ['format.sample', 'float', 'equal', 'float'],
            ['time.rate', 24, 'equal', '24'],
            ['time.rate', 23.976, 'unequal', '24'],
            ['picture.region', 'full', 'equal', 'full'],
            ['format.alpha', 'none', 'equal', 'none'],
            ['colour.encoding', 'linear', 'equal', 'linear, since it is float and says nothing else'],
        ],
        'encoders/half-rgba.exr' => [
            ['format.bit_depth', 'half', 'equal', '16'],
            ['format.alpha', 'premultiplied', 'equal', 'alpha'],
            ['format.alpha', 'straight', 'equal', 'alpha'],
            ['format.alpha', 'none', 'unequal', 'alpha'],
        ],
        'encoders/half-piz.exr' => [['format.compression', 'lossless', 'equal', 'piz']],
        'encoders/tiled-dwaa.exr' => [
            ['format.compression', 'lossless', 'unequal', 'dwaa'],
            ['format.compression', 'dwaa', 'equal', 'dwaa'],
        ],
        'encoders/attributes.exr' => [
            ['time.rate', '23.976', 'equal', '24000/1001'],
            ['time.rate', '24', 'unequal', '24000/1001'],
            ['camera.name', 'cam_quay', 'equal', 'cam_quay'],
            ['picture.pixel_aspect', '12/11', 'equal', null],
        ],
        'exr/win.exr' => [
            ['picture.resolution', '100x80', 'equal', '100x80'],
            ['picture.pixel_aspect', '10/11', 'equal', '10/11'],
            ['time.rate', 23.976, 'equal', '24000/1001'],
        ],
        'exr/id.exr' => [['format.sample', 'uint', 'equal', 'uint'], ['format.bit_depth', 32, 'equal', '32']],
        'exr/y.exr' => [['format.channels', 'Y', 'equal', 'Y']],
        'exr/pxr.exr' => [['format.compression', ['pxr24'], 'equal', 'pxr24']],
    ];

    /** @return iterable<string, array{string, string, mixed, string, string|null}> */
    public static function cells(): iterable
    {
        foreach (self::CELLS as $file => $rows) {
            foreach ($rows as [$id, $asked, $mark, $found]) {
                yield "{$file}, {$id} ".json_encode($asked) => [$file, $id, $asked, $mark, $found];
            }
        }
    }

    #[DataProvider('cells')]
    public function test_what_a_file_tells(string $file, string $id, mixed $asked, string $mark, ?string $found): void
    {
        $bench = new Workbench;
        $bytes = (string) file_get_contents(self::FIXTURES.$file);
        $extension = pathinfo($file, PATHINFO_EXTENSION);
        foreach ([1, 2, 3] as $frame) {
            $bench->put("q.{$frame}.{$extension}", $bytes);
        }
        $document = $bench->check(Workbench::specification([$id => $asked]));
        $cell = $document['entries'][0]['files'];

        self::assertSame($mark, $cell['mark'], (string) json_encode($cell));
        if ($found !== null || $mark === 'unknown') {
            self::assertSame($found, $cell['found']);
        }
        self::assertArrayNotHasKey('runs', array_filter($cell), 'three times the same file');
        self::assertSame(match ($mark) {
            'equal' => 'balanced', 'unequal' => 'unbalanced', default => 'open',
        }, $document['verdict']);
        self::assertSame($mark === 'unequal', $document['causes'] !== []);
    }

    public function test_one_file_of_another_encoder_among_many_is_named_by_its_frame(): void
    {
        $of = static fn (string $name): string => (string) file_get_contents(self::FIXTURES."encoders/{$name}");
        $bench = new Workbench;
        foreach (range(1, 20) as $frame) {
            $bench->put(
                sprintf('q.%04d.png', $frame),
                $of(match (true) {
                    $frame === 7 => 'rgba16.png',
                    $frame > 17 => 'palette8.png',
                    default => 'rgb8.png',
                }),
            );
        }
        $document = $bench->check(
            Workbench::specification(
                [
                    'format.channels' => 'RGB',
                    'format.bit_depth' => 8,
                    'content.uniform' => 'yes',
                    'time.range' => '1-20',
                ],
            ),
        );
        $byId = array_column($document['entries'], null, 'id');

        self::assertSame([['frames' => '7', 'found' => 'RGBA']], $byId['format.channels']['files']['runs']);
        self::assertSame([['frames' => '7', 'found' => '16']], $byId['format.bit_depth']['files']['runs']);
        self::assertSame(
            ['unequal', 'unequal', 'equal'],
            [$byId['format.channels']['mark'], $byId['content.uniform']['mark'], $byId['time.range']['mark']],
        );
        // more than was asked is saved again, and not rendered
        self::assertSame('', $document['sequences'][0]['rerender']);
        self::assertSame(
            ['7'],
            array_values(
                array_unique(
                    array_column(
                        array_filter($document['fixes'], static fn (array $f): bool => $f['kind'] === 'encode'),
                        'frames',
                    ),
                ),
            ),
        );
    }

    public function test_a_whole_delivery_of_real_files_balances(): void
    {
        $bench = new Workbench;
        $bytes = (string) file_get_contents(self::FIXTURES.'encoders/attributes.exr');
        foreach (range(1001, 1024) as $frame) {
            $bench->put("TC_010/TC_010_light_v003.{$frame}.exr", $bytes);
        }
        $document = $bench->check(Workbench::specification([
            'picture.resolution' => '66x38', 'picture.region' => 'full', 'picture.pixel_aspect' => '12/11',
            'time.rate' => '24000/1001',
            'time.range' => '1001-1024',
            'time.step' => 1,
            'time.count' => ['min' => 20, 'max' => 30],
            'camera.name' => 'cam_quay',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.sample' => 'float',
            'format.channels' => 'RGB',
            'format.alpha' => 'none',
            'format.compression' => ['zip', 'zips'],
            'format.file_size' => '1 MB',
            'colour.encoding' => 'linear',
            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
            'naming.folder' => '{shot}',
            'content.whole' => 'yes',
            'content.uniform' => 'yes',
            'delivery.extras' => 'none',
            'delivery.total_size' => '1 GB',
        ]));

        self::assertSame(['balanced', [], []], [$document['verdict'], $document['causes'], $document['fixes']]);
        self::assertSame(array_fill(0, 22, 'equal'), array_column($document['entries'], 'mark'));
    }
}
