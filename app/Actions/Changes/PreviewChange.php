<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Models\Deliverable;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Specification\SpecificationDraft;

/** One value changed in several deliverables: what it is now, what it would be, and what that contradicts. */
final readonly class PreviewChange
{
    /**
     * @param  list<Deliverable>  $deliverables
     * @param  string|null  $json  null: what each sets itself is taken back
     * @return list<array{id: int, code: string, from: string|null, to: string|null, conflicts: list<string>}>
     */
    public function run(array $deliverables, string $id, ?string $json): array
    {
        $proofreader = Proofreader::standard();
        $lines = [];
        foreach ($deliverables as $deliverable) {
            $layers = $deliverable->layers($deliverable->specification->latest);
            $own = array_pop($layers);
            $data = $own->data ?? [];
            $require = is_array($data['require'] ?? null) ? $data['require'] : [];
            unset($require[$id]);
            if ($json !== null) {
                $require[$id] = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
            }
            $now = Resolved::draft(...$deliverable->layers($deliverable->specification->latest));
            $then = Resolved::draft(
                ...[...$layers, new Layer(SetBy::Deliverable, ['require' => $require] + $data, $deliverable->code)],
            );
            $before = array_map(static fn ($q): string => $q->says, $proofreader->read($now));
            $after = array_map(static fn ($q): string => $q->says, $proofreader->read($then));
            $lines[] = [
                'id' => $deliverable->id,
                'code' => $deliverable->code,
                'from' => self::asked($now, $id),
                'to' => self::asked($then, $id),
                'conflicts' => array_values(array_diff($after, $before)),
            ];
        }

        return $lines;
    }

    /** What is asked of all parts, or of each by its name where they differ; null where it is asked of none. */
    private static function asked(SpecificationDraft $draft, string $id): ?string
    {
        $values = [];
        foreach ($draft->specification->parts as $part) {
            $values[$part->name] = $part->find($id)?->required();
        }
        if (count(array_unique($values, SORT_REGULAR)) < 2) {
            return array_values($values)[0] ?? null;
        }
        $told = array_map(
            static fn (string $part, ?string $value): string => "{$part}: ".($value ?? 'not asked'),
            array_keys($values),
            $values,
        );

        return implode(', ', $told);
    }
}
