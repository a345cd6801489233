<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Checking\Verdict;

/** One delivered tree beside all that it may answer: a row a deliverable, and what is nobody's. */
final readonly class TreeReport
{
    public const FORMAT = 'plain-ledger/tree';

    /** @param  list<TreeRow>  $rows */
    public function __construct(public array $rows, public TreeAssignment $assignment) {}

    /** The worst of its rows: a tree of which nothing is asked is open. */
    public function verdict(): Verdict
    {
        $verdicts = array_map(static fn (TreeRow $row): Verdict => $row->report->check->verdict, $this->rows);

        return match (true) {
            in_array(Verdict::Unbalanced, $verdicts, true) => Verdict::Unbalanced,
            $verdicts === [] || in_array(Verdict::Open, $verdicts, true) => Verdict::Open,
            default => Verdict::Balanced,
        };
    }

    /** How many have this verdict. */
    public function count(Verdict $verdict): int
    {
        $of = static fn (TreeRow $row): bool => $row->report->check->verdict === $verdict;

        return count(array_filter($this->rows, $of));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => 1,
            'verdict' => $this->verdict()->value,
            'totals' => $this->totals(),
            'deliverables' => array_map(static fn (TreeRow $row): array => $row->toArray(), $this->rows),
            'fits_several' => self::told($this->assignment->several),
            'nobody_asked' => self::told($this->assignment->none),
        ];
    }

    /**
     * @param  list<TreeUnit>  $units
     * @return list<array<string, mixed>>
     */
    private static function told(array $units): array
    {
        return array_map(static fn (TreeUnit $unit): array => $unit->toArray(), $units);
    }

    /** @param  list<TreeUnit>  $units */
    private static function files(array $units): int
    {
        return array_sum(array_map(static fn (TreeUnit $unit): int => count($unit->rows), $units));
    }

    /** @return array<string, int> */
    public function totals(): array
    {
        return [
            'deliverables' => count($this->rows),
            'balanced' => $this->count(Verdict::Balanced),
            'unbalanced' => $this->count(Verdict::Unbalanced),
            'open' => $this->count(Verdict::Open),
            'nothing_delivered' => count(array_filter($this->rows, static fn (TreeRow $r): bool => $r->files === 0)),
            'frames_missing' => array_sum(array_map(static fn (TreeRow $r): int => $r->missing(), $this->rows)),
            'files_answering' => array_sum(array_map(static fn (TreeRow $r): int => $r->files, $this->rows)),
            'files_fitting_several' => self::files($this->assignment->several),
            'files_nobody_asked' => self::files($this->assignment->none),
        ];
    }
}
