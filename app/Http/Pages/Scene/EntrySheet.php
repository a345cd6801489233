<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Http\Pages\ByKey;
use App\Models\Deliverable;
use PlainLedger\Core\Checking\SceneParts;
use PlainLedger\Core\Report\SettingsTemplate;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\TypedSettings;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Everything that is asked of a scene, line by line, with what was typed the last time. */
final readonly class EntrySheet
{
    /** @var list<string> all that are owed; of several, one is typed in at a time */
    public array $parts;

    public ?string $part;

    /** @var list<EntryRow> */
    public array $rows;

    /** @var ByKey<string> what was typed, or brought otherwise, the last time */
    public ByKey $typed;

    /** @param  list<string>  $parts */
    private function __construct(Deliverable $deliverable, Specification $asked, array $parts, ?string $part)
    {
        $requirements = self::requirements($asked, $part);
        $labels = FieldNames::offered();
        $this->parts = $parts;
        $this->part = $part;
        $this->rows = array_map(
            static fn (string $field): EntryRow => new EntryRow($field, $labels[$field] ?? null, $requirements),
            self::fields($asked, $part, $requirements),
        );
        $this->typed = new ByKey(self::typed($deliverable, $asked, $part));
    }

    /** @param  string|null  $chosen  the part that is typed in, of several; null: the first */
    public static function of(Deliverable $deliverable, ?string $chosen = null): self
    {
        $parts = self::partsOf($deliverable);

        return new self(
            $deliverable,
            $deliverable->draft()->specification,
            $parts,
            count($parts) > 1 ? $chosen ?? $parts[0] : null,
        );
    }

    /** @return list<string> the parts that a scene can make */
    public static function partsOf(Deliverable $deliverable): array
    {
        return array_map(static fn (Part $p): string => $p->name, $deliverable->draft()->specification->parts);
    }

    /** @return array<string, Requirement> of the part, or of all, by id */
    private static function requirements(Specification $asked, ?string $own): array
    {
        $requirements = [];
        foreach ($asked->parts as $part) {
            if ($own === null || $own === $part->name) {
                $requirements += $part->requirements;
            }
        }

        return $requirements;
    }

    /**
     * @param  array<string, Requirement>  $requirements
     * @return list<string>
     */
    private static function fields(Specification $asked, ?string $own, array $requirements): array
    {
        return [
            ...SettingsTemplate::ids($asked, $own),
            ...(isset($requirements[RequirementId::OUTPUT_FOLDER]) ? ['scene.project_folder'] : []),
            ...(isset($requirements[RequirementId::SCENE_SAVED]) ? [RequirementId::SCENE_SAVED] : []),
        ];
    }

    /** @return array<string, string> */
    private static function typed(Deliverable $deliverable, Specification $asked, ?string $own): array
    {
        $last = $deliverable->scenes()->latest('id')->first()?->settings();
        $settings = $own === null || $last === null ? $last : SceneParts::of($last, $asked)[$own] ?? null;

        return $settings === null ? [] : TypedSettings::of($settings);
    }
}
