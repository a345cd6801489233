<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

use PlainLedger\Core\Measure\FrameRange;

/** The demo's productions, people, deliverables and the mistakes in them. Everything in it is made up. */
final readonly class Scenario
{
    public const PASSWORD = 'tide-clock';

    /** @return list<array{name: string, email: string, handle: string}> */
    public static function people(): array
    {
        return [
            ['name' => 'Odile Marrow', 'email' => 'odile@harbour.example', 'handle' => 'odile'],
            ['name' => 'Ansel Wray', 'email' => 'ansel@harbour.example', 'handle' => 'ansel'],
            ['name' => 'Brida Coil', 'email' => 'brida@harbour.example', 'handle' => 'brida'],
            ['name' => 'Corvin Thrace', 'email' => 'corvin@harbour.example', 'handle' => 'corvin'],
            ['name' => 'Wren Tolliver', 'email' => 'wren@practice.example', 'handle' => 'wren'],
            ['name' => 'Pim Osterley', 'email' => 'pim@practice.example', 'handle' => 'pim'],
            ['name' => 'Juna Feldspar', 'email' => 'juna@practice.example', 'handle' => 'juna'],
            ['name' => 'Tobiah Quince', 'email' => 'tobiah@practice.example', 'handle' => 'tobiah'],
            ['name' => 'Ilse Varnham', 'email' => 'ilse@practice.example', 'handle' => 'ilse'],
            ['name' => 'Moro Tench', 'email' => 'moro@practice.example', 'handle' => 'moro'],
            ['name' => 'Kestrel Oakhanger', 'email' => 'kestrel@practice.example', 'handle' => 'kestrel'],
            ['name' => 'Dunya Sallow', 'email' => 'dunya@practice.example', 'handle' => 'dunya'],
            ['name' => 'Fenn Brackwater', 'email' => 'fenn@practice.example', 'handle' => 'fenn'],
            ['name' => 'Larka Pennywort', 'email' => 'larka@practice.example', 'handle' => 'larka'],
            ['name' => 'Oske Tamarack', 'email' => 'oske@practice.example', 'handle' => 'oske'],
            ['name' => 'Sabela Quill', 'email' => 'sabela@practice.example', 'handle' => 'sabela'],
        ];
    }

    /** @return list<array{code: string, name: string, kind: string, field_map?: list<array<string, mixed>>, pool?: array{machines: int, hours: string}, house: array<string, mixed>, roots: array<string, string>, members: array<string, string>, specifications: array<string, array<string, mixed>>, deliverables: list<array<string, mixed>>}> */
    public static function productions(): array
    {
        return [
            [
                'code' => 'TC', 'name' => 'The Tide Clock', 'kind' => 'film',
                'house' => [
                    'values' => ['task' => 'light', 'version' => 3],
                    'require' => ['picture.pixel_aspect' => '1/1', 'time.rate' => '24', 'camera.single' => 'yes', 'delivery.extras' => 'none', 'scene.saved' => 'yes'],
                    'starting_values' => ['picture.resolution' => ['400x300'], 'time.range' => ['1-60']],
                ],
                'roots' => ['Shots' => 'tide_clock/{shot}'],
                'members' => ['odile' => 'coordinator', 'ansel' => 'artist', 'brida' => 'artist'],
                'specifications' => [
                    'Lit frames' => [
                        'delivers' => 'frames',
                        'require' => [
                            'picture.resolution' => '2048x858', 'picture.scale' => '100', 'picture.region' => 'full', 'time.step' => '1', 'time.extent' => 'listed',
                            'render.samples' => ['min' => 128, 'level' => 'should', 'why' => 'noise in the fog'],
                            'output.folder' => 'renders/{shot}',
                            'format.kind' => 'exr', 'format.bit_depth' => 16, 'format.sample' => 'float', 'format.channels' => 'RGBA', 'format.compression' => ['zip', 'zips'],
                            'passes' => ['beauty', 'mist', 'shadow'],
                            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}', 'content.whole' => 'yes', 'content.uniform' => 'yes',
                        ],
                    ],
                    // each pass in a folder of its own
                    'Water passes' => [
                        'delivers' => 'frames',
                        'require' => [
                            'picture.resolution' => '2048x858', 'picture.scale' => '100', 'time.step' => '1', 'camera.single' => null,
                            'format.kind' => 'exr', 'format.bit_depth' => 16, 'format.sample' => 'float', 'format.compression' => ['zip', 'zips'],
                            'passes' => ['beauty', ['name' => 'foam', 'require' => ['format.channels' => 'RGBA']], 'depth'],
                            'naming.pattern' => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}', 'naming.folder' => '{pass}', 'content.whole' => 'yes', 'content.uniform' => 'yes',
                        ],
                    ],
                    'Titles' => [
                        'delivers' => 'frames',
                        'values' => ['task' => 'titles'],
                        'require' => [
                            'picture.resolution' => '2048x858', 'time.range' => '1-72', 'time.step' => '1', 'camera.single' => null,
                            'format.kind' => 'png', 'format.bit_depth' => 8, 'format.channels' => 'RGBA', 'format.alpha' => 'straight', 'format.compression' => 'lossless',
                            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}', 'content.whole' => 'yes', 'content.uniform' => 'yes',
                        ],
                    ],
                ],
                'deliverables' => [
                    self::shot('TC_010', 'quay at dawn', 'ansel', 'cam_quay', 40, [], new Mistakes),
                    self::shot('TC_020', 'lamp room', 'ansel', 'cam_lamp', 50, [], new Mistakes(render: FrameRange::of(1001, 1047), cutShort: [1047], log: 'logs/TC_020_light_v003.log')),
                    self::shot('TC_030', 'slipway', 'brida', 'cam_slip', 74, ['picture.scale' => 50, 'camera.chosen' => ['working'], 'render.samples' => 64, 'camera.lens' => 'focalLength 35', 'camera.placement' => 'translate 4, 1.6, 12'], null),
                    [
                        'code' => 'TC_040', 'title' => 'ferry titles', 'owner' => 'brida', 'due' => 98, 'specification' => 'Titles', 'require' => [],
                        'scene' => null,
                        'render' => ['picture.resolution' => '2048x858', 'time.range' => '1-72', 'format.kind' => 'png', 'format.channels' => 'RGBA', 'naming.pattern' => 'TC_040-titles_v003.{frame:3}.png'],
                        'mistakes' => new Mistakes,
                    ],
                    [
                        'code' => 'TC_070', 'title' => 'slack water', 'owner' => 'ansel', 'due' => 62, 'specification' => 'Water passes', 'require' => ['time.range' => '1001-1024'],
                        'scene' => null, 'render' => self::pass('beauty'), 'mistakes' => new Mistakes(folder: 'beauty'),
                        'besides' => [
                            [self::pass('foam'), new Mistakes(render: FrameRange::of(1001, 1016), size: [1024, 429], folder: 'foam')],
                            [self::pass('depth'), new Mistakes(folder: 'depth')],
                        ],
                    ],
                ],
                'pool' => ['machines' => 3, 'hours' => '19:00-07:00'],
            ],
            [
                'code' => 'OP', 'name' => 'Output Practice', 'kind' => 'course',
                'house' => ['require' => ['delivery.extras' => 'none'], 'starting_values' => ['picture.resolution' => ['400x300'], 'time.range' => ['1-60']]],
                'roots' => ['Hand-in' => 'output_practice/{learner}'],
                'members' => ['corvin' => 'instructor', 'odile' => 'instructor'] + array_fill_keys(['wren', 'pim', 'juna', 'tobiah', 'ilse', 'moro', 'kestrel', 'dunya', 'fenn', 'larka', 'oske', 'sabela'], 'learner'),
                // what settings are called where these learners work
                'field_map' => [['name' => 'Bildrate', 'is' => 'time.rate'], ['name' => 'Massstab', 'is' => 'picture.scale', 'unit' => 'factor']],
                'specifications' => [
                    'Weathervane study' => [
                        'parts' => [
                            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                                'picture.resolution' => '1280x720', 'picture.display_aspect' => '16:9', 'time.rate' => '24', 'time.range' => '1-96', 'time.step' => '1',
                                'format.kind' => 'png', 'format.bit_depth' => 8, 'format.channels' => 'RGB', 'naming.pattern' => '{learner}_vane_{frame:4}.{ext}', 'content.whole' => 'yes', 'content.uniform' => 'yes',
                            ]],
                            ['name' => 'preview', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => ['format.kind' => 'mp4', 'naming.pattern' => '{learner}_vane_preview.{ext}']],
                        ],
                    ],
                ],
                'deliverables' => [
                    self::study('wren', 'Wren', new Mistakes),
                    self::study('pim', 'Pim', new Mistakes(size: [640, 360])),
                    self::study('juna', 'Juna', new Mistakes(render: FrameRange::of(0, 95), strays: ['readme.txt' => "Finished at last\n"])),
                    self::study('tobiah', 'Tobiah', new Mistakes(render: FrameRange::parse('1-32,36-60,62-96'), name: 'tobiah_vane{frame:2}.png')),
                    self::scene('ilse', 'Ilse', ''),
                    self::scene('moro', 'Moro', "Bildrate = 24\nMassstab = 1.0\n"),
                    self::scene('kestrel', 'Kestrel', "fps = 25\n"),
                    self::scene('dunya', 'Dunya', "Massstab = 0.5\n"),
                    self::scene('fenn', 'Fenn', "what is rendered = single frame\n"),
                    self::scene('larka', 'Larka', "format = jpeg\noutput = renders/larka_vane_####.jpg\n"),
                    self::scene('oske', 'Oske', "frames = 1-60\n"),
                    self::scene('sabela', 'Sabela', "output = renders/sabela_vane.png\nnoise threshold = 0.1\n"),
                ],
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $settings  what this scene is set to otherwise
     * @return array<string, mixed>
     */
    private static function shot(string $code, string $title, string $owner, string $camera, int $due, array $settings, ?Mistakes $mistakes): array
    {
        $scene = $settings + [
            'picture.resolution' => '2048x858', 'picture.scale' => 100, 'picture.pixel_aspect' => '1/1', 'picture.region' => 'full',
            'time.rate' => '24', 'time.extent' => 'listed', 'time.range' => '1001-1096', 'time.step' => 1, 'time.timeline' => '990-1110',
            'camera.chosen' => [$camera], 'camera.all' => [$camera, 'cam_wide'], 'camera.views' => ['top', 'working'],
            'render.samples' => 256, 'output.folder' => "renders/{$code}",
            'passes' => [['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => true], ['name' => 'shadow', 'saved' => true]],
            'format.kind' => 'exr', 'format.bit_depth' => 16, 'format.sample' => 'float', 'format.channels' => 'RGBA', 'format.compression' => 'zip', 'naming.pattern' => "{$code}_light_v003.{frame:4}.exr",
        ];

        return [
            'code' => $code, 'title' => $title, 'owner' => $owner, 'due' => $due, 'specification' => 'Lit frames',
            'require' => ['time.range' => '1001-1096', 'camera.name' => $camera], 'scene' => $scene, 'render' => $scene, 'mistakes' => $mistakes,
        ];
    }

    /** @return array<string, mixed> settings of one pass of the slack water, as they are rendered */
    private static function pass(string $pass): array
    {
        return ['picture.resolution' => '2048x858', 'time.rate' => '24', 'time.range' => '1001-1024', 'format.kind' => 'exr', 'format.bit_depth' => 16, 'format.channels' => $pass === 'depth' ? 'Y' : 'RGBA', 'format.compression' => 'zip', 'naming.pattern' => "TC_070_{$pass}_v003.{frame:4}.exr"];
    }

    /** @return array<string, mixed> */
    private static function study(string $learner, string $name, Mistakes $mistakes): array
    {
        return [
            'code' => "VANE_{$name}", 'title' => 'Weathervane study', 'owner' => $learner, 'due' => 120, 'specification' => 'Weathervane study', 'require' => [], 'scene' => null,
            'render' => ['picture.resolution' => '1280x720', 'time.range' => '1-96', 'format.kind' => 'png', 'naming.pattern' => "{$learner}_vane_{frame:4}.png"], 'mistakes' => $mistakes,
            'preview' => "{$learner}_vane_preview.mp4",
        ];
    }

    /**
     * A learner who has brought the settings of a scene as lines of text, and no files yet.
     *
     * @param  string  $otherwise  lines that stand otherwise than they should
     * @return array<string, mixed>
     */
    private static function scene(string $learner, string $name, string $otherwise): array
    {
        $lines = "# {$name}’s scene\nsize = 1280x720\npixel aspect = 1\nfps = 24\nframes = 1-96\nstep = 1\nformat = png\nbit depth = 8\nchannels = RGB\noutput = renders/{$learner}_vane_####.png\n{$otherwise}";

        return ['scene' => $lines, 'mistakes' => null] + self::study($learner, $name, new Mistakes);
    }

    /**
     * @param  array<string, mixed>  $settings
     * @return array<string, mixed> a `plain-ledger/scene` document
     */
    public static function sceneDocument(string $code, array $settings): array
    {
        return ['format' => 'plain-ledger/scene', 'version' => 1, 'scene' => ['file' => "{$code}_light_v003", 'saved' => true, 'project_folder' => 'tide_clock'], 'settings' => $settings];
    }
}
