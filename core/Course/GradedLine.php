<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\NotChecked;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\Level;

/** One line of a check, as far as it counts towards points. */
final readonly class GradedLine
{
    /** @param  Mark  $mark  `Unknown` also where it was not looked at */
    public function __construct(
        public string $id,
        public Group $group,
        public string $part,
        public ?string $pass,
        public Level $level,
        public Mark $mark,
    ) {}

    /**
     * Every line of a check, and what was asked and not looked at; of that, what nothing that is handed in could show
     * is left out.
     *
     * @return list<self>
     */
    public static function among(CheckReport $report, Needed $needed): array
    {
        $lines = [];
        foreach ($report->check->entries as $entry) {
            $group = $entry->requirement->descriptor->group;
            $lines[] = new self($entry->id(), $group, $entry->part, $entry->pass, $entry->level(), $entry->mark);
        }
        foreach ($report->check->notChecked as $left) {
            $requirement = $report->specification->part($left->part)?->ofPass($left->pass)->find($left->id);
            if ($requirement !== null && self::isOwed($left, $needed)) {
                $group = $requirement->descriptor->group;
                $lines[] = new self($left->id, $group, $left->part, $left->pass, $requirement->level, Mark::Unknown);
            }
        }

        return $lines;
    }

    /** @param  array<string, mixed>  $row  as `toArray` gives it */
    public static function fromArray(array $row): ?self
    {
        $group = Group::tryFrom(self::text($row, 'group'));
        $level = Level::tryFrom(self::text($row, 'level'));
        $mark = Mark::tryFrom(self::text($row, 'mark'));
        if ($group === null || $level === null || $mark === null) {
            return null;
        }
        $pass = self::text($row, 'pass');

        return new self(
            self::text($row, 'id'),
            $group,
            self::text($row, 'part'),
            $pass === '' ? null : $pass,
            $level,
            $mark,
        );
    }

    /** @return array{id: string, group: string, part: string, pass: string, level: string, mark: string} */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'group' => $this->group->value, 'part' => $this->part, 'pass' => $this->pass ?? '',
            'level' => $this->level->value, 'mark' => $this->mark->value,
        ];
    }

    public function label(): string
    {
        return Catalogue::standard()->find($this->id)->label ?? $this->id;
    }

    private static function isOwed(NotChecked $left, Needed $needed): bool
    {
        return ($needed->needsFiles() && $left->filesCould) || ($needed->needsScene() && $left->sceneCould);
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $key): string
    {
        return is_string($row[$key] ?? null) ? $row[$key] : '';
    }
}
