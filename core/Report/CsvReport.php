<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Tabular\Csv;

/** One line an entry, comma-separated (RFC 4180). */
final readonly class CsvReport implements ReportWriter
{
    public function write(CheckReport $account): string
    {
        $lines = [
            [
                'part', 'id', 'requirement', 'level', 'mark', 'required', 'scene', 'scene mark', 'files', 'files mark',
                'causes',
            ],
        ];
        foreach ($account->check->entries as $entry) {
            $causes = [];
            foreach ($account->causes as $cause) {
                if ($cause->part === $entry->part && in_array($entry->id(), $cause->explains, true)) {
                    $causes[] = $cause->finding->id->value;
                }
            }
            $cells = static fn (?Cell $cell): array => [
                $cell->found ?? '',
                match (true) {
                    $cell === null => '',
                    $cell->stale => 'stale',
                    default => $cell->mark->value,
                },
            ];
            $lines[] = [
                $entry->part,
                $entry->id(),
                $entry->requirement->descriptor->label,
                $entry->level()->value,
                $entry->mark->value,
                $entry->required,
                ...$cells($entry->scene),
                ...$cells($entry->files),
                implode(' ', $causes),
            ];
        }

        return Csv::of($lines);
    }
}
