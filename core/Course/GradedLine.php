<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;

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
     * Every line of a check, and what was asked and not looked at; of that, what another side would show than the one
     * that is handed in is left out.
     *
     * @param  array<string, mixed>  $check  a `plain-ledger/check` document
     * @param  Specification  $asked  what it was checked against
     * @return list<self>
     */
    public static function among(array $check, Specification $asked, Needed $needed): array
    {
        $lines = [];
        foreach (self::rows($check['entries'] ?? null) as $row) {
            $line = self::line($row, Mark::tryFrom(self::text($row, 'mark')) ?? Mark::Unknown, $asked);
            $level = Level::tryFrom(self::text($row, 'level'));
            if ($line !== null && $level !== null) {
                $lines[] = new self($line->id, $line->group, $line->part, $line->pass, $level, $line->mark);
            }
        }
        foreach (self::rows($check['not_checked'] ?? null) as $row) {
            $line = self::line($row, Mark::Unknown, $asked);
            if ($line !== null && self::isOwed($line, $needed)) {
                $lines[] = $line;
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

    /** @param  array<string, mixed>  $row */
    private static function line(array $row, Mark $mark, Specification $asked): ?self
    {
        $pass = self::text($row, 'pass');
        $id = self::text($row, 'id');
        $part = self::text($row, 'part');
        $requirement = $asked->part($part)?->ofPass($pass === '' ? null : $pass)->find($id);
        $group = $requirement->descriptor->group ?? Catalogue::standard()->find($id)?->group;

        return $group === null
            ? null
            : new self($id, $group, $part, $pass === '' ? null : $pass, self::level($requirement), $mark);
    }

    private static function level(?Requirement $requirement): Level
    {
        return $requirement->level ?? Level::Must;
    }

    private static function isOwed(self $line, Needed $needed): bool
    {
        $descriptor = Catalogue::standard()->find($line->id);
        if ($descriptor === null) {
            return $needed->needsScene();
        }
        $inFiles = $descriptor->inFiles() || $descriptor->inDelivery();

        return ($needed->needsFiles() && $inFiles) || ($needed->needsScene() && $descriptor->inScene());
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $rows): array
    {
        $kept = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row)) {
                /** @var array<string, mixed> $row */
                $kept[] = $row;
            }
        }

        return $kept;
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $key): string
    {
        return is_string($row[$key] ?? null) ? $row[$key] : '';
    }
}
