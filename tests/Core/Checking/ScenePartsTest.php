<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** A scene makes one part of several, or one with each of its outputs, and is judged for what it makes. */
final class ScenePartsTest extends TestCase
{
    private static function framesAndPreview(): Specification
    {
        return Workbench::specification(['time.rate' => '24', 'time.range' => '1001-1010'], ['parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => [
                    'picture.resolution' => '1920x1080',
                    'format.kind' => 'exr',
                    'naming.pattern' => '{shot}.{frame:4}.{ext}',
                ],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => [
                    'picture.resolution' => '960x540',
                    'format.kind' => 'mp4',
                    'format.codec' => 'h264',
                    'naming.pattern' => '{shot}_preview.{ext}',
                ],
            ],
        ]]);
    }

    private static function stillAndMovie(): Specification
    {
        return Workbench::specification(['time.rate' => '24'], ['parts' => [
            [
                'name' => 'poster',
                'delivers' => 'still',
                'require' => [
                    'picture.resolution' => '3840x2160',
                    'format.kind' => 'png',
                    'naming.pattern' => '{shot}_poster.{ext}',
                ],
            ],
            [
                'name' => 'movie',
                'delivers' => 'movie',
                'require' => [
                    'picture.resolution' => '1920x1080',
                    'time.range' => '1-96',
                    'format.kind' => 'mov',
                    'naming.pattern' => '{shot}.{ext}',
                ],
            ],
        ]]);
    }

    private static function twoSequences(): Specification
    {
        $part = static fn (string $name, string $size): array => [
            'name' => $name,
            'delivers' => 'frames',
            'require' => [
                'picture.resolution' => $size,
                'format.kind' => 'exr',
                'naming.pattern' => "{shot}_{$name}.{frame:4}.{ext}",
            ],
        ];

        return Workbench::specification(
            ['time.range' => '1-24'],
            ['parts' => [$part('flat', '1920x1080'), $part('dome', '4096x4096'), $part('tall', '1080x1920')]],
        );
    }

    private static function read(string $text): \PlainLedger\Core\Scene\SceneSettings
    {
        return (new DetectingReader)->read($text, str_starts_with($text, '{') ? 'scene.json' : 'scene.txt');
    }

    /** @return iterable<string, array{string, Specification, list<string>}> */
    public static function scenes(): iterable
    {
        $two = self::framesAndPreview();
        $still = self::stillAndMovie();
        $three = self::twoSequences();
        yield 'by its format: frames' => ["size = 1920x1080\nformat = exr\n", $two, ['frames']];
        yield 'by its format: movie' => ["size = 1920x1080\nformat = mp4\n", $two, ['preview']];
        yield 'by its extension alone' => ["size = 960x540\noutput = x/TC_010_preview.mp4\n", $two, ['preview']];
        yield 'another movie than asked is the movie' => [
            "size = 960x540\nformat = mov\noutput = x/TC_010_preview.mov\n",
            $two,
            ['preview'],
        ];
        yield 'another picture than asked are the frames' => ["size = 960x540\nformat = png\n", $two, ['frames']];
        yield 'nothing told: the first' => ["size = 1920x1080\nfps = 24\n", $two, ['frames']];
        yield 'a codec, and no format' => ["size = 960x540\ncodec = h264\n", $two, ['preview']];
        yield 'told' => ["scene.part = preview\nsize = 1920x1080\nformat = exr\n", $two, ['preview']];
        yield 'told in other letters' => ["scene.part = Preview\nformat = exr\n", $two, ['preview']];
        yield 'told one that there is not' => ["scene.part = sound\nformat = mp4\n", $two, ['preview']];
        yield 'a still' => ["size = 3840x2160\nformat = png\noutput = TC_010_poster.png\n", $still, ['poster']];
        yield 'a movie beside a still' => ["size = 1920x1080\nformat = mov\noutput = TC_010.mov\n", $still, ['movie']];
        foreach (['flat', 'dome', 'tall'] as $part) {
            yield "of one format, by its name: {$part}" => [
                "size = 1x1\nformat = exr\noutput = r/TC_010_{$part}.####.exr\n",
                $three,
                [$part],
            ];
        }
        yield 'a name nearly fits' => ["format = exr\noutput = r/TC_010-dome_####.exr\n", $three, ['dome']];
        yield 'outputs, each told' => [
            (string) json_encode(
                ['format' => 'plain-ledger/scene', 'version' => 1, 'settings' => ['time.rate' => 24], 'outputs' => [
                    ['part' => 'preview', 'settings' => ['format.kind' => 'mp4']],
                    ['part' => 'frames', 'settings' => ['format.kind' => 'exr']],
                ]],
            ),
            $two,
            ['frames', 'preview'],
        ];
        yield 'outputs, by their formats' => [
            (string) json_encode(
                ['format' => 'plain-ledger/scene', 'version' => 1, 'settings' => ['time.rate' => 24], 'outputs' => [
                    ['settings' => ['format.kind' => 'mp4']], ['settings' => ['format.kind' => 'exr']],
                ]],
            ),
            $two,
            ['frames', 'preview'],
        ];
        yield 'two outputs of three parts' => [
            (string) json_encode(
                [
                    'format' => 'plain-ledger/scene',
                    'version' => 1,
                    'settings' => ['format.kind' => 'exr'],
                    'outputs' => [
                        ['settings' => ['naming.pattern' => 'TC_010_tall.####.exr']],
                        ['settings' => ['naming.pattern' => 'TC_010_dome.####.exr']],
                    ],
                ],
            ),
            $three,
            ['dome', 'tall'],
        ];
    }

    /** @param  list<string>  $makes */
    #[DataProvider('scenes')]
    public function test_which_part_a_scene_makes(string $text, Specification $asked, array $makes): void
    {
        $document = CheckReport::of($asked, self::read($text), null)->toArray();
        self::assertSame($makes, $document['scene']['makes']);
        // nothing is compared, and nothing said to be wrong, of a part that it does not make
        foreach ($document['entries'] as $entry) {
            self::assertContains($entry['part'], $makes, $entry['id']);
        }
        foreach ($document['causes'] as $cause) {
            self::assertContains($cause['part'], $makes);
        }
        $others = array_values(
            array_unique(
                array_column(
                    array_filter(
                        $document['not_checked'],
                        static fn (array $n): bool => ! in_array($n['part'], $makes, true),
                    ),
                    'part',
                ),
            ),
        );
        self::assertSame(
            array_values(array_diff(array_map(static fn ($p): string => $p->name, $asked->parts), $makes)),
            $others,
        );
    }

    public function test_each_output_is_judged_for_its_own_part_over_the_common_settings(): void
    {
        $document = CheckReport::of(
            self::framesAndPreview(),
            self::read(
                (string) json_encode(
                    [
                        'format' => 'plain-ledger/scene',
                        'version' => 1,
                        'settings' => ['time.rate' => 25, 'time.range' => '1001-1010'],
                        'outputs' => [
                            [
                                'part' => 'frames',
                                'settings' => [
                                    'picture.resolution' => '1920x1080',
                                    'format.kind' => 'exr',
                                    'naming.pattern' => 'TC_010.####.exr',
                                    'time.rate' => 24,
                                ],
                            ],
                            [
                                'part' => 'preview',
                                'settings' => [
                                    'picture.resolution' => '960x540',
                                    'format.kind' => 'mp4',
                                    'format.codec' => 'h264',
                                    'naming.pattern' => 'TC_010_preview.mp4',
                                ],
                            ],
                        ],
                    ],
                ),
            ),
            null,
        )->toArray();
        $marks = [];
        foreach ($document['entries'] as $entry) {
            $marks["{$entry['part']} {$entry['id']}"] = $entry['mark'];
        }
        self::assertSame(
            ['equal', 'unequal', 'equal', 'equal'],
            [
                $marks['frames time.rate'],
                $marks['preview time.rate'],
                $marks['preview picture.resolution'],
                $marks['frames picture.resolution'],
            ],
        );
        self::assertSame(
            [['preview', ['time.rate']]],
            array_map(static fn (array $c): array => [$c['part'], $c['explains']], $document['causes']),
        );
        self::assertSame(
            [['set', 'preview', 'time.rate']],
            array_map(static fn (array $f): array => [$f['kind'], $f['part'], $f['id'] ?? ''], $document['fixes']),
        );
        self::assertSame(
            ['frames', 'preview'],
            array_values(array_unique(array_column($document['scene']['comes_to'], 'part'))),
        );
    }

    public function test_files_of_both_parts_beside_settings_of_one(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.exr', '1001-1010', Workbench::exr())->put(
            'TC_010_preview.mp4',
            "\0\0\0\x18ftypisom\0\0\2\0isomiso2mp41".str_repeat("\0", 200),
        );
        $asked = Workbench::specification(['time.range' => '1001-1010'], ['parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => [
                    'picture.resolution' => '64x36',
                    'format.kind' => 'exr',
                    'naming.pattern' => '{shot}.{frame:4}.{ext}',
                ],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'require' => ['format.kind' => 'mp4', 'naming.pattern' => '{shot}_preview.{ext}'],
            ],
        ]]);
        $document = $bench->check(
            $asked,
            self::read("size = 32x18\nformat = mp4\noutput = TC_010_preview.mp4\nframes = 1001-1010\n"),
        );
        $sizes = array_values(
            array_filter($document['entries'], static fn (array $e): bool => $e['id'] === 'picture.resolution'),
        );
        // the preview's size is nobody's business, and the frames are right
        self::assertSame(
            [['frames', 'equal', false]],
            array_map(static fn (array $e): array => [$e['part'], $e['mark'], isset($e['scene'])], $sizes),
        );
        self::assertSame('balanced', $document['verdict'], json_encode($document['causes']));
    }

    public function test_what_says_nothing_within_a_requirement_is_told(): void
    {
        $asked = Workbench::specification(
            [
                'content.black' => ['value' => 'none', 'dark_shaer' => 20],
                'picture.resolution' => ['value' => '64x36', 'unit' => 'px', 'why' => 'so'],
            ],
        );
        self::assertSame(['content.black, dark_shaer', 'picture.resolution, unit'], $asked->notUnderstood);
    }
}
