<?php

declare(strict_types=1);

namespace App\Actions\Scenes;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Scene;
use App\Models\User;
use PlainLedger\Core\Scene\FieldMeaning;

/** The newest settings once more, with a name in them pointed at. */
final readonly class PointAtName
{
    public function __construct(private BringScene $bring) {}

    public function run(Deliverable $deliverable, FieldMeaning $meaning, bool $forAll, User $by): Check
    {
        /** @var Scene $last */
        $last = $deliverable->scenes()->latest('id')->firstOrFail();
        $own = Scene::map($last->field_map)->with($meaning);
        if ($forAll) {
            $this->keep($deliverable, $meaning);
        }

        return $this->bring->run($deliverable, $last->file_name, $last->content, $by, $own, $last->part);
    }

    private function keep(Deliverable $deliverable, FieldMeaning $meaning): void
    {
        $deliverable->production->alone(
            static fn (Production $now): bool => $now->update(
                [
                    'field_map' => array_map(
                        static fn (FieldMeaning $m): array => $m->toArray(),
                        $now->fieldMap()->with($meaning)->meanings(),
                    ),
                ],
            ),
        );
    }
}
