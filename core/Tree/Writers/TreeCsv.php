<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree\Writers;

use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Tabular\Csv;
use PlainLedger\Core\Text\Text;
use PlainLedger\Core\Tree\TreeReport;
use PlainLedger\Core\Tree\TreeRow;
use PlainLedger\Core\Tree\TreeUnit;

/** One line a deliverable, then one for each thing that is nobody's, comma-separated (RFC 4180). */
final readonly class TreeCsv implements TreeWriter
{
    private const HEAD = [
        'deliverable', 'specification', 'verdict', 'says', 'folder', 'files', 'frames missing', 'causes', 'to do',
    ];

    public function write(TreeReport $tree): string
    {
        return Csv::of([
            self::HEAD,
            ...array_map(self::row(...), $tree->rows),
            ...array_map(self::several(...), $tree->assignment->several),
            ...array_map(self::nobodys(...), $tree->assignment->none),
        ]);
    }

    /** @return list<string> */
    private static function row(TreeRow $row): array
    {
        $report = $row->report;

        return [
            Text::shown($row->owed->label()),
            Text::shown($row->owed->key),
            $report->check->verdict->value,
            $row->says(),
            Text::shown($row->folder),
            (string) $row->files,
            (string) $row->missing(),
            implode(' ', array_map(static fn (Cause $cause): string => $cause->finding->id->value, $report->causes)),
            implode(' ', array_map(static fn (Fix $fix): string => $fix->says, $report->remedy->fixes)),
        ];
    }

    /** @return list<string> */
    private static function nobodys(TreeUnit $unit): array
    {
        return self::unit($unit, 'nobody asked for it');
    }

    /** @return list<string> */
    private static function several(TreeUnit $unit): array
    {
        return self::unit($unit, 'fits '.Text::series(array_map(Text::shown(...), $unit->candidates)));
    }

    /** @return list<string> */
    private static function unit(TreeUnit $unit, string $says): array
    {
        return ['', '', '', $says, $unit->place(), (string) count($unit->rows), '', '', ''];
    }
}
