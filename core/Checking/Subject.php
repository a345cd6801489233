<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Matching\PartMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** One part with everything that was given for it. */
final readonly class Subject
{
    public ?FrameRange $expected;

    public function __construct(
        public Specification $specification,
        public Part $part,
        public ?SceneSettings $scene,
        public ?Delivery $delivery,
        public ?DeliveryMatch $deliveryMatch,
        public ?PartMatch $match,
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
}
