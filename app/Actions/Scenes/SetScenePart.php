<?php

declare(strict_types=1);

namespace App\Actions\Scenes;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Scene;
use App\Models\User;

/** The newest settings once more, told which part they make. */
final readonly class SetScenePart
{
    public function __construct(private BringScene $bring) {}

    /**
     * @param  string|null  $part  null: as their format and name tell
     */
    public function run(Deliverable $deliverable, ?string $part, User $by): Check
    {
        /** @var Scene $last */
        $last = $deliverable->scenes()->latest('id')->firstOrFail();

        return $this->bring->run(
            $deliverable,
            $last->file_name,
            $last->content,
            $by,
            Scene::map($last->field_map),
            $part,
        );
    }
}
