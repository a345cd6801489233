<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\Deliverable;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\Requirement;

/** What is asked of one deliverable: sentences beside values, who set each, and what follows from it all. */
final readonly class SpecificationPage
{
    /** Requirements this version compares; what nothing looks at yet is not offered. */
    private const OFFERED = [
        'picture.resolution', 'picture.scale', 'picture.pixel_aspect', 'picture.display_aspect', 'picture.region', 'time.rate', 'time.range', 'time.step', 'time.handles', 'time.count', 'time.extent',
        'camera.name', 'camera.single', 'scene.saved', 'render.samples', 'render.quality', 'output.folder', 'format.kind', 'format.bit_depth', 'format.sample', 'format.channels', 'format.alpha',
        'format.compression', 'naming.pattern', 'naming.folder', 'passes', 'content.whole', 'content.uniform', 'delivery.extras',
    ];

    /** @return array<string, mixed> */
    public static function of(Deliverable $deliverable): array
    {
        $resolved = $deliverable->resolved();
        $asked = [];
        foreach ($resolved->parts as $part) {
            $asked += $part->requirements;
        }
        $offered = array_filter(Catalogue::standard()->all(), static fn (Descriptor $d): bool => in_array($d->id, self::OFFERED, true) && ! isset($asked[$d->id]));

        return [
            'parts' => array_map(static fn (Part $p): array => [
                'name' => $p->name, 'delivers' => $p->delivers->value, 'madeFrom' => $p->madeFrom, 'prose' => Prose::of($p),
                'lines' => array_map(self::line(...), array_values($p->requirements)),
                'consequences' => Consequences::of($resolved, $p)->lines,
            ], $resolved->parts),
            'values' => array_filter($resolved->values, static fn (string $v): bool => $v !== ''),
            'offered' => array_map(static fn (Descriptor $d): array => ['id' => $d->id, 'label' => $d->label, 'group' => $d->group->value, 'example' => $d->example], array_values($offered)),
            'notUnderstood' => $resolved->notUnderstood,
            'usedBy' => $deliverable->specification->deliverables()->count(),
        ];
    }

    /** @return array<string, mixed> */
    public static function line(Requirement $requirement): array
    {
        return [
            'id' => $requirement->id(), 'label' => $requirement->descriptor->label, 'group' => $requirement->descriptor->group->value, 'value' => $requirement->required(),
            'level' => $requirement->level->value, 'why' => $requirement->why, 'setBy' => $requirement->setBy->value, 'sentence' => $requirement->sentence(), 'example' => $requirement->descriptor->example,
        ];
    }
}
