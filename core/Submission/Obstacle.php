<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/** Something that stands in the way of a submission. */
final readonly class Obstacle
{
    private function __construct(
        public ObstacleKind $kind,
        public string $says,
        public ?OpenLine $line = null,
    ) {}

    public static function of(ObstacleKind $kind, string $says): self
    {
        return new self($kind, $says);
    }

    public static function open(OpenLine $line, string $says): self
    {
        return new self(ObstacleKind::Open, $says, $line);
    }
}
