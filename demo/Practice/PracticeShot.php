<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Demo\Mistakes;
use PlainLedger\Demo\SpoiltFrames;
use PlainLedger\Demo\StandInRenderer;
use Random\Randomizer;

/** A shot of an exercise: what is asked of it, what its scene is set to otherwise, and what its render came to. */
final readonly class PracticeShot
{
    /** Seconds since 1970: long enough ago that nothing is still on its way. */
    private const FINISHED = 1_761_998_400;

    /**
     * @param  array<string, mixed>  $settings  what the scene is set to otherwise than asked
     * @param  array<string, string>  $strays  files laid beside, by name
     * @param  array<string, FrameRange>|MadeMovie  $besides  what was rendered of single passes, by name; or the movie
     *   that was made
     */
    private function __construct(
        public AskedShot $asked,
        private array $settings = [],
        private ?FrameRange $rendered = null,
        private SpoiltFrames $spoilt = new SpoiltFrames,
        private array $strays = [],
        private bool $isSaved = true,
        private array|MadeMovie $besides = [],
    ) {}

    /** One in which nothing is wrong yet. */
    public static function any(Randomizer $chance): self
    {
        return new self(AskedShot::any($chance));
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

    /** @param  array<string, FrameRange>  $rendered  what was rendered of single passes, where it is not all */
    public function inPasses(array $rendered): self
    {
        return $this->changed(['asked' => $this->asked->owing('passes'), 'besides' => $rendered]);
    }

    public function withMovie(MadeMovie $movie): self
    {
        return $this->changed(['asked' => $this->asked->owing('movie'), 'besides' => $movie]);
    }

    /** What comes into a folder: a render a pass, and a movie of it. */
    public function renderInto(string $folder): void
    {
        $renderer = new StandInRenderer(self::FINISHED);
        $scene = $this->scene();
        foreach ($this->asked->owes === 'passes' ? AskedShot::PASSES : [''] as $pass) {
            $name = str_replace('{pass}', $pass, (string) $scene['settings']['naming.pattern']);
            $told = ['settings' => ['naming.pattern' => $name] + $scene['settings']] + $scene;
            $rendered = is_array($this->besides) ? $this->besides[$pass] ?? $this->rendered : $this->rendered;
            if ($rendered === null || ! $rendered->isEmpty()) {
                $renderer->render(
                    (new SceneJson)->read(json_encode($told, JSON_THROW_ON_ERROR), 'scene.json'),
                    $folder,
                    new Mistakes(render: $rendered, spoilt: $this->spoilt, strays: $this->strays),
                );
            }
        }
        if ($this->besides instanceof MadeMovie) {
            $this->besides->write($folder, $this->asked->movieName(), self::FINISHED);
        }
    }

    /** @return array{format: string, version: int, scene: array<string, mixed>, settings: array<string, mixed>} a
     *   `plain-ledger/scene` document */
    public function scene(): array
    {
        return [
            'format' => 'plain-ledger/scene', 'version' => 1,
            'scene' => [
                'file' => "{$this->asked->code}_{$this->asked->task}_v003", 'saved' => $this->isSaved,
                'project_folder' => 'practice',
            ],
            'settings' => $this->settings + [
                'picture.resolution' => $this->asked->size(), 'picture.scale' => 100,
                'time.rate' => '24', 'time.extent' => 'listed', 'time.range' => $this->asked->range(),
                'time.step' => 1, 'camera.name' => $this->asked->camera,
                'camera.all' => $this->asked->cameras(), 'render.samples' => 128,
                'format.kind' => 'png', 'format.bit_depth' => 16, 'format.channels' => 'RGBA',
                'naming.pattern' => $this->asked->sceneName(),
            ] + ($this->asked->owes === 'passes' ? ['passes' => array_map(
                static fn (string $pass): array => ['name' => $pass, 'saved' => true],
                AskedShot::PASSES,
            )] : []),
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
