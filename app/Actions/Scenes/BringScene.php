<?php

declare(strict_types=1);

namespace App\Actions\Scenes;

use App\Actions\Checks\AskedLayers;
use App\Actions\Checks\CheckScene;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Text\PlainSentence;

/** Keeps a scene and checks it. The very same settings once more make no second check. */
final readonly class BringScene
{
    public function __construct(private CheckScene $check) {}

    /**
     * @param  string|null  $part  the part that they make, where somebody said so
     *
     * @throws PlainSentence where they cannot be read
     */
    public function run(
        Deliverable $deliverable,
        string $name,
        string $content,
        User $by,
        ?FieldMap $own = null,
        ?string $part = null,
    ): Check {
        $map = $deliverable->fieldMap()->under($own ?? FieldMap::none());
        (new DetectingReader)->read($content, $name, $map);
        $fields = array_map(static fn (FieldMeaning $m): array => $m->toArray(), $map->meanings());
        $scene = [
            'user_id' => $by->id,
            'file_name' => $name,
            'content' => $content,
            'field_map' => $fields,
            'part' => $part,
        ];

        return self::checkedAlready($deliverable, $scene) ?? $this->check->run($deliverable, $scene, $by);
    }

    /**
     * The newest check, where it is of the very same settings, by what is asked now.
     *
     * @param  array{content: string, file_name: string, field_map: list<array<string, mixed>>,
     *   part: string|null}  $scene
     */
    private static function checkedAlready(Deliverable $deliverable, array $scene): ?Check
    {
        $last = $deliverable->scenes()->latest('id')->first();
        $newest = $deliverable->checks()->done()->latest('id')->first();
        if ($last === null || $newest === null || $newest->scene_id !== $last->id) {
            return null;
        }
        $isSame = $last->hash === hash('sha256', $scene['content'])
            && $last->file_name === $scene['file_name']
            && $last->part === $scene['part']
            && ($last->field_map ?? []) == $scene['field_map'];

        return $isSame && ! AskedLayers::hasChangedSince($deliverable, $newest) ? $newest : null;
    }
}
