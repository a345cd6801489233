<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneDocument;
use PlainLedger\Core\Tabular\Csv;
use Tests\Core\Support\Workbench;

/** The same random scenes in every form there is: each is read as the same, and checked as the same. */
final class EveryLayoutTest extends TestCase
{
    /** What settings are called, and values of each that mean different things. */
    private const SETTINGS = [
        'Resolution' => ['2048x858', '1024x429', '1920 x 1080'],
        'Render Scale' => ['100 %', '50 %'],
        'Pixel Aspect' => ['1', '2'],
        'Frame Rate' => ['24', '25', '23.976 fps'],
        'Frame Range' => ['1001-1096', '1001-1050', '1-60'],
        'Frame Step' => ['1', '2'],
        'Camera' => ['cam_quay', 'cam_wide'],
        'File Format' => ['OpenEXR', 'PNG'],
        'Bit Depth' => ['16', '8'],
        'Channels' => ['RGBA', 'RGB'],
        'Compression' => ['zip', 'piz'],
        'Samples' => ['256', '64'],
        'Motion Blur' => ['on', 'off'],
        'Output Path' => ['renders/TC_010/TC_010_light_v003.####.exr', 'TC_010_light_v003.exr'],
    ];

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 25) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_each_form_comes_to_the_same(int $seed): void
    {
        mt_srand($seed);
        $asked = Workbench::specification([
            'picture.resolution' => '2048x858',
            'picture.scale' => 100,
            'picture.pixel_aspect' => 1,
            'time.rate' => 24,
            'time.range' => '1001-1096',
            'time.step' => 1,
            'camera.name' => 'cam_quay',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.channels' => 'RGBA',
            'format.compression' => ['zip', 'zips'],
            'render.samples' => ['min' => 128],
            'render.motion_blur' => 'on',
            'output.folder' => 'renders/{shot}',
            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
        ]);
        $names = array_keys(self::SETTINGS);
        shuffle($names);
        // a few settings at the least tell a sheet from prose
        $names = array_slice($names, 0, mt_rand(4, count($names)));
        $scenes = [];
        foreach (range(1, mt_rand(1, 4)) as $n) {
            foreach ($names as $name) {
                $scenes["SC_{$n}"][$name] = self::SETTINGS[$name][mt_rand(0, count(self::SETTINGS[$name]) - 1)];
            }
        }
        $expected = array_map(
            static fn (array $settings): array => self::lines(
                $asked,
                implode(
                    "\n",
                    array_map(
                        static fn (string $k, string $v): string => "{$k} = {$v}",
                        array_keys($settings),
                        $settings,
                    ),
                ),
                'lines.txt',
            )[0],
            array_values($scenes),
        );

        foreach (self::forms($names, $scenes) as $form => [$file, $text]) {
            self::assertSame($expected, self::lines($asked, $text, $file), "{$form}\n{$text}");
        }
        foreach ($scenes as $n => $settings) {
            $forms = [
                'ini' => [
                    'a.ini',
                    "[render]\n".implode(
                        "\n",
                        array_map(
                            static fn (string $k, string $v): string => "{$k}={$v}",
                            array_keys($settings),
                            $settings,
                        ),
                    ),
                ],
                'colons' => [
                    'a.txt',
                    implode(
                        "\r\n",
                        array_map(
                            static fn (string $k, string $v): string => "{$k}: {$v}",
                            array_keys($settings),
                            $settings,
                        ),
                    ),
                ],
                'JSON' => ['a.json', (string) json_encode($settings)],
                'deep JSON' => ['a.json', (string) json_encode(['a' => ['b' => $settings]])],
                'quotes' => [
                    'a.txt',
                    implode(
                        "\n",
                        array_map(
                            static fn (string $k, string $v): string => "\"{$k}\": \"{$v}\",",
                            array_keys($settings),
                            $settings,
                        ),
                    ),
                ],
                'UTF-16' => [
                    'a.txt',
                    "\xFF\xFE".mb_convert_encoding(
                        implode(
                            "\n",
                            array_map(
                                static fn (string $k, string $v): string => "{$k}\t{$v}",
                                array_keys($settings),
                                $settings,
                            ),
                        ),
                        'UTF-16LE',
                        'UTF-8',
                    ),
                ],
            ];
            $own = $expected[array_search($n, array_keys($scenes), true)];
            foreach ($forms as $form => [$file, $text]) {
                self::assertSame([$own], self::lines($asked, $text, $file), "{$form}\n{$text}");
            }
            $read = (new DetectingReader)->read($forms['JSON'][1], 'a.json');
            self::assertSame([$own], self::lines($asked, SceneDocument::write($read), 'a.json'), 'as a document');
        }
    }

    /**
     * @param  list<string>  $names
     * @param  array<string, array<string, string>>  $scenes
     * @return array<string, array{string, string}> file name and text
     */
    private static function forms(array $names, array $scenes): array
    {
        $rows = [['Scene', ...$names]];
        $long = [['Scene', 'Setting', 'Value']];
        foreach ($scenes as $scene => $settings) {
            $rows[] = [$scene, ...array_values($settings)];
            foreach ($settings as $name => $value) {
                $long[] = [$scene, $name, $value];
            }
        }
        $across = [['Setting', ...array_keys($scenes)]];
        foreach ($names as $name) {
            $across[] = [$name, ...array_map(static fn (array $s): string => $s[$name], array_values($scenes))];
        }
        $between = static fn (array $table, string $mark): string => implode(
            "\n",
            array_map(static fn (array $row): string => implode($mark, $row), $table),
        );

        return [
            'a scene a row' => ['a.csv', Csv::of($rows)],
            'with semicolons' => ['a.csv', $between($rows, ';')],
            'pasted cells' => ['pasted', $between($rows, "\t")],
            'scenes beside each other' => ['a.csv', Csv::of($across)],
            'whose it is first' => ['a.tsv', $between($long, "\t")],
        ];
    }

    /** @return list<list<string>> marks and causes of each scene in it */
    private static function lines(
        \PlainLedger\Core\Specification\Specification $asked,
        string $text,
        string $file,
    ): array {
        return array_map(static function (RawScene $told) use ($asked): array {
            self::assertSame(
                [],
                array_values(
                    array_filter($told->settings->misread->sentences, static fn (string $s): bool => $s !== 'Scene'),
                ),
            );
            $document = CheckReport::of($asked, $told->settings, null)->toArray();

            return [
                ...array_map(
                    static fn (array $e): string => "{$e['id']} {$e['mark']} {$e['scene']['found']}",
                    is_array($document['entries']) ? $document['entries'] : [],
                ),
                ...array_map(
                    static fn (array $c): string => "{$c['id']}: ".implode(' ', $c['explains']),
                    is_array($document['causes']) ? $document['causes'] : [],
                ),
            ];
        }, (new DetectingReader)->scenes($text, $file));
    }
}
