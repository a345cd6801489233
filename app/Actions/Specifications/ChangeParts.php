<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Specification\PartsEditor;
use PlainLedger\Core\Text\PlainSentence;

/** Adds a part to a specification, renames one, or takes one away; deliverables keep what they ask of it. */
final readonly class ChangeParts
{
    /**
     * @param  \Closure(PartsEditor): PartsEditor  $change
     * @param  array{string, string}|null  $names  before and after, where a part is renamed
     *
     * @throws PlainSentence
     */
    public function run(Specification $specification, \Closure $change, ?array $names, User $by): void
    {
        DB::transaction(static function () use ($specification, $change, $names, $by): void {
            $changed = $change(PartsEditor::of($specification->latest()->firstOrFail()->data));
            $specification->revise($changed->data, $by);
            foreach ($specification->deliverables()->with('production', 'owner')->get() as $deliverable) {
                $deliverable->setRelation('specification', $specification->fresh(['latest']) ?? $specification);
                self::renameOverrides($deliverable, $names);
                $deliverable->keepParts();
            }
        });
    }

    /** @param  array{string, string}|null  $names */
    private static function renameOverrides(Deliverable $deliverable, ?array $names): void
    {
        $overrides = $deliverable->overrides;
        if ($names !== null && isset($overrides['parts'][$names[0]])) {
            $overrides['parts'][$names[1]] = $overrides['parts'][$names[0]];
            unset($overrides['parts'][$names[0]]);
            $deliverable->update(['overrides' => $overrides]);
        }
    }
}
