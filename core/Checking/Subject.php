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
use PlainLedger\Core\Specification\Specification;

/** One part with everything that was given for it. */
final readonly class Subject
{
    public ?FrameRange $expected;

    /** @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name: `shot`, `learner` */
    public function __construct(
        public Specification $specification,
        public Part $part,
        public ?SceneSettings $scene,
        public ?Delivery $delivery,
        public ?DeliveryMatch $deliveryMatch,
        public ?PartMatch $match,
        public ?string $pass = null,
        public ?EarlierFiles $earlier = null,
        public array $others = [],
    ) {
        $this->expected = $part->expected($scene?->timeline);
    }

    /** Whether its files are told apart by frame numbers. */
    public function isNumbered(): bool
    {
        return $this->part->delivers === Delivers::Frames || str_contains($this->part->single('naming.pattern') ?? '', '{frame');
    }

    public function nothingDelivered(): bool
    {
        return $this->match !== null && $this->match->isEmpty() && $this->match->instead === null;
    }

    /** The same as far as the passes go for which a requirement of the whole part holds, those set apart being asked on their own. */
    public function without(string $id): self
    {
        $apart = array_keys(array_filter($this->part->ofPasses, static fn (array $own): bool => isset($own[$id])));

        return $apart === [] || $this->match === null ? $this : $this->withPasses(static fn (PassMatch $p): bool => ! in_array($p->pass, $apart, true));
    }

    /** One pass with what is asked of it alone; a scene tells nothing of that. Null where it has no files of its own. */
    public function ofPass(string $pass): ?self
    {
        $own = $this->match === null ? null : $this->withPasses(static fn (PassMatch $p): bool => $p->pass === $pass);
        if ($own === null || $own->match === null || $own->match->passes === []) {
            return null;
        }

        return new self($this->specification, $this->part->ofPass($pass), null, $this->delivery, $this->deliveryMatch, $own->match, $pass);
    }

    /** @param  \Closure(PassMatch): bool  $which */
    private function withPasses(\Closure $which): self
    {
        $match = $this->match === null ? null : new PartMatch($this->match->part, array_filter($this->match->passes, $which), $this->match->instead);

        return new self($this->specification, $this->part, $this->scene, $this->delivery, $this->deliveryMatch, $match, $this->pass, $this->earlier, $this->others);
    }
}
