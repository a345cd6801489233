<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Tabular\Csv;

/** The requirements as a table for spreadsheets, one a row. */
final readonly class RequirementsCsv implements SheetWriter
{
    public const HEAD = ['part', 'pass', 'id', 'requirement', 'required', 'level', 'why', 'set by', 'in words'];

    public function write(Specification $specification): string
    {
        $rows = [self::HEAD];
        foreach ($specification->parts as $part) {
            foreach ($part->requirements as $requirement) {
                $rows[] = self::row($part->name, '', $requirement);
                foreach ($requirement->id() === RequirementId::PASSES ? $part->ofPasses : [] as $pass => $own) {
                    foreach ($own as $each) {
                        $rows[] = self::row($part->name, (string) $pass, $each);
                    }
                }
            }
        }

        return Csv::of($rows);
    }

    /** @return list<string> */
    private static function row(string $part, string $pass, Requirement $requirement): array
    {
        return [
            $part, $pass, $requirement->id(), $requirement->descriptor->label, $requirement->required(),
            $requirement->level->value, $requirement->why ?? '', $requirement->setBy->value, $requirement->sentence(),
        ];
    }
}
