<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Conflicts\ConflictResolution;

/**
 * Requirements that cannot all be met, with the smallest changes that end it.
 *
 * @phpstan-type SuggestedChange array{requirement: RequirementKey, value: string|null, says: string}
 */
final readonly class ConflictShown
{
    /** @var list<RequirementKey> */
    public array $requirements;

    public string $part;

    public string $says;

    /** @var list<SuggestedChange> */
    public array $resolutions;

    public function __construct(Conflict $conflict)
    {
        $this->requirements = $conflict->requirements;
        $this->part = $conflict->part;
        $this->says = $conflict->says;
        $this->resolutions = array_map(
            static fn (ConflictResolution $r): array => [
                'requirement' => $r->requirement, 'value' => $r->value, 'says' => $r->says,
            ],
            $conflict->resolutions,
        );
    }

    /**
     * @param  array<Conflict>  $conflicts
     * @return list<self>
     */
    public static function all(array $conflicts): array
    {
        return array_map(static fn (Conflict $c): self => new self($c), array_values($conflicts));
    }
}
