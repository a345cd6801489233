<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\IntakeRoot;

/** An intake root, as far as it is open to whoever reads. */
final readonly class IntakePlace
{
    public int $id;

    public string $label;

    /** Where this deliverable is expected. */
    public string $own;

    /** @var array{folder: string, make: string|null}|null the folder that should be there, and what makes it */
    public ?array $wanted;

    private function __construct(IntakeRoot $root, Deliverable $deliverable, bool $overseer)
    {
        $this->id = $root->id;
        $this->label = $root->label;
        $this->own = IntakeFolder::expected($root, $deliverable, $overseer);
        $this->wanted = IntakeFolder::wanted($root, $deliverable, $overseer);
    }

    /** @return list<self> */
    public static function all(Deliverable $deliverable, bool $overseer): array
    {
        return array_map(
            static fn (IntakeRoot $root): self => new self($root, $deliverable, $overseer),
            IntakeFolder::rootsFor($deliverable, $overseer),
        );
    }
}
