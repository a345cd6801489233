<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Measure\Resolution;
use Random\Randomizer;

/** What is asked of the shot of an exercise. */
final readonly class AskedShot
{
    public const STARTING_SIZE = '120x80';

    public const STARTING_RANGE = '1-12';

    public const OTHER_CAMERA = 'cam_wide';

    private const CODES = ['LK', 'WV', 'MR', 'TD', 'OB', 'HV'];

    private const TASKS = ['light', 'comp', 'fog', 'water', 'dusk'];

    private const CAMERAS = ['cam_lock', 'cam_gate', 'cam_pier', 'cam_loft'];

    private const SIZES = [[192, 108], [160, 90], [128, 72], [144, 96]];

    private const FIRST = 1001;

    /** Where several passes are asked. */
    public const PASSES = ['beauty', 'mist', 'shadow'];

    /** Of the first picture of its movie, as frames since midnight and as it is asked: its number at 24 a second. */
    public const TIMECODE = [self::FIRST, '00:00:41:17'];

    /** @param  'frames'|'passes'|'movie'  $owes  frames alone, in several passes, or with a movie made from them */
    private function __construct(
        public string $code,
        public string $task,
        public string $camera,
        public Resolution $size,
        public int $first,
        public int $last,
        public string $owes = 'frames',
    ) {}

    public static function any(Randomizer $chance): self
    {
        $of = static fn (array $all): mixed => $all[$chance->getInt(0, count($all) - 1)];
        [$width, $height] = $of(self::SIZES);

        return new self(
            $of(self::CODES).'_'.str_pad((string) (10 * $chance->getInt(1, 29)), 3, '0', STR_PAD_LEFT),
            $of(self::TASKS),
            $of(self::CAMERAS),
            Resolution::of($width, $height),
            self::FIRST,
            self::FIRST + $chance->getInt(23, 35),
        );
    }

    /** @param  'passes'|'movie'  $what */
    public function owing(string $what): self
    {
        return new self($this->code, $this->task, $this->camera, $this->size, $this->first, $this->last, $what);
    }

    /** The name that the scene writes, as it should be. */
    public function sceneName(): string
    {
        return "{$this->code}_{$this->task}".($this->owes === 'passes' ? '_{pass}' : '').'_v003.{frame:4}.{ext}';
    }

    public function movieName(): string
    {
        return "{$this->code}_{$this->task}_v003.mp4";
    }

    public function size(): string
    {
        return "{$this->size->width}x{$this->size->height}";
    }

    public function range(): string
    {
        return "{$this->first}-{$this->last}";
    }

    /** @return list<string> the cameras of the scene */
    public function cameras(): array
    {
        return [...self::CAMERAS, self::OTHER_CAMERA];
    }

    /** @return array<string, mixed> a `plain-ledger/specification` document */
    public function specification(string $title): array
    {
        $frames = [
            'picture.resolution' => $this->size(), 'picture.scale' => 100,
            'time.rate' => '24', 'time.range' => $this->range(), 'time.step' => 1,
            'time.extent' => 'listed', 'camera.name' => $this->camera, 'scene.saved' => 'yes',
            'render.samples' => ['min' => 64], 'format.kind' => 'png', 'format.bit_depth' => 16,
            'format.channels' => 'RGBA', 'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
            'content.whole' => 'yes', 'content.black' => 'none', 'content.frozen' => 'none',
            'delivery.extras' => 'none',
        ];
        if ($this->owes === 'passes') {
            $frames['passes'] = self::PASSES;
            $frames['naming.pattern'] = '{shot}_{task}_{pass}_v{version:3}.{frame:4}.{ext}';
        }
        $movie = [
            'format.kind' => 'mp4', 'format.index' => 'first', 'time.rate' => '24',
            'time.start_timecode' => self::TIMECODE[1], 'naming.pattern' => '{shot}_{task}_v{version:3}.{ext}',
        ];

        return [
            'format' => 'plain-ledger/specification', 'version' => 1, 'title' => $title,
            'values' => ['shot' => $this->code, 'task' => $this->task, 'version' => 3],
            'starting_values' => [
                'picture.resolution' => [self::STARTING_SIZE], 'time.range' => [self::STARTING_RANGE],
            ],
        ] + ($this->owes === 'movie'
            ? ['parts' => [
                ['name' => 'frames', 'delivers' => 'frames', 'require' => $frames],
                ['name' => 'movie', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => $movie],
            ]]
            : ['delivers' => 'frames', 'require' => $frames]);
    }
}
