<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;

/**
 * One thing that can be asked: its id, where it can be read, how its value is written and said. Schema, types and
 * forms are generated from these.
 */
final readonly class Descriptor
{
    /** @param  list<ReadFrom>  $readFrom */
    public function __construct(
        public string $id,
        public Group $group,
        public string $label,
        public ValueType $type,
        public array $readFrom,
        public Wording $wording,
        public Accepts $accepts = new Accepts,
    ) {}

    /**
     * The one text that everything people write for the same value becomes.
     *
     * @throws NotUnderstood|PatternRefused
     */
    public function canonical(string $text): string
    {
        return $this->type->format()->canonical(Spellings::usual($this->id, $text), $this);
    }

    /** Whether the scene can tell it. */
    public function inScene(): bool
    {
        return in_array(ReadFrom::Scene, $this->readFrom, true);
    }

    /** Whether it can be read in frames, stills or a movie. */
    public function inFiles(): bool
    {
        return in_array(ReadFrom::Frames, $this->readFrom, true) || in_array(ReadFrom::Movie, $this->readFrom, true);
    }

    public function inDelivery(): bool
    {
        return in_array(ReadFrom::Delivery, $this->readFrom, true);
    }

    /** Whether nothing but the scene tells it. */
    public function inSceneAlone(): bool
    {
        return $this->readFrom === [ReadFrom::Scene];
    }
}
