<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;

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

    /**
     * @return list<array{code: string, name: string, kind: string, field_map?: list<array<string, mixed>>,
     *   pool?: array{machines: int, hours: string}, house: array<string, mixed>, roots: array<string, string>,
     *   members: array<string, string>, specifications: array<string, array<string, mixed>>,
     *   deliverables: list<array<string, mixed>>}>
     */
    public static function productions(): array
    {
        return [
            [
                'code' => 'TC', 'name' => 'The Tide Clock', 'kind' => 'film',
                'house' => [
                    'values' => ['task' => 'light', 'version' => 3],
                    'require' => [
                        RequirementId::PICTURE_PIXEL_ASPECT => '1/1',
                        RequirementId::TIME_RATE => '24',
                        RequirementId::CAMERA_SINGLE => 'yes',
                        RequirementId::DELIVERY_EXTRAS => 'none',
                        RequirementId::SCENE_SAVED => 'yes',
                    ],
                    'starting_values' => [
                        RequirementId::PICTURE_RESOLUTION => ['400x300'],
                        RequirementId::TIME_RANGE => ['1-60'],
                    ],
                ],
                'roots' => ['Shots' => 'tide_clock/{shot}', 'Deliveries' => 'tide_clock_deliveries'],
                'members' => ['odile' => 'coordinator', 'ansel' => 'artist', 'brida' => 'artist'],
                'specifications' => [
                    'Lit frames' => [
                        'delivers' => 'frames',
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '2048x858',
                            RequirementId::PICTURE_SCALE => '100',
                            RequirementId::PICTURE_REGION => 'full',
                            RequirementId::TIME_STEP => '1',
                            RequirementId::TIME_EXTENT => 'listed',
                            RequirementId::RENDER_SAMPLES => [
                                'min' => 128,
                                'level' => 'should',
                                'why' => 'noise in the fog',
                            ],
                            RequirementId::OUTPUT_FOLDER => 'renders/{shot}',
                            RequirementId::FORMAT_KIND => 'exr',
                            RequirementId::FORMAT_BIT_DEPTH => 16,
                            RequirementId::FORMAT_SAMPLE => 'float',
                            RequirementId::FORMAT_CHANNELS => 'RGBA',
                            RequirementId::FORMAT_COMPRESSION => ['zip', 'zips'],
                            'passes' => ['beauty', 'mist', 'shadow'],
                            RequirementId::NAMING_PATTERN => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                            RequirementId::CONTENT_UNIFORM => 'yes',
                        ],
                    ],
                    'Reel' => [
                        'require' => [RequirementId::CAMERA_SINGLE => null],
                        'parts' => [
                            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                                RequirementId::PICTURE_RESOLUTION => '480x200',
                                RequirementId::TIME_RANGE => '1-48',
                                RequirementId::FORMAT_KIND => 'png',
                                RequirementId::FORMAT_BIT_DEPTH => 8,
                                RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{frame:4}.{ext}',
                                RequirementId::CONTENT_WHOLE => 'yes',
                            ]],
                            [
                                'name' => 'reel',
                                'delivers' => 'movie',
                                'made_from' => 'frames',
                                'require' => [
                                    RequirementId::FORMAT_KIND => 'mp4',
                                    RequirementId::PICTURE_SCAN => 'progressive',
                                    RequirementId::TIME_START_TIMECODE => '01:00:00:00',
                                    RequirementId::AUDIO_PRESENCE => 'none',
                                    RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{ext}',
                                    RequirementId::CONTENT_WHOLE => 'yes',
                                ],
                            ],
                        ],
                    ],
                    'Foyer screen' => [
                        'delivers' => 'movie',
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '1080x1920',
                            RequirementId::TIME_COUNT => 72,
                            RequirementId::FORMAT_KIND => 'mp4',
                            RequirementId::FORMAT_FILE_SIZE => ['max' => 1_000_000],
                            RequirementId::FORMAT_KEYFRAME_INTERVAL => '1 s',
                            RequirementId::FORMAT_B_FRAMES => 'none',
                            RequirementId::FORMAT_INDEX => 'first',
                            RequirementId::AUDIO_PRESENCE => 'none',
                            RequirementId::CAMERA_SINGLE => null,
                            RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{ext}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                        ],
                    ],
                    // each pass in a folder of its own
                    'Water passes' => [
                        'delivers' => 'frames',
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '2048x858',
                            RequirementId::PICTURE_SCALE => '100',
                            RequirementId::TIME_STEP => '1',
                            RequirementId::CAMERA_SINGLE => null,
                            RequirementId::FORMAT_KIND => 'exr',
                            RequirementId::FORMAT_BIT_DEPTH => 16,
                            RequirementId::FORMAT_SAMPLE => 'float',
                            RequirementId::FORMAT_COMPRESSION => ['zip', 'zips'],
                            'passes' => [
                                'beauty',
                                ['name' => 'foam', 'require' => [RequirementId::FORMAT_CHANNELS => 'RGBA']],
                                'depth',
                            ],
                            RequirementId::NAMING_PATTERN => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
                            RequirementId::NAMING_FOLDER => '{pass}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                            RequirementId::CONTENT_UNIFORM => 'yes',
                        ],
                    ],
                    'Fog passes' => [
                        'delivers' => 'frames',
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '480x200',
                            RequirementId::TIME_STEP => '1',
                            RequirementId::CAMERA_SINGLE => null,
                            RequirementId::FORMAT_KIND => 'exr',
                            RequirementId::FORMAT_BIT_DEPTH => 16,
                            RequirementId::FORMAT_CHANNELS => 'RGBA',
                            'passes' => ['beauty', 'fog'],
                            RequirementId::NAMING_PATTERN => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
                            RequirementId::NAMING_FOLDER => '{pass}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                            RequirementId::CONTENT_UNIFORM => 'yes',
                            RequirementId::CONTENT_BLACK => 'none',
                            RequirementId::CONTENT_FROZEN => 'none',
                        ],
                    ],
                    'Dome' => [
                        'delivers' => 'frames',
                        'values' => ['task' => 'dome'],
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '2048x1024',
                            RequirementId::PICTURE_PROJECTION => 'lat-long',
                            RequirementId::TIME_RANGE => '1-48',
                            RequirementId::TIME_STEP => '1',
                            RequirementId::CAMERA_SINGLE => null,
                            RequirementId::FORMAT_KIND => 'png',
                            RequirementId::FORMAT_BIT_DEPTH => 8,
                            RequirementId::FORMAT_CHANNELS => 'RGB',
                            RequirementId::NAMING_PATTERN => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                            RequirementId::CONTENT_UNIFORM => 'yes',
                        ],
                    ],
                    'Poster' => [
                        'delivers' => 'still',
                        'values' => ['task' => 'poster'],
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '1600x2000',
                            RequirementId::TIME_RATE => null,
                            RequirementId::CAMERA_SINGLE => null,
                            RequirementId::FORMAT_KIND => 'tiff',
                            RequirementId::FORMAT_BIT_DEPTH => 16,
                            RequirementId::FORMAT_CHANNELS => 'RGB',
                            RequirementId::FORMAT_COMPRESSION => 'lossless',
                            RequirementId::NAMING_PATTERN => '{shot}_{task}_v{version:3}.{ext}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                        ],
                    ],
                    'Titles' => [
                        'delivers' => 'frames',
                        'values' => ['task' => 'titles'],
                        'require' => [
                            RequirementId::PICTURE_RESOLUTION => '2048x858',
                            RequirementId::TIME_RANGE => '1-72',
                            RequirementId::TIME_STEP => '1',
                            RequirementId::CAMERA_SINGLE => null,
                            RequirementId::FORMAT_KIND => 'png',
                            RequirementId::FORMAT_BIT_DEPTH => 8,
                            RequirementId::FORMAT_CHANNELS => 'RGBA',
                            RequirementId::FORMAT_ALPHA => 'straight',
                            RequirementId::FORMAT_COMPRESSION => 'lossless',
                            RequirementId::NAMING_PATTERN => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                            RequirementId::CONTENT_UNIFORM => 'yes',
                        ],
                    ],
                ],
                'deliverables' => [
                    self::shot('TC_010', 'quay at dawn', 'ansel', 'cam_quay', 40, [], new Mistakes),
                    self::shot(
                        'TC_020',
                        'lamp room',
                        'ansel',
                        'cam_lamp',
                        50,
                        [],
                        new Mistakes(
                            render: FrameRange::of(1001, 1047),
                            spoilt: new SpoiltFrames(cutShort: [1047]),
                            log: 'logs/TC_020_light_v003.log',
                        ),
                    ),
                    self::shot(
                        'TC_030',
                        'slipway',
                        'brida',
                        'cam_slip',
                        74,
                        [
                            RequirementId::PICTURE_SCALE => 50,
                            'camera.chosen' => ['working'],
                            RequirementId::RENDER_SAMPLES => 64,
                            'camera.lens' => 'focalLength 35',
                            'camera.placement' => 'translate 4, 1.6, 12',
                        ],
                        null,
                    ),
                    [
                        'code' => 'TC_040', 'title' => 'ferry titles', 'owner' => 'brida', 'due' => 98,
                        'specification' => 'Titles', 'require' => [],
                        'scene' => null,
                        'render' => [
                            RequirementId::PICTURE_RESOLUTION => '2048x858',
                            RequirementId::TIME_RANGE => '1-72',
                            RequirementId::FORMAT_KIND => 'png',
                            RequirementId::FORMAT_CHANNELS => 'RGBA',
                            RequirementId::NAMING_PATTERN => 'TC_040-titles_v003.{frame:3}.png',
                        ],
                        'mistakes' => new Mistakes,
                    ],
                    [
                        'code' => 'TC_050', 'title' => 'fog bank', 'owner' => 'brida', 'due' => 70,
                        'specification' => 'Fog passes', 'require' => [RequirementId::TIME_RANGE => '1001-1024'],
                        'scene' => null, 'render' => self::pass('TC_050', 'beauty', '480x200', '1001-1024'),
                        'mistakes' => new Mistakes(
                            spoilt: new SpoiltFrames(black: [1005, 1006, 1007, 1008], frozen: [1015, 1016]),
                            folder: 'beauty',
                        ),
                        'besides' => [
                            [
                                self::pass('TC_050', 'fog', '480x200', '1001-1024'),
                                new Mistakes(render: FrameRange::of(1001, 1020), folder: 'fog'),
                            ],
                        ],
                    ],
                    [
                        'code' => 'TC_060', 'title' => 'dome sky', 'owner' => 'ansel', 'due' => 80,
                        'specification' => 'Dome', 'require' => [], 'scene' => null,
                        'render' => [
                            RequirementId::PICTURE_RESOLUTION => '2048x1152',
                            RequirementId::TIME_RANGE => '1-48',
                            RequirementId::FORMAT_KIND => 'png',
                            RequirementId::NAMING_PATTERN => 'TC_060_dome_v003.{frame:4}.png',
                        ],
                        'mistakes' => new Mistakes,
                    ],
                    [
                        'code' => 'TC_070',
                        'title' => 'slack water',
                        'owner' => 'ansel',
                        'due' => 62,
                        'specification' => 'Water passes',
                        'require' => [RequirementId::TIME_RANGE => '1001-1024'],
                        'scene' => null, 'render' => self::pass('TC_070', 'beauty'),
                        'mistakes' => new Mistakes(folder: 'beauty'),
                        'besides' => [
                            [
                                self::pass('TC_070', 'foam'),
                                new Mistakes(render: FrameRange::of(1001, 1016), size: [1024, 429], folder: 'foam'),
                            ],
                            [self::pass('TC_070', 'depth'), new Mistakes(folder: 'depth')],
                        ],
                    ],
                    [
                        'code' => 'TC_STILL', 'title' => 'poster', 'owner' => 'brida', 'due' => 110,
                        'specification' => 'Poster', 'require' => [], 'scene' => null,
                        'render' => [
                            RequirementId::PICTURE_RESOLUTION => '1600x2000',
                            RequirementId::TIME_RANGE => '1',
                            RequirementId::FORMAT_KIND => 'tiff',
                            RequirementId::FORMAT_BIT_DEPTH => 16,
                            RequirementId::NAMING_PATTERN => 'TC_STILL_poster_v003.tif',
                        ],
                        'mistakes' => new Mistakes,
                    ],
                    [
                        'code' => 'TC_REEL', 'title' => 'assembled film', 'owner' => 'brida', 'due' => 130,
                        'specification' => 'Reel', 'require' => [], 'scene' => null,
                        'render' => [
                            RequirementId::PICTURE_RESOLUTION => '480x200',
                            RequirementId::TIME_RANGE => '1-48',
                            RequirementId::FORMAT_KIND => 'png',
                            RequirementId::NAMING_PATTERN => 'TC_REEL_v003.{frame:4}.png',
                        ],
                        'mistakes' => new Mistakes,
                        'movie' => [
                            'TC_REEL_v003.mp4', [480, 200], FrameRange::of(1, 45),
                            new MovieTraits([25, 1], timecode: 25 * 3600),
                        ],
                    ],
                    [
                        'code' => 'TC_FOYER', 'title' => 'tall cut', 'owner' => 'ansel', 'due' => 140,
                        'specification' => 'Foyer screen', 'require' => [], 'scene' => null,
                        'render' => [
                            RequirementId::PICTURE_RESOLUTION => '1080x1920',
                            RequirementId::FORMAT_KIND => 'mp4',
                            RequirementId::NAMING_PATTERN => 'TC_FOYER_v003.mp4',
                        ],
                        'mistakes' => new Mistakes,
                        'movie' => [
                            'TC_FOYER_v003.mp4', [1080, 1920], FrameRange::of(1, 72),
                            new MovieTraits(indexFirst: true, keyframes: 72),
                        ],
                    ],
                ],
                'pool' => ['machines' => 3, 'hours' => '19:00-07:00'],
            ],
            [
                'code' => 'OP', 'name' => 'Output Practice', 'kind' => 'course',
                'house' => [
                    'require' => [RequirementId::DELIVERY_EXTRAS => 'none'],
                    'starting_values' => [
                        RequirementId::PICTURE_RESOLUTION => ['400x300'],
                        RequirementId::TIME_RANGE => ['1-60'],
                    ],
                ],
                'roots' => ['Hand-in' => 'output_practice/{learner}'],
                'members' => ['corvin' => 'instructor', 'odile' => 'instructor'] + array_fill_keys(
                    [
                        'wren', 'pim', 'juna', 'tobiah', 'ilse', 'moro', 'kestrel', 'dunya', 'fenn', 'larka', 'oske',
                        'sabela',
                    ],
                    'learner',
                ),
                // what settings are called where these learners work
                'field_map' => [
                    ['name' => 'Bildrate', 'is' => RequirementId::TIME_RATE],
                    ['name' => 'Massstab', 'is' => RequirementId::PICTURE_SCALE, 'unit' => 'factor'],
                ],
                'specifications' => [
                    'Weathervane study' => [
                        'parts' => [
                            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                                RequirementId::PICTURE_RESOLUTION => '1280x720',
                                RequirementId::PICTURE_DISPLAY_ASPECT => '16:9',
                                RequirementId::TIME_RATE => '24',
                                RequirementId::TIME_RANGE => '1-96',
                                RequirementId::TIME_STEP => '1',
                                RequirementId::FORMAT_KIND => 'png',
                                RequirementId::FORMAT_BIT_DEPTH => 8,
                                RequirementId::FORMAT_CHANNELS => 'RGB',
                                RequirementId::NAMING_PATTERN => '{learner}_vane_{frame:4}.{ext}',
                                RequirementId::CONTENT_WHOLE => 'yes',
                                RequirementId::CONTENT_UNIFORM => 'yes',
                            ]],
                            [
                                'name' => 'preview',
                                'delivers' => 'movie',
                                'made_from' => 'frames',
                                'require' => [
                                    RequirementId::FORMAT_KIND => 'mp4',
                                    RequirementId::NAMING_PATTERN => '{learner}_vane_preview.{ext}',
                                ],
                            ],
                        ],
                    ],
                ],
                'deliverables' => [
                    self::study('wren', 'Wren', new Mistakes),
                    self::study('pim', 'Pim', new Mistakes(size: [640, 360])),
                    self::study(
                        'juna',
                        'Juna',
                        new Mistakes(render: FrameRange::of(0, 95), strays: ['readme.txt' => "Finished at last\n"]),
                    ),
                    self::study(
                        'tobiah',
                        'Tobiah',
                        new Mistakes(render: FrameRange::parse('1-32,36-60,62-96'), name: 'tobiah_vane{frame:2}.png'),
                    ),
                    self::scene('ilse', 'Ilse', '', new Mistakes),
                    self::scene('moro', 'Moro', "Bildrate = 24\nMassstab = 1.0\n"),
                    self::scene('kestrel', 'Kestrel', "fps = 25\n", new Mistakes, new MovieTraits([25, 1])),
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
    private static function shot(
        string $code,
        string $title,
        string $owner,
        string $camera,
        int $due,
        array $settings,
        ?Mistakes $mistakes,
    ): array {
        $scene = $settings + [
            RequirementId::PICTURE_RESOLUTION => '2048x858',
            RequirementId::PICTURE_SCALE => 100,
            RequirementId::PICTURE_PIXEL_ASPECT => '1/1',
            RequirementId::PICTURE_REGION => 'full',
            RequirementId::TIME_RATE => '24',
            RequirementId::TIME_EXTENT => 'listed',
            RequirementId::TIME_RANGE => '1001-1096',
            RequirementId::TIME_STEP => 1,
            'time.timeline' => '990-1110',
            'camera.chosen' => [$camera], 'camera.all' => [$camera, 'cam_wide'], 'camera.views' => ['top', 'working'],
            RequirementId::RENDER_SAMPLES => 256, RequirementId::OUTPUT_FOLDER => "renders/{$code}",
            'passes' => [
                ['name' => 'beauty', 'saved' => true],
                ['name' => 'mist', 'saved' => true],
                ['name' => 'shadow', 'saved' => true],
            ],
            RequirementId::FORMAT_KIND => 'exr',
            RequirementId::FORMAT_BIT_DEPTH => 16,
            RequirementId::FORMAT_SAMPLE => 'float',
            RequirementId::FORMAT_CHANNELS => 'RGBA',
            RequirementId::FORMAT_COMPRESSION => 'zip',
            RequirementId::NAMING_PATTERN => "{$code}_light_v003.{frame:4}.exr",
        ];

        return [
            'code' => $code, 'title' => $title, 'owner' => $owner, 'due' => $due, 'specification' => 'Lit frames',
            'require' => [RequirementId::TIME_RANGE => '1001-1096', RequirementId::CAMERA_NAME => $camera],
            'scene' => $scene,
            'render' => $scene,
            'mistakes' => $mistakes,
        ];
    }

    /** @return array<string, mixed> settings of one pass that is rendered by itself */
    private static function pass(
        string $code,
        string $pass,
        string $size = '2048x858',
        string $frames = '1001-1024',
    ): array {
        return [
            RequirementId::PICTURE_RESOLUTION => $size,
            RequirementId::TIME_RATE => '24',
            RequirementId::TIME_RANGE => $frames,
            RequirementId::FORMAT_KIND => 'exr',
            RequirementId::FORMAT_BIT_DEPTH => 16,
            RequirementId::FORMAT_CHANNELS => $pass === 'depth' ? 'Y' : 'RGBA',
            RequirementId::FORMAT_COMPRESSION => 'zip',
            RequirementId::NAMING_PATTERN => "{$code}_{$pass}_v003.{frame:4}.exr",
        ];
    }

    /** @return array<string, mixed> */
    private static function study(
        string $learner,
        string $name,
        Mistakes $mistakes,
        MovieTraits $preview = new MovieTraits,
    ): array {
        return [
            'code' => "VANE_{$name}",
            'title' => 'Weathervane study',
            'owner' => $learner,
            'due' => 120,
            'specification' => 'Weathervane study',
            'require' => [],
            'scene' => null,
            'render' => [
                RequirementId::PICTURE_RESOLUTION => '1280x720',
                RequirementId::TIME_RANGE => '1-96',
                RequirementId::FORMAT_KIND => 'png',
                RequirementId::NAMING_PATTERN => "{$learner}_vane_{frame:4}.png",
            ],
            'mistakes' => $mistakes,
            'movie' => ["{$learner}_vane_preview.mp4", [320, 180], FrameRange::of(1, 96), $preview],
        ];
    }

    /**
     * A learner who has brought the settings of a scene as lines of text.
     *
     * @param  string  $otherwise  lines that stand otherwise than they should
     * @param  Mistakes|null  $mistakes  in the files; null where there are none yet
     * @return array<string, mixed>
     */
    private static function scene(
        string $learner,
        string $name,
        string $otherwise,
        ?Mistakes $mistakes = null,
        MovieTraits $preview = new MovieTraits,
    ): array {
        $lines = "# {$name}’s scene\nsize = 1280x720\npixel aspect = 1\nfps = 24\nframes = 1-96\nstep = 1\nformat = "
            ."png\nbit depth = 8\nchannels = RGB\noutput = renders/{$learner}_vane_####.png\n{$otherwise}";

        return ['scene' => $lines, 'mistakes' => $mistakes]
            + self::study($learner, $name, $mistakes ?? new Mistakes, $preview);
    }

    /**
     * @param  array<string, mixed>  $settings
     * @return array<string, mixed> a `plain-ledger/scene` document
     */
    public static function sceneDocument(string $code, array $settings): array
    {
        return [
            'format' => 'plain-ledger/scene',
            'version' => 1,
            'scene' => ['file' => "{$code}_light_v003", 'saved' => true, 'project_folder' => 'tide_clock'],
            'settings' => $settings,
        ];
    }
}
