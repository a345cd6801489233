<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Matching\PartMatch;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** One part, or one pass of it, with everything that was given for it. */
final readonly class Subject
{
    public ?FrameRange $expected;

    public ?Delivery $delivery;

    public ?DeliveryMatch $deliveryMatch;

    public ?EarlierFiles $earlier;

    /** @var array<string, list<string>> values of other deliverables, by piece of a name: `shot`, `learner` */
    public array $others;

    /**
     * @param  SceneSettings|null  $scene  null where these settings make another part
     * @param  string|null  $pass  where it is one pass of several that come as files of their own
     * @param  PartMatch|null  $all  of one pass: what answers the whole part
     */
    public function __construct(
        public Specification $specification,
        public Part $part,
        public ?SceneSettings $scene,
        private DeliveredFiles $files,
        public ?PartMatch $match,
        public ?string $pass = null,
        public ?PartMatch $all = null,
    ) {
        $this->delivery = $files->delivery;
        $this->deliveryMatch = $files->match;
        $this->earlier = $files->earlier;
        $this->others = $files->others;
        $this->expected = $part->expected($scene?->timeline);
    }

    /** Whether its files are told apart by frame numbers. */
    public function isNumbered(): bool
    {
        return $this->part->delivers === Delivers::Frames
            || str_contains($this->part->single(RequirementId::NAMING_PATTERN) ?? '', '{frame');
    }

    /** The part that this one is made from. */
    public function source(): ?Part
    {
        return $this->specification->part($this->part->madeFrom ?? '');
    }

    public function nothingDelivered(): bool
    {
        return $this->match !== null && $this->match->isEmpty() && $this->match->instead === null;
    }

    /**
     * Each pass by itself, where they come as files of their own.
     *
     * @return array<int, self> by the pass's place; empty where they do not
     */
    public function byPass(): array
    {
        $passes = $this->match->passes ?? [];
        if ($this->match === null || ($passes[0]->pass ?? null) === null) {
            return [];
        }

        return array_map(fn (PassMatch $p, int $place): self => new self(
            $this->specification, $this->part->ofPass($p->pass), $this->scene, $this->files,
            new PartMatch($this->match->part, [$place => $p], $this->match->instead),
            $p->pass,
            $this->match,
        ), $passes, array_keys($passes));
    }

    /** The pass it is about; null where it is about a whole part of several, or nothing was given. */
    public function onlyPass(): ?PassMatch
    {
        $passes = array_values($this->match->passes ?? []);

        return count($passes) === 1 ? $passes[0] : null;
    }
}
