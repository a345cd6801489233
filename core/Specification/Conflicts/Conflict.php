<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

/** Requirements of one specification that cannot all be met, or one that cannot be met by anything. */
final readonly class Conflict
{
    /**
     * @param  non-empty-list<string>  $requirements  ids
     * @param  string  $part  the part they stand in
     * @param  list<ConflictResolution>  $resolutions  the smallest change first
     */
    private function __construct(
        public array $requirements,
        public string $part,
        public string $says,
        public array $resolutions,
    ) {}

    /** @param  non-empty-list<string>  $requirements */
    public static function between(
        array $requirements,
        string $part,
        string $says,
        ConflictResolution ...$resolutions,
    ): self {
        return new self($requirements, $part, $says, array_values($resolutions));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'requirements' => $this->requirements,
            'part' => $this->part,
            'says' => $this->says,
            'offers' => array_map(static fn (ConflictResolution $o): array => $o->toArray(), $this->resolutions),
        ];
    }
}
