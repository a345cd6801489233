<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** A specification to begin from: a picture's size and shape by a standard, and what usually goes with it. */
final readonly class Preset
{
    /**
     * @param  string  $word  by which it is kept
     * @param  string  $group  under which it is offered
     * @param  array<string, mixed>  $document  as a specification document has it
     */
    private function __construct(
        public string $word,
        public string $group,
        public string $title,
        public array $document,
    ) {}

    /**
     * What can be asked of everything that a house makes: the picture and the rate, not files, names or lengths.
     *
     * @return array<string, mixed> requirements
     */
    public function forTheHouse(): array
    {
        $asked = $this->document['require'] ?? null;
        $house = [];
        foreach (is_array($asked) ? $asked : [] as $id => $value) {
            if ($id === RequirementId::TIME_RATE || preg_match('~^(picture|color)\.~', (string) $id) === 1) {
                $house[(string) $id] = $value;
            }
        }

        return $house;
    }

    /** @return list<self> those that ship with the program */
    public static function shipped(): array
    {
        $square = [RequirementId::PICTURE_PIXEL_ASPECT => '1/1'];

        return [
            self::frames(
                'hd-720',
                'Video',
                '1280 × 720 frames, 16:9',
                '1280x720',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '24'] + $square,
            ),
            self::frames(
                'hd-1080',
                'Video',
                '1920 × 1080 frames, 16:9',
                '1920x1080',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '24'] + $square,
            ),
            self::frames(
                'hd-1080-25',
                'Video',
                '1920 × 1080 frames, 25 a second',
                '1920x1080',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '25'] + $square,
            ),
            self::frames(
                'hd-1080-2997',
                'Video',
                '1920 × 1080 frames, 29.97 a second',
                '1920x1080',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '30000/1001'] + $square,
            ),
            self::frames(
                'hd-1080-50',
                'Video',
                '1920 × 1080 frames, 50 a second',
                '1920x1080',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '50'] + $square,
            ),
            self::frames(
                'uhd-23976',
                'Video',
                '3840 × 2160 frames, 23.976 a second',
                '3840x2160',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '24000/1001'] + $square,
            ),
            self::frames(
                'uhd-60',
                'Video',
                '3840 × 2160 frames, 60 a second',
                '3840x2160',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '16:9', RequirementId::TIME_RATE => '60'] + $square,
            ),
            // ITU-R BT.601 samples; the pixel aspects are those of the 704 clean samples
            self::frames(
                'sd-525-43',
                'Video',
                'SD of 525 lines, 4:3',
                '720x480',
                [
                    RequirementId::PICTURE_PIXEL_ASPECT => '10/11',
                    RequirementId::PICTURE_DISPLAY_ASPECT => '4:3',
                    RequirementId::TIME_RATE => '30000/1001',
                ],
            ),
            self::frames(
                'sd-525-169',
                'Video',
                'SD of 525 lines, 16:9',
                '720x480',
                [
                    RequirementId::PICTURE_PIXEL_ASPECT => '40/33',
                    RequirementId::PICTURE_DISPLAY_ASPECT => '16:9',
                    RequirementId::TIME_RATE => '30000/1001',
                ],
            ),
            self::frames(
                'sd-625-43',
                'Video',
                'SD of 625 lines, 4:3',
                '720x576',
                [
                    RequirementId::PICTURE_PIXEL_ASPECT => '12/11',
                    RequirementId::PICTURE_DISPLAY_ASPECT => '4:3',
                    RequirementId::TIME_RATE => '25',
                ],
            ),
            self::frames(
                'sd-625-169',
                'Video',
                'SD of 625 lines, 16:9',
                '720x576',
                [
                    RequirementId::PICTURE_PIXEL_ASPECT => '16/11',
                    RequirementId::PICTURE_DISPLAY_ASPECT => '16:9',
                    RequirementId::TIME_RATE => '25',
                ],
            ),
            // SMPTE ST 428-1: the pictures of digital cinema
            self::lit('dc-2k-flat', 'Digital cinema', '2K flat, lit frames', '1998x1080', '1.85'),
            self::lit('dc-2k-scope', 'Digital cinema', '2K scope, lit frames', '2048x858', '2.39'),
            self::lit('dc-4k-flat', 'Digital cinema', '4K flat, lit frames', '3996x2160', '1.85'),
            self::lit('dc-4k-scope', 'Digital cinema', '4K scope, lit frames', '4096x1716', '2.39'),
            self::frames(
                'square-1080',
                'Screens and domes',
                'Square, 1080 × 1080',
                '1080x1080',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '1:1', RequirementId::TIME_RATE => '30'] + $square,
            ),
            self::frames(
                'tall-1080',
                'Screens and domes',
                'Tall, 1080 × 1920',
                '1080x1920',
                [RequirementId::PICTURE_DISPLAY_ASPECT => '9:16', RequirementId::TIME_RATE => '30'] + $square,
            ),
            self::frames(
                'lat-long-4k',
                'Screens and domes',
                'Lat-long, 4096 × 2048',
                '4096x2048',
                [
                    RequirementId::PICTURE_PROJECTION => 'lat-long',
                    RequirementId::PICTURE_DISPLAY_ASPECT => '2:1',
                    RequirementId::TIME_RATE => '30',
                ] + $square,
            ),
            self::frames(
                'lat-long-8k',
                'Screens and domes',
                'Lat-long, 8192 × 4096',
                '8192x4096',
                [
                    RequirementId::PICTURE_PROJECTION => 'lat-long',
                    RequirementId::PICTURE_DISPLAY_ASPECT => '2:1',
                    RequirementId::TIME_RATE => '30',
                ] + $square,
            ),
            self::movie('movie-720', '1280 × 720 movie, 24 a second', '1280x720', '16:9', '24', '6 Mbit/s'),
            self::movie('movie-1080', '1920 × 1080 movie, 24 a second', '1920x1080', '16:9', '24', '12 Mbit/s'),
            self::movie('movie-1080-25', '1920 × 1080 movie, 25 a second', '1920x1080', '16:9', '25', '12 Mbit/s'),
            self::movie('movie-tall', 'Tall movie, 1080 × 1920, 30 a second', '1080x1920', '9:16', '30', '12 Mbit/s'),
            self::movie(
                'movie-uhd-5994',
                '3840 × 2160 movie, 59.94 a second',
                '3840x2160',
                '16:9',
                '60000/1001',
                '50 Mbit/s',
            ),
            new self('still-a4', 'Stills', 'A still for print, A4 at 300 to the inch', [
                'delivers' => 'still',
                'require' => [
                    RequirementId::PICTURE_RESOLUTION => '2480x3508',
                    RequirementId::PICTURE_DENSITY => 300,
                    RequirementId::FORMAT_KIND => 'tiff',
                    RequirementId::FORMAT_BIT_DEPTH => 16,
                    RequirementId::FORMAT_CHANNELS => 'RGB',
                    RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{ext}',
                    RequirementId::CONTENT_WHOLE => 'yes',
                ],
            ]),
            new self('still-hd', 'Stills', 'A still for screens, 1920 × 1080', [
                'delivers' => 'still',
                'require' => [
                    RequirementId::PICTURE_RESOLUTION => '1920x1080',
                    RequirementId::FORMAT_KIND => 'png',
                    RequirementId::FORMAT_BIT_DEPTH => 8,
                    RequirementId::FORMAT_CHANNELS => 'RGB',
                    RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{ext}',
                    RequirementId::CONTENT_WHOLE => 'yes',
                ],
            ]),
            new self('course-frames', 'A course', 'Frames and a preview of each learner', [
                'require' => [
                    RequirementId::PICTURE_RESOLUTION => '1280x720',
                    RequirementId::PICTURE_PIXEL_ASPECT => '1/1',
                    RequirementId::TIME_RATE => '24',
                    RequirementId::TIME_RANGE => '1-96',
                ],
                'parts' => [
                    [
                        'name' => 'frames',
                        'delivers' => 'frames',
                        'require' => [
                            RequirementId::FORMAT_KIND => 'png',
                            RequirementId::FORMAT_BIT_DEPTH => 8,
                            RequirementId::NAMING_PATTERN => '{learner}_{shot}_{frame:4}.{ext}',
                            RequirementId::CONTENT_WHOLE => 'yes',
                        ],
                    ],
                    [
                        'name' => 'preview',
                        'delivers' => 'movie',
                        'made_from' => 'frames',
                        'require' => [
                            RequirementId::FORMAT_KIND => 'mp4',
                            RequirementId::FORMAT_CODEC => 'h264',
                            RequirementId::FORMAT_CHROMA => '4:2:0',
                            RequirementId::NAMING_PATTERN => '{learner}_{shot}.{ext}',
                        ],
                    ],
                ],
            ]),
        ];
    }

    public static function find(string $word): ?self
    {
        foreach (self::shipped() as $preset) {
            if ($preset->word === $word) {
                return $preset;
            }
        }

        return null;
    }

    /** @param  array<string, mixed>  $asked */
    private static function frames(string $word, string $group, string $title, string $size, array $asked): self
    {
        return new self(
            $word,
            $group,
            $title,
            ['delivers' => 'frames', 'require' => [RequirementId::PICTURE_RESOLUTION => $size] + $asked + [
                RequirementId::FORMAT_KIND => 'png',
                RequirementId::FORMAT_BIT_DEPTH => 8,
                RequirementId::FORMAT_CHANNELS => 'RGB',
                RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{frame:4}.{ext}',
                RequirementId::CONTENT_WHOLE => 'yes',
                RequirementId::CONTENT_UNIFORM => 'yes',
            ]],
        );
    }

    private static function lit(string $word, string $group, string $title, string $size, string $shape): self
    {
        return new self($word, $group, $title, ['delivers' => 'frames', 'require' => [
            RequirementId::PICTURE_RESOLUTION => $size,
            RequirementId::PICTURE_PIXEL_ASPECT => '1/1',
            RequirementId::PICTURE_DISPLAY_ASPECT => $shape,
            RequirementId::PICTURE_REGION => 'full',
            RequirementId::TIME_RATE => '24',
            RequirementId::CAMERA_SINGLE => 'yes',
            RequirementId::SCENE_SAVED => 'yes',
            RequirementId::RENDER_QUALITY => 'final',
            RequirementId::FORMAT_KIND => 'exr',
            RequirementId::FORMAT_BIT_DEPTH => 16,
            RequirementId::FORMAT_SAMPLE => 'float',
            RequirementId::FORMAT_CHANNELS => 'RGBA',
            RequirementId::FORMAT_COMPRESSION => ['zip', 'zips'],
            RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{frame:4}.{ext}',
            RequirementId::CONTENT_WHOLE => 'yes',
            RequirementId::CONTENT_UNIFORM => 'yes',
        ]]);
    }

    private static function movie(
        string $word,
        string $title,
        string $size,
        string $shape,
        string $rate,
        string $most,
    ): self {
        return new self($word, 'Movies', $title, ['delivers' => 'movie', 'require' => [
            RequirementId::PICTURE_RESOLUTION => $size,
            RequirementId::PICTURE_PIXEL_ASPECT => '1/1',
            RequirementId::PICTURE_DISPLAY_ASPECT => $shape,
            RequirementId::PICTURE_SCAN => 'progressive',
            RequirementId::TIME_RATE => $rate,
            RequirementId::FORMAT_KIND => 'mp4',
            RequirementId::FORMAT_CODEC => 'h264',
            RequirementId::FORMAT_CHROMA => '4:2:0',
            RequirementId::FORMAT_BIT_RATE => ['max' => $most],
            RequirementId::FORMAT_INDEX => 'first',
            RequirementId::NAMING_PATTERN => '{shot}_v{version:3}.{ext}',
            RequirementId::CONTENT_WHOLE => 'yes',
        ]]);
    }
}
