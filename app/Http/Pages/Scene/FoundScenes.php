<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Models\Deliverable;
use Illuminate\Database\Eloquent\Collection;

/** What is in files of settings, and whose each is; nothing is kept yet. */
final readonly class FoundScenes
{
    private const MOST_REFUSED = 200;

    /** @var list<FoundScene> */
    public array $scenes;

    /** @var list<string> why others were refused */
    public array $refused;

    /** @var list<array{id: int, code: string, owner: string|null}> */
    public array $deliverables;

    /**
     * @param  list<FoundScene>  $scenes
     * @param  list<string>  $refused
     * @param  Collection<int, Deliverable>  $deliverables
     */
    public function __construct(array $scenes, array $refused, Collection $deliverables)
    {
        $this->scenes = $scenes;
        $this->refused = array_slice($refused, 0, self::MOST_REFUSED);
        $this->deliverables = array_values($deliverables->map(static fn (Deliverable $d): array => [
            'id' => $d->id, 'code' => $d->code, 'owner' => $d->owner?->name,
        ])->all());
    }
}
