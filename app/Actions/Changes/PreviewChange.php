<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Models\Deliverable;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;

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
                'from' => $now->specification->parts[0]->find($id)?->required(),
                'to' => $then->specification->parts[0]->find($id)?->required(),
                'conflicts' => array_values(array_diff($after, $before)),
            ];
        }

        return $lines;
    }
}
