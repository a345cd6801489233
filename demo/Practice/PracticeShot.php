<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Demo\Mistakes;
use PlainLedger\Demo\SpoiltFrames;
use Random\Randomizer;

/** A shot of an exercise: what is asked of it, what its scene is set to, and what its render came to. */
final readonly class PracticeShot
{
    public const STARTING_SIZE = '120x80';

    public const STARTING_RANGE = '1-12';

    public const OTHER_CAMERA = 'cam_wide';

    private const CODES = ['LK', 'WV', 'MR', 'TD', 'OB', 'HV'];

    private const TASKS = ['light', 'comp', 'fog', 'water', 'dusk'];

    private const CAMERAS = ['cam_lock', 'cam_gate', 'cam_pier', 'cam_loft'];

    private const SIZES = [[192, 108], [160, 90], [128, 72], [144, 96]];

    /**
     * @param  array<string, mixed>  $settings  what the scene is set to otherwise than asked
     * @param  array<string, string>  $strays  files laid beside, by name
     */
    private function __construct(
        public string $code,
        public string $task,
        public string $camera,
        public int $width,
        public int $height,
        public int $first,
        public int $last,
        private array $settings = [],
        private ?FrameRange $rendered = null,
        private SpoiltFrames $spoilt = new SpoiltFrames,
        private array $strays = [],
        private bool $isSaved = true,
    ) {}

    public static function any(Randomizer $chance): self
    {
        $of = static fn (array $all): mixed => $all[$chance->getInt(0, count($all) - 1)];
        [$width, $height] = $of(self::SIZES);
        $first = 1001;

        return new self(
            $of(self::CODES).'_'.str_pad((string) (10 * $chance->getInt(1, 29)), 3, '0', STR_PAD_LEFT),
            $of(self::TASKS),
            $of(self::CAMERAS),
            $width,
            $height,
            $first,
            $first + $chance->getInt(23, 35),
        );
    }

    /** @param  array<string, mixed>  $settings */
    public function with(array $settings): self
    {
        return $this->changed(['settings' => $settings + $this->settings]);
    }

    public function rendering(FrameRange $frames): self
    {
        return $this->changed(['rendered' => $frames]);
    }

    /** @param  string  $pattern  the output name of the scene */
    public function named(string $pattern): self
    {
        return $this->with(['naming.pattern' => $pattern]);
    }

    /**
     * @param  list<int>  $cutShort
     * @param  list<int>  $black
     * @param  list<int>  $frozen
     */
    public function spoilt(array $cutShort = [], array $black = [], array $frozen = []): self
    {
        return $this->changed(['spoilt' => new SpoiltFrames($cutShort, $black, $frozen)]);
    }

    /** @param  array<string, string>  $strays */
    public function littered(array $strays): self
    {
        return $this->changed(['strays' => $strays]);
    }

    public function unsaved(): self
    {
        return $this->changed(['isSaved' => false]);
    }

    /** The name that the scene writes, as it should be. */
    public function sceneName(): string
    {
        return "{$this->code}_{$this->task}_v003.{frame:4}.{ext}";
    }

    public function mistakes(): Mistakes
    {
        return new Mistakes(render: $this->rendered, spoilt: $this->spoilt, strays: $this->strays);
    }

    /** @return array<string, mixed> a `plain-ledger/specification` document */
    public function specification(string $title): array
    {
        return [
            'format' => 'plain-ledger/specification', 'version' => 1, 'title' => $title, 'delivers' => 'frames',
            'values' => ['shot' => $this->code, 'task' => $this->task, 'version' => 3],
            'require' => [
                'picture.resolution' => "{$this->width}x{$this->height}", 'picture.scale' => 100,
                'time.rate' => '24', 'time.range' => "{$this->first}-{$this->last}", 'time.step' => 1,
                'time.extent' => 'listed', 'camera.name' => $this->camera, 'scene.saved' => 'yes',
                'render.samples' => ['min' => 64], 'format.kind' => 'png', 'format.bit_depth' => 16,
                'format.channels' => 'RGBA', 'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
                'content.whole' => 'yes', 'content.black' => 'none', 'content.frozen' => 'none',
                'delivery.extras' => 'none',
            ],
            'starting_values' => [
                'picture.resolution' => [self::STARTING_SIZE], 'time.range' => [self::STARTING_RANGE],
            ],
        ];
    }

    /** @return array<string, mixed> a `plain-ledger/scene` document */
    public function scene(): array
    {
        return [
            'format' => 'plain-ledger/scene', 'version' => 1,
            'scene' => [
                'file' => "{$this->code}_{$this->task}_v003", 'saved' => $this->isSaved, 'project_folder' => 'practice',
            ],
            'settings' => $this->settings + [
                'picture.resolution' => "{$this->width}x{$this->height}", 'picture.scale' => 100,
                'time.rate' => '24', 'time.extent' => 'listed', 'time.range' => "{$this->first}-{$this->last}",
                'time.step' => 1, 'camera.name' => $this->camera,
                'camera.all' => [...self::CAMERAS, self::OTHER_CAMERA], 'render.samples' => 128,
                'format.kind' => 'png', 'format.bit_depth' => 16, 'format.channels' => 'RGBA',
                'naming.pattern' => $this->sceneName(),
            ],
        ];
    }

    /** @param  array<string, mixed>  $otherwise */
    private function changed(array $otherwise): self
    {
        return new self(...array_replace(
            get_object_vars($this),
            $otherwise,
        ));
    }
}
