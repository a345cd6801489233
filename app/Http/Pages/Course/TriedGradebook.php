<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use PlainLedger\Core\Course\FilledGradebook;
use PlainLedger\Core\Course\Gradebook;
use PlainLedger\Core\Course\GradebookColumns;
use PlainLedger\Core\Course\NamedBy;

/** What is understood of a gradebook, and what filling it would come to. */
final readonly class TriedGradebook
{
    /** @var list<string> */
    public array $headings;

    /** @var array{whose: list<string>, by: NamedBy, points: string, remark: string|null}|null */
    public ?array $columns;

    public int $filled;

    /** Rows that had other points before. */
    public int $changed;

    /** @var list<string> */
    public array $unknown;

    /** @var list<string> */
    public array $twice;

    /** @var list<string> */
    public array $absent;

    /** @var list<string> */
    public array $pointless;

    public function __construct(Gradebook $book, ?GradebookColumns $columns, ?FilledGradebook $filled)
    {
        $this->headings = $book->headings();
        $this->columns = $columns === null ? null : [
            'whose' => $columns->whose, 'by' => $columns->by, 'points' => $columns->points,
            'remark' => $columns->remark,
        ];
        $this->filled = count($filled->filled ?? []);
        $this->changed = $filled->changed ?? 0;
        $this->unknown = $filled->unknown ?? [];
        $this->twice = $filled->twice ?? [];
        $this->absent = $filled->absent ?? [];
        $this->pointless = $filled->pointless ?? [];
    }
}
