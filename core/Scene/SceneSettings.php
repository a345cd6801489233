<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\RequirementId;

/** What a scene is set to produce. Settings it does not mention are absent, never guessed. */
final readonly class SceneSettings
{
    /** Told of the chosen camera, and compared from one time to the next alone. */
    public const FACTS = ['camera.placement', 'camera.lens'];

    /**
     * @param  array<string, string>  $settings  canonical texts by id
     * @param  FrameRange|null  $timeline  the animation's own range
     * @param  list<array{name: string, saved: bool|null}>|null  $passes
     * @param  list<self>  $outputs  of a scene with several outputs: each over the common settings
     */
    public function __construct(
        public SceneSource $source,
        private array $settings,
        public ?FrameRange $timeline = null,
        public CameraSetup $cameraSetup = new CameraSetup,
        public ?array $passes = null,
        public Misread $misread = new Misread,
        public array $outputs = [],
    ) {}

    /** The same settings, told to make one part. */
    public function making(string $part): self
    {
        return $this->but($this->source->making($part), $this->misread, []);
    }

    public function withNotUnderstood(string $what): self
    {
        return $this->but($this->source, $this->misread->with($what), $this->outputs);
    }

    /** @param  list<self>  $outputs */
    public function withOutputs(array $outputs): self
    {
        $sentences = array_merge([], ...array_map(static fn (self $o): array => $o->misread->sentences, $outputs));

        return $this->but($this->source, $this->misread->and(new Misread($sentences))->once(), $outputs);
    }

    /** @param  list<self>  $outputs */
    private function but(SceneSource $source, Misread $misread, array $outputs): self
    {
        return new self(
            $source,
            $this->settings,
            $this->timeline,
            $this->cameraSetup,
            $this->passes,
            $misread,
            $outputs,
        );
    }

    public function get(string $id): ?string
    {
        return $this->settings[$id] ?? null;
    }

    /**
     * @return list<string>|null the cameras, or views, that are set to be rendered; null where the scene does not say
     */
    public function chosen(): ?array
    {
        $name = $this->get(RequirementId::CAMERA_NAME);
        if ($this->cameraSetup->chosen !== null || $name === null) {
            return $this->cameraSetup->chosen;
        }

        return $name === '' ? [] : explode(' | ', $name);
    }

    /** @return array<string, string> every setting told, by id, as canonical text */
    public function all(): array
    {
        return $this->settings;
    }

    /** The scale in percent; 100 where the scene says nothing of one. */
    public function scale(): BigRational
    {
        return Fraction::parse($this->get(RequirementId::PICTURE_SCALE) ?? '100');
    }

    /** The size set, before scale. */
    public function size(): ?Resolution
    {
        $size = $this->get(RequirementId::PICTURE_RESOLUTION);

        return $size === null ? null : Resolution::parse($size);
    }

    /**
     * The sizes that come out: size × scale, each side rounded to the nearest or down, since programs do either.
     *
     * @return list<Resolution> the nearest first
     */
    public function renderedSizes(): array
    {
        $size = $this->size();
        if ($size === null) {
            return [];
        }
        [$near, $down] = [$size->scaled($this->scale()), $size->scaled($this->scale(), RoundingMode::DOWN)];

        return [$near, $down, Resolution::of($near->width, $down->height), Resolution::of($down->width, $near->height)];
    }

    public function pixelAspect(): ?BigRational
    {
        $aspect = $this->get(RequirementId::PICTURE_PIXEL_ASPECT);

        return $aspect === null ? null : Fraction::parse($aspect);
    }

    /** The range typed in, without step. */
    public function listedRange(): ?FrameRange
    {
        $range = $this->get(RequirementId::TIME_RANGE);

        return match ($range) {
            null => null,
            'timeline' => $this->timeline,
            default => FrameRange::parse($range),
        };
    }

    public function step(): int
    {
        return max(1, (int) ($this->get(RequirementId::TIME_STEP) ?? 1));
    }

    /**
     * The frames the scene would render, handles included: one frame, its listed range by its step, or its whole
     * timeline. Null where it does not say enough.
     */
    public function frames(): ?FrameRange
    {
        $listed = $this->listedRange();

        return match ($this->get(RequirementId::TIME_EXTENT)) {
            'one' => $listed === null || $listed->isEmpty() ? null : FrameRange::of($listed->first(), $listed->first()),
            'whole' => ($this->timeline ?? $listed)?->every($this->step()),
            default => $listed?->every($this->step()),
        };
    }
}
