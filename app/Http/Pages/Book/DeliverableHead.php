<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Models\Check;
use App\Models\Deliverable;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Level;

/** What a deliverable's own pages have in common: its line of the index, and more. */
final readonly class DeliverableHead extends IndexLine
{
    public string $specification;

    public int $revision;

    /** @var array{scene: Mark|null, frames: Mark|null} each folio's own mark */
    public array $folios;

    /** @param  Deliverable  $deliverable  with what `forIndex` loads and its newest check */
    public function __construct(Deliverable $deliverable)
    {
        parent::__construct($deliverable);
        $this->specification = $deliverable->specification->title;
        $this->revision = $deliverable->specification->latest->number;
        $newest = $deliverable->newest;
        $this->folios = $newest instanceof Check ? self::folios($newest) : ['scene' => null, 'frames' => null];
    }

    /** @return array{scene: Mark|null, frames: Mark|null} */
    private static function folios(Check $check): array
    {
        $marks = ['scene' => [], 'files' => []];
        /** @var list<array<string, mixed>> $entries */
        $entries = Check::query()->findOrFail($check->id)->account()['entries'];
        foreach ($entries as $entry) {
            foreach (['scene', 'files'] as $side) {
                $cell = $entry[$side] ?? null;
                if (is_array($cell) && ! isset($cell['stale']) && $entry['level'] === Level::Must->value) {
                    $marks[$side][] = Mark::from((string) $cell['mark']);
                }
            }
        }
        $together = static fn (array $list): ?Mark => $list === [] ? null : Mark::together(...$list);

        return ['scene' => $together($marks['scene']), 'frames' => $together($marks['files'])];
    }
}
