<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Demo\Mistakes;
use PlainLedger\Demo\SpoiltFrames;
use Random\Randomizer;

/** A shot of an exercise: what is asked of it, what its scene is set to otherwise, and what its render came to. */
final readonly class PracticeShot
{
    /**
     * @param  array<string, mixed>  $settings  what the scene is set to otherwise than asked
     * @param  array<string, string>  $strays  files laid beside, by name
     */
    private function __construct(
        public AskedShot $asked,
        private array $settings = [],
        private ?FrameRange $rendered = null,
        private SpoiltFrames $spoilt = new SpoiltFrames,
        private array $strays = [],
        private bool $isSaved = true,
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

    public function mistakes(): Mistakes
    {
        return new Mistakes(render: $this->rendered, spoilt: $this->spoilt, strays: $this->strays);
    }

    /** @return array<string, mixed> a `plain-ledger/scene` document */
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
